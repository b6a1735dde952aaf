/** The demo practice, a click away and a practice of its own: nothing of it mixes with what is here. */
import { Box, Button, LinearProgress, Typography } from "@mui/material";
import { Telescope } from "lucide-react";
import { useState } from "react";
import { useNavigate } from "react-router";
import { problemOf } from "../base/api";
import { t } from "../base/words";
import { practiceApi } from "./api";

const ASK_EVERY_MS = 1500;

export default function DemoDoor() {
  const [wanted, setWanted] = useState(false);
  const { data, refetch } = practiceApi.useDemoStateQuery(undefined, { pollingInterval: wanted ? ASK_EVERY_MS : 0 });
  const [load] = practiceApi.useLoadDemoMutation();
  const [open, opened] = practiceApi.useOpenDemoMutation();
  const navigate = useNavigate();
  if (!data || data.state === "off") return null;
  const look = async () => {
    if (data.state !== "ready") {
      setWanted(true);
      await load();
      await refetch();
      return;
    }
    if ((await open()).data) await navigate("/today");
  };
  const isLoading = data.state === "loading";
  return (
    <Box component="section" aria-label={t("The demo practice")} sx={{ display: "grid", gap: 1, justifyItems: "start" }}>
      <Typography variant="h2">{t("The demo practice")}</Typography>
      <Typography sx={{ color: "text.secondary" }}>
        {t(
          "Four invented crews with programs, rounds and weeks of runs, to look around in. It is a practice of its own; signing out leads back.",
        )}
      </Typography>
      {isLoading ? (
        <Box role="status" sx={{ width: "100%", maxWidth: 360 }}>
          <Typography>{t("It is being laid out; half a minute.")}</Typography>
          <LinearProgress />
        </Box>
      ) : (
        <Button variant="outlined" startIcon={<Telescope size={20} />} onClick={() => void look()} disabled={opened.isLoading}>
          {data.state === "ready" ? t("Look around in the demo") : t("Lay out the demo")}
        </Button>
      )}
      {(data.state === "failed" || opened.error) && (
        <Typography role="alert" sx={{ color: "error.main" }}>
          {opened.error ? problemOf(opened.error).message : t("It could not be laid out. Nothing of yours was touched; try again.")}
        </Typography>
      )}
    </Box>
  );
}
