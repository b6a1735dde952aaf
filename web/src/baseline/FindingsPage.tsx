/** What a round shows of each person: range fans, grip to scale, findings in plain words, need with its working; compared with any other round. */
import { Box, ButtonBase, MenuItem, TextField, Typography } from "@mui/material";
import { Check, Circle } from "lucide-react";
import { useState } from "react";
import { useParams, useSearchParams } from "react-router";
import {
  changesBetween,
  changeText,
  findingsOf,
  findingText,
  FUNCTION_TEST_NAMES,
  gripOf,
  isEmpty,
  MOTION_NAMES,
  MOTIONS,
  needFindings,
  type BaselineRecord,
  type Finding,
} from "@kind-grip/core/baseline";
import { regionNeeds } from "@kind-grip/core/need";
import { dayOf, EMPTY_WORK } from "@kind-grip/core/strain";
import { HAND_SIDES } from "@kind-grip/core/units";
import { useWords } from "../base/library";
import { mainHandOf } from "../crew/main-hand";
import { useParticipations } from "../safety/use-participations";
import type { CrewEntry, PersonEntry, RecordEntry, RoundEntry } from "@kind-grip/core/api";
import { workApi } from "../work/api";
import { crewApi } from "../crew/api";
import { baselineApi } from "./api";
import { useCrew } from "../crew/CrewFrame";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";
import { SideMark } from "../parts/SideMark";
import { Why } from "../parts/Why";
import { Needs } from "../work/NeedView";
import { RangeFan } from "./RangeFan";

export default function FindingsPage() {
  const { roundId } = useParams();
  const crew = useCrew();
  const rounds = baselineApi.useRoundsQuery(crew.id);
  const people = crewApi.usePeopleQuery(crew.id);
  const records = baselineApi.useRecordsQuery(roundId!, { refetchOnMountOrArgChange: true });
  return (
    <Loaded query={rounds}>
      {(list) => (
        <Loaded query={people}>
          {(everybody) => (
            <Loaded query={records}>
              {(entries) => <Findings crew={crew} rounds={list} roundId={roundId!} people={everybody} entries={entries} />}
            </Loaded>
          )}
        </Loaded>
      )}
    </Loaded>
  );
}

interface FindingsProps {
  crew: CrewEntry;
  rounds: RoundEntry[];
  roundId: string;
  people: PersonEntry[];
  entries: RecordEntry[];
}

function Findings({ crew, rounds, roundId, people, entries }: FindingsProps) {
  const round = rounds.find(({ id }) => id === roundId);
  const [search, setSearch] = useSearchParams();
  const earlier = rounds[rounds.findIndex(({ id }) => id === roundId) + 1];
  const [otherId, setOtherId] = useState(earlier?.id ?? "");
  const { data: others } = baselineApi.useRecordsQuery(otherId, { skip: otherId === "" });
  const work = workApi.useWorkQuery(crew.id).data?.work ?? EMPTY_WORK;
  const may = useParticipations(crew.id);
  const asked = people.filter(({ id }) => entries.some((each) => each.personId === id && !isEmpty(each.record)));
  const countOf = (personId: string) =>
    findingsOf(entries.find((each) => each.personId === personId)!.record, mainHandOf(people, personId)).filter(
      ({ kind }) => kind !== "noise",
    ).length;
  // Whoever most stands out is shown first.
  const person = asked.find(({ id }) => id === search.get("person")) ?? [...asked].sort((a, b) => countOf(b.id) - countOf(a.id))[0];
  if (!round || !person)
    return (
      <>
        <PageTitle title="Findings" />
        <Empty title="Nothing measured yet" text="Findings appear as soon as something of a person is entered in the round." />
      </>
    );
  const record = entries.find((each) => each.personId === person.id)!.record;
  const before = others?.find((each) => each.personId === person.id)?.record;
  const findings = findingsOf(record, person.handedness);
  return (
    <>
      <PageTitle title={person.name} lead={`${round.name}. Range against the reference and the other side, grip, and what is only noise.`}>
        {rounds.length > 1 && (
          <TextField
            select
            label="Compared with"
            value={otherId}
            onChange={(event) => setOtherId(event.target.value)}
            sx={{ width: 240 }}
            slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
          >
            <MenuItem value="">nothing</MenuItem>
            {rounds
              .filter(({ id }) => id !== roundId)
              .map(({ id, name }) => (
                <MenuItem key={id} value={id}>
                  {name}
                </MenuItem>
              ))}
          </TextField>
        )}
      </PageTitle>
      <Box sx={{ display: "grid", gridTemplateColumns: { md: "200px minmax(0, 1fr)" }, columnGap: 4, rowGap: 2, alignItems: "start" }}>
        <Box component="ul" aria-label="People with findings" sx={{ listStyle: "none", m: 0, p: 0, "@media print": { display: "none" } }}>
          {asked.map(({ id, name }) => {
            const count = countOf(id);
            return (
              <li key={id}>
                <ButtonBase
                  onClick={() => setSearch({ person: id }, { replace: true })}
                  aria-current={id === person.id}
                  sx={{
                    width: "100%",
                    justifyContent: "space-between",
                    textAlign: "left",
                    gap: 1,
                    px: 1,
                    minHeight: 46,
                    borderRadius: 2,
                    lineHeight: 1.15,
                    fontWeight: id === person.id ? 750 : 500,
                    bgcolor: id === person.id ? "primary.light" : "transparent",
                  }}
                >
                  {name}
                  {may.get(id)?.heldOut ? (
                    <Box component="span" sx={{ fontWeight: 750, color: "error.main", whiteSpace: "nowrap" }}>
                      held out
                    </Box>
                  ) : (
                    <Box
                      component="span"
                      aria-label={`${count} ${count === 1 ? "finding" : "findings"}`}
                      sx={{ fontWeight: 750, color: count > 0 ? "warm.dark" : "text.secondary" }}
                    >
                      {count}
                    </Box>
                  )}
                </ButtonBase>
              </li>
            );
          })}
        </Box>
        <Box sx={{ minWidth: 0, display: "grid", gap: 4 }}>
          <Box
            sx={{
              display: "grid",
              gridTemplateColumns: { lg: "minmax(0, 1fr) minmax(0, 1.1fr)" },
              columnGap: 5,
              rowGap: 3,
              alignItems: "start",
            }}
          >
            <Box sx={{ display: "grid", gap: 3 }}>
              <Words findings={findings} />
              <Grip record={record} before={before} />
              {before && <Changes before={before} after={record} />}
            </Box>
            <Fans record={record} before={before} />
          </Box>
          <Box component="section" aria-label="What it asks for" sx={{ borderTop: "2px solid", borderColor: "line", pt: 2 }}>
            <Typography variant="h2" sx={{ mb: 2 }}>
              What work and findings ask for
            </Typography>
            <Needs needs={regionNeeds(work, dayOf(work, person.id), needFindings(findings))} work={work} />
          </Box>
        </Box>
      </Box>
    </>
  );
}

function Words({ findings }: { findings: Finding[] }) {
  const words = useWords();
  const counted = findings.filter(({ kind }) => kind !== "noise");
  const noise = findings.filter(({ kind }) => kind === "noise");
  const text = (finding: Finding) => findingText(finding, (region) => words.label("region", region));
  return (
    <Box component="section" aria-label="Findings">
      <Typography variant="h2" sx={{ mb: 1 }}>
        {counted.length === 0 ? "Nothing stands out" : counted.length === 1 ? "1 thing stands out" : `${counted.length} things stand out`}
      </Typography>
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {counted.map((finding, i) => (
          <Box
            component="li"
            key={i}
            sx={{
              display: "grid",
              gridTemplateColumns: "34px 1fr",
              py: 0.75,
              borderTop: "1px solid",
              borderColor: "line",
              fontSize: "1.05rem",
            }}
          >
            <Box sx={{ pt: 0.25 }}>{"side" in finding && <SideMark side={finding.side} size={24} />}</Box>
            {text(finding)
              .replace(/^(Left|Right):? /, "")
              .replace(/^./, (letter) => letter.toUpperCase())}
          </Box>
        ))}
      </Box>
      {noise.length > 0 && (
        <Why label={`${noise.length} ${noise.length === 1 ? "difference is" : "differences are"} only noise`}>
          {noise.map((finding, i) => (
            <Box key={i}>{text(finding)}</Box>
          ))}
        </Why>
      )}
    </Box>
  );
}

function Fans({ record, before }: { record: BaselineRecord; before?: BaselineRecord }) {
  return (
    <Box
      component="section"
      aria-label="Range"
      sx={{ display: "grid", gridTemplateColumns: "repeat(2, minmax(0, 1fr))", columnGap: 3, rowGap: 2 }}
    >
      {MOTIONS.map((motion) => {
        const angles = record.range[motion];
        return (
          <Box key={motion} sx={{ textAlign: "center" }}>
            <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: "2px" }}>
              {HAND_SIDES.map((side) => (
                <Box key={side}>
                  <Box sx={{ display: "flex", justifyContent: side === "left" ? "flex-end" : "flex-start" }}>
                    <RangeFan motion={motion} side={side} {...angles[side]} before={before?.range[motion][side].active} />
                  </Box>
                  <Typography sx={{ fontWeight: 750 }}>
                    {angles[side].active === null ? "–" : `${side === "left" ? "L" : "R"} ${angles[side].active}°`}
                  </Typography>
                </Box>
              ))}
            </Box>
            <Typography sx={{ fontSize: "0.95rem", lineHeight: 1.1 }}>{MOTION_NAMES[motion]}</Typography>
          </Box>
        );
      })}
      <Typography sx={{ fontSize: "0.9rem", color: "text.secondary", alignSelf: "center", textAlign: "left" }}>
        Full colour: by oneself. Pale: with help. Dashed: full range. Warm tick:{" "}
        {before ? "the other round" : "another round, when one is chosen"}.
      </Typography>
    </Box>
  );
}

function Grip({ record, before }: { record: BaselineRecord; before?: BaselineRecord }) {
  const hands = HAND_SIDES.map((side) => ({
    side,
    grip: gripOf(record.grip[side].map(({ kg }) => kg)),
    last: before && gripOf(before.grip[side].map(({ kg }) => kg)),
  }));
  const most = Math.max(20, ...hands.flatMap(({ grip, last }) => [grip?.bestKg ?? 0, last?.meanKg ?? 0]));
  const { test, left, right } = record.functionTest;
  if (hands.every(({ grip }) => !grip) && !test) return null;
  return (
    <Box
      component="section"
      aria-label="Grip and function"
      sx={{
        borderTop: "2px solid",
        borderColor: "line",
        pt: 2,
        display: "grid",
        gridTemplateColumns: "1fr",
        columnGap: 5,
        rowGap: 2,
      }}
    >
      <Box>
        <Typography variant="h2" sx={{ mb: 1 }}>
          Grip
        </Typography>
        {hands.map(({ side, grip, last }) => (
          <Box key={side} sx={{ display: "grid", gridTemplateColumns: "34px 1fr 150px", columnGap: 1.5, alignItems: "center", mb: 0.75 }}>
            <SideMark side={side} size={30} />
            <Box sx={{ position: "relative", height: 30 }}>
              {grip && <Box sx={{ width: `${(grip.meanKg / most) * 100}%`, height: "100%", bgcolor: `hand.${side}`, borderRadius: 1 }} />}
              {last && (
                <Box
                  aria-hidden
                  sx={{
                    position: "absolute",
                    left: `${(last.meanKg / most) * 100}%`,
                    top: -4,
                    bottom: -4,
                    borderLeft: "4px solid",
                    borderColor: "warm.main",
                  }}
                />
              )}
            </Box>
            <Typography>
              <strong>{grip ? `${grip.meanKg.toFixed(1)} kg` : "not measured"}</strong>
              {grip && `, spread ${Math.round(grip.spread * 100)} %`}
            </Typography>
          </Box>
        ))}
      </Box>
      {test && (
        <Box>
          <Typography variant="h2" sx={{ mb: 1 }}>
            {FUNCTION_TEST_NAMES[test]}
          </Typography>
          <Typography sx={{ display: "flex", gap: 1.5, alignItems: "center", fontSize: "1.2rem" }}>
            <SideMark side="left" size={30} /> <strong>{left ?? "–"}</strong> of 10 <SideMark side="right" size={30} />{" "}
            <strong>{right ?? "–"}</strong> of 10
          </Typography>
        </Box>
      )}
    </Box>
  );
}

function Changes({ before, after }: { before: BaselineRecord; after: BaselineRecord }) {
  const changes = changesBetween(before, after);
  if (changes.length === 0) return null;
  const real = changes.filter(({ verdict }) => verdict !== "noise");
  const name = (measure: (typeof changes)[number]["measure"]) =>
    measure === "grip" ? "Grip" : measure === "function" ? "Function test" : MOTION_NAMES[measure];
  const line = (change: (typeof changes)[number]) => (
    <Box
      component="li"
      key={`${change.measure} ${change.side}`}
      sx={{
        display: "grid",
        gridTemplateColumns: "26px 24px minmax(0, 1fr) minmax(0, 1.2fr)",
        columnGap: 1.25,
        alignItems: "center",
        py: 0.5,
        borderTop: "1px solid",
        borderColor: "line",
      }}
    >
      {change.verdict === "better" ? <Check size={19} aria-hidden /> : <Circle size={15} aria-hidden />}
      <SideMark side={change.side} size={24} />
      <span>{name(change.measure)}</span>
      <Box
        component="span"
        sx={{
          fontWeight: change.verdict === "noise" ? 500 : 700,
          color: change.verdict === "worse" ? "warm.dark" : change.verdict === "better" ? "primary.main" : "text.secondary",
        }}
      >
        {changeText(change)}
      </Box>
    </Box>
  );
  return (
    <Box component="section" aria-label="Compared" sx={{ borderTop: "2px solid", borderColor: "line", pt: 2 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        {real.length === 0 ? "No change beyond noise" : `${real.length} of ${changes.length} changed beyond noise`}
      </Typography>
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0, maxWidth: 820 }}>
        {real.map(line)}
      </Box>
      {real.length < changes.length && (
        <Why label={`${changes.length - real.length} within noise`}>
          <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
            {changes.filter(({ verdict }) => verdict === "noise").map(line)}
          </Box>
        </Why>
      )}
    </Box>
  );
}
