/** A program argued from need: the limits on the left, the proposal with its reasons on the right, what could not be covered below it. */
import { Box, Button, MenuItem, TextField, Typography } from "@mui/material";
import { ArrowLeft, Lock, LockOpen, X } from "lucide-react";
import { useMemo, useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import { findingsOf, needFindings } from "@kind-grip/core/baseline";
import { SESSION_NAMES, USUAL_LIMITS, type ComposeLimits, type Hindrance, type Proposal, type Unmet } from "@kind-grip/core/compose";
import { isHere } from "@kind-grip/core/crew";
import { addDays, dateAt, mondayOf } from "@kind-grip/core/calendar";
import { LOAD_SCHOOLS, STRETCH_SCHOOLS, type LoadSchool, type StretchSchool, type Style } from "@kind-grip/core/library";
import { oppositesFor, regionNeeds } from "@kind-grip/core/need";
import { notHeldOut } from "@kind-grip/core/safety";
import type { SlotKind } from "@kind-grip/core/session";
import { nearnessText } from "@kind-grip/core/solver";
import { dayOf, type Work } from "@kind-grip/core/strain";
import { clockText } from "@kind-grip/core/units";
import type { Words } from "@kind-grip/core/language";
import { useOffered } from "../library/use-offered";
import { useWords, useLibrary } from "../base/library";
import { v7 as uuid } from "uuid";
import { mainHandOf } from "../crew/main-hand";
import type { CrewEntry, PersonEntry, RecordEntry } from "@kind-grip/core/api";
import { workApi } from "../work/api";
import { programApi } from "../program/api";
import { practiceApi } from "../practice/api";
import { crewApi } from "../crew/api";
import { baselineApi } from "../baseline/api";
import { problemOf } from "../base/api";
import { useNow } from "../base/now";
import { useCrew } from "../crew/CrewFrame";
import { MovementThumb } from "../figure/MovementThumb";
import { Choice } from "../parts/Choice";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";
import { Stepper } from "../parts/Stepper";
import { Why } from "../parts/Why";
import { useParticipations } from "../safety/use-participations";
import { useProposal, type ProposalState, type Question } from "./use-proposal";

export default function ComposePage() {
  const crew = useCrew();
  const work = workApi.useWorkQuery(crew.id);
  const settings = practiceApi.useSettingsQuery();
  const people = crewApi.usePeopleQuery(crew.id);
  const rounds = baselineApi.useRoundsQuery(crew.id);
  const latest = rounds.data?.[0];
  const records = baselineApi.useRecordsQuery(latest?.id ?? "", { skip: !latest });
  return (
    <Loaded query={work}>
      {({ work: described }) => (
        <Loaded query={people}>
          {(list) =>
            described.tasks.length === 0 ? (
              <>
                <PageTitle title="Compose a program" />
                <Empty
                  title="Describe the work first"
                  text="A program is argued from what the hands do all day. The tasks of the crew are a few minutes' work; measuring adds what each person can do."
                >
                  <Button component={Link} to={`/crews/${crew.id}/work`} variant="contained">
                    Go to Work
                  </Button>
                </Empty>
              </>
            ) : (
              <Loaded query={settings}>
                {({ settings: { style } }) => (
                  <Compose crew={crew} work={described} people={list} records={records.data ?? []} usualStyle={style} />
                )}
              </Loaded>
            )
          }
        </Loaded>
      )}
    </Loaded>
  );
}

type Locks = NonNullable<Question["locked"]>;

interface ComposeProps {
  crew: CrewEntry;
  work: Work;
  people: PersonEntry[];
  records: RecordEntry[];
  usualStyle: Style;
}

function Compose({ crew, work, people, records, usualStyle }: ComposeProps) {
  const [search] = useSearchParams();
  const today = dateAt(useNow(), crew.timeZone);
  const participations = useParticipations(crew.id);
  const here = notHeldOut(
    people.filter((person) => isHere(person, today)),
    participations,
  ).length;
  const [limits, setLimits] = useState<Omit<ComposeLimits, "people" | "settings" | "kit">>({
    ...USUAL_LIMITS,
    style: usualStyle,
    aim: search.get("aim") === "reliefLed" ? "reliefLed" : "loadLed",
    weeks: search.get("weeks") === "8" ? 8 : 4,
    slotSec: crew.slots,
  });
  const library = useLibrary();
  const words = useWords();
  const offered = useOffered();
  const [locked, setLocked] = useState<Locks>([]);
  // Locking what is there changes nothing: the proposal keeps to it already. It counts from the next change on.
  const [askedLocks, setAskedLocks] = useState<Locks>([]);
  const [excluded, setExcluded] = useState<readonly string[]>([]);
  const changeLimits = (next: typeof limits) => {
    setAskedLocks(locked);
    setLimits(next);
  };
  const exclude = (next: readonly string[]) => {
    setAskedLocks(locked);
    setExcluded(next);
  };
  const input = useMemo((): Question => {
    const place = { settings: crew.settings, kit: crew.kit.map(({ kind }) => kind) };
    const day = dayOf(work)!;
    // What was found in people counts for the crew as the share of people it was found in.
    const findings = records
      .flatMap(({ personId, record }) => needFindings(findingsOf(record, mainHandOf(people, personId))))
      .map((finding) => ({ ...finding, points: finding.points / Math.max(1, records.length) }));
    return {
      needs: regionNeeds(work, day, findings),
      opposites: oppositesFor(work, day, place, offered).map(({ posture, left, right }) => ({ posture, left, right })),
      limits: { ...limits, settings: crew.settings, kit: crew.kit, people: Math.max(1, here) },
      locked: askedLocks,
      excluded,
      name: `${crew.name.split(" ")[0]} hands`,
    };
  }, [crew, offered, work, people, records, limits, askedLocks, excluded, here]);
  const state = useProposal(input, library, offered);
  const toggle = (place: Locks[number]) => {
    const same = (each: Locks[number]) => each.slot === place.slot && each.movementId === place.movementId;
    setLocked(locked.some(same) ? locked.filter((each) => !same(each)) : [...locked, place]);
  };
  return (
    <>
      <PageTitle title="Compose a program">
        <Button component={Link} to={`/crews/${crew.id}/program`} startIcon={<ArrowLeft size={20} />}>
          Programs
        </Button>
        <Make crew={crew} state={state} />
      </PageTitle>
      <Box sx={{ display: "grid", gridTemplateColumns: { md: "270px minmax(0, 1fr)" }, columnGap: 5, rowGap: 3, alignItems: "start" }}>
        <Limits limits={limits} onChange={changeLimits} />
        <Box>
          <Status state={state} />
          {state.stage === "none" ? (
            <Empty
              title="No program keeps to all of this"
              text="What is locked does not fit with the rest. Unlock something, or give a session more time."
            >
              <Button
                variant="outlined"
                onClick={() => {
                  setLocked([]);
                  setAskedLocks([]);
                }}
              >
                Unlock everything
              </Button>
            </Empty>
          ) : (
            state.proposal && (
              <Sessions
                proposal={state.proposal}
                limits={limits}
                locked={locked}
                onLock={toggle}
                onExclude={(movementId) => exclude([...excluded, movementId])}
              />
            )
          )}
          {excluded.length > 0 && (
            <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "center", mb: 2 }}>
              <Typography>Not wanted:</Typography>
              {excluded.map((movementId) => (
                <Button
                  key={movementId}
                  size="small"
                  variant="outlined"
                  endIcon={<X size={16} />}
                  onClick={() => exclude(excluded.filter((each) => each !== movementId))}
                >
                  {words.movementName(movementId)}
                </Button>
              ))}
            </Box>
          )}
          {state.proposal && <NotCovered unmet={state.proposal.unmet} />}
        </Box>
      </Box>
    </>
  );
}

type Editable = Omit<ComposeLimits, "people" | "settings" | "kit">;

function Limits({ limits, onChange }: { limits: Editable; onChange(limits: Editable): void }) {
  const words = useWords();
  const set = <K extends keyof Editable>(key: K, value: Editable[K]) => onChange({ ...limits, [key]: value });
  const minutes = (slot: SlotKind) => (
    <Stepper
      key={slot}
      label={`${words.label("slot", slot)}, min`}
      value={limits.slotSec[slot] / 60}
      min={0}
      max={30}
      step={0.5}
      onChange={(min) => set("slotSec", { ...limits.slotSec, [slot]: min * 60 })}
    />
  );
  return (
    <Box component="section" aria-label="Limits" sx={{ display: "grid", gap: 2 }}>
      <Choice
        label="Aim"
        value={limits.aim}
        onChange={(aim) => set("aim", aim)}
        options={[
          { value: "loadLed", label: "Load-led" },
          { value: "reliefLed", label: "Relief-led" },
        ]}
      />
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1.5 }}>
        {(["preShift", "break", "postShift"] as const).map(minutes)}
        <Stepper label="Breaks a day" value={limits.breaksADay} min={1} max={3} onChange={(value) => set("breaksADay", value)} />
        <Stepper label="Post-shift days" value={limits.strengthDays} min={1} max={3} onChange={(value) => set("strengthDays", value)} />
        <Stepper label="Weeks" value={limits.weeks} min={1} max={12} onChange={(value) => set("weeks", value)} />
        <Stepper label="Movements in all" value={limits.mostMovements} min={3} max={24} onChange={(value) => set("mostMovements", value)} />
        <Stepper label="Items a session" value={limits.mostItems} min={2} max={12} onChange={(value) => set("mostItems", value)} />
      </Box>
      <TextField
        select
        label="Stretching"
        value={limits.style.stretch}
        onChange={(event) => set("style", { ...limits.style, stretch: event.target.value as StretchSchool })}
      >
        {STRETCH_SCHOOLS.map((school) => (
          <MenuItem key={school} value={school}>
            {words.label("stretchSchool", school)}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        label="Loading"
        value={limits.style.load}
        onChange={(event) => set("style", { ...limits.style, load: event.target.value as LoadSchool })}
      >
        {LOAD_SCHOOLS.map((school) => (
          <MenuItem key={school} value={school}>
            {words.label("loadSchool", school)}
          </MenuItem>
        ))}
      </TextField>
    </Box>
  );
}

function Status({ state: { stage, proposal } }: { state: ProposalState }) {
  const text = {
    working: "Working it out …",
    first: "A first answer; looking for a better one …",
    best: nearnessText(proposal?.gap ?? Infinity),
    none: "",
  }[stage];
  return (
    <Box
      sx={{ display: "flex", alignItems: "baseline", gap: 2, flexWrap: "wrap", mb: 1, opacity: stage === "working" ? 0.6 : 1 }}
      role="status"
    >
      {proposal && stage !== "none" && (
        <Typography component="p" sx={{ fontSize: "2.4rem", fontWeight: 800, lineHeight: 1 }}>
          {Math.round(proposal.covered * 100)} %
        </Typography>
      )}
      <Typography>{proposal && stage !== "none" ? `of what the work asks for is covered. ${text}.` : text}</Typography>
    </Box>
  );
}

function Sessions({
  proposal,
  limits,
  locked,
  onLock,
  onExclude,
}: {
  proposal: Proposal;
  limits: Editable;
  locked: Locks;
  onLock(place: Locks[number]): void;
  onExclude(movementId: string): void;
}) {
  const words = useWords();
  return proposal.program.sessions.map((session) => (
    <Box component="section" key={session.slot} aria-label={SESSION_NAMES[session.slot]} sx={{ mb: 3 }}>
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 1.5, borderBottom: "2px solid", borderColor: "line", pb: 0.5 }}>
        <Typography variant="h2">{SESSION_NAMES[session.slot]}</Typography>
        <Typography sx={{ fontWeight: 700 }}>
          {clockText(proposal.seconds.get(session.slot) ?? 0)}{" "}
          <Box component="span" sx={{ color: "text.secondary", fontWeight: 500 }}>
            of {clockText(limits.slotSec[session.slot])}
          </Box>
        </Typography>
      </Box>
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {session.items.map((item) => {
          const place = proposal.places.get(item.id)!;
          const on = locked.some((each) => each.slot === place.slot && each.movementId === place.movementId);
          const name = words.movementName(item.movementId);
          return (
            <Box
              component="li"
              key={item.id}
              sx={{
                display: "grid",
                gridTemplateColumns: "84px minmax(0, 1fr) auto auto",
                columnGap: 2,
                alignItems: "center",
                py: 0.75,
                borderBottom: "1px solid",
                borderColor: "line",
              }}
            >
              <MovementThumb movementId={item.movementId} formId={item.formId} />
              <Box>
                <Typography>
                  <strong>{name}</strong>, {words.dose(item.dose)}
                </Typography>
                <Typography sx={{ color: "text.secondary", lineHeight: 1.3 }}>{reasonText(words, proposal, item.id)}</Typography>
              </Box>
              <Button
                variant={on ? "contained" : "outlined"}
                onClick={() => onLock(place)}
                aria-pressed={on}
                aria-label={on ? `Unlock ${name} in ${SESSION_NAMES[session.slot]}` : `Lock ${name} in ${SESSION_NAMES[session.slot]}`}
                sx={{ minWidth: 48, px: 1 }}
              >
                {on ? <Lock size={19} /> : <LockOpen size={19} />}
              </Button>
              <Button
                aria-label={`Something else than ${name}`}
                disabled={on}
                onClick={() => onExclude(item.movementId)}
                sx={{ minWidth: 48, px: 1 }}
              >
                <X size={19} />
              </Button>
            </Box>
          );
        })}
      </Box>
    </Box>
  ));
}

function reasonText(words: Words, proposal: Proposal, itemId: string): string {
  const { regions, reverses } = proposal.reasons.get(itemId)!;
  const parts = [
    ...regions.slice(0, 3).map(({ region, need }) => `${words.label("region", region).toLowerCase()} ${Math.round(need)}`),
    ...(reverses.length > 0
      ? [`the opposite of ${reverses.map((posture) => words.label("posture", posture).toLowerCase()).join(", ")}`]
      : []),
  ];
  return parts.length === 0 ? "Gets ready." : `For ${parts.join(" · ")}`;
}

function NotCovered({ unmet }: { unmet: Unmet[] }) {
  const words = useWords();
  if (unmet.length === 0) return null;
  const because = (hindrance: Hindrance): string => {
    const slots = (list: readonly SlotKind[]) => list.map((slot) => words.label("slot", slot).toLowerCase()).join(" and ");
    switch (hindrance.kind) {
      case "kit":
        return `needs kit: ${hindrance.needs.map((kind) => words.label("kit", kind).toLowerCase()).join(" or ")}`;
      case "place":
        return `needs a place: ${hindrance.needs.map((setting) => words.label("setting", setting).toLowerCase()).join(" or ")}`;
      case "time":
        return `no time left in ${slots(hindrance.slots)}`;
      case "items":
        return `no more items fit in ${slots(hindrance.slots)}`;
      case "movements":
        return "would need one more movement to remember";
      case "nothing":
        return "nothing in the library does more for it here";
    }
  };
  return (
    <Box component="section" aria-label="Not covered" sx={{ borderTop: "2px solid", borderColor: "line", pt: 1.5 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        Not covered, and why
      </Typography>
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0, maxWidth: 860 }}>
        {unmet.map(({ region, kind, need, covered, because: hindrance }) => (
          <Box
            component="li"
            key={`${kind} ${region}`}
            sx={{
              display: "grid",
              gridTemplateColumns: "minmax(0, 1.2fr) 70px minmax(0, 1.4fr)",
              columnGap: 2,
              py: 0.5,
              borderBottom: "1px solid",
              borderColor: "line",
            }}
          >
            <span>
              {words.label("region", region)}, {kind}{" "}
              <Box component="span" sx={{ color: "text.secondary" }}>
                need {Math.round(need)}
              </Box>
            </span>
            <strong>{Math.round(covered * 100)} %</strong>
            <span>{because(hindrance)}</span>
          </Box>
        ))}
      </Box>
      <Why label="How it is composed">
        Every way a movement could stand in a session is weighed at once: what it does for each needed region in a week, what postures it
        reverses, how long it takes the group with the kit there is. Of all programs that keep to the limits and to the rules that protect
        people, the one that covers most is taken; of two alike, the one with fewer movements, then the shorter. Strengthening starts
        without load and never stands before the work.
      </Why>
    </Box>
  );
}

function Make({ crew, state }: { crew: CrewEntry; state: ProposalState }) {
  const [create, { isLoading, error }] = programApi.useCreateProgramMutation();
  const navigate = useNavigate();
  const { proposal, stage } = state;
  // A composed program settles in from the coming Monday; Weeks ahead changes that.
  const nextMonday = addDays(mondayOf(dateAt(useNow(), crew.timeZone)), 7);
  const make = async () => {
    const answer = await create({ crewId: crew.id, id: uuid(), program: { ...proposal!.program, settlingFrom: nextMonday } });
    if (answer.data) void navigate(`/crews/${crew.id}/program/${answer.data.id}`);
  };
  return (
    <>
      {error !== undefined && <Typography sx={{ color: "error.main" }}>{problemOf(error).message}</Typography>}
      <Button variant="contained" disabled={!proposal || stage === "working" || stage === "none" || isLoading} onClick={() => void make()}>
        Make it a program
      </Button>
    </>
  );
}
