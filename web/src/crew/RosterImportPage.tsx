/** Bringing in a list: every row is seen before anything is kept, and all chosen rows are kept together or none. */
import { Alert, Box, Button, MenuItem, TextField, Typography } from "@mui/material";
import { FileUp } from "lucide-react";
import { useMemo, useState, type DragEvent } from "react";
import { useNavigate } from "react-router";
import {
  guessColumns,
  guessDateOrder,
  readRoster,
  readRosterText,
  ROSTER_FIELDS,
  type ColumnMap,
  type DateOrder,
  type Encoding,
  type RosterText,
} from "@kind-grip/core/crew";
import { v7 as uuid } from "uuid";
import type { PersonEntry } from "@kind-grip/core/api";
import { t } from "../base/words";
import { crewApi } from "./api";
import { problemOf } from "../base/api";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { Choice } from "../parts/Choice";
import { Empty } from "../parts/Empty";
import { FilePick } from "../parts/FilePick";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";
import { SamePeople, type SameAnswer, type SameQuestion } from "./SamePeople";
import { useCrew } from "./CrewFrame";
import { FIELD_NAMES, RowsTable } from "./RosterRows";

const ENCODING_NAMES: Record<Encoding, string> = {
  "utf-8": "UTF-8",
  "utf-16le": "UTF-16",
  "utf-16be": "UTF-16 (big-endian)",
  "windows-1252": "Windows-1252",
};
const DELIMITER_NAMES: Record<string, string> = { ",": "commas", ";": "semicolons", "\t": "tabs", "|": "bars" };
const MOST_BYTES = 5_000_000;

interface OpenFile {
  name: string;
  bytes: Uint8Array;
  text: RosterText;
}

export default function RosterImportPage() {
  const crew = useCrew();
  const query = crewApi.usePeopleQuery(crew.id);
  return (
    <>
      <PageTitle title={t("Bring in a list")} lead={t("A CSV file, as it came. Nothing is kept until you say so.")} />
      <Loaded query={query}>{(known) => <RosterImport crewId={crew.id} known={known} />}</Loaded>
    </>
  );
}

function RosterImport({ crewId, known }: { crewId: string; known: PersonEntry[] }) {
  const [file, setFile] = useState<OpenFile | null>(null);
  const [columns, setColumns] = useState<ColumnMap>({});
  const [dateOrder, setDateOrder] = useState<DateOrder>("dmy");
  const [shown, setShown] = useState<"all" | "bad">("all");
  const [unreadable, setUnreadable] = useState("");
  const [add, { isLoading, error }] = crewApi.useAddPeopleMutation();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();

  const open = (name: string, bytes: Uint8Array, encoding?: Encoding) => {
    try {
      if (bytes.length > MOST_BYTES) throw new RangeError(t("the file is larger than 5 MB: is it a roster?"));
      if (bytes[0] === 0x50 && bytes[1] === 0x4b) throw new RangeError(t("this is a spreadsheet file: save it as CSV first"));
      const text = readRosterText(bytes, encoding);
      const guessed = encoding ? columns : guessColumns(text.headers);
      setFile({ name, bytes, text });
      setColumns(guessed);
      setDateOrder(guessDateOrder(text, guessed));
      setUnreadable("");
    } catch (problem) {
      setUnreadable(problem instanceof RangeError ? problem.message : t("this file cannot be read as text"));
    }
  };
  const pick = async (picked: File | undefined) => {
    if (picked) open(picked.name, new Uint8Array(await picked.arrayBuffer()));
  };

  const rows = useMemo(() => (file ? readRoster(file.text, columns, known, dateOrder) : []), [file, columns, known, dateOrder]);
  // Ids belong to the rows as read: sending the same rows again after a lost answer adds nobody twice.
  const ids = useMemo(() => new Map(rows.map((row) => [row.line, uuid()])), [rows]);
  const good = rows.filter((row) => row.person !== null);
  const bad = rows.filter((row) => row.person === null);

  const keep = async (answers: SameAnswer[] = []) => {
    const added = await add({ crewId, people: good.map((row) => ({ id: ids.get(row.line)!, ...row.person! })), answers });
    if (!added.data) return;
    dispatch(
      notify({
        text: t("{{data}} people are in.{{what}}", {
          data: added.data.length,
          what: bad.length > 0 ? ` ${t("{{bad}} rows were left out.", { bad: bad.length })}` : "",
        }),
      }),
    );
    await navigate("..", { relative: "path" });
  };

  if (!file) return <DropPlace onPick={(picked) => void pick(picked)} unreadable={unreadable} />;
  const problem = error ? problemOf(error) : undefined;
  const asked = problem?.code === "similar" ? (problem.detail as SameQuestion[]) : undefined;
  const dated = columns.startedOn !== undefined || columns.leftOn !== undefined;
  return (
    <Box sx={{ display: "grid", gap: 2.5 }}>
      <Box sx={{ display: "flex", gap: 1.5, alignItems: "center", flexWrap: "wrap" }}>
        <Typography>
          <strong>{file.name}</strong>
          {t(": {{rows}} rows, {{delimiterNames}}", {
            rows: rows.length,
            delimiterNames: DELIMITER_NAMES[file.text.delimiter] ?? t("one column"),
          })}
        </Typography>
        <TextField
          select
          label={t("Encoding")}
          value={file.text.encoding}
          onChange={(event) => open(file.name, file.bytes, event.target.value as Encoding)}
          sx={{ width: 200 }}
        >
          {Object.entries(ENCODING_NAMES).map(([value, label]) => (
            <MenuItem key={value} value={value}>
              {label}
            </MenuItem>
          ))}
        </TextField>
        {dated && (
          <Choice<DateOrder>
            label={t("Order of dates")}
            value={dateOrder}
            onChange={setDateOrder}
            options={[
              { value: "dmy", label: "day/month" },
              { value: "mdy", label: "month/day" },
            ]}
          />
        )}
        <Button onClick={() => setFile(null)}>{t("Another file")}</Button>
      </Box>
      {file.text.encoding === "windows-1252" && (
        <Alert severity="warning" variant="outlined">
          {t("This file is not UTF-8. It is read as Windows-1252: look whether the names are spelled right, or choose another encoding.")}
        </Alert>
      )}
      <Box role="group" aria-label={t("Which column is what")} sx={{ display: "flex", gap: 1.5, flexWrap: "wrap" }}>
        {ROSTER_FIELDS.map((field) => (
          <TextField
            key={field}
            select
            label={FIELD_NAMES[field]}
            value={columns[field] ?? ""}
            onChange={(event) => {
              const { [field]: _old, ...others } = columns;
              setColumns(event.target.value === "" ? others : { ...others, [field]: Number(event.target.value) });
            }}
            sx={{ width: 172 }}
            slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
          >
            <MenuItem value="">{t("not in the file")}</MenuItem>
            {file.text.headers.map((header, i) => (
              <MenuItem key={i} value={i}>
                {header || t("column {{i}}", { i: i + 1 })}
              </MenuItem>
            ))}
          </TextField>
        ))}
      </Box>
      {rows.length === 0 && <Empty title={t("There are no rows under the header")} />}
      {rows.length > 0 && (
        <>
          <Box sx={{ display: "flex", gap: 2, alignItems: "center", flexWrap: "wrap" }}>
            <Choice<"all" | "bad">
              label={t("Rows shown")}
              value={shown}
              onChange={setShown}
              options={[
                { value: "all", label: t("All {{rows}}", { rows: rows.length }) },
                { value: "bad", label: t("{{bad}} to look at", { bad: bad.length }) },
              ]}
            />
            <Box sx={{ ml: "auto", display: "flex", gap: 2, alignItems: "center" }}>
              {problem && !asked && (
                <Typography color="error" role="alert">
                  {problem.message}{" "}
                  {problem.fields
                    .slice(0, 3)
                    .map((field) => field.message)
                    .join("; ")}
                </Typography>
              )}
              <Button variant="contained" disabled={good.length === 0 || isLoading} onClick={() => void keep()}>
                {isLoading
                  ? t("Keeping …")
                  : bad.length === 0
                    ? t("Keep all {{good}} people", { good: good.length })
                    : t("Keep the {{good}} good rows, leave out {{bad}}", { good: good.length, bad: bad.length })}
              </Button>
            </Box>
          </Box>
          {asked && <SamePeople questions={asked} busy={isLoading} onAnswer={(answers) => void keep(answers)} />}
          <RowsTable rows={shown === "bad" ? bad : rows} />
        </>
      )}
    </Box>
  );
}

function DropPlace({ onPick, unreadable }: { onPick(file: File | undefined): void; unreadable: string }) {
  const [over, setOver] = useState(false);
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    onPick(event.dataTransfer.files[0]);
  };
  return (
    <Box>
      <Box
        onDragOver={(event) => {
          event.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={drop}
        sx={{
          border: "3px dashed",
          borderColor: over ? "primary.main" : "line",
          borderRadius: 3,
          p: 6,
          maxWidth: 720,
          display: "grid",
          justifyItems: "start",
          gap: 2,
          bgcolor: over ? "primary.light" : "transparent",
        }}
      >
        <FileUp size={40} aria-hidden />
        <Typography variant="h2">{t("Drop the file here")}</Typography>
        <Typography sx={{ color: "text.secondary" }}>
          {t(
            "The first line names the columns: name, badge, main hand, first day. Other columns are ignored; commas, semicolons and tabs all work.",
          )}
        </Typography>
        <FilePick label={t("Roster file")} accept=".csv,.txt,text/csv,text/plain" variant="contained" onPick={onPick}>
          {t("Choose a file")}
        </FilePick>
        <Button component="a" href="/sample-roster.csv" download>
          {t("A messy sample to try")}
        </Button>
      </Box>
      {unreadable && (
        <Alert severity="error" variant="outlined" sx={{ mt: 2, maxWidth: 720 }}>
          {t("This did not work: {{unreadable}}.", { unreadable })}
        </Alert>
      )}
    </Box>
  );
}
