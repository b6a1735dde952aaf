/** How long the practice keeps what. */
import { Box, Button, MenuItem, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { LEAST_MONTHS, type Retention, type RetentionEntry } from "@kind-grip/core/api";
import { problemOf } from "../base/api";
import { dateText, wholeDayText } from "../base/dates";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { t } from "../base/words";
import { DateTime } from "luxon";
import { Loaded } from "../parts/Loaded";
import { practiceApi } from "./api";

const KINDS = ["healthMonths", "runsMonths", "trailMonths"] as const satisfies (keyof Retention)[];
const OFFERED = [6, 12, 24, 36, 60, 120];
const labels = (): Record<keyof Retention, { label: string; help: string }> => ({
  healthMonths: {
    label: t("Health answers"),
    help: t(
      "Mornings, symptoms, measurements, marks, notes. What still keeps somebody out stays, and of who is here what was measured last, each part.",
    ),
  },
  runsMonths: { label: t("Sessions that were led"), help: t("Who was there and what was done. Reports that were given out stay.") },
  trailMonths: { label: t("The trail"), help: t("Whole seals go; their hashes stay, and the chain with them.") },
});
const inYears = (months: number): string =>
  months % 12 === 0
    ? t("{{count}} years", { count: months / 12, defaultValue_one: "{{count}} year" })
    : t("{{count}} months", { count: months, defaultValue_one: "{{count}} month" });

export function RetentionForm() {
  const query = practiceApi.useRetentionQuery();
  return (
    <Box component="section" aria-label={t("How long it is kept")}>
      <Typography variant="h2">{t("How long it is kept")}</Typography>
      <Typography sx={{ color: "text.secondary", mb: 2, maxWidth: "44em" }}>
        {t("What is older is removed once a day, with a line in the trail of its crew. Leavers can be forgotten one by one on their page.")}
      </Typography>
      <Loaded query={query}>{(entry) => <Rules key={entry.version} entry={entry} />}</Loaded>
    </Box>
  );
}

function Rules({ entry: { version, rules, setByName, setAt, doneOn } }: { entry: RetentionEntry }) {
  const dispatch = useAppDispatch();
  const [draft, setDraft] = useState(rules);
  const [keep, { isLoading, error }] = practiceApi.useSetRetentionMutation();
  const isShorter = KINDS.some((kind) => draft[kind] !== null && (rules[kind] === null || draft[kind] < rules[kind]));
  const isChanged = KINDS.some((kind) => draft[kind] !== rules[kind]);
  const save = async () => {
    const { data, error: refused } = await keep({ version, rules: draft });
    if (data) dispatch(notify({ text: t("Kept. What is older goes from now on.") }));
    // What they set is shown in place of what was chosen here, and what this form says goes with it.
    else if (problemOf(refused).code === "stale") dispatch(notify({ text: t("Somebody else set it meanwhile. This is what holds now.") }));
  };
  return (
    <Box sx={{ display: "grid", gap: 2, maxWidth: 560 }}>
      {KINDS.map((kind) => {
        const { label, help } = labels()[kind];
        const offered = [...new Set([...OFFERED, ...(rules[kind] === null ? [] : [rules[kind]])])]
          .filter((months) => months >= LEAST_MONTHS[kind])
          .sort((a, b) => a - b);
        return (
          <TextField
            key={kind}
            select
            label={label}
            value={draft[kind] ?? ""}
            helperText={help}
            onChange={({ target }) => setDraft({ ...draft, [kind]: target.value === "" ? null : Number(target.value) })}
            slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
          >
            <MenuItem value="">{t("As long as the practice does")}</MenuItem>
            {offered.map((months) => (
              <MenuItem key={months} value={months}>
                {inYears(months)}
              </MenuItem>
            ))}
          </TextField>
        );
      })}
      {isShorter && (
        <Typography role="status" sx={{ fontWeight: 650 }}>
          {t("What is older by then is gone for good within a day. Backups from before still have it, as long as they are kept.")}
        </Typography>
      )}
      {error !== undefined && (
        <Typography role="alert" sx={{ color: "error.main" }}>
          {problemOf(error).message}
        </Typography>
      )}
      <Box sx={{ display: "flex", gap: 2, alignItems: "center", flexWrap: "wrap" }}>
        <Button variant="contained" disabled={!isChanged || isLoading} onClick={() => void save()}>
          {t("Keep it this long")}
        </Button>
        <Typography sx={{ color: "text.secondary" }}>
          {setByName !== null &&
            setAt !== null &&
            t("Set by {{name}} on {{day}}.", { name: setByName, day: dateText(DateTime.fromISO(setAt), "d LLL yyyy") })}{" "}
          {doneOn !== null && t("Last done on {{day}}.", { day: wholeDayText(doneOn) })}
        </Typography>
      </Box>
    </Box>
  );
}
