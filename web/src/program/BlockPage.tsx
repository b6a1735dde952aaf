/** The whole block on one sheet: every item of every session, week by week, with its light weeks, the way up in load, and the review. */
import { Box, Button, GlobalStyles, Typography } from "@mui/material";
import { ArrowLeft, Printer } from "lucide-react";
import { DateTime } from "luxon";
import { Link, useParams } from "react-router";
import type { CrewEntry } from "@kind-grip/core/api";
import { addDays } from "@kind-grip/core/calendar";
import { placeOf } from "@kind-grip/core/crew";
import { loadRungs, reviewDay, weeksAhead, type Program, type Week } from "@kind-grip/core/program";
import { useLibrary, useWords } from "../base/library";
import { numberText } from "../base/measures";
import { weeksText } from "../base/amounts";
import { t } from "../base/words";
import { dateText } from "../base/dates";
import { useCrew } from "../crew/CrewFrame";
import { SaveState } from "../document/SaveState";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";
import { programApi } from "./api";
import { OpenProgram, useEdit, useProgramEditor } from "./program-editor";
import { VersionSummary } from "./VersionSummary";
import { weekText } from "./week-text";
import { DateField } from "../parts/DateField";

/** A sheet of paper holds so many; what comes later depends on what happens until then. */
const MOST_WEEKS = 12;

export default function BlockPage() {
  const { programId } = useParams();
  const crew = useCrew();
  const program = programApi.useProgramQuery(programId!, { refetchOnMountOrArgChange: true });
  return (
    <Loaded query={program}>
      {(entry) => (
        <OpenProgram key={entry.id} entry={entry}>
          <Block crew={crew} />
        </OpenProgram>
      )}
    </Loaded>
  );
}

const dayText = (date: string) => dateText(DateTime.fromISO(date), "d LLL");

function Block({ crew }: { crew: CrewEntry }) {
  const { program } = useEdit();
  const { programId, edited } = useProgramEditor();
  const review = reviewDay(program);
  return (
    <>
      <GlobalStyles styles={{ "@page": { size: "A4 landscape", margin: "12mm" } }} />
      <PageTitle
        title={program.name}
        lead={t(
          "The whole block, if all goes well. A raise waits for the top of the dose in three runs in a row, effort at least one below the cap, and mornings not raised.",
        )}
      >
        <Button component={Link} to={`/crews/${crew.id}/program/${programId}`} startIcon={<ArrowLeft size={20} />}>
          {t("Back to the program")}
        </Button>
        <SaveState edited={edited} what={t("this program")} summary={(version) => <VersionSummary program={version} />} />
        <Button variant="outlined" startIcon={<Printer size={20} />} onClick={() => window.print()}>
          {t("Print")}
        </Button>
      </PageTitle>
      <Typography sx={{ color: "text.secondary", mb: 2, fontSize: "0.95rem" }}>
        {t("2 × 8 at 2-1-2-0: two rounds of eight, 2 s out, 1 s at the end, 2 s back, no pause. 3 × 20 s: three of twenty seconds.")}
      </Typography>
      <FirstDay />
      {review && (
        <Typography sx={{ mb: 2, fontSize: "1.15rem" }}>
          {t("{{weeks}} from {{from}}; reviewed and measured anew on", {
            weeks: weeksText(program.weeks),
            from: dateText(DateTime.fromISO(program.settlingFrom!), "cccc d LLLL"),
          })}{" "}
          <strong>{dateText(DateTime.fromISO(review), "cccc d LLLL yyyy")}</strong>
        </Typography>
      )}
      {program.sessions.every(({ items }) => items.length === 0) ? (
        <Empty title={t("Nothing is in it yet")} text={t("Put movements into the sessions of the program; their weeks are shown here.")} />
      ) : (
        <>
          <Weeks program={program} crew={crew} />
          <LoadLadders program={program} crew={crew} />
        </>
      )}
    </>
  );
}

function FirstDay() {
  const { program, change } = useEdit();
  const { settlingFrom = null } = program;
  const set = (day: string | null) => change({ ...program, settlingFrom: day });
  return (
    <Box sx={{ display: "flex", gap: 2, alignItems: "center", mb: 2, flexWrap: "wrap", "@media print": { display: "none" } }}>
      <DateField label={t("Settling-in week from")} value={settlingFrom} onChange={set} sx={{ width: 220 }} />
      <Typography sx={{ flex: 1, minWidth: 260 }}>
        {settlingFrom
          ? t("For seven days every session of this program is led, planned and followed lighter, without load.")
          : t("No first day is set: sessions are as written from the first day, and no week can be made lighter.")}
      </Typography>
      {settlingFrom && <Button onClick={() => set(null)}>{t("Take it out")}</Button>}
    </Box>
  );
}

const LINE = { borderBottom: "1px solid", borderColor: "line" } as const;

function Weeks({ program, crew }: { program: Program; crew: CrewEntry }) {
  const library = useLibrary();
  const words = useWords();
  const { change } = useEdit();
  const { settlingFrom, lighterWeeks = [] } = program;
  const count = Math.min(MOST_WEEKS, program.weeks);
  const lighter = settlingFrom ? lighterWeeks : [];
  const setLighter = (week: number, on: boolean) =>
    change({
      ...program,
      lighterWeeks: (on ? [...lighterWeeks, week] : lighterWeeks.filter((each) => each !== week)).sort((a, b) => a - b),
    });
  return (
    <Box tabIndex={0} role="region" aria-label={t("Weeks")} sx={{ overflowX: "auto", "@media print": { overflow: "visible" } }}>
      <Box
        component="table"
        sx={{
          borderCollapse: "collapse",
          width: "100%",
          "& th, & td": { textAlign: "left", p: 0.75, ...LINE, verticalAlign: "top", minWidth: 104, fontSize: "0.92rem", lineHeight: 1.3 },
          "& th:first-of-type": { minWidth: 150 },
          "@media print": { "& th, & td": { minWidth: 0, fontSize: "7.5pt", p: "3pt" }, "& th:first-of-type": { minWidth: "26mm" } },
        }}
      >
        <thead>
          <tr>
            <th scope="col">{t("Movement")}</th>
            {Array.from({ length: count }, (_, i) => i + 1).map((week) => (
              <th key={week} scope="col">
                {t("Week {{week}}", { week })}
                {settlingFrom && (
                  <Box component="span" sx={{ display: "block", fontWeight: 500, color: "text.secondary" }}>
                    {dayText(addDays(settlingFrom, (week - 1) * 7))}
                  </Box>
                )}
                {week === 1 ? (
                  <Box component="span" sx={{ display: "block", fontWeight: 600 }}>
                    {t("settling in")}
                  </Box>
                ) : (
                  settlingFrom && <LighterMark week={week} on={lighter.includes(week)} onChange={(on) => setLighter(week, on)} />
                )}
              </th>
            ))}
          </tr>
        </thead>
        {program.sessions
          .filter(({ items }) => items.length > 0)
          .map((session) => (
            <tbody key={session.id}>
              <tr>
                <Box component="th" scope="rowgroup" colSpan={count + 1} sx={{ pt: "14px !important", fontSize: "1.05rem !important" }}>
                  {session.name}
                </Box>
              </tr>
              {session.items.map((item) => {
                const weeks = weeksAhead(library, item, count, placeOf(crew, session.slot), lighter);
                return (
                  <tr key={item.id}>
                    <th scope="row">{words.movementName(item.movementId)}</th>
                    {weeks.map((week, i) => (
                      <OneWeek key={week.week} week={week} text={isAgain(weeks, i) ? "…" : weekText(words, week, item.movementId)} />
                    ))}
                  </tr>
                );
              })}
            </tbody>
          ))}
      </Box>
    </Box>
  );
}

/** Nothing changes for the second time in a row: said once. */
const isAgain = (weeks: readonly Week[], i: number) => weeks[i]!.change === "none" && weeks[i - 1]?.change === "none";

function OneWeek({ week: { change }, text }: { week: Week; text: string }) {
  const raised = change === "dose" || change === "form" || change === "load";
  const light = change === "settling" || change === "lighter";
  return (
    <Box
      component="td"
      className="keeps-colour"
      sx={{
        fontWeight: raised ? 700 : 500,
        color: change === "none" ? "text.secondary" : "text.primary",
        bgcolor: raised ? "primary.light" : "transparent",
        borderLeft: light ? "3px dotted" : undefined,
        borderLeftColor: light ? "edge" : undefined,
      }}
    >
      {text}
    </Box>
  );
}

function LighterMark({ week, on, onChange }: { week: number; on: boolean; onChange(on: boolean): void }) {
  return (
    <>
      <Button
        size="small"
        variant={on ? "contained" : "outlined"}
        aria-pressed={on}
        aria-label={t("Week {{week}} lighter", { week })}
        onClick={() => onChange(!on)}
        sx={{ mt: 0.25, minHeight: 32, px: 1, "@media print": { display: "none" } }}
      >
        {t("lighter")}
      </Button>
      {on && (
        <Box component="span" sx={{ display: "none", fontWeight: 600, "@media print": { display: "block" } }}>
          {t("lighter")}
        </Box>
      )}
    </>
  );
}

/** The way up in load of each movement that has one, with what the crew's kit holds. */
function LoadLadders({ program, crew }: { program: Program; crew: CrewEntry }) {
  const library = useLibrary();
  const words = useWords();
  const ladders = [...new Set(program.sessions.flatMap(({ items }) => items.map(({ movementId }) => movementId)))].flatMap((movementId) => {
    const movement = library.find(movementId);
    const rungs = movement?.load ? loadRungs(movement, crew.kit) : [];
    return rungs.length > 0 ? [{ movementId, rungs }] : [];
  });
  if (ladders.length === 0) return null;
  return (
    <Box component="section" aria-labelledby="load-ladders" sx={{ mt: 4, breakInside: "avoid" }}>
      <Typography variant="h2" id="load-ladders">
        {t("The way up in load")}
      </Typography>
      <Typography sx={{ color: "text.secondary", mb: 1, maxWidth: 760 }}>
        {t(
          "With the crew's kit, a week's step after the other, at the crease of the wrist or along the forearm. For a person the hand's own weight is counted too.",
        )}
      </Typography>
      {ladders.map(({ movementId, rungs }) => (
        <Box
          key={movementId}
          sx={{
            display: "grid",
            gridTemplateColumns: { xs: "minmax(0, 1fr)", sm: "180px minmax(0, 1fr)" },
            columnGap: 2,
            py: 0.75,
            ...LINE,
          }}
        >
          <Typography sx={{ fontWeight: 700 }}>{words.movementName(movementId)}</Typography>
          <Box component="ol" sx={{ listStyle: "none", m: 0, p: 0, display: "flex", flexWrap: "wrap", columnGap: 2.5, rowGap: 0.5 }}>
            {rungs.map(({ held, torqueNm, share, large }, i) => (
              <li key={i}>
                <strong>{words.load(held)}</strong> {t("{{torque}} N·m", { torque: numberText(torqueNm, 2) })}
                {share !== null && (
                  <Box component="span" sx={{ color: large ? "warning.dark" : "text.secondary", fontWeight: large ? 700 : 500 }}>
                    {" "}
                    {large
                      ? t("+{{percent}} %, large", { percent: Math.round(share * 100) })
                      : t("+{{percent}} %", { percent: Math.round(share * 100) })}
                  </Box>
                )}
              </li>
            ))}
          </Box>
        </Box>
      ))}
    </Box>
  );
}
