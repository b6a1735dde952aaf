/** Rule 13, on both sides of each threshold. */
import * as v from "valibot";
import { sampleId, sampleSession } from "../session/sample";
import { SHIPPED_LIBRARY, DEFAULT_STYLE, newItem, REGIONS, type Region } from "../library";
import {
  AlertAnswer,
  ASKED_AT_ONCE,
  RESTRICTION_REASONS,
  restrictionsOfReport,
  isMeant,
  markAlarm,
  morningAlarm,
  participationOf,
  pauseScope,
  refusalOf,
  REPORT_KINDS,
  reportPauses,
  sessionWithout,
  symptomsAlarm,
  type Symptom,
  SymptomReport,
} from ".";

const report = (change: object = {}) => ({ kind: "sharpPain" as const, stillThere: null, freshInjury: null, ...change });

describe("what pauses", () => {
  it.each([
    ["sharpPain", null, true],
    ["tingling", true, true],
    ["tingling", null, true],
    ["tingling", false, false],
    ["numbness", false, true],
    ["weakness", false, true],
    ["swelling", null, true],
    ["other", null, false],
  ] as const)("%s, still there %s: %s", (kind, stillThere, pauses) => expect(reportPauses({ kind, stillThere })).toBe(pauses));

  it.each([
    ["6 above 5", { level: 6 }, 5, "morning"],
    ["6 that is usual", { level: 6 }, 6, null],
    ["5 above 0", { level: 5 }, 0, null],
    ["7 above 6", { level: 7 }, 6, "morning"],
    ["3 with tingling still there", { level: 3, tingling: true, stillThere: true }, 0, "tingling"],
    ["3 with tingling gone", { level: 3, tingling: true, stillThere: false }, 0, null],
    ["3 with tingling, not asked", { level: 3, tingling: true }, 0, null],
  ] as const)("a morning of %s", (_, change, usual, alarm) =>
    expect(morningAlarm({ tingling: false, stillThere: null, ...change }, usual)).toBe(alarm),
  );
  it("a practice may set the level lower", () => {
    expect([
      morningAlarm({ level: 4, tingling: false, stillThere: null }, 0, 4),
      morningAlarm({ level: 3, tingling: false, stillThere: null }, 0, 4),
    ]).toEqual(["morning", null]);
  });

  it.each([
    ["sharp pain", [["sharpPain", "a"]], "sharpPain"],
    ["tingling once", [["tingling", "a"]], null],
    [
      "tingling at two items",
      [
        ["tingling", "a"],
        ["tingling", "b"],
      ],
      null,
    ],
    [
      "tingling twice at one",
      [
        ["tingling", "a"],
        ["tooMuch", "a"],
        ["tingling", "a"],
      ],
      "tingling",
    ],
    [
      "too much three times",
      [
        ["tooMuch", "a"],
        ["tooMuch", "a"],
        ["tooMuch", "a"],
      ],
      null,
    ],
  ] as const)("marks: %s", (_, marks, alarm) => expect(markAlarm(marks.map(([kind, itemId]) => ({ kind, itemId })))).toBe(alarm));
});

describe("what holds out besides", () => {
  it.each([
    ["numbness that stays", { kind: "numbness", stillThere: true }, ["lastingNumbness"]],
    ["numbness that went", { kind: "numbness", stillThere: false }, []],
    ["weakness that stays", { kind: "weakness", stillThere: true }, ["growingWeakness"]],
    ["swelling of a fresh injury", { kind: "swelling", freshInjury: true }, ["freshInjury"]],
    ["swelling without one", { kind: "swelling", freshInjury: false }, []],
    [
      "numbness that stays since a fresh injury",
      { kind: "numbness", stillThere: true, freshInjury: true },
      ["freshInjury", "lastingNumbness"],
    ],
    ["tingling that stays", { kind: "tingling", stillThere: true }, []],
  ] as const)("%s", (_, change, restrictions) => expect(restrictionsOfReport(report(change))).toEqual(restrictions));

  it("one thing more is asked at once exactly where an answer of rule 2 can follow, and of tingling whether it stays", () => {
    for (const kind of REPORT_KINDS) {
      const leads = restrictionsOfReport({ kind, stillThere: true, freshInjury: ASKED_AT_ONCE[kind].includes("freshInjury") }).length > 0;
      expect([kind, ASKED_AT_ONCE[kind].length > 0]).toEqual([kind, leads || kind === "tingling"]);
    }
  });
});

describe("a pause", () => {
  const when = { instant: "2026-03-26T06:00:00Z", day: "2026-03-26" };
  const paused = (regions: (typeof REGIONS)[number][]) => participationOf([], [], [], when, [], [{ regions }]);

  it("without a place takes everything; with one, every movement that works, stretches, releases, loads or leans on it, and no other", () => {
    for (const movement of SHIPPED_LIBRARY.movements) expect(refusalOf(SHIPPED_LIBRARY, paused([]), movement.id)).toBe("heldOut");
    for (const region of REGIONS)
      for (const movement of SHIPPED_LIBRARY.movements) {
        const { worked, stretched, released } = movement.regions;
        const places = [...worked, ...stretched, ...released];
        const thumbAndPalm = ["thumbBase", "handIntrinsics"];
        const held = [...movement.kit, ...movement.forms.flatMap(({ kit }) => kit)].some((kind) =>
          ["dumbbell", "bottle", "hammer", "dowel", "bar", "plate"].includes(kind),
        );
        const touches =
          places.includes(region) ||
          (thumbAndPalm.includes(region) && places.some((place) => thumbAndPalm.includes(place))) ||
          ((movement.weightBearing || held) && region !== "shoulderNeck");
        expect([movement.id, region, refusalOf(SHIPPED_LIBRARY, paused([region]), movement.id) !== null]).toEqual([
          movement.id,
          region,
          touches,
        ]);
      }
  });
  it("is not lifted by a clearance of something else, and stands beside a restriction", () => {
    const restriction = { id: "h", personId: "p", question: "sharpPain" as const, since: "2026-03-01T00:00:00Z", withdrawnAt: null };
    expect(participationOf([restriction], [], [], when, [], [{ regions: ["thumbBase"] }])).toMatchObject({
      heldOut: true,
      outOf: [{ regions: expect.arrayContaining(["thumbBase"]) as string[] }],
    });
  });
  it("on a phone leaves out what it is about, and what the phone does not know", () => {
    const session = sampleSession(["palm-away", "shake-out"].map((id) => newItem(SHIPPED_LIBRARY.get(id), DEFAULT_STYLE, sampleId())));
    const unknown = { ...session, items: [...session.items, { ...session.items[0]!, id: sampleId(), movementId: "own-gone" }] };
    const scope = pauseScope([SHIPPED_LIBRARY.get("palm-away").regions.stretched[0]!])!;
    const left = sessionWithout(SHIPPED_LIBRARY, unknown, [scope]).items.map(({ movementId }) => movementId);
    expect(left).not.toContain("palm-away");
    expect(left).not.toContain("own-gone");
    expect(left.includes("shake-out")).toBe(!isMeant(scope, SHIPPED_LIBRARY.get("shake-out")));
    expect(sessionWithout(SHIPPED_LIBRARY, session, [])).toEqual(session);
  });
});

describe("the place that was named", () => {
  const isOut = (movementId: string, ...regions: Region[]) => isMeant(pauseScope(regions)!, SHIPPED_LIBRARY.get(movementId));
  it.each([
    ["what works it", "plate-hold", "thumbBase", true],
    ["a weight in the hand, whatever it works", "thumb-side-lift", "thumbBase", true],
    ["a lever in the hand", "loaded-palm-turn", "elbowOuter", true],
    ["muscles of the hand for the ball of the thumb", "squeeze", "thumbBase", true],
    ["nothing held, another place", "palm-away", "thumbBase", false],
    ["a weight, for the shoulder", "lift-palm-down", "shoulderNeck", false],
  ] as const)("%s", (_, movementId, region, out) => expect(isOut(movementId, region)).toBe(out));

  it("weight on the hands is out for every place but shoulder and neck", () => {
    const leaning = SHIPPED_LIBRARY.movements.find(
      ({ weightBearing, regions }) =>
        weightBearing && ![...regions.worked, ...regions.stretched, ...regions.released].includes("shoulderNeck"),
    )!;
    expect(REGIONS.filter((region) => !isOut(leaning.id, region))).toEqual(["shoulderNeck"]);
  });
});

it("every reason to hold somebody out means stop, or names its items; sharp pain and other mean stop", () => {
  for (const question of RESTRICTION_REASONS) {
    const participation = participationOf(
      [{ id: "h", personId: "p", question, since: "2026-03-01T00:00:00Z", withdrawnAt: null }],
      [],
      [],
      { instant: "2026-03-26T06:00:00Z", day: "2026-03-26" },
    );
    const limited = participation.heldOut || participation.outOf.length > 0 || participation.shortOfEndDeg !== null;
    expect([question, limited]).toEqual([question, true]);
    if (question === "sharpPain" || question === "other") expect(participation.heldOut).toBe(true);
  }
});

it.each([
  ["give back", { answer: "giveBack", reply: null }, true],
  ["refer without a reason", { answer: "refer", reply: null }, false],
  ["refer for sharp pain", { answer: "refer", reply: null, reason: "sharpPain" }, true],
  ["refer for something else without words", { answer: "refer", reply: null, reason: "other", words: " a " }, false],
  ["refer for something else", { answer: "refer", reply: null, reason: "other", words: "hit" }, true],
  ["something that is no answer", { answer: "ignore", reply: null }, false],
])("an answer: %s", (_, answer, good) => expect(v.is(AlertAnswer, answer)).toBe(good));

it("a report of an earlier phone, without place and questions, is still one", () => {
  const old = { id: sampleId(), at: "2026-03-26T06:00:00Z", kind: "tingling", movementId: null, words: null };
  expect(v.parse(SymptomReport, old)).toMatchObject({ regions: [], stillThere: null });
});

describe("places named on a phone before a round", () => {
  const felt = (kind: Symptom["kind"], change: Partial<Symptom> = {}) =>
    ({ kind, side: "right", region: "wristFlexors", constant: false, ...change }) as Symptom;
  it.each<[Symptom["kind"], boolean, string | null]>([
    ["ache", true, null],
    ["stiffness", true, null],
    ["tingling", false, null],
    ["tingling", true, "tingling"],
    ["sharpPain", false, "sharpPain"],
    ["numbness", false, "numbness"],
    ["weakness", false, "weakness"],
    ["swelling", false, "swelling"],
  ])("%s, there all the time %p: %p", (kind, constant, alarm) => {
    expect(symptomsAlarm([felt(kind, { constant })])?.kind ?? null).toBe(alarm);
  });
  it("pauses every place that alarms, by the kind to be looked at first; a side only where all are on it", () => {
    const both = [felt("swelling", { side: "left", region: "thumbBase" }), felt("sharpPain"), felt("ache", { region: "elbowOuter" })];
    expect(symptomsAlarm(both)).toEqual({ kind: "sharpPain", side: null, regions: ["thumbBase", "wristFlexors"] });
    expect(symptomsAlarm([felt("swelling"), felt("sharpPain")])?.side).toBe("right");
  });
});
