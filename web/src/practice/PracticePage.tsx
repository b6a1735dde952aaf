/** The practice: its name, one's own password, the floor's light, signing out. */
import { Box, Button, TextField, Typography } from "@mui/material";
import { useColorScheme } from "@mui/material/styles";
import { type FormEvent, useState } from "react";
import { t } from "../base/words";
import { problemOf, serverApi } from "../base/api";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { useTellFailure } from "../base/tell-failure";
import { Choice } from "../parts/Choice";
import { PageTitle } from "../parts/PageTitle";
import { CustomsForm, OwnMeasuresForm } from "./CustomsForm";
import DemoDoor from "./DemoDoor";
import { FilesOfCrews } from "./FilesOfCrews";
import { OtherPrograms } from "./OtherPrograms";
import { OwnAccount } from "./OwnAccount";
import { Password } from "./Password";
import { PasskeyList } from "./PasskeyList";
import { RetentionForm } from "./RetentionForm";
import { SecondFactor } from "./SecondFactor";
import { Sessions } from "./Sessions";
import { SettingsForm } from "./SettingsForm";
import { SignInRules } from "./SignInRules";
import { Staff } from "./Staff";
import { authApi } from "../auth/api";
import { practiceApi } from "./api";

export default function PracticePage() {
  const { data: me } = serverApi.useMeQuery();
  const told = useTellFailure();
  const [signOut] = authApi.useSignOutMutation();
  const { mode, setMode } = useColorScheme();
  const account = me?.account;
  if (!account) return null;
  return (
    <>
      <PageTitle title={t("Practice")} lead={t("Signed in as {{name}}, {{email}}.", { name: account.name, email: account.email })}>
        <Button variant="outlined" onClick={() => void told(signOut())}>
          {t("Sign out")}
        </Button>
      </PageTitle>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0, 1fr)", lg: "minmax(0, 1.25fr) minmax(0, 1fr)" },
          columnGap: 8,
          rowGap: 5,
          alignItems: "start",
        }}
      >
        {account.role === "trainer" && (
          <Box sx={{ display: "grid", gap: 5 }}>
            <Staff />
            <CustomsForm />
            <SettingsForm />
            <SignInRules />
            <RetentionForm />
            <FilesOfCrews />
            <OtherPrograms />
            {!account.demo && <DemoDoor />}
          </Box>
        )}
        <Box sx={{ display: "grid", gap: 5, maxWidth: 560 }}>
          {account.role === "trainer" && <PracticeName name={account.practice} />}
          <Box>
            <Typography variant="h2" sx={{ mb: 1.5 }}>
              {t("Light")}
            </Typography>
            <Choice<"light" | "dark">
              label={t("Light")}
              value={mode === "dark" ? "dark" : "light"}
              onChange={setMode}
              options={[
                { value: "light", label: t("Bright floor") },
                { value: "dark", label: t("Dim floor") },
              ]}
            />
          </Box>
          <OwnMeasuresForm />
          <OwnAccount name={account.name} email={account.email} />
          <Password />
          <PasskeyList />
          <SecondFactor />
          <Sessions />
        </Box>
      </Box>
    </>
  );
}

function PracticeName({ name }: { name: string }) {
  const [rename, { isLoading, error }] = practiceApi.useRenamePracticeMutation();
  const [typed, setTyped] = useState(name);
  const dispatch = useAppDispatch();
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const done = await rename(typed);
    if (!("error" in done)) dispatch(notify({ text: t("Saved."), undo: () => rename(name) }));
  };
  const problem = error ? problemOf(error) : undefined;
  return (
    <Box component="form" onSubmit={submit} sx={{ display: "grid", gap: 1.5 }}>
      <Typography variant="h2">{t("Name")}</Typography>
      <TextField
        label={t("Name of the practice")}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        error={!!problem}
        helperText={problem && (problem.fields[0]?.message ?? problem.message)}
      />
      <Box>
        <Button type="submit" variant="contained" disabled={isLoading || typed === name}>
          {t("Save")}
        </Button>
      </Box>
    </Box>
  );
}
