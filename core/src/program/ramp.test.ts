import fc from "fast-check";
import { addDays, daysBetween } from "../calendar";
import { DEFAULT_STYLE, easierForm, newItem, SHIPPED_LIBRARY, SHIPPED_MOVEMENTS } from "../library";
import { isNoMore, presentOf } from "../response";
import { compilePerson } from "../session";
import { sampleId, sampleSession } from "../session/sample";
import { rampAfter, rampOn, sessionOn, settlingDose, withRamps, type Presence, type RampStep } from ".";

const DAY = "2026-04-20";
const nothing: Presence = { today: DAY, returns: [], lastDay: null, excused: [], crewSince: "2026-01-05", endedOn: null };
/** Away so many days, back on the day. */
const back = (awayDays: number, backOn = DAY): Presence => ({
  ...nothing,
  returns: [{ day: backOn, before: addDays(backOn, -awayDays - 1) }],
  lastDay: backOn,
});

describe("how long away decides what is done less, and for how long", () => {
  it.each([
    [6, []],
    [7, [[3, "own", false]]],
    [20, [[3, "own", false]]],
    [
      21,
      [
        [7, "easier", true],
        [7, "own", false],
      ],
    ],
    [
      41,
      [
        [7, "easier", true],
        [7, "own", false],
      ],
    ],
    [
      42,
      [
        [7, "easiest", true],
        [7, "easier", true],
        [7, "own", false],
      ],
    ],
  ])("%i days", (days, steps) => {
    expect(rampAfter(days).map(({ days: length, form, loadWaits }) => [length, form, loadWaits])).toEqual(steps);
  });
});

describe("where somebody is on a day", () => {
  it.each([
    ["the day they are back", DAY, ["own", 3]],
    ["the last day of the ramp", "2026-04-22", ["own", 3]],
    ["the day after", "2026-04-23", null],
  ])("after ten days away: %s", (_, day, at) => {
    const ramp = rampOn({ ...back(10), today: day, lastDay: day }, day);
    expect(ramp && [ramp.form, ramp.days]).toEqual(at);
  });

  it.each([
    [6, "easiest", "2026-04-26"],
    [7, "easier", "2026-05-03"],
    [13, "easier", "2026-05-03"],
    [14, "own", "2026-05-10"],
    [20, "own", "2026-05-10"],
    [21, undefined, undefined],
  ])("after six weeks away, %i days on", (days, form, until) => {
    const day = addDays(DAY, days);
    const ramp = rampOn({ ...back(42), today: day, lastDay: day }, day);
    expect([ramp?.form, ramp?.until]).toEqual([form, until]);
    if (ramp) expect([ramp.awayDays, ramp.ends]).toEqual([42, "2026-05-10"]);
  });

  it("who has not come back yet begins today, not under a week", () => {
    expect(rampOn({ ...nothing, lastDay: "2026-04-13" }, DAY)).toBeNull();
    // Days that are still to come are no days away.
    expect(rampOn({ ...nothing, lastDay: DAY }, "2026-05-20")).toBeNull();
    expect(rampOn({ ...nothing, lastDay: "2026-04-12" }, DAY)).toMatchObject({ awayDays: 7, from: DAY, ends: "2026-04-22" });
  });

  it("somebody new begins like everybody's first week, once the crew has been at it for a week", () => {
    expect(rampOn(nothing, DAY)).toMatchObject({ awayDays: null, form: "own", loadWaits: true, from: DAY, ends: "2026-04-26" });
    const began = { ...nothing, returns: [{ day: DAY, before: null }], lastDay: DAY };
    expect(rampOn(began, "2026-04-26")).toMatchObject({ awayDays: null });
    expect(rampOn(began, "2026-04-27")).toBeNull();
    expect(rampOn({ ...began, crewSince: "2026-04-13" }, DAY)).not.toBeNull();
    expect(rampOn({ ...began, crewSince: "2026-04-14" }, DAY)).toBeNull();
    expect(rampOn({ ...nothing, crewSince: null }, DAY)).toBeNull();
  });

  it("where nothing is recorded, excused days tell", () => {
    const paper = { ...nothing, crewSince: null, excused: [{ from: "2026-04-06", until: "2026-04-19" }] };
    expect(rampOn(paper, "2026-04-19")).toBeNull();
    expect(rampOn(paper, DAY)).toMatchObject({ awayDays: 14, from: DAY, ends: "2026-04-22" });
    expect(rampOn(paper, "2026-04-23")).toBeNull();
    // Worked though excused: what was done counts.
    expect(rampOn({ ...paper, crewSince: "2026-01-05", lastDay: "2026-04-17" }, DAY)).toBeNull();
  });

  it("of two breaks the one that asks for more counts", () => {
    const returns = [
      { day: "2026-04-10", before: "2026-02-20" },
      { day: DAY, before: "2026-04-11" },
    ];
    expect(rampOn({ ...nothing, returns, lastDay: DAY }, DAY)).toMatchObject({ awayDays: 48, form: "easier" });
  });

  it("the trainer may end it: a break after that counts again", () => {
    expect(rampOn({ ...back(10), endedOn: DAY }, DAY)).toBeNull();
    expect(rampOn({ ...back(10), endedOn: addDays(DAY, -11) }, DAY)).not.toBeNull();
    const endedLater = { ...back(10), endedOn: addDays(DAY, 1) };
    expect([rampOn(endedLater, DAY), rampOn(endedLater, addDays(DAY, 1))]).toEqual([expect.anything(), null]);
  });

  it("ended while somebody is still away, only what they are away after that counts", () => {
    const away = { ...nothing, lastDay: "2026-03-01", endedOn: "2026-04-12" };
    expect(rampOn({ ...nothing, lastDay: "2026-03-01" }, DAY)).toMatchObject({ awayDays: 49 });
    expect(rampOn({ ...away, today: "2026-04-12" }, "2026-04-12")).toBeNull();
    expect(rampOn({ ...away, today: "2026-04-19" }, "2026-04-19")).toBeNull();
    expect(rampOn(away, DAY)).toMatchObject({ awayDays: 7, days: 3 });
    const came = { ...away, returns: [{ day: DAY, before: "2026-03-01" }], lastDay: DAY };
    expect(rampOn(came, DAY)).toMatchObject({ awayDays: 7, from: DAY });
    expect(rampOn({ ...nothing, endedOn: "2026-04-12" }, DAY)).toBeNull();
  });

  it("no ramp outlasts what it promises, none begins before the break is over", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 120 }), fc.integer({ min: -5, max: 40 }), (awayDays, days) => {
        const day = addDays(DAY, days);
        const presence = { ...back(awayDays), today: addDays(DAY, 50), lastDay: addDays(DAY, 50) };
        const length = rampAfter(awayDays).reduce((sum, step) => sum + step.days, 0);
        const ramp = rampOn(presence, day);
        expect(ramp !== null).toBe(days >= 0 && days < length);
        if (ramp) expect(daysBetween(ramp.from, ramp.until)).toBe(ramp.days - 1);
      }),
    );
  });
});

describe("a session with somebody on the way back", () => {
  const person = sampleId();
  const step = (form: RampStep["form"], loadWaits: boolean): RampStep => ({ days: 7, form, loadWaits });
  const ramped = (items: Parameters<typeof sampleSession>[0], ramp: RampStep) =>
    withRamps(SHIPPED_LIBRARY, sampleSession(items), new Map([[person, ramp]]));
  const lift = { ...newItem(SHIPPED_LIBRARY.get("lift-palm-down"), DEFAULT_STYLE, sampleId()), formId: "load", loadKg: 1 };

  it("three weeks away: an easier form, no load, the dose of a light week", () => {
    const [item] = ramped([lift], step("easier", true)).items;
    expect(item!.personal[person]).toMatchObject({ loadKg: null });
    expect(item!.personal[person]!.formId).not.toBe("load");
    expect(item!).toMatchObject({ formId: "load", loadKg: 1, dose: lift.dose });
  });

  it("ten days away: form and load stay, the dose is less", () => {
    const [item] = ramped([lift], step("own", false)).items;
    expect(item!.personal[person]).toMatchObject({ formId: "load", loadKg: 1, dose: settlingDose(lift.dose) });
  });

  it("begins from their own form, and gets ready like everybody", () => {
    const palm = {
      ...newItem(SHIPPED_LIBRARY.get("palm-away"), DEFAULT_STYLE, sampleId()),
      personal: { [person]: { formId: "elbow-straight" } },
    };
    const ready = newItem(SHIPPED_LIBRARY.get("shake-out"), DEFAULT_STYLE, sampleId());
    const [first, second] = ramped([ready, palm], step("easier", true)).items;
    expect(first).toBe(ready);
    expect(second!.personal[person]!.formId).toBe(easierForm(SHIPPED_LIBRARY.get("palm-away"), "elbow-straight")!.id);
    expect(ramped([palm], step("easiest", true)).items[0]!.personal[person]!.formId).toBe("elbow-90");
  });

  it("is not made lighter twice in a light week", () => {
    const hold = { kind: "holds" as const, reps: 4, holdSec: 20, restSec: 5 };
    const palm = { ...newItem(SHIPPED_LIBRARY.get("palm-away"), DEFAULT_STYLE, sampleId()), dose: hold };
    const block = { settlingFrom: "2026-04-20" };
    const [item] = sessionOn(SHIPPED_LIBRARY, block, sampleSession([palm]), DAY, new Map([[person, step("own", false)]])).items;
    expect(item!.personal[person]!.dose).toEqual(settlingDose(hold));
  });

  it("is never more than they do otherwise: seconds under tension, one bout, load; in any movement, form and step", () => {
    for (const movement of SHIPPED_MOVEMENTS)
      for (const form of movement.forms)
        for (const ramp of [step("own", false), step("easier", true), step("easiest", true)]) {
          const loaded = movement.load && form.kit.length + movement.kit.length > 0 ? 1 : null;
          const item = { ...newItem(movement, DEFAULT_STYLE, sampleId()), formId: form.id, loadKg: loaded };
          const now = presentOf(SHIPPED_LIBRARY, item, person);
          const session = ramped([item], ramp);
          expect([movement.id, form.id, isNoMore(presentOf(SHIPPED_LIBRARY, session.items[0]!, person), now)]).toEqual([
            movement.id,
            form.id,
            true,
          ]);
          expect(compilePerson(session, SHIPPED_LIBRARY.timings, person).totalSec).toBeGreaterThan(0);
        }
  });
});
