/** The hand-out as a page: what stands on the paper, for whoever has it read aloud or enlarges it; printed, the browser keeps its structure. */
import { Box, Button, GlobalStyles, MenuItem, TextField, Typography } from "@mui/material";
import { ArrowLeft, Printer } from "lucide-react";
import { useCallback, useMemo, useState, type ReactNode } from "react";
import { Link, useParams, useSearchParams } from "react-router";
import type { HandOut } from "@kind-grip/core/api";
import { dateAt } from "@kind-grip/core/calendar";
import { isLanguage, LANGUAGE_FACTS, LANGUAGES, type Language } from "@kind-grip/core/language";
import { compileGroup, type Item, type Session } from "@kind-grip/core/session";
import { durationText, minutesAndSeconds } from "@kind-grip/core/units";
import { WithLanguage } from "../base/language";
import { useLibrary, useWords } from "../base/library";
import { MEASURES } from "../base/measures";
import { peopleOptions } from "../crew/people-options";
import { useNow } from "../base/now";
import { t } from "../base/words";
import { crewApi } from "../crew/api";
import { useCrew } from "../crew/CrewFrame";
import { FigurePicture } from "../figure/FigurePicture";
import { thumbRequest } from "../figure/request";
import { Choice } from "../parts/Choice";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";
import { programApi } from "./api";

/** For everybody. */
const CREW = "crew";

export default function HandOutPage() {
  const { programId } = useParams();
  const crew = useCrew();
  const people = crewApi.usePeopleQuery(crew.id).data ?? [];
  const [asked, setAsked] = useSearchParams();
  const today = dateAt(useNow(60_000), crew.timeZone);
  const wanted = asked.get("language");
  const language = isLanguage(wanted) ? wanted : null;
  const personId = asked.get("person");
  const query = programApi.useHandOutQuery({ programId: programId!, language, personId }, { refetchOnMountOrArgChange: true });
  const handOut = query.currentData;
  const ask = (change: Record<string, string | null>) => {
    const next = { language, person: personId, ...change };
    setAsked(Object.entries(next).flatMap(([name, value]) => (value === null ? [] : [[name, value]])) as [string, string][], {
      replace: true,
    });
  };
  const { isDrawn, noteDrawn } = useDrawn(handOut);
  return (
    <>
      <GlobalStyles styles={{ "@page": { size: "A4", margin: "14mm" } }} />
      <Box sx={{ "@media print": { display: "none" } }}>
        <PageTitle
          title={handOut ? t("Hand-out: {{program}}", { program: handOut.programName }) : t("Hand-out")}
          lead={t("As on paper, to be read aloud or enlarged. Printed from here, its headings, lists and pictures stay what they are.")}
        >
          <Button component={Link} to={`/crews/${crew.id}/program/${programId}`} startIcon={<ArrowLeft size={20} />}>
            {t("Back to the program")}
          </Button>
          <Button variant="outlined" startIcon={<Printer size={20} />} disabled={!isDrawn} onClick={() => window.print()}>
            {t("Print")}
          </Button>
        </PageTitle>
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2, alignItems: "flex-end", mb: 3 }}>
          <TextField
            select
            label={t("For")}
            value={people.some(({ id }) => id === personId) ? personId : CREW}
            // Their own language again: the one that was chosen was for somebody else.
            onChange={({ target }) => ask({ person: target.value === CREW ? null : target.value, language: null })}
            sx={{ flex: "1 1 220px", maxWidth: 320 }}
          >
            <MenuItem value={CREW}>{t("the whole crew")}</MenuItem>
            {peopleOptions(people, today)}
          </TextField>
          <Choice<Language>
            label={t("Language of the hand-out")}
            value={handOut?.language ?? language}
            onChange={(chosen) => ask({ language: chosen })}
            options={LANGUAGES.map((each) => ({ value: each, label: LANGUAGE_FACTS[each].ownName, lang: each }))}
          />
        </Box>
      </Box>
      <Loaded query={query}>
        {(loaded) => (
          <WithLanguage language={loaded.language} measures={MEASURES}>
            <Sheets handOut={loaded} isOnePersons={personId !== null} onDrawn={noteDrawn} />
          </WithLanguage>
        )}
      </Loaded>
    </>
  );
}

/** Whether every picture of what is shown is there. */
function useDrawn(handOut: HandOut | undefined) {
  const library = useLibrary();
  const [drawn, setDrawn] = useState<ReadonlySet<string>>(new Set());
  const noteDrawn = useCallback((itemId: string) => setDrawn((before) => new Set([...before, itemId])), []);
  const items = handOut?.sessions.flatMap((session) => session.items) ?? [];
  const isDrawn =
    handOut !== undefined && items.every(({ id, movementId, formId }) => drawn.has(id) || !library.figure(movementId, formId));
  return { isDrawn, noteDrawn };
}

/** Hears of each picture that is there. */
type OnDrawn = (itemId: string) => void;

interface SheetsProps {
  handOut: HandOut;
  /** Their name stands on it. */
  isOnePersons: boolean;
  onDrawn: OnDrawn;
}

function Sheets({ handOut: { sessions, crewName, people, language }, isOnePersons, onDrawn }: SheetsProps) {
  const words = useWords();
  const names = useMemo(() => new Map(people.map(({ id, name }) => [id, name])), [people]);
  return (
    <Box lang={language} dir={LANGUAGE_FACTS[language].direction} sx={{ maxWidth: 980 }}>
      {sessions.length === 0 && <Empty title={words.paper(isOnePersons ? "noSheet" : "noSession")} />}
      {sessions.map((session) => (
        <Sheet
          key={session.id}
          session={session}
          whose={isOnePersons ? `${people[0]!.name} · ${crewName}` : crewName}
          names={names}
          onDrawn={onDrawn}
        />
      ))}
    </Box>
  );
}

interface SheetProps {
  session: Session;
  /** Under the session's name. */
  whose: string;
  names: ReadonlyMap<string, string>;
  onDrawn: OnDrawn;
}

function Sheet({ session, whose, names, onDrawn }: SheetProps) {
  const library = useLibrary();
  const words = useWords();
  const { totalSec } = useMemo(() => compileGroup(session, library.timings, [...names.keys()]), [session, library, names]);
  const name = words.sessionName(session);
  return (
    <Box
      component="section"
      aria-label={name}
      sx={{ mb: 6, "@media print": { breakBefore: "page", "&:first-of-type": { breakBefore: "auto" }, mb: 0 } }}
    >
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2, alignItems: "baseline" }}>
        <Typography variant="h2" sx={{ flex: 1, fontSize: "1.9rem", color: "primary.main" }}>
          {name}
        </Typography>
        <Typography sx={{ fontSize: "1.5rem", fontWeight: 700 }}>
          {words.digits(durationText(totalSec))}{" "}
          <Box component="span" sx={{ fontSize: "0.9rem", fontWeight: 400, color: "text.secondary" }}>
            {words.paper("minutesSeconds", minutesAndSeconds(totalSec))}
          </Box>
        </Typography>
      </Box>
      <Typography sx={{ color: "text.secondary" }}>
        {words.label("slot", session.slot)} · {whose}
      </Typography>
      <Typography sx={{ fontSize: "1.15rem", my: 1 }}>{words.paper("mildPull")}</Typography>
      <Box component="ol" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {session.items.map((item, i) => (
          <Entry key={item.id} item={item} number={i + 1} names={names} onDrawn={onDrawn} />
        ))}
      </Box>
      <Box sx={{ borderTop: "2px solid", borderColor: "line", pt: 1.5 }}>
        <Typography sx={{ fontWeight: 700, color: "warm.dark" }}>{words.paper("stop")}</Typography>
        <Typography sx={{ color: "text.secondary", fontSize: "0.95rem" }}>{words.paper("prevention")}</Typography>
      </Box>
    </Box>
  );
}

interface EntryProps {
  item: Item;
  number: number;
  names: ReadonlyMap<string, string>;
  onDrawn: OnDrawn;
}

function Entry({ item, number, names, onDrawn }: EntryProps) {
  const library = useLibrary();
  const words = useWords();
  const { movementId, formId } = item;
  const text = words.movement(movementId);
  const movement = library.find(movementId);
  const request = useMemo(() => thumbRequest(library, movementId, formId), [library, movementId, formId]);
  const easier = Object.entries(item.personal).flatMap(([personId, own]) => {
    const name = names.get(personId);
    return name ? [`${name}: ${words.within(words.formName(movementId, own.formId))}`] : [];
  });
  return (
    <Box
      component="li"
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0, 1fr)", sm: "210px minmax(0, 1fr)" },
        columnGap: 3,
        rowGap: 1,
        borderTop: "1px solid",
        borderColor: "line",
        py: 2,
        breakInside: "avoid",
        "@media print": { gridTemplateColumns: "42mm minmax(0, 1fr)" },
      }}
    >
      <FigurePicture request={request} onDrawn={() => onDrawn(item.id)} sx={{ maxWidth: 210 }} />
      <div>
        <Typography variant="h3" sx={{ fontSize: "1.3rem" }}>
          {words.digits(number)}. {text.name}
          {movement && movement.forms.length > 1 && (
            <Box component="span" sx={{ fontSize: "1rem", fontWeight: 400, color: "text.secondary" }}>
              {" "}
              {words.formName(movementId, formId)}
            </Box>
          )}
        </Typography>
        <Typography sx={{ fontWeight: 650, fontSize: "1.1rem" }}>
          {[words.dose(item.dose), words.label("sides", item.sides), ...(item.loadKg === null ? [] : [words.load(item)])].join(" · ")}
        </Typography>
        <Typography sx={{ color: "warm.dark" }}>{words.paper("effort", { cap: movement?.effortCap ?? 2 })}</Typography>
        <Lines ordered lines={text.steps} />
        <Labelled label={words.paper("watch")} lines={[...text.watch, ...text.care]} />
        <Labelled label={words.paper("easier")} lines={easier} />
      </div>
    </Box>
  );
}

function Labelled({ label, lines }: { label: string; lines: readonly string[] }) {
  if (lines.length === 0) return null;
  return (
    <Box sx={{ color: "text.secondary" }}>
      <Typography variant="h4" sx={{ fontSize: "1rem", fontWeight: 650 }}>
        {label}
      </Typography>
      <Lines lines={lines} />
    </Box>
  );
}

function Lines({ lines, ordered = false }: { lines: readonly string[]; ordered?: boolean }): ReactNode {
  const { language } = useWords();
  const numbers = language === "ar" ? "arabic-indic" : "decimal";
  return (
    <Box component={ordered ? "ol" : "ul"} sx={{ m: 0, my: 0.5, paddingInlineStart: "1.4em", listStyleType: ordered ? numbers : "disc" }}>
      {lines.map((line) => (
        <li key={line}>{line}</li>
      ))}
    </Box>
  );
}
