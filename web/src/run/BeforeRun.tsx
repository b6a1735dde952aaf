/** Before a run: what is coming, what to have at hand, who does an easier form; one button starts it. */
import { Box, Button, Typography } from "@mui/material";
import { ArrowLeft, Play } from "lucide-react";
import { useEffect } from "react";
import { Link } from "react-router";
import type { MarkKind } from "@kind-grip/core/run";
import type { QuickTest } from "@kind-grip/core/quicktest";
import { notHeldOut, refusalOf, type Participations } from "@kind-grip/core/safety";
import { durationText } from "@kind-grip/core/units";
import type { Library } from "@kind-grip/core/library";
import { listText } from "../base/measures";
import { peopleText } from "../base/amounts";
import { t } from "../base/words";
import type { Language, Words } from "@kind-grip/core/language";
import { useLibrary, useOwnWords } from "../base/library";
import { InLanguage } from "./InLanguage";
import { LanguagesOfRun } from "./LanguagesOfRun";
import type { RunLanguages } from "./run-languages";
import type { CrewEntry, PersonEntry } from "@kind-grip/core/api";
import { PAGE_HEIGHT } from "../base/NoticeBar";
import { PictureButton } from "../library/PictureButton";
import { Toggle } from "../parts/Toggle";
import { Caption } from "./Caption";
import { useLetterKeys } from "./letter-keys";
import { QuickBefore } from "../quicktest/QuickBefore";
import type { QuickReadings } from "../quicktest/quick-readings";
import { RollCall } from "./RollCall";
import { VoiceChoice } from "./VoiceChoice";
import { RunSwitches } from "./RunSwitches";
import type { SoundChoice } from "./sound";
import type { useRun } from "./use-run";

export interface RunScreenProps {
  crew: CrewEntry;
  people: PersonEntry[];
  /** Who may do what at this moment. */
  participations: Participations;
  run: ReturnType<typeof useRun>;
  /** @returns whether the person is out from now on */
  onMark(personId: string, kind: MarkKind): boolean;
  sound: SoundChoice;
  onSound(choice: SoundChoice): void;
  dim: boolean;
  onDim(dim: boolean): void;
  /** What the crew reads and hears, and what it may read beside it. */
  words: Words;
  second: Words | null;
}

interface BeforeRunProps extends RunScreenProps {
  /** Who said on their own phone that they are here. */
  arrived?: ReadonlySet<string>;
  away: ReadonlySet<string>;
  onAway(away: ReadonlySet<string>): void;
  /** Length of the short version; left out where there is none. */
  shortSec: number | undefined;
  isShort: boolean;
  onShort(short: boolean): void;
  usual: Language;
  languages: RunLanguages;
  onLanguages(languages: RunLanguages): void;
  /** What the crew is asked before and after; null for nothing. */
  quick?: { test: QuickTest; readings: QuickReadings; onReadings(readings: QuickReadings): void } | null;
}

export function BeforeRun({ crew, people, participations, run, shortSec, isShort, onShort, ...screen }: BeforeRunProps) {
  const { words: theirs, second, arrived, away, onAway, usual, languages, onLanguages, sound, onSound, dim, onDim, quick } = screen;
  const library = useLibrary();
  const words = useOwnWords();
  const [letterKeys, setLetterKeys] = useLetterKeys();
  const { session, timeline, start } = run;
  const kit = [
    ...new Set(
      session.items.flatMap((item) => {
        const movement = library.find(item.movementId);
        if (!movement) return [];
        return [...movement.kit.slice(0, 1), ...(movement.forms.find((form) => form.id === item.formId)?.kit.slice(0, 1) ?? [])];
      }),
    ),
  ];
  // A screen that others read says forms, never reasons: who does not take part is simply not named.
  const taking = notHeldOut(people, participations);
  const doing = (person: PersonEntry) =>
    session.items.filter((item) => item.personal[person.id] && !isOut(library, participations, person.id, item.movementId));
  const otherForm = taking.flatMap((person) => {
    const forms = doing(person).flatMap(({ movementId, formId, personal }) => {
      const own = personal[person.id]!.formId;
      return own === formId ? [] : [`${words.within(words.movementName(movementId))} ${words.within(words.formName(movementId, own))}`];
    });
    return forms.length > 0 ? [`${person.name}: ${listText(forms)}`] : [];
  });
  const otherDose = taking.filter((person) =>
    doing(person).some(({ formId, personal }) => personal[person.id]!.formId === formId && personal[person.id]!.dose),
  );
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== " " || event.target instanceof HTMLButtonElement || event.target instanceof HTMLAnchorElement) return;
      event.preventDefault();
      start();
    };
    addEventListener("keydown", onKey);
    return () => removeEventListener("keydown", onKey);
  });
  return (
    <Box
      sx={{
        minHeight: PAGE_HEIGHT,
        p: { xs: 3, md: 5 },
        display: "grid",
        // As wide as the window, whatever is in it: what is said before the clock starts made it wider than a telephone.
        gridTemplateColumns: "minmax(0, 1fr)",
        gridTemplateRows: "auto 1fr auto",
        gap: 3,
      }}
    >
      <Box sx={{ display: "flex", alignItems: "center" }}>
        <Button component={Link} to="/today" startIcon={<ArrowLeft size={20} />} sx={{ ml: -1.5 }}>
          {t("Today")}
        </Button>
        <Box sx={{ ml: "auto" }}>
          <RunSwitches sound={sound} onSound={onSound} dim={dim} onDim={onDim} />
        </Box>
      </Box>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "1.1fr 1fr" },
          columnGap: 8,
          rowGap: 4,
          alignItems: "center",
        }}
      >
        <Box>
          <Typography sx={{ fontSize: "1.3rem", color: "text.secondary" }}>{crew.name}</Typography>
          <Typography variant="h1" sx={{ fontSize: { xs: "2.6rem", md: "4.2rem" } }}>
            <InLanguage words={theirs} text={theirs.sessionName(session)} />
          </Typography>
          <Typography sx={{ fontSize: { xs: "2.6rem", md: "4.2rem" }, fontWeight: 500, lineHeight: 1.1 }}>
            {durationText(timeline.totalSec)}
          </Typography>
          <Button
            variant="contained"
            size="large"
            autoFocus
            onClick={start}
            startIcon={<Play size={28} fill="currentColor" />}
            sx={{ mt: 4, minHeight: 76, px: 5, fontSize: "1.6rem" }}
          >
            {run.opening === null ? words.member("start") : words.member("startNow")}
          </Button>
          <Box sx={{ mt: 2.5 }}>
            <RollCall crewId={crew.id} people={taking} arrived={arrived} away={away} onAway={onAway} />
          </Box>
          {quick && (
            <Box sx={{ mt: 1.5 }}>
              <QuickBefore {...quick} people={taking.filter(({ id }) => !away.has(id))} />
            </Box>
          )}
          {run.caption !== null && <Caption text={run.caption} size="1.6rem" sx={{ mt: 2, maxWidth: 560 }} />}
          <Box sx={{ mt: 3 }}>
            <VoiceChoice language={theirs.language} sound={sound} onSound={onSound} />
          </Box>
          <Box sx={{ mt: 3 }}>
            <LanguagesOfRun people={taking} usual={usual} languages={languages} onLanguages={onLanguages} />
          </Box>
          <Box sx={{ mt: 2 }}>
            <Toggle label={t("Letter keys: L and R sides, E easier, C close, S stop")} pressed={letterKeys} onChange={setLetterKeys} />
          </Box>
          {shortSec !== undefined && (
            <Box sx={{ mt: 2 }}>
              <Toggle label={words.member("shortOfTime", { time: durationText(shortSec) })} pressed={isShort} onChange={onShort} />
            </Box>
          )}
        </Box>
        <Box sx={{ fontSize: "1.2rem" }}>
          <Box component="ol" sx={{ listStyle: "none", m: 0, p: 0 }}>
            {session.items.map((item, i) => (
              <Box
                component="li"
                key={item.id}
                sx={{
                  display: "grid",
                  gridTemplateColumns: "28px 72px minmax(0, 1.15fr) minmax(0, 1fr)",
                  columnGap: 1.5,
                  alignItems: "center",
                  py: 0.5,
                  borderBottom: "1px solid",
                  borderColor: "line",
                }}
              >
                <strong>{i + 1}</strong>
                <PictureButton movementId={item.movementId} formId={item.formId} />
                <Box>
                  <InLanguage words={theirs} text={theirs.movementName(item.movementId)} />
                  {second && (
                    <Box sx={{ color: "text.secondary", fontSize: "0.85em" }}>
                      <InLanguage words={second} text={second.movementName(item.movementId)} />
                    </Box>
                  )}
                </Box>
                <Box component="span" sx={{ color: "text.secondary", textAlign: "end", lineHeight: 1.3 }}>
                  <InLanguage words={theirs} text={theirs.dose(item.dose)} />
                </Box>
              </Box>
            ))}
          </Box>
          {kit.length > 0 && (
            <Typography sx={{ mt: 2, fontSize: "inherit" }}>
              <strong>{t("At hand:")}</strong> {kit.map((kind) => words.label("kit", kind).toLowerCase()).join(", ")}
            </Typography>
          )}
          {otherForm.length > 0 && (
            <Typography sx={{ mt: 1, fontSize: "inherit" }}>
              <strong>{t("Own form:")}</strong> {otherForm.join("; ")}
            </Typography>
          )}
          {otherDose.length > 0 && (
            <Typography sx={{ mt: 1, fontSize: "inherit" }}>
              <strong>{t("Own dose:")}</strong> {fewNames(otherDose)}
            </Typography>
          )}
        </Box>
      </Box>
      <Typography sx={{ color: "text.secondary" }}>
        <InLanguage words={theirs} text={`${theirs.paper("mildPull")} ${theirs.paper("prevention")}`} />
      </Typography>
    </Box>
  );
}

/** More than these are counted. */
const NAMED = 8;
const fewNames = (people: readonly PersonEntry[]): string =>
  people.length > NAMED ? peopleText(people.length) : listText(people.map(({ name }) => name));

function isOut(library: Library, participations: Participations, personId: string, movementId: string): boolean {
  const participation = participations.get(personId);
  return participation !== undefined && refusalOf(library, participation, movementId) !== null;
}
