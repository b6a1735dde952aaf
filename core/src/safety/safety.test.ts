import fc from "fast-check";
import * as v from "valibot";
import { wordsIn } from "../language";
import { SHIPPED_LIBRARY, newItem, DEFAULT_STYLE, PHASES, REGIONS } from "../library";
import type { Session } from "../session";
import {
  capFor,
  clearanceIsOn,
  endsSoon,
  FULL_PARTICIPATION,
  restrictionIsOn,
  restrictionsCalledFor,
  isMeant,
  itemsLeftOut,
  NewClearance,
  notHeldOut,
  participationOf,
  QUESTION_IDS,
  consequenceOf,
  refusalOf,
  SAFETY_QUESTIONS,
  SafetyAnswers,
  sessionWithin,
  unasked,
  type Clearance,
  type Restriction,
  type Participation,
  type QuestionId,
  type Symptom,
} from ".";

const id = (n: number) => `019d0000-0000-7000-a000-${String(n).padStart(12, "0")}`;
const DAY = "2026-03-10";
const at = (instant: string) => ({ instant, day: instant.slice(0, 10) });
const NOON = at(`${DAY}T12:00:00.000Z`);
const restriction = (question: QuestionId, change: Partial<Restriction> = {}): Restriction => ({
  id: id(1),
  personId: id(2),
  question,
  since: "2026-03-01T08:00:00.000Z",
  withdrawnAt: null,
  ...change,
});
const clearance = (change: Partial<Clearance> = {}): Clearance => ({
  id: id(3),
  restrictionId: id(1),
  allows: PHASES,
  from: DAY,
  until: DAY,
  withdrawnAt: null,
  ...change,
});
const answers = (change: Partial<SafetyAnswers> = {}): SafetyAnswers => ({ ...v.parse(SafetyAnswers, {}), ...change });
const symptom = (change: Partial<Symptom> = {}): Symptom => ({
  id: id(4),
  side: "right",
  region: "thumbBase",
  kind: "ache",
  level: 3,
  since: null,
  nights: "never",
  constant: false,
  ...change,
});
const refusedBy = (participation: Participation) =>
  SHIPPED_LIBRARY.movements.filter(({ id: movementId }) => refusalOf(SHIPPED_LIBRARY, participation, movementId) !== null);
const STOPS = SAFETY_QUESTIONS.filter(({ kind }) => kind === "stop").map((question) => question.id);

describe("the questions", () => {
  it("are all there once, stop before ask, each with words", () => {
    expect(SAFETY_QUESTIONS.map((question) => question.id)).toEqual([...QUESTION_IDS]);
    expect(STOPS).toHaveLength(8);
    const words = wordsIn();
    for (const question of QUESTION_IDS) {
      expect(words.safety(question).ask).toMatch(/\?$/);
      expect(words.safety(question).short).not.toMatch(/safety\./);
    }
  });
  it("not asked is not no", () => {
    expect(unasked(answers())).toEqual([...QUESTION_IDS]);
    expect(unasked(answers({ freshInjury: false, hotJoint: true }))).toHaveLength(QUESTION_IDS.length - 2);
  });
});

describe("what an answer calls for", () => {
  it.each(QUESTION_IDS)("%s: yes calls for it; no and not asked do not", (question) => {
    expect(restrictionsCalledFor(answers({ [question]: true }), [])).toEqual([question]);
    expect(restrictionsCalledFor(answers({ [question]: false }), [])).toEqual([]);
    expect(restrictionsCalledFor(answers(), [])).toEqual([]);
  });
  it.each([
    [{ kind: "numbness", constant: true }, true],
    [{ kind: "numbness", nights: "mostNights" }, true],
    [{ kind: "numbness", nights: "sometimes" }, false],
    [{ kind: "tingling", constant: true, nights: "mostNights" }, false],
    [{ kind: "sharpPain", level: 10, constant: true }, false],
  ] as const)("a symptom %j stops: %s", (change, stops) => {
    expect(restrictionsCalledFor(answers({ lastingNumbness: false }), [symptom(change)]).includes("lastingNumbness")).toBe(stops);
  });
});

describe("stop and refer", () => {
  it.each(STOPS)("%s: out of every item", (question) => {
    const participation = participationOf([restriction(question)], [], [], NOON);
    expect(participation.heldOut).toBe(true);
    expect(refusedBy(participation)).toHaveLength(SHIPPED_LIBRARY.movements.length);
  });
  it("begins with the moment it was said", () => {
    expect(restrictionIsOn(restriction("chestPain"), at("2026-03-01T07:59:59.999Z"))).toBe(false);
    expect(restrictionIsOn(restriction("chestPain"), at("2026-03-01T08:00:00.000Z"))).toBe(true);
  });
  it("ends when it was entered by mistake, not before", () => {
    const mistaken = restriction("chestPain", { withdrawnAt: "2026-03-01T08:05:00.000Z" });
    expect(restrictionIsOn(mistaken, at("2026-03-01T08:04:59.000Z"))).toBe(true);
    expect(restrictionIsOn(mistaken, at("2026-03-01T08:05:00.000Z"))).toBe(false);
  });
});

describe("a clearance", () => {
  it("is good from its first day to the end of its last, and then runs out by itself", () => {
    const days = ["2026-03-09", "2026-03-10", "2026-03-12", "2026-03-13"];
    const good = clearance({ from: "2026-03-10", until: "2026-03-12" });
    expect(days.map((day) => clearanceIsOn(good, { instant: `${day}T12:00:00Z`, day }))).toEqual([false, true, true, false]);
    expect(days.map((day) => participationOf([restriction("hotJoint")], [good], [], { instant: `${day}T12:00:00Z`, day }).heldOut)).toEqual(
      [true, false, false, true],
    );
  });
  it("lifts only its own restriction", () => {
    const both = [restriction("hotJoint"), restriction("chestPain", { id: id(9) })];
    expect(participationOf(both, [clearance()], [], NOON).heldOut).toBe(true);
    expect(participationOf(both, [clearance(), clearance({ restrictionId: id(9) })], [], NOON).heldOut).toBe(false);
  });
  it("for some phases lifts those and leaves the rest held", () => {
    const participation = participationOf([restriction("surgeryOrFracture")], [clearance({ allows: ["getReady", "mobility"] })], [], NOON);
    expect(participation.heldOut).toBe(false);
    for (const movement of SHIPPED_LIBRARY.movements)
      expect([movement.id, refusalOf(SHIPPED_LIBRARY, participation, movement.id)]).toEqual([
        movement.id,
        ["getReady", "mobility"].includes(movement.phase) ? null : "outOfItem",
      ]);
  });
  it("two together lift what either allows", () => {
    const some = [clearance({ allows: ["getReady"] }), clearance({ id: id(5), allows: PHASES.filter((phase) => phase !== "getReady") })];
    expect(refusedBy(participationOf([restriction("hotJoint")], some, [], NOON))).toEqual([]);
  });
  it("that was withdrawn lifts nothing from then on", () => {
    const withdrawn = clearance({ withdrawnAt: `${DAY}T11:00:00.000Z` });
    expect(participationOf([restriction("hotJoint")], [withdrawn], [], NOON).heldOut).toBe(true);
    expect(participationOf([restriction("hotJoint")], [withdrawn], [], at(`${DAY}T10:59:00.000Z`)).heldOut).toBe(false);
  });
  it.each([
    ["2026-03-09", false],
    ["2026-03-10", true],
    ["2026-03-16", true],
    ["2026-03-17", false],
  ])("until %s ends within the week: %s", (until, soon) => {
    expect(endsSoon(until, DAY)).toBe(soon);
  });
  it("names every bad field", () => {
    const problems = (change: object) =>
      v
        .safeParse(NewClearance, {
          id: id(1),
          restrictionId: id(2),
          givenBy: "A",
          profession: "B",
          allows: ["stretch"],
          from: DAY,
          until: DAY,
          note: null,
          ...change,
        })
        .issues?.map((issue) => v.getDotPath(issue));
    expect(problems({})).toBeUndefined();
    expect(problems({ until: "2026-03-09" })).toEqual(["until"]);
    expect(problems({ until: "2027-03-11" })).toBeUndefined();
    expect(problems({ until: "2027-03-12" })).toEqual(["until"]);
    expect(problems({ givenBy: " ", allows: [] })).toEqual(["givenBy", "allows"]);
  });
});

describe("ask first", () => {
  const out = (question: QuestionId) => refusedBy(participationOf([restriction(question)], [], [], NOON));
  it.each([
    ["pregnancyNumbness", ["glide", "strengthen"]],
    ["inflammatoryJoints", ["stretch", "glide", "strengthen"]],
    ["knownEntrapment", ["glide", "strengthen"]],
  ] as const)("%s: out of %j and of weight on the hands, and of nothing else", (question, phases) => {
    const ids = out(question).map((movement) => movement.id);
    for (const movement of SHIPPED_LIBRARY.movements)
      expect([movement.id, ids.includes(movement.id)]).toEqual([
        movement.id,
        (phases as readonly string[]).includes(movement.phase) || movement.weightBearing,
      ]);
  });
  it("a neck injury: out of glides and of whatever moves shoulder or neck", () => {
    const ids = out("neckInjury").map((movement) => movement.id);
    expect(ids).toContain("shrug-and-drop");
    expect(ids).toContain("median-glide");
    expect(ids).not.toContain("fist-and-star");
  });
  it("blood thinners: out of edge tools and rollers; tape: out of tape", () => {
    expect(out("anticoagulants").length).toBeGreaterThan(0);
    for (const { kit, forms } of out("anticoagulants"))
      expect([...kit, ...forms.flatMap((form) => form.kit)].some((kind) => kind === "edge" || kind === "roller")).toBe(true);
    expect(out("tapeReaction").map((movement) => movement.id)).toEqual(["thumb-support-tape"]);
  });
  it("very mobile joints: out of nothing, kept 10° short of the end", () => {
    expect(out("hypermobility")).toEqual([]);
    expect(participationOf([restriction("hypermobility")], [], [], NOON).shortOfEndDeg).toBe(10);
    expect(participationOf([restriction("hypermobility")], [clearance()], [], NOON).shortOfEndDeg).toBeNull();
  });
  it("a movement nobody knows is refused to whoever is out of anything", () => {
    expect(refusalOf(SHIPPED_LIBRARY, participationOf([restriction("tapeReaction")], [], [], NOON), "gone")).toBe("outOfItem");
    expect(refusalOf(SHIPPED_LIBRARY, FULL_PARTICIPATION, "gone")).toBeNull();
  });
  it("an empty scope means nothing", () => {
    expect(SHIPPED_LIBRARY.movements.filter((movement) => isMeant({}, movement))).toEqual([]);
  });
});

describe("caps", () => {
  const strengthen = SHIPPED_LIBRARY.movements.find((movement) => movement.phase === "strengthen" && movement.effortCap === 5)!;
  const region = strengthen.regions.worked[0]!;
  const elsewhere = REGIONS.find((each) => !strengthen.regions.worked.includes(each))!;
  const capWith = (change: Partial<Symptom>) => capFor(participationOf([], [], [symptom(change)], NOON), strengthen);
  it("strengthening where something is felt stays at 4", () => {
    expect(capFor(FULL_PARTICIPATION, strengthen)).toBe(5);
    expect(capWith({ region, level: 1 })).toBe(4);
    expect(capWith({ region, level: 0 })).toBe(5);
    expect(capWith({ region: elsewhere, level: 8 })).toBe(5);
  });
  it("nothing is ever raised by a symptom, and other phases keep their own", () => {
    const everywhere = participationOf(
      [],
      [],
      REGIONS.map((each) => symptom({ region: each, level: 9 })),
      NOON,
    );
    for (const movement of SHIPPED_LIBRARY.movements) {
      expect(capFor(everywhere, movement)).toBeLessThanOrEqual(movement.effortCap);
      if (movement.phase !== "strengthen") expect(capFor(everywhere, movement)).toBe(movement.effortCap);
    }
  });
});

describe("a session within what its people may do", () => {
  const item = (movementId: string, n: number) => ({
    ...newItem(SHIPPED_LIBRARY.get(movementId), DEFAULT_STYLE, id(n)),
    personal: {
      [id(50)]: { formId: SHIPPED_LIBRARY.find(movementId)!.forms[0]!.id },
      [id(51)]: { formId: SHIPPED_LIBRARY.find(movementId)!.forms[0]!.id },
    },
  });
  const session: Session = { id: id(100), name: "S", slot: "break", items: [item("fist-and-star", 101), item("median-glide", 102)] };
  const stopped = participationOf([restriction("chestPain")], [], [], NOON);
  const noGlides = participationOf([restriction("knownEntrapment")], [], [], NOON);
  it("somebody held out leaves out everything, somebody else just their items", () => {
    expect(itemsLeftOut(SHIPPED_LIBRARY, stopped, session)).toEqual([id(101), id(102)]);
    expect(itemsLeftOut(SHIPPED_LIBRARY, noGlides, session)).toEqual([id(102)]);
    expect(itemsLeftOut(SHIPPED_LIBRARY, FULL_PARTICIPATION, session)).toEqual([]);
  });
  it("has no own form for whoever leaves the item out", () => {
    const within = sessionWithin(
      SHIPPED_LIBRARY,
      session,
      new Map([
        [id(50), stopped],
        [id(51), noGlides],
      ]),
    );
    expect(within.items.map((each) => Object.keys(each.personal))).toEqual([[id(51)], []]);
    expect(sessionWithin(SHIPPED_LIBRARY, session, new Map())).toEqual(session);
  });
  it("lists only who may take part", () => {
    expect(
      notHeldOut(
        [{ id: id(50) }, { id: id(51) }, { id: id(52) }],
        new Map([
          [id(50), stopped],
          [id(51), noGlides],
        ]),
      ),
    ).toEqual([{ id: id(51) }, { id: id(52) }]);
  });
});

it("whatever restrictions and clearances there are, a stop restriction without a good clearance leaves nothing allowed", () => {
  const restrictions = fc.array(
    fc
      .record({ n: fc.integer({ min: 10, max: 13 }), question: fc.constantFrom(...QUESTION_IDS) })
      .map(({ n, question }) => restriction(question, { id: id(n) })),
    { minLength: 1, maxLength: 4 },
  );
  const clearances = fc.array(
    fc.record({
      n: fc.integer({ min: 10, max: 14 }),
      from: fc.integer({ min: 1, max: 20 }),
      length: fc.integer({ min: 0, max: 10 }),
      allows: fc.subarray([...PHASES], { minLength: 1 }),
    }),
    { maxLength: 5 },
  );
  const day = (n: number) => `2026-03-${String(n).padStart(2, "0")}`;
  fc.assert(
    fc.property(restrictions, clearances, (held, cleared) => {
      const list = cleared.map(({ n, from, length, allows }, i) =>
        clearance({ id: id(20 + i), restrictionId: id(n), allows, from: day(from), until: day(from + length) }),
      );
      const participation = participationOf(held, list, [], NOON);
      const uncovered = held.some(
        (each) =>
          consequenceOf(each.question).kind === "stop" && !list.some((one) => one.restrictionId === each.id && clearanceIsOn(one, NOON)),
      );
      expect(participation.heldOut).toBe(uncovered);
      if (uncovered) expect(refusedBy(participation)).toHaveLength(SHIPPED_LIBRARY.movements.length);
    }),
  );
});
