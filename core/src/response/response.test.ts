import * as v from "valibot";
import { SHIPPED_LIBRARY, DEFAULT_STYLE, easierForm, newItem } from "../library";
import type { Dose } from "../session";
import { FULL_PARTICIPATION } from "../safety";
import { sampleId } from "../session/sample";
import {
  CheckIn,
  isNoMore,
  oneAtATime,
  presentOf,
  respond,
  ResponseThresholds,
  USUAL_THRESHOLDS,
  type ItemFacts,
  type ItemRun,
  type Morning,
} from ".";

const stretch = SHIPPED_LIBRARY.get("palm-away");
const item = (movementId = "palm-away", change: object = {}) => ({
  ...newItem(SHIPPED_LIBRARY.get(movementId), DEFAULT_STYLE, sampleId()),
  ...change,
});
const day = (n: number) => `2026-03-${String(n).padStart(2, "0")}`;
const run = (n: number, change: Partial<ItemRun> = {}): ItemRun => ({
  day: day(n),
  status: "done",
  effort: 1,
  sessionCap: 3,
  marks: [],
  ...change,
});
const morning = (n: number, level: number, change: Partial<Morning> = {}): Morning => ({
  day: day(n),
  level,
  usualLevel: 1,
  regions: [],
  tingling: false,
  ...change,
});
const facts = (change: Partial<ItemFacts> = {}): ItemFacts => {
  const written = change.item ?? item();
  return {
    today: day(20),
    item: written,
    present: presentOf(SHIPPED_LIBRARY, written, "somebody"),
    since: day(2),
    eased: false,
    beforeRaise: null,
    putDown: null,
    overruled: null,
    runs: [],
    due: 0,
    done: 0,
    mornings: [],
    usualLevel: 1,
    startLevel: null,
    participation: FULL_PARTICIPATION,
    place: { settings: ["any", "table", "wall", "floor"], kit: [{ kind: "dumbbell", massKg: 1, count: 10 }] },
    ...change,
  };
};
const scaledDose = (dose: Dose, share: number): Dose => {
  const times = (count: number) => Math.max(1, Math.round(count * share));
  switch (dose.kind) {
    case "holds":
      return { ...dose, reps: times(dose.reps) };
    case "reps":
      return { ...dose, reps: times(dose.reps) };
    case "timed":
      return { ...dose, workSec: Math.max(5, Math.round(dose.workSec * share)) };
    case "steps":
      return { ...dose, slideReps: times(dose.slideReps) };
  }
};
const kindOf = (change: Partial<ItemFacts>) => respond(SHIPPED_LIBRARY, facts(change))?.kind;
const ruleOf = (change: Partial<ItemFacts>) => respond(SHIPPED_LIBRARY, facts(change))?.fired.map(({ rule }) => rule);
const three = (change: Partial<ItemRun> = {}) => [run(3, change), run(4, change), run(5, change)];

describe("nothing is decided", () => {
  it("for somebody held out, or out of the item, or for a movement nobody knows", () => {
    expect(respond(SHIPPED_LIBRARY, facts({ participation: { ...FULL_PARTICIPATION, heldOut: true } }))).toBeUndefined();
    expect(respond(SHIPPED_LIBRARY, facts({ participation: { ...FULL_PARTICIPATION, outOf: [{ phases: ["stretch"] }] } }))).toBeUndefined();
    expect(
      respond(SHIPPED_LIBRARY, facts({ participation: { ...FULL_PARTICIPATION, outOf: [{ movements: ["palm-away"] }] } })),
    ).toBeUndefined();
    expect(respond(SHIPPED_LIBRARY, facts({ item: { ...item(), movementId: "gone" } }))).toBeUndefined();
  });
});

describe("progress", () => {
  it.each([
    ["three clean runs", three(), [], "progress"],
    ["two", three().slice(1), [], "hold"],
    ["effort 1 below the cap of 3", three({ effort: 2 }), [], "progress"],
    ["effort at the cap", three({ effort: 3 }), [], "hold"],
    ["an effort not answered", [run(3), run(4, { effort: null }), run(5)], [], "hold"],
    ["one done in part", [run(3), run(4), run(5, { status: "part" })], [], "hold"],
    ["one marked", [run(3), run(4, { marks: ["tooMuch"] }), run(5)], [], "hold"],
    ["one marked, then three clean", [run(3, { marks: ["elsewhere"] }), run(4), run(5), run(6)], [], "progress"],
    ["a morning at the usual level", three(), [morning(5, 1)], "progress"],
    ["a morning one above it, on the third day", three(), [morning(5, 2)], "hold"],
  ] as const)("%s", (_, runs, mornings, kind) => expect(kindOf({ runs, mornings })).toBe(kind));

  it("does not look at mornings before the three runs", () => {
    expect(kindOf({ runs: [run(10), run(11), run(12)], mornings: [morning(3, 2), morning(12, 1)] })).toBe("progress");
  });
  it("raises one thing, and says which", () => {
    const { raised, next } = respond(SHIPPED_LIBRARY, facts({ runs: three() }))!;
    expect(raised).toBe("dose");
    expect(next!.formId).toBe(facts().present.formId);
    const lift = item("lift-palm-down", { formId: "load", loadKg: 1 });
    const top = respond(SHIPPED_LIBRARY, facts({ item: lift, runs: three() }))!;
    expect([top.raised, top.next!.loadKg]).toEqual(["dose", 1]);
  });
  it("at the top of a ladder it holds, and says why", () => {
    const ready = item("shake-out");
    expect(ruleOf({ item: ready, runs: three({ effort: 0 }) })).toEqual(["atTheTop"]);
  });
});

describe("mornings", () => {
  it.each([
    ["up by 2 on day 4: expected", { mornings: [morning(6, 3)] }, "hold", "settling"],
    ["up by 3 on day 4", { mornings: [morning(6, 4)] }, "ease", "morningRaised"],
    ["up by 1 once, on day 5", { mornings: [morning(6, 1), morning(7, 2)] }, "hold", "notYet"],
    ["up by 1 on days 4 and 5", { mornings: [morning(6, 2), morning(7, 2)] }, "ease", "morningRaised"],
    ["up by 3 once, on day 5", { mornings: [morning(6, 1), morning(7, 4)] }, "ease", "morningRaised"],
    ["not up on day 5", { mornings: [morning(7, 1)] }, "hold", "notYet"],
    ["up on day 5, settled on day 6", { mornings: [morning(7, 3), morning(8, 1)] }, "hold", "notYet"],
    ["raised once on the eased form", { eased: true, mornings: [morning(3, 2)] }, "hold", "settling"],
    ["raised again on the eased form", { eased: true, mornings: [morning(3, 2), morning(4, 2)] }, "pauseAndRefer", "morningRaised"],
    ["quiet on the eased form", { eased: true, mornings: [morning(3, 1)] }, "hold", "notYet"],
    ["felt somewhere the item does not touch", { mornings: [morning(7, 6, { regions: ["shoulderNeck"] })] }, "hold", "notYet"],
    ["felt where it does", { mornings: [morning(7, 6, { regions: [stretch.regions.stretched[0]!] })] }, "ease", "morningRaised"],
  ] as const)("%s", (_, change, kind, rule) => {
    expect([kindOf(change), ruleOf(change)]).toEqual([kind, [rule]]);
  });
});

describe("no better", () => {
  const stuck = {
    startLevel: 4,
    usualLevel: 4,
    since: day(2),
    today: day(9),
    due: 10,
    done: 7,
    mornings: [5, 6, 7].map((n) => morning(n, 4, { usualLevel: 4 })),
  };
  it.each([
    ["after 7 days with 70 % done", {}, "pauseAndRefer"],
    ["after 6 days", { today: day(8) }, "hold"],
    ["with 69 % done", { due: 100, done: 69 }, "hold"],
    ["better by a point", { mornings: [5, 6, 7].map((n) => morning(n, 3, { usualLevel: 4 })) }, "hold"],
    [
      "better by less than a point",
      { mornings: [morning(5, 4), morning(6, 3), morning(7, 3)].map((each) => ({ ...each, usualLevel: 4 })) },
      "pauseAndRefer",
    ],
    ["with two mornings answered", { mornings: [morning(6, 4), morning(7, 4)].map((each) => ({ ...each, usualLevel: 4 })) }, "hold"],
    ["when nothing was felt at the start", { startLevel: null }, "hold"],
    ["with nothing due", { due: 0, done: 0 }, "hold"],
  ] as const)("%s", (_, change, kind) => expect(kindOf({ ...stuck, ...change })).toBe(kind));
});

describe("what is usual is what was usual then", () => {
  it("somebody who went from 5 to 2 and was measured again at 2 has gained, and is not raised", () => {
    const mornings = [
      ...[3, 4, 5].map((n) => morning(n, 4, { usualLevel: 5 })),
      // Measured again on the 6th, at 2.
      ...[7, 8, 9].map((n) => morning(n, 2, { usualLevel: 2 })),
    ];
    expect(ruleOf({ startLevel: 5, usualLevel: 2, today: day(12), due: 10, done: 10, mornings })).toEqual(["notYet"]);
    expect(ruleOf({ startLevel: 5, usualLevel: 2, today: day(12), due: 10, done: 10, runs: three(), mornings })).toEqual(["readyForMore"]);
  });
  it("a bad week before a measuring is not judged by it", () => {
    const mornings = [3, 4, 5, 6].map((n) => morning(n, 3, { usualLevel: 3 }));
    expect(kindOf({ usualLevel: 1, mornings })).toBe("hold");
  });
});

describe("mornings that are raised again and again", () => {
  const every = (levels: readonly number[], from = 7) => levels.map((level, i) => morning(from + i, level));
  it.each([
    ["every second morning: three of five", { mornings: every([2, 1, 2, 1, 2]) }, "ease"],
    ["two of five", { mornings: every([2, 1, 1, 1, 2]) }, "hold"],
    ["three of six", { mornings: every([2, 1, 1, 2, 1, 2]) }, "hold"],
    ["three of five while it may settle", { mornings: every([2, 1, 2, 1, 2], 2) }, "hold"],
    ["one rise of 5, quiet since", { mornings: every([6, 1, 1]) }, "ease"],
    ["one rise of 4, quiet since", { mornings: every([5, 1, 1]) }, "hold"],
    ["one rise of 5, five quiet ones since", { mornings: every([6, 1, 1, 1, 1, 1]) }, "hold"],
    ["one rise of 5 on the eased form", { eased: true, mornings: every([6, 1]) }, "pauseAndRefer"],
  ] as const)("%s", (_, change, kind) => expect(kindOf(change)).toBe(kind));
});

describe("one session far over its cap", () => {
  it.each([
    ["3 above", { runs: [run(3), run(4, { effort: 6 })] }, "ease"],
    ["2 above", { runs: [run(3), run(4, { effort: 5 })] }, "hold"],
    ["3 above, two sessions ago", { runs: [run(3, { effort: 6 }), run(4), run(5)] }, "hold"],
    ["3 above, of an easier item beside harder ones", { runs: [run(4, { effort: 8, sessionCap: 5 })] }, "hold"],
  ] as const)("%s", (_, change, kind) => expect(kindOf(change)).toBe(kind));
});

describe("overruled", () => {
  const sore = { mornings: [morning(7, 6)] };
  it("rests until there is something new, with its evidence kept", () => {
    expect(kindOf(sore)).toBe("ease");
    expect(ruleOf({ ...sore, overruled: "ease" })).toEqual(["morningRaised", "overruled"]);
    expect(kindOf({ ...sore, overruled: "ease" })).toBe("hold");
    // Something more urgent than what was overruled is said all the same.
    expect(kindOf({ ...sore, eased: true, overruled: "ease" })).toBe("pauseAndRefer");
  });
});

describe("marks and effort", () => {
  it.each([
    ["tingling once", { runs: [run(3, { marks: ["tingling"] })] }, "ease", "tingling"],
    ["tingling in the morning", { mornings: [morning(3, 0, { tingling: true })] }, "ease", "tingling"],
    ["tingling that stayed after easing", { eased: true, runs: [run(3, { marks: ["tingling"] })] }, "pauseAndRefer", "tingling"],
    ["stopped early", { runs: [run(3, { marks: ["stopped"] })] }, "ease", "stoppedEarly"],
    ["stopped again after easing", { eased: true, runs: [run(3, { marks: ["stopped"] })] }, "pauseAndRefer", "stoppedEarly"],
    ["too much once in three runs", { runs: [run(3, { marks: ["tooMuch"] }), run(4), run(5)] }, "hold", "notYet"],
    ["too much twice in three", { runs: [run(3, { marks: ["tooMuch"] }), run(4), run(5, { marks: ["tooMuch"] })] }, "ease", "tooMuch"],
    [
      "too much twice in four",
      { runs: [run(3, { marks: ["tooMuch"] }), run(4), run(5), run(6, { marks: ["tooMuch"] })] },
      "hold",
      "notYet",
    ],
    ["over the cap of 3 once", { runs: [run(3), run(4, { effort: 4 })] }, "hold", "notYet"],
    ["over the cap twice in a row", { runs: [run(3, { effort: 4 }), run(4, { effort: 4 })] }, "ease", "tooMuch"],
    [
      "over its cap of 3 in a session with a cap of 5",
      { runs: [run(3, { effort: 4, sessionCap: 5 }), run(4, { effort: 4, sessionCap: 5 })] },
      "hold",
      "notYet",
    ],
    ["at the cap twice in a row", { runs: [run(3, { effort: 3 }), run(4, { effort: 3 })] }, "hold", "notYet"],
    ["felt elsewhere", { runs: [run(3, { marks: ["elsewhere"] })] }, "hold", "notYet"],
  ] as const)("%s", (_, change, kind, rule) => expect([kindOf(change), ruleOf(change)]).toEqual([kind, [rule]]));

  it("a symptom lowers the cap of strengthening to 4, so that progress needs 3", () => {
    const lift = item("lift-palm-down");
    const capped = { ...FULL_PARTICIPATION, cappedRegions: [SHIPPED_LIBRARY.get("lift-palm-down").regions.worked[0]!] };
    expect(kindOf({ item: lift, runs: three({ effort: 4, sessionCap: 5 }) })).toBe("progress");
    expect(kindOf({ item: lift, participation: capped, runs: three({ effort: 4, sessionCap: 4 }) })).toBe("hold");
    expect(kindOf({ item: lift, participation: capped, runs: three({ effort: 3, sessionCap: 4 }) })).toBe("progress");
  });
});

describe("easing", () => {
  const sore = { runs: [run(3, { marks: ["tingling" as const] })] };
  it("takes one rung of the ladder", () => {
    const high = item("palm-away", { formId: stretch.forms.at(-1)!.id });
    expect(respond(SHIPPED_LIBRARY, facts({ item: high, ...sore }))!.next!.formId).toBe(easierForm(stretch, high.formId)!.id);
  });
  it("puts a load down where the easier form has none", () => {
    const lift = item("lift-palm-up", { formId: "load", loadKg: 1 });
    expect(respond(SHIPPED_LIBRARY, facts({ item: lift, ...sore }))!.next!.loadKg).toBeNull();
  });
  it("after a raise that was too hard is the step back to what was well, before the form", () => {
    const written = item();
    const was = presentOf(SHIPPED_LIBRARY, written, "somebody");
    const more = { ...was, dose: { ...was.dose, reps: 12 } as typeof was.dose };
    expect(respond(SHIPPED_LIBRARY, facts({ item: written, present: more, beforeRaise: was, ...sore }))!.next).toEqual(was);
    expect(respond(SHIPPED_LIBRARY, facts({ item: written, present: was, beforeRaise: null, ...sore }))!.next!.formId).not.toBe(was.formId);
    const easiest = item("palm-away", { formId: stretch.forms[0]!.id });
    const low = presentOf(SHIPPED_LIBRARY, easiest, "somebody");
    expect(
      respond(
        SHIPPED_LIBRARY,
        facts({ item: easiest, present: { ...low, dose: { ...low.dose, reps: 12 } as typeof low.dose }, beforeRaise: low, ...sore }),
      ),
    ).toMatchObject({ kind: "ease", next: low });
  });
  it("keeps a dose of one's own: two holds of ten seconds do not become three of 25", () => {
    const written = item("palm-away", { dose: { kind: "holds", reps: 3, holdSec: 25, restSec: 10 } });
    const own = { kind: "holds" as const, reps: 2, holdSec: 10, restSec: 10 };
    const { next } = respond(
      SHIPPED_LIBRARY,
      facts({ item: written, present: { ...presentOf(SHIPPED_LIBRARY, written, "somebody"), dose: own }, ...sore }),
    )!;
    expect(next!.dose).toEqual(own);
  });
  it("never raises seconds under tension, hold or load: every movement, every form, written, lower and higher doses", () => {
    for (const movement of SHIPPED_LIBRARY.movements)
      for (const form of movement.forms)
        for (const share of [0.5, 1, 1.5]) {
          const written = item(movement.id, { formId: form.id, loadKg: movement.kit.length > 0 ? 1 : null });
          const present = presentOf(SHIPPED_LIBRARY, written, "somebody");
          const scaled = { ...present, dose: scaledDose(present.dose, share) };
          const { next } = respond(SHIPPED_LIBRARY, facts({ item: written, present: scaled, ...sore })) ?? { next: null };
          if (next) expect([movement.id, form.id, share, isNoMore(next, scaled)]).toEqual([movement.id, form.id, share, true]);
        }
  });
  it("a glide goes one step less", () => {
    const glide = item("median-glide", { formId: "steps-4" });
    expect(respond(SHIPPED_LIBRARY, facts({ item: glide, ...sore }))!.next).toMatchObject({ formId: "steps-3", dose: { stepsUsed: 3 } });
  });
  it("on the easiest form the dose is lowered, and with that lowered it pauses", () => {
    const low = item("palm-away", { formId: stretch.forms[0]!.id });
    const once = respond(SHIPPED_LIBRARY, facts({ item: low, ...sore }))!;
    expect([once.kind, once.next!.formId]).toEqual(["ease", low.formId]);
    expect(once.next!.dose).not.toEqual(low.dose);
    expect(kindOf({ item: low, present: once.next!, ...sore, eased: true })).toBe("pauseAndRefer");
  });
  it("a lowered dose comes back to the written one before anything else is raised", () => {
    const low = item("palm-away", { formId: stretch.forms[0]!.id });
    const lowered = respond(SHIPPED_LIBRARY, facts({ item: low, ...sore }))!.next!;
    expect(respond(SHIPPED_LIBRARY, facts({ item: low, present: lowered, runs: three() }))).toMatchObject({
      kind: "progress",
      raised: "dose",
      next: { formId: low.formId, dose: low.dose },
    });
  });
});

it("one item of a person is raised at a time: strengthening before stretching", () => {
  const answer = (movementId: string) => ({
    movementId,
    response: respond(SHIPPED_LIBRARY, facts({ item: item(movementId), runs: three() }))!,
  });
  const found = oneAtATime(SHIPPED_LIBRARY, [answer("palm-away"), answer("lift-palm-down"), answer("median-glide")]);
  expect(found.map(({ response }) => response.kind)).toEqual(["hold", "progress", "hold"]);
  expect(found[0]!.response.fired.at(-1)).toEqual({ rule: "oneAtATime" });
  expect(oneAtATime(SHIPPED_LIBRARY, [answer("palm-away")])[0]!.response.kind).toBe("progress");
});

it("a practice's own thresholds count", () => {
  const own = v.parse(ResponseThresholds, { progressRuns: 2, settlingRise: 1 });
  expect(respond(SHIPPED_LIBRARY, facts({ runs: three().slice(1) }), own)!.kind).toBe("progress");
  expect(respond(SHIPPED_LIBRARY, facts({ mornings: [morning(4, 3)] }), own)!.kind).toBe("ease");
  expect(v.safeParse(ResponseThresholds, { noGainPercent: 40 }).success).toBe(false);
  expect(USUAL_THRESHOLDS).toEqual({
    settlingDays: 4,
    settlingRise: 2,
    alarmMorning: 6,
    noGainDays: 7,
    noGainPercent: 70,
    progressRuns: 3,
    progressMargin: 1,
  });
});

it("same facts, same answer", () => {
  const given = facts({ runs: three({ effort: 2 }) });
  expect(respond(SHIPPED_LIBRARY, given)).toEqual(respond(SHIPPED_LIBRARY, given));
});

it("a check-in holds its ranges", () => {
  const ok = (change: object) =>
    v.safeParse(CheckIn, { id: sampleId(), day: "2026-03-26", level: 3, regions: [], tingling: false, ...change }).success;
  expect([{}, { level: 10 }, { level: 11 }, { level: 2.5 }, { regions: ["knee"] }, { day: "2026-02-30" }].map(ok)).toEqual([
    true,
    true,
    false,
    false,
    false,
    false,
  ]);
});
