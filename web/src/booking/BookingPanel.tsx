/** A booking as it is written: whose, when, how long, which kind; late, cancelled, taken out. A new one is filled in the same fields. */
import { Box, Button, IconButton, MenuItem, TextField, Typography } from "@mui/material";
import { Clock, Trash2, X } from "lucide-react";
import { useState } from "react";
import type { BookingEntry, PersonEntry } from "@kind-grip/core/api";
import type { Booking } from "@kind-grip/core/booking";
import { dateAt, momentAt, wallTime } from "@kind-grip/core/calendar";
import type { Treatment } from "@kind-grip/core/strain";
import { timeText } from "../base/dates";
import { t } from "../base/words";
import { Stepper } from "../parts/Stepper";
import { TimeField } from "../parts/TimeField";
import type { BookingActs } from "./use-bookings";
import { DateField } from "../parts/DateField";

interface BookingPanelProps {
  /** As it is stored, or as it is begun. */
  booking: Booking & Partial<BookingEntry>;
  isNew: boolean;
  people: readonly PersonEntry[];
  treatments: readonly Treatment[];
  timeZone: string;
  acts: BookingActs;
  onClose(): void;
}

const LATER_MIN = [5, 10, 15] as const;

export function BookingPanel({ booking, isNew, people, treatments, timeZone, acts, onClose }: BookingPanelProps) {
  const [draft, setDraft] = useState<Booking>(booking);
  const shown = isNew ? draft : booking;
  /** A new one is filled in until it is added; one that is there changes at once. */
  const set = (change: Partial<Booking>) => {
    if (isNew) setDraft({ ...draft, ...change });
    else void acts.save([{ ...booking, ...change }], t("Changed; the resets went with it."));
  };
  const startMs = Date.parse(shown.startsAt);
  const startOf = (date: string, time: string) => new Date(momentAt(date, time, 0, timeZone)).toISOString();
  const name = people.find(({ id }) => id === shown.personId)?.name ?? "";
  return (
    <Box
      component="section"
      aria-label={isNew ? t("New booking") : t("Chosen booking")}
      sx={{ bgcolor: "background.paper", borderRadius: 3, p: 2, mb: 2, display: "grid", gap: 1.5, "@media print": { display: "none" } }}
    >
      <Box sx={{ display: "flex", alignItems: "start" }}>
        <Typography variant="h3" component="h2" sx={{ flex: 1 }}>
          {isNew ? t("New booking") : t("{{name}}, {{time}}", { name, time: timeText(Date.parse(booking.startsAt), timeZone) })}
        </Typography>
        <IconButton aria-label={t("Close")} onClick={onClose}>
          <X size={20} />
        </IconButton>
      </Box>
      <Box sx={{ display: "flex", gap: 2, flexWrap: "wrap", alignItems: "flex-end" }}>
        <TextField
          select
          label={t("Whose")}
          value={shown.personId}
          onChange={({ target }) => set({ personId: target.value })}
          sx={{ width: 230 }}
        >
          {people.map((person) => (
            <MenuItem key={person.id} value={person.id}>
              {person.name}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          label={t("Treatment")}
          value={shown.treatmentId ?? ""}
          onChange={({ target }) => {
            const treatment = treatments.find(({ id }) => id === target.value);
            set({ treatmentId: treatment?.id ?? null, ...(isNew && treatment ? { lengthMin: treatment.lengthMin } : {}) });
          }}
          slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
          sx={{ width: 230 }}
        >
          <MenuItem value="">{t("not known")}</MenuItem>
          {treatments.map((treatment) => (
            <MenuItem key={treatment.id} value={treatment.id}>
              {treatment.name}
            </MenuItem>
          ))}
        </TextField>
        <DateField
          label={t("Day")}
          value={dateAt(startMs, timeZone)}
          onChange={(date) => date && set({ startsAt: startOf(date, wallTime(startMs, timeZone)) })}
          required
          sx={{ width: 175 }}
        />
        <TimeField
          label={t("Starts")}
          value={wallTime(startMs, timeZone)}
          onChange={(time) => set({ startsAt: startOf(dateAt(startMs, timeZone), time) })}
        />
        <Stepper
          label={t("Length")}
          unit={t("min")}
          value={shown.lengthMin}
          min={5}
          max={480}
          step={5}
          onChange={(lengthMin) => set({ lengthMin })}
        />
      </Box>
      {isNew ? (
        <Box>
          <Button
            variant="contained"
            disabled={acts.busy}
            onClick={() => void acts.save([draft], t("Booked; the resets are laid around it.")).then((stored) => stored && onClose())}
          >
            {t("Add it")}
          </Button>
        </Box>
      ) : (
        <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "center" }}>
          {!booking.cancelled &&
            LATER_MIN.map((min) => (
              <Button key={min} variant="outlined" startIcon={<Clock size={18} />} onClick={() => acts.late(booking, min)}>
                {t("{{min}} min late", { min })}
              </Button>
            ))}
          <Button variant="outlined" onClick={() => acts.cancel(booking)}>
            {booking.cancelled ? t("It takes place after all") : t("Cancel it")}
          </Button>
          {booking.calendarId === null && (
            <Button
              color="error"
              startIcon={<Trash2 size={18} />}
              onClick={() => {
                acts.remove(booking);
                onClose();
              }}
            >
              {t("Take out")}
            </Button>
          )}
          {booking.calendarId && (
            <Typography sx={{ color: "text.secondary", flexBasis: "100%" }}>
              {t("Read from a calendar. What is changed here stays until that calendar says something else of this booking.")}
            </Typography>
          )}
        </Box>
      )}
    </Box>
  );
}
