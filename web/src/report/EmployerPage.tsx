/** What an employer contact sees: the reports of the crews they were given, and nothing else. */
import { Box, Button, Typography } from "@mui/material";
import { useState } from "react";
import { Navigate } from "react-router";
import { t } from "../base/words";
import { serverApi } from "../base/api";
import { takeMeasures } from "../base/measures";
import { useTellFailure } from "../base/tell-failure";
import { Choice } from "../parts/Choice";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { Loading } from "../parts/Loading";
import { Password } from "../practice/Password";
import { SecondFactor } from "../practice/SecondFactor";
import { Sessions } from "../practice/Sessions";
import { CrewReport } from "./CrewReport";
import { authApi } from "../auth/api";
import { crewApi } from "../crew/api";

export default function EmployerPage() {
  const { data: me } = serverApi.useMeQuery();
  const crews = crewApi.useCrewsQuery(undefined, { skip: me?.account?.role !== "employer" });
  const told = useTellFailure();
  const [signOut] = authApi.useSignOutMutation();
  const [account, setAccount] = useState(false);
  const [chosen, setChosen] = useState<string | null>(null);
  if (!me) return <Loading />;
  if (me.account && takeMeasures(me.account.measures)) return <Loading />;
  if (me.account?.role !== "employer") return <Navigate to="/" replace />;
  return (
    <Box component="main" id="main" sx={{ px: { xs: 2, md: 5 }, py: 3, maxWidth: 1280, mx: "auto" }}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 2, mb: 3, "@media print": { display: "none" } }}>
        <Box component="img" src="/mark.svg" alt="" sx={{ width: 40 }} />
        <Typography sx={{ flex: 1 }}>
          <strong>{me.account.practice}</strong> {t("for {{name}}", { name: me.account.name })}
        </Typography>
        <Button aria-pressed={account} onClick={() => setAccount(!account)}>
          {t("Password")}
        </Button>
        <Button variant="outlined" onClick={() => void told(signOut())}>
          {t("Sign out")}
        </Button>
      </Box>
      {account && (
        <Box sx={{ maxWidth: 480, mb: 4, display: "grid", gap: 4 }}>
          <Password />
          <SecondFactor />
          <Sessions />
        </Box>
      )}
      <Loaded query={crews}>
        {(list) => {
          const shown = chosen ?? list[0]?.id;
          if (!shown) return <Empty title={t("No crew yet")} text={t("The practice has not given you a crew to see.")} />;
          return (
            <>
              {list.length > 1 && (
                <Box sx={{ mb: 3, "@media print": { display: "none" } }}>
                  <Choice
                    label={t("Crew")}
                    value={shown}
                    onChange={setChosen}
                    options={list.map(({ id, name }) => ({ value: id, label: name }))}
                  />
                </Box>
              )}
              <CrewReport key={shown} crewId={shown} />
            </>
          );
        }}
      </Loaded>
    </Box>
  );
}
