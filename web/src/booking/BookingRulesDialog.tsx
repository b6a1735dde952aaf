/** How resets are laid: of which program, what the room takes between two treatments, how many in a row. */
import { Alert, Button, Dialog, DialogActions, DialogContent, DialogTitle, MenuItem, TextField, Typography } from "@mui/material";
import { useState } from "react";
import type { BookingDay, CrewEntry } from "@kind-grip/core/api";
import { problemOf } from "../base/api";
import { t } from "../base/words";
import { Stepper } from "../parts/Stepper";
import { programApi } from "../program/api";
import { bookingApi } from "./api";

export function BookingRulesDialog({ crew, day, onClose }: { crew: CrewEntry; day: BookingDay; onClose(): void }) {
  const { data } = programApi.useProgramsQuery(crew.id);
  const programs = data ?? [];
  const [save, saving] = bookingApi.useSaveBookingRulesMutation();
  const [rules, setRules] = useState(day.rules);
  const set = (change: Partial<typeof rules>) => setRules({ ...rules, ...change });
  // One that was removed since is none: what is shown is what is kept.
  const isGone = data !== undefined && !data.some(({ id }) => id === rules.programId);
  const keep = () => save({ crewId: crew.id, date: day.date, ...rules, programId: isGone ? null : rules.programId });
  return (
    <Dialog open onClose={onClose} aria-labelledby="booking-rules" fullWidth maxWidth="sm">
      <DialogTitle id="booking-rules">{t("How resets are laid")}</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2.5, justifyItems: "start" }}>
        {saving.error && (
          <Alert severity="error" variant="outlined">
            {problemOf(saving.error).code === "stale"
              ? t("Somebody else changed this meanwhile: close and look again.")
              : problemOf(saving.error).message}
          </Alert>
        )}
        <TextField
          select
          label={t("Sessions of")}
          value={programs.some(({ id }) => id === rules.programId) ? rules.programId : ""}
          onChange={({ target }) => set({ programId: target.value || null })}
          slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
          sx={{ width: 320 }}
        >
          <MenuItem value="">{t("the program of which something was done last")}</MenuItem>
          {programs.map(({ id, program }) => (
            <MenuItem key={id} value={id}>
              {program.name}
            </MenuItem>
          ))}
        </TextField>
        <Stepper
          label={t("The room takes, before the next")}
          unit={t("min")}
          value={rules.turnMin}
          min={0}
          max={60}
          onChange={(turnMin) => set({ turnMin })}
        />
        <Stepper
          label={t("Most treatments in a row without a reset")}
          value={rules.mostInRow}
          min={1}
          max={3}
          onChange={(mostInRow) => set({ mostInRow })}
        />
        <Typography sx={{ color: "text.secondary" }}>
          {t(
            "A reset follows each deep treatment, and comes at the latest after so many in a row. The warm-up goes before the first, a longer break where ten minutes are left beside it, two a day and two hours apart; strengthening on days with no more than three quarters of the usual hand work, never in the hour before hard work. Where there is no gap there is none, and it is said.",
          )}
        </Typography>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t("Not now")}</Button>
        <Button variant="contained" disabled={saving.isLoading} onClick={() => void keep().then((answer) => answer.data && onClose())}>
          {t("Lay them so")}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
