/** Bringing in a list: every row is seen before anything is kept, and all chosen rows are kept together or none. */
import { Alert, Box, Button, Typography } from "@mui/material";
import { FileUp } from "lucide-react";
import { useMemo, useState, type DragEvent } from "react";
import { useNavigate } from "react-router";
import { dateAt } from "@kind-grip/core/calendar";
import {
  guessColumns,
  guessDateOrder,
  NO_WORDS,
  readRoster,
  readRosterText,
  unknownWords,
  type Encoding,
  type RosterOutcome,
  type RosterReading,
  type RosterText,
} from "@kind-grip/core/crew";
import { v7 as uuid } from "uuid";
import type { CrewEntry, PersonEntry } from "@kind-grip/core/api";
import { t } from "../base/words";
import { crewApi } from "./api";
import { problemOf } from "../base/api";
import { notify } from "../base/notices";
import { useNow } from "../base/now";
import { useAppDispatch } from "../base/store";
import { Choice } from "../parts/Choice";
import { Empty } from "../parts/Empty";
import { FilePick } from "../parts/FilePick";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";
import { SamePeople, type SameAnswer, type SameQuestion } from "./SamePeople";
import { useCrew } from "./CrewFrame";
import { RosterColumns, RosterFile } from "./RosterColumns";
import { RosterRows } from "./RosterRows";
import { RosterWordList } from "./RosterWordList";

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
      <Loaded query={query}>{(known) => <RosterImport crew={crew} known={known} onLate={() => void query.refetch()} />}</Loaded>
    </>
  );
}

/** What the trainer says beside the file; a new file begins anew. */
type Said = Omit<RosterReading, "today" | "known">;
const NOTHING_SAID: Said = { columns: {}, dateOrder: "dmy", words: NO_WORDS, edits: {}, answers: {} };

interface RosterImportProps {
  crew: CrewEntry;
  known: PersonEntry[];
  /** Somebody was changed meanwhile. */
  onLate(): void;
}

function RosterImport({ crew, known, onLate }: RosterImportProps) {
  const [file, setFile] = useState<OpenFile | null>(null);
  const [said, setSaid] = useState<Said>(NOTHING_SAID);
  const [shown, setShown] = useState<Shown>("all");
  const [unreadable, setUnreadable] = useState("");
  const [keepMany, { isLoading, error, reset }] = crewApi.useKeepPeopleMutation();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const today = dateAt(useNow(), crew.timeZone);

  const open = (name: string, bytes: Uint8Array, encoding?: Encoding, header?: number | null) => {
    try {
      if (bytes.length > MOST_BYTES) throw new RangeError(t("the file is larger than 5 MB: is it a roster?"));
      if (bytes[0] === 0x50 && bytes[1] === 0x4b) throw new RangeError(t("this is a spreadsheet file: save it as CSV first"));
      const text = readRosterText(bytes, encoding, header);
      const columns = guessColumns(text.headers);
      setFile({ name, bytes, text });
      setSaid({ ...NOTHING_SAID, columns, dateOrder: guessDateOrder(text, columns) });
      setUnreadable("");
      reset();
    } catch (problem) {
      setUnreadable(problem instanceof RangeError ? problem.message : t("this file cannot be read as text"));
    }
  };
  const pick = async (picked: File | undefined) => {
    if (picked) open(picked.name, new Uint8Array(await picked.arrayBuffer()));
  };

  const reading = useMemo(() => ({ ...said, today, known }), [said, today, known]);
  const rows = useMemo(() => (file ? readRoster(file.text, reading) : []), [file, reading]);
  const words = useMemo(() => (file ? unknownWords(file.text, reading) : []), [file, reading]);
  // Ids belong to the lines of the file: sending the same rows again after a lost answer adds nobody twice.
  const ids = useMemo(() => new Map(file?.text.rows.map((row) => [row.line, uuid()])), [file]);
  const of = (...outcomes: RosterOutcome[]) => rows.filter(({ outcome }) => outcomes.includes(outcome));
  const [fresh, changed, leftOut] = [of("new"), of("change"), of("bad", "ask")];

  const keep = async (answers: SameAnswer[] = []) => {
    // Somebody else than the one of the same name, as was said beside the row.
    const notSame = fresh.filter(({ line }) => said.answers[line] === "else").map(({ line }) => ({ id: ids.get(line)!, sameAs: null }));
    const kept = await keepMany({
      crewId: crew.id,
      people: fresh.map((row) => ({ id: ids.get(row.line)!, ...row.person! })),
      changes: changed.map((row) => ({
        id: row.known!.id,
        version: known.find(({ id }) => id === row.known!.id)!.version,
        person: row.person!,
      })),
      answers: [...notSame.filter(({ id }) => !answers.some((answer) => answer.id === id)), ...answers],
    });
    if (!kept.data) {
      if (problemOf(kept.error).code === "stale") onLate();
      return;
    }
    dispatch(
      notify({
        text: [
          fresh.length > 0 && t("{{count}} people are in.", { count: fresh.length, defaultValue_one: "{{count}} person is in." }),
          changed.length > 0 &&
            t("{{count}} people are changed.", { count: changed.length, defaultValue_one: "{{count}} person is changed." }),
          leftOut.length > 0 &&
            t("{{count}} rows were left out.", { count: leftOut.length, defaultValue_one: "{{count}} row was left out." }),
        ]
          .filter(Boolean)
          .join(" "),
      }),
    );
    await navigate("..", { relative: "path" });
  };

  if (!file) return <DropPlace onPick={(picked) => void pick(picked)} unreadable={unreadable} />;
  const problem = error ? problemOf(error) : undefined;
  const asked = problem?.code === "similar" ? (problem.detail as SameQuestion[]) : undefined;
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0, 1fr)", gap: 2.5 }}>
      <RosterFile
        name={file.name}
        text={file.text}
        rows={rows.length}
        onEncoding={(encoding) => open(file.name, file.bytes, encoding, file.text.headerLine)}
        onHeader={(line) => open(file.name, file.bytes, file.text.encoding, line)}
        onClose={() => setFile(null)}
      />
      <RosterColumns
        text={file.text}
        columns={said.columns}
        dateOrder={said.dateOrder}
        onColumns={(columns) => setSaid({ ...said, columns, dateOrder: guessDateOrder(file.text, columns) })}
        onDateOrder={(dateOrder) => setSaid({ ...said, dateOrder })}
      />
      <RosterWordList unknown={words} words={said.words} onWords={(next) => setSaid({ ...said, words: next })} />
      {rows.length === 0 && <Empty title={t("There are no rows under the header")} />}
      {rows.length > 0 && (
        <>
          <Box sx={{ display: "flex", gap: 2, alignItems: "center", flexWrap: "wrap" }}>
            <Choice<Shown>
              label={t("Rows shown")}
              value={shown}
              onChange={setShown}
              options={[
                { value: "all", label: t("All {{rows}}", { rows: rows.length }) },
                { value: "look", label: t("{{count}} to look at", { count: leftOut.length }) },
                { value: "change", label: t("{{count}} to change", { count: changed.length }) },
              ]}
            />
            <Box sx={{ ml: { md: "auto" }, display: "flex", gap: 2, alignItems: "center", flexWrap: "wrap" }}>
              {problem && !asked && (
                <Typography color="error" role="alert">
                  {problem.code === "stale"
                    ? t("Somebody else changed {{names}} meanwhile: look at the rows again, then keep them.", {
                        names: (problem.detail as PersonEntry[]).map(({ name }) => name).join(", "),
                      })
                    : `${problem.message} ${problem.fields
                        .slice(0, 3)
                        .map((field) => field.message)
                        .join("; ")}`}
                </Typography>
              )}
              <Button variant="contained" disabled={fresh.length + changed.length === 0 || isLoading} onClick={() => void keep()}>
                {isLoading ? t("Keeping …") : keepText(fresh.length, changed.length, leftOut.length)}
              </Button>
            </Box>
          </Box>
          {asked && <SamePeople questions={asked} busy={isLoading} onAnswer={(answers) => void keep(answers)} />}
          <RosterRows
            rows={shown === "all" ? rows : shown === "change" ? changed : leftOut}
            onEdit={(line, field, cell) => setSaid({ ...said, edits: { ...said.edits, [line]: { ...said.edits[line], [field]: cell } } })}
            answers={said.answers}
            onAnswer={(line, answer) => {
              const { [line]: _before, ...others } = said.answers;
              setSaid({ ...said, answers: answer ? { ...others, [line]: answer } : others });
            }}
          />
        </>
      )}
    </Box>
  );
}

type Shown = "all" | "look" | "change";

function keepText(fresh: number, changed: number, leftOut: number): string {
  const kept = [fresh > 0 && t("{{count}} new", { count: fresh }), changed > 0 && t("{{count}} changed", { count: changed })].filter(
    Boolean,
  );
  if (kept.length === 0) return t("Nothing to keep");
  const text = t("Keep {{kept}}", { kept: kept.join(", ") });
  return leftOut > 0 ? t("{{text}}, leave out {{leftOut}}", { text, leftOut }) : text;
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
            "A line names the columns: name, badge, main hand, first day. Other columns are ignored; commas, semicolons and tabs all work. Who is here already is recognised by the badge, else by the name, and changed.",
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
