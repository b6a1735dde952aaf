/** What the practice sets for itself: the style new programs begin with, and the thresholds decisions are taken by. */
import { isEqual } from "es-toolkit";
import { Alert, Box, Button, Typography } from "@mui/material";
import { useState } from "react";
import { USUAL_SETTINGS, type PracticeSettings, type ResponseThresholds } from "@kind-grip/core/response";
import { t } from "../base/words";
import { StyleFields } from "../library/StyleFields";
import type { SettingsEntry } from "@kind-grip/core/api";
import { practiceApi } from "./api";
import { problemOf } from "../base/api";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { Loaded } from "../parts/Loaded";
import { Stepper } from "../parts/Stepper";
import { useFilledFrom } from "../parts/use-filled-from";

const THRESHOLDS: readonly { key: keyof ResponseThresholds; label: string; unit: string; min: number; max: number }[] = [
  { key: "progressRuns", label: t("Clean runs in a row before more"), unit: "runs", min: 2, max: 10 },
  { key: "progressMargin", label: t("Effort below the cap before more"), unit: "points", min: 0, max: 3 },
  { key: "settlingDays", label: t("Settling-in"), unit: "days", min: 1, max: 14 },
  { key: "settlingRise", label: t("Morning rise expected then"), unit: "points", min: 1, max: 4 },
  { key: "alarmMorning", label: t("A morning that pauses by itself, from"), unit: "of 10", min: 3, max: 10 },
  { key: "noGainDays", label: t("No better after"), unit: "days", min: 5, max: 28 },
  { key: "noGainPercent", label: t("With at least so much done"), unit: "%", min: 50, max: 100 },
];

export function SettingsForm() {
  const query = practiceApi.useSettingsQuery();
  return <Loaded query={query}>{(entry) => <Form newest={entry} />}</Loaded>;
}

function Form({ newest }: { newest: SettingsEntry }) {
  const [save, { isLoading, error }] = practiceApi.useSaveSettingsMutation();
  const [settings, setSettings] = useState<PracticeSettings>(newest.settings);
  const entry = useFilledFrom(newest, {
    isAsIn: (known) => isEqual(settings, known.settings),
    fill: (known) => setSettings(known.settings),
  });
  const dispatch = useAppDispatch();
  const { style, thresholds } = settings;
  const changed = !isEqual(settings, entry.settings);
  const problem = error && problemOf(error);
  const theirs = problem?.code === "stale" ? (problem.detail as SettingsEntry) : undefined;
  const store = async (next: PracticeSettings) => {
    // Rules of somebody else's are replaced only after it was said that there are some, and undo brings those back.
    const before = theirs ?? entry;
    const answer = await save({ version: before.version, settings: next });
    if (answer.data) {
      const { version } = answer.data;
      dispatch(notify({ text: t("Kept as version {{version}}.", { version }), undo: () => save({ version, settings: before.settings }) }));
    }
  };
  return (
    <Box component="section" aria-label={t("Rules of the practice")} sx={{ display: "grid", gap: 2 }}>
      <Typography variant="h2">{t("Rules of the practice")}</Typography>
      <Typography sx={{ color: "text.secondary" }}>
        {t(
          "New programs begin with this style. Decisions are proposed by these thresholds; each decision keeps the version it was taken with. This is version {{version}}.",
          { version: entry.version },
        )}
      </Typography>
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "minmax(0, 1fr)", sm: "1fr 1fr" }, gap: 2 }}>
        <StyleFields style={style} onChange={(style) => setSettings({ ...settings, style })} />
      </Box>
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "minmax(0, 1fr)", sm: "1fr 1fr" }, columnGap: 2, rowGap: 1.5 }}>
        {THRESHOLDS.map(({ key, ...field }) => (
          <Stepper
            key={key}
            {...field}
            step={key === "noGainPercent" ? 5 : 1}
            value={thresholds[key]}
            onChange={(value) => setSettings({ ...settings, thresholds: { ...thresholds, [key]: value } })}
          />
        ))}
      </Box>
      {problem && (
        <Alert severity={theirs ? "warning" : "error"} variant="outlined">
          {theirs
            ? t("Somebody else changed the rules while you were here. Yours are kept as you set them: keeping them again replaces theirs.")
            : problem.message}
        </Alert>
      )}
      <Box sx={{ display: "flex", gap: 1 }}>
        <Button variant="contained" disabled={!changed || isLoading} onClick={() => void store(settings)}>
          {t("Keep these rules")}
        </Button>
        <Button disabled={isEqual(settings, USUAL_SETTINGS)} onClick={() => setSettings(USUAL_SETTINGS)}>
          {t("The usual ones")}
        </Button>
      </Box>
    </Box>
  );
}
