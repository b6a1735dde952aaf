/** Bookings from a file: what each row would become is shown first, and nothing is stored before. */
import { Alert, Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from "@mui/material";
import { FileUp } from "lucide-react";
import { DateTime } from "luxon";
import { useState } from "react";
import { v7 as uuid } from "uuid";
import type { BookingDay, CrewEntry, PersonEntry } from "@kind-grip/core/api";
import {
  notThereYet,
  readBookingFile,
  type BookingField,
  type BookingFile,
  type BookingFileRow,
  type RowProblem,
} from "@kind-grip/core/booking";
import type { Treatment } from "@kind-grip/core/strain";
import { problemOf } from "../base/api";
import { dateText } from "../base/dates";
import { listText } from "../base/measures";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { t } from "../base/words";
import { FilePick } from "../parts/FilePick";
import { Table } from "../parts/Table";
import { bookingApi } from "./api";

const FIELD_NAMES: Readonly<Record<BookingField, string>> = {
  person: t("person"),
  date: t("day"),
  start: t("start"),
  end: t("end"),
  minutes: t("end, minutes or treatment"),
  treatment: t("treatment"),
  status: t("state"),
};
const PROBLEM_TEXTS: Readonly<Record<RowProblem, string>> = {
  noPerson: t("nobody of this team by that name"),
  noDay: t("no day"),
  noStart: t("no time to start"),
  noLength: t("no length"),
  length: t("shorter than 5 minutes or longer than 8 hours"),
};
const MOST_SHOWN = 60;

interface BookingFileDialogProps {
  crew: CrewEntry;
  day: BookingDay;
  people: readonly PersonEntry[];
  treatments: readonly Treatment[];
  today: string;
  onClose(): void;
}

export function BookingFileDialog({ crew, day, people, treatments, today, onClose }: BookingFileDialogProps) {
  const [file, setFile] = useState<BookingFile | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const [save, saving] = bookingApi.useSaveBookingsMutation();
  const dispatch = useAppDispatch();
  const pick = async (picked: File) => {
    setWrong(null);
    try {
      const bytes = new Uint8Array(await picked.arrayBuffer());
      setFile(readBookingFile(bytes, { people, treatments, timeZone: crew.timeZone, today, makeId: uuid }));
    } catch (error) {
      setFile(null);
      setWrong((error as Error).message);
    }
  };
  const good = file?.rows.flatMap(({ booking }) => booking ?? []) ?? [];
  const fresh = notThereYet(good, day.bookings);
  const bad = file?.rows.filter(({ booking }) => !booking) ?? [];
  const take = async () => {
    const sent = fresh.map((booking) => ({ ...booking, version: 0 }));
    const answer = await save({ crewId: crew.id, date: day.date, bookings: sent, removed: [], onlyNew: true });
    if (!answer.data) return;
    const ids = sent.map(({ id }) => id);
    dispatch(
      notify({
        text: t("{{count}} bookings came in.", { count: ids.length, defaultValue_one: "One booking came in." }),
        undo: () => save({ crewId: crew.id, date: day.date, bookings: [], removed: ids }),
      }),
    );
    onClose();
  };
  const nameOf = (id: string) => people.find((person) => person.id === id)?.name ?? "";
  const became = ({ booking, problems, unknownTreatment }: BookingFileRow) => {
    if (!booking) return listText(problems.map((problem) => PROBLEM_TEXTS[problem]));
    const kind = treatments.find(({ id }) => id === booking.treatmentId)?.name ?? unknownTreatment ?? "";
    return [
      nameOf(booking.personId),
      dateText(DateTime.fromISO(booking.startsAt, { zone: crew.timeZone }), "d LLL, HH:mm"),
      t("{{min}} min", { min: booking.lengthMin }),
      unknownTreatment ? t("{{kind}} (not known)", { kind }) : kind,
      ...(booking.cancelled ? [t("cancelled")] : []),
    ].join(" · ");
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" aria-labelledby="booking-file">
      <DialogTitle id="booking-file">{t("Bookings from a file")}</DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2, justifyItems: "start" }}>
        <Typography>
          {t(
            "A CSV file with a row a booking: person or badge, day, start, and end, minutes or treatment. Columns are found by their names.",
          )}
        </Typography>
        <FilePick
          label={t("File with bookings")}
          accept=".csv,text/csv,.txt"
          onPick={(picked) => void pick(picked)}
          variant={file ? "outlined" : "contained"}
          startIcon={<FileUp size={18} />}
        >
          {file ? t("Another file") : t("Choose a file")}
        </FilePick>
        {wrong && (
          <Alert severity="error" variant="outlined">
            {wrong}
          </Alert>
        )}
        {file && file.missing.length > 0 && (
          <Alert severity="error" variant="outlined">
            {t("No column was found for: {{fields}}.", { fields: listText(file.missing.map((field) => FIELD_NAMES[field])) })}
          </Alert>
        )}
        {saving.error && (
          <Alert severity="error" variant="outlined">
            {problemOf(saving.error).message}{" "}
            {problemOf(saving.error)
              .fields.map(({ message }) => message)
              .join(" ")}
          </Alert>
        )}
        {file && file.missing.length === 0 && (
          <Box sx={{ width: "100%" }}>
            <Typography sx={{ fontWeight: 700 }}>
              {t("{{fresh}} to take, {{there}} there already, {{bad}} left out.", {
                fresh: fresh.length,
                there: good.length - fresh.length,
                bad: bad.length,
              })}
            </Typography>
            <Table
              head={[t("Line"), t("What it becomes")]}
              rows={[...bad, ...file.rows.filter(({ booking }) => booking)].slice(0, MOST_SHOWN).map((row) => ({
                key: String(row.line),
                cells: [
                  row.line,
                  <Typography key="what" component="span" sx={row.booking ? undefined : { color: "warm.dark", fontWeight: 650 }}>
                    {became(row)}
                  </Typography>,
                ],
              }))}
            />
            {file.rows.length > MOST_SHOWN && (
              <Typography>{t("{{more}} more rows like these.", { more: file.rows.length - MOST_SHOWN })}</Typography>
            )}
          </Box>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t("Not now")}</Button>
        <Button variant="contained" disabled={fresh.length === 0 || saving.isLoading} onClick={() => void take()}>
          {t("Take {{count}} bookings", { count: fresh.length, defaultValue_one: "Take one booking" })}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
