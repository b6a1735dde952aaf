/** Calendars that bookings are read from by themselves: given by their address, one a person or one for all. */
import { Alert, Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, MenuItem, TextField, Typography } from "@mui/material";
import { RefreshCw, Trash2 } from "lucide-react";
import { DateTime } from "luxon";
import { useState } from "react";
import type { BookingCalendar, BookingDay, CrewEntry, PersonEntry, ReadCalendar } from "@kind-grip/core/api";
import { problemOf } from "../base/api";
import { dateText } from "../base/dates";
import { useSameId } from "../base/same-id";
import { t } from "../base/words";
import { ConfirmDialog } from "../parts/ConfirmDialog";
import { bookingApi } from "./api";

interface BookingCalendarsDialogProps {
  crew: CrewEntry;
  day: BookingDay;
  people: readonly PersonEntry[];
  onClose(): void;
}

export function BookingCalendarsDialog({ crew, day, people, onClose }: BookingCalendarsDialogProps) {
  const [add, adding] = bookingApi.useAddBookingCalendarMutation();
  const [readNow, reading] = bookingApi.useReadBookingCalendarMutation();
  const [remove, removing] = bookingApi.useRemoveBookingCalendarMutation();
  const [who, setWho] = useState("");
  const [address, setAddress] = useState("");
  const [read, setRead] = useState<ReadCalendar | null>(null);
  const [ending, setEnding] = useState<BookingCalendar | null>(null);
  const calendars = read?.calendars ?? day.calendars;
  const nameOf = (id: string | null) =>
    id === null ? t("the whole team") : (people.find((person) => person.id === id)?.name ?? t("somebody who has left"));
  const fields = adding.error ? problemOf(adding.error).fields : [];
  const failure = (fields.length === 0 && adding.error) || reading.error || removing.error;
  const sameId = useSameId();
  const give = async () => {
    const calendar = { personId: who || null, name: nameOf(who || null), address };
    const answer = await add({ crewId: crew.id, id: sameId(calendar), ...calendar });
    if (!answer.data) return;
    setRead(answer.data);
    setAddress("");
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" aria-labelledby="booking-calendars">
      <DialogTitle id="booking-calendars">{t("Calendars of bookings")}</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2.5 }}>
        <Typography sx={{ maxWidth: 680 }}>
          {t(
            "The address of a calendar (iCalendar), as the booking program gives it. It is read again by itself. Of each booking only when, how long and which kind is kept, nothing of the client.",
          )}
        </Typography>
        <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap", alignItems: "flex-start" }}>
          <TextField
            select
            label={t("Whose bookings")}
            value={who}
            onChange={({ target }) => setWho(target.value)}
            slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
            sx={{ width: 220 }}
          >
            <MenuItem value="">{t("everybody's, named in each")}</MenuItem>
            {people.map(({ id, name }) => (
              <MenuItem key={id} value={id}>
                {name}
              </MenuItem>
            ))}
          </TextField>
          <TextField
            label={t("Address")}
            value={address}
            onChange={({ target }) => setAddress(target.value)}
            placeholder="https://"
            error={fields.length > 0}
            helperText={fields.map(({ message }) => message).join(" ")}
            sx={{ flex: "1 1 300px" }}
          />
          <Button variant="contained" disabled={adding.isLoading || address.trim() === ""} onClick={() => void give()} sx={{ mt: 3.25 }}>
            {adding.isLoading ? t("Reading …") : t("Read it")}
          </Button>
        </Box>
        {failure && (
          <Alert severity="error" variant="outlined">
            {problemOf(failure).message}
          </Alert>
        )}
        {calendars.length === 0 && <Typography sx={{ color: "text.secondary" }}>{t("None is read yet.")}</Typography>}
        <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
          {calendars.map((calendar) => (
            <Box
              component="li"
              key={calendar.id}
              sx={{
                borderTop: "1px solid",
                borderColor: "line",
                py: 1.25,
                display: "flex",
                gap: 1.5,
                flexWrap: "wrap",
                alignItems: "center",
              }}
            >
              <Box sx={{ flex: "1 1 260px" }}>
                <Typography sx={{ fontWeight: 700 }}>{nameOf(calendar.personId)}</Typography>
                <Typography sx={{ color: calendar.problem ? "warm.dark" : "text.secondary", fontWeight: calendar.problem ? 650 : 500 }}>
                  {calendar.host} · {calendar.problem ?? stateOf(calendar, crew.timeZone)}
                </Typography>
                {calendar.unknown > 0 && (
                  <Typography sx={{ color: "warm.dark", fontWeight: 650 }}>
                    {t("{{count}} bookings are not recognised.", {
                      count: calendar.unknown,
                      defaultValue_one: "One booking is not recognised.",
                    })}
                  </Typography>
                )}
              </Box>
              <Button
                startIcon={<RefreshCw size={18} />}
                disabled={reading.isLoading}
                onClick={() => void readNow({ crewId: crew.id, id: calendar.id }).then(({ data }) => data && setRead(data))}
              >
                {t("Read now")}
              </Button>
              <Button color="error" startIcon={<Trash2 size={18} />} onClick={() => setEnding(calendar)}>
                {t("Read it no more")}
              </Button>
            </Box>
          ))}
        </Box>
        {read && read.unknown.length > 0 && <Unknown read={read} timeZone={crew.timeZone} />}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t("Close")}</Button>
      </DialogActions>
      <ConfirmDialog
        open={ending !== null}
        title={t("Read this calendar no more?")}
        confirm={t("Read it no more")}
        onClose={() => setEnding(null)}
        onConfirm={() => {
          void remove({ crewId: crew.id, id: ending!.id }).then(({ data }) => data && setRead(data));
          setEnding(null);
        }}
      >
        {t("Its bookings from now on go with it; what is past stays.")}
      </ConfirmDialog>
    </Dialog>
  );
}

function stateOf({ readAt, found }: BookingCalendar, timeZone: string): string {
  if (!readAt) return t("not read yet");
  return t("{{count}} bookings ahead, read {{when}}", {
    count: found,
    when: dateText(DateTime.fromISO(readAt, { zone: timeZone }), "d LLL, HH:mm"),
    defaultValue_one: "One booking ahead, read {{when}}",
  });
}

/** Shown once after reading; kept nowhere. */
function Unknown({ read, timeZone }: { read: ReadCalendar; timeZone: string }) {
  return (
    <Box component="section" aria-label={t("Not recognised")}>
      <Typography variant="h3">{t("Not recognised")}</Typography>
      <Typography sx={{ mb: 1 }}>
        {t("Write a word of them beside a kind of treatment (Work, Treatments) and read again. Until then their time counts as deep work.")}
      </Typography>
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        {read.unknown.map(({ text, startsAt, who }) => (
          <li key={startsAt + text}>
            {dateText(DateTime.fromISO(startsAt, { zone: timeZone }), "d LLL, HH:mm")}: {text || t("without a title")}
            {who && ` (${t("whose is it?")})`}
          </li>
        ))}
      </Box>
    </Box>
  );
}
