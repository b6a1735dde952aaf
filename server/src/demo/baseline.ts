/**
 * The demo's measuring rounds, and its stories of people held out and cleared: somebody much weaker on one side, a known entrapment
 * cleared until Sunday, a clearance after a fracture that ran out, weakness that grew since yesterday. All invented.
 */
import {
  BaselineRecord,
  emptyRecord,
  MOTION_FACTS,
  MOTIONS,
  type FunctionTest,
  type LikeThem,
  type Motion,
} from "@kind-grip/core/baseline";
import { PHASES, type Region } from "@kind-grip/core/library";
import { QUESTION_IDS, type QuestionId } from "@kind-grip/core/safety";
import { HAND_SIDES } from "@kind-grip/core/units";
import type { Transaction } from "sequelize";
import * as v from "valibot";
import type { Db } from "../db/connection";
import { rowOf } from "../baseline/rounds";
import type { ClearanceRow, RestrictionRow } from "../safety/tables";
import type { DemoCrew } from "./crews";
import { seededRandom, type SeededRandom } from "./seeded-random";

interface Story {
  yes?: readonly QuestionId[];
  /** Who wants to be compared with people like them. */
  likeThem?: LikeThem;
  /** Kilograms of each hand, instead of chance. */
  gripKg?: readonly [left: number, right: number];
  /** Degrees short of what chance gave, by side and motion. */
  short?: Partial<Record<`${"left" | "right"} ${Motion}`, number>>;
  /** Range that is there only with help. */
  withHelp?: Partial<Record<`${"left" | "right"} ${Motion}`, number>>;
  symptom?: { side: "left" | "right"; region: Region; kind: "ache" | "tingling" | "stiffness"; level: number; since: string };
}

interface DemoRestriction {
  question: QuestionId;
  since: string;
  clearance?: { givenBy: string; profession: string; from: string; until: string; note: string };
}

interface DemoRounds {
  test: FunctionTest;
  rounds: readonly { name: string; startedOn: string; at: string; people: number; gain: number; closed: boolean; asksOnPhones?: boolean }[];
  /** The latest of them measured a second time, nothing changed in between. */
  secondSitting?: { name: string; startedOn: string; at: string; people: number };
  stories: Readonly<Record<string, Story>>;
  restrictions: Readonly<Record<string, DemoRestriction>>;
}

export const DEMO_ROUNDS: Readonly<Partial<Record<DemoCrew["key"], DemoRounds>>> = {
  roof: {
    test: "holdTool",
    rounds: [
      { name: "Baseline February", startedOn: "2026-02-02", at: "2026-02-02T05:00:00Z", people: 12, gain: 0, closed: true },
      {
        name: "After seven weeks",
        startedOn: "2026-03-23",
        at: "2026-03-23T08:00:00Z",
        people: 9,
        gain: 1,
        closed: false,
        asksOnPhones: true,
      },
    ],
    stories: {
      "Bram Okonjo": {
        gripKg: [28.5, 42],
        short: { "left wristExtension": 16 },
        withHelp: { "left wristExtension": 18 },
      },
      "Hale Birchmore": {
        yes: ["knownEntrapment"],
        symptom: { side: "right", region: "wristFlexors", kind: "tingling", level: 2, since: "2025-11-10" },
      },
      "Kester Lowfield": { yes: ["hypermobility"] },
      "Dessa Quill": {
        symptom: { side: "right", region: "elbowOuter", kind: "ache", level: 4, since: "2026-02-12" },
        short: { "right palmUp": 18 },
      },
      "Goran Pellwick": { likeThem: { sex: "man", age: "35–39" }, short: { "right wristFlexion": 17, "left wristFlexion": 6 } },
    },
    restrictions: {
      "Edda Marrow": { question: "growingWeakness", since: "2026-03-25T15:10:00Z" },
      "Hale Birchmore": {
        question: "knownEntrapment",
        since: "2026-02-02T05:40:00Z",
        clearance: {
          givenBy: "R. Ostrander",
          profession: "Hand therapist",
          from: "2026-02-04",
          until: "2026-03-29",
          note: "Glides to the first faint feeling only.",
        },
      },
      "Kester Lowfield": { question: "hypermobility", since: "2026-02-02T06:15:00Z" },
    },
  },
  oyster: {
    test: "wringTowel",
    rounds: [
      { name: "Baseline February", startedOn: "2026-02-02", at: "2026-02-02T02:00:00Z", people: 14, gain: 0, closed: true },
      { name: "After six weeks", startedOn: "2026-03-16", at: "2026-03-16T02:00:00Z", people: 14, gain: 1, closed: true },
    ],
    secondSitting: { name: "After six weeks, second sitting", startedOn: "2026-03-23", at: "2026-03-23T02:00:00Z", people: 12 },
    stories: {
      "Gethin Inskip": { yes: ["surgeryOrFracture"], short: { "right wristFlexion": 24, "right wristExtension": 20 }, gripKg: [36, 25] },
      "Freya Holloway": { symptom: { side: "right", region: "wristFlexors", kind: "stiffness", level: 5, since: "2026-01-20" } },
      "Manus Orrell": { yes: ["anticoagulants"] },
    },
    restrictions: {
      "Gethin Inskip": {
        question: "surgeryOrFracture",
        since: "2026-02-02T02:30:00Z",
        clearance: {
          givenBy: "Dr L. Maddern",
          profession: "Physician",
          from: "2026-02-02",
          until: "2026-03-20",
          note: "Fracture of the wrist healed; look again in spring.",
        },
      },
      "Manus Orrell": { question: "anticoagulants", since: "2026-02-02T03:05:00Z" },
    },
  },
};

/** From when on somebody is out of everything, so that the demo's runs leave them out. */
export function demoHeldOutFrom(key: DemoCrew["key"], name: string): Date | undefined {
  const restriction = DEMO_ROUNDS[key]?.restrictions[name];
  if (restriction?.question === "growingWeakness") return new Date(restriction.since);
  return restriction?.question === "surgeryOrFracture" ? new Date(`${restriction.clearance!.until}T23:59:59Z`) : undefined;
}

export async function seedRounds(
  db: Db,
  random: SeededRandom,
  key: DemoCrew["key"],
  crew: { id: string; people: readonly { id: string; name: string }[] },
  transaction: Transaction,
): Promise<void> {
  const demo = DEMO_ROUNDS[key];
  if (!demo) return;
  const bodies = new Map(crew.people.map((person) => [person.id, bodyOf(random)]));
  let firstRound: string | null = null;
  let latest: SeededRound | undefined;
  for (const { name, startedOn, at, people, gain, closed, asksOnPhones = false } of demo.rounds) {
    const roundId = random.id();
    firstRound ??= roundId;
    await db.models.Round.create(
      { id: roundId, crewId: crew.id, name, startedOn, closedAt: closed ? new Date(at) : null, asksOnPhones },
      { transaction },
    );
    const records = crew.people
      .slice(0, people)
      .map((person) => recordOf(random, bodies.get(person.id)!, demo.stories[person.name] ?? {}, demo.test, gain));
    await storeRecords(db, roundId, crew.people, records, at, transaction);
    latest = { roundId, records };
  }
  if (demo.secondSitting) await seedSecondSitting(db, crew, latest!, demo.secondSitting, transaction);
  const restrictions: RestrictionRow[] = [];
  const clearances: ClearanceRow[] = [];
  for (const [name, restriction] of Object.entries(demo.restrictions)) {
    const personId = crew.people.find((person) => person.name === name)!.id;
    const id = random.id();
    const said = demo.stories[name]?.yes?.includes(restriction.question) ?? false;
    restrictions.push({
      id,
      crewId: crew.id,
      personId,
      question: restriction.question,
      since: new Date(restriction.since),
      roundId: said ? firstRound : null,
      withdrawnAt: null,
      withdrawnWhy: null,
    });
    if (!restriction.clearance) continue;
    const { givenBy, profession, from, until, note } = restriction.clearance;
    clearances.push({
      id: random.id(),
      crewId: crew.id,
      personId,
      restrictionId: id,
      givenBy,
      profession,
      allows: [...PHASES],
      fromDay: from,
      untilDay: until,
      note,
      enteredAt: new Date(`${from}T12:00:00Z`),
      withdrawnAt: null,
      withdrawnWhy: null,
    });
  }
  await db.models.Restriction.bulkCreate(restrictions, { transaction });
  await db.models.Clearance.bulkCreate(clearances, { transaction });
}

interface SeededRound {
  roundId: string;
  /** In the order of the crew. */
  records: readonly BaselineRecord[];
}

/** One record a person, seven minutes each. */
async function storeRecords(
  db: Db,
  roundId: string,
  people: readonly { id: string }[],
  records: readonly BaselineRecord[],
  at: string,
  transaction: Transaction,
): Promise<void> {
  const rows = records.map((record, i) => {
    const changedAt = new Date(Date.parse(at) + i * 7 * 60_000);
    return rowOf({ roundId, personId: people[i]!.id }, record, 1, changedAt, { before: undefined, day: at.slice(0, 10) });
  });
  await db.models.Baseline.bulkCreate(rows, { transaction });
}

/** Of its own, so that nothing else of the demo moves with it. */
const REPEAT_SEED = 29;

async function seedSecondSitting(
  db: Db,
  crew: { id: string; people: readonly { id: string }[] },
  first: SeededRound,
  { name, startedOn, at, people }: NonNullable<DemoRounds["secondSitting"]>,
  transaction: Transaction,
): Promise<void> {
  const random = seededRandom(REPEAT_SEED);
  const roundId = random.id();
  await db.models.Round.create(
    { id: roundId, crewId: crew.id, name, startedOn, closedAt: new Date(at), asksOnPhones: false, repeats: first.roundId },
    { transaction },
  );
  const records = first.records.slice(0, people).map((record) => readAgain(random, record));
  await storeRecords(db, roundId, crew.people, records, at, transaction);
}

/** Nothing changed; the readings do: angles by 3° or so, grip by some hundredths, an effort by a point now and then. */
function readAgain(random: SeededRandom, first: BaselineRecord): BaselineRecord {
  const record = structuredClone(first);
  const about = () => random.next() + random.next() + random.next() - 1.5;
  for (const motion of MOTIONS)
    for (const side of HAND_SIDES) {
      const angles = record.range[motion][side];
      const off = Math.round(about() * 5);
      if (angles.active !== null) angles.active += off;
      if (angles.assisted !== null) angles.assisted += off;
    }
  for (const side of HAND_SIDES) {
    const share = 1 + about() * 0.08;
    for (const trial of record.grip[side]) trial.kg = Math.round(trial.kg * share * 10) / 10;
    const effort = record.functionTest[side];
    if (effort !== null) record.functionTest[side] = Math.min(10, Math.max(0, effort + Math.round(about())));
  }
  return v.parse(BaselineRecord, record);
}

interface Body {
  gripKg: number;
  /** Share of the full range. */
  reach: number;
  /** The main hand is this much stronger. */
  lead: number;
}

function bodyOf(random: SeededRandom): Body {
  return { gripKg: 30 + random.next() * 18, reach: 0.9 + random.next() * 0.1, lead: 1.02 + random.next() * 0.08 };
}

function recordOf(random: SeededRandom, body: Body, story: Story, test: FunctionTest, gain: number): BaselineRecord {
  const record = emptyRecord();
  for (const question of QUESTION_IDS) record.safety[question] = story.yes?.includes(question) ?? false;
  record.symptomsAsked = true;
  if (story.symptom)
    record.symptoms = [
      { id: random.id(), ...story.symptom, level: Math.max(1, story.symptom.level - gain), nights: "never", constant: false },
    ];
  for (const motion of MOTIONS) {
    const { referenceDeg } = MOTION_FACTS[motion];
    for (const side of ["left", "right"] as const) {
      const missing = story.short?.[`${side} ${motion}`] ?? 0;
      const active = Math.round(referenceDeg * body.reach + (random.next() - 0.5) * 5 - missing * (1 - 0.45 * gain));
      const help = story.withHelp?.[`${side} ${motion}`];
      record.range[motion][side] = { active, assisted: help === undefined ? null : active + help - 7 * gain };
    }
  }
  const [left, right] = story.gripKg ?? [body.gripKg, body.gripKg * body.lead];
  const trials = (kg: number) =>
    Array.from({ length: 3 }, () => ({
      kg: Math.round(kg * (1 + gain * 0.05) * (0.97 + random.next() * 0.06) * 10) / 10,
      faults: [],
      from: "meter" as const,
    }));
  record.grip = { left: trials(left), right: trials(right) };
  record.likeThem = story.likeThem ?? null;
  record.functionTest = { test, left: Math.max(0, random.whole(2, 5) - gain), right: Math.max(0, random.whole(1, 4) - gain) };
  return v.parse(BaselineRecord, record);
}
