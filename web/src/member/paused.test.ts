import type { MemberAlert, MemberDay, MemberSession } from "@kind-grip/core/api";
import { SHIPPED_LIBRARY, DEFAULT_STYLE, newItem } from "@kind-grip/core/library";
import { QUESTION_IDS, type QuestionId, type SafetyAnswers, type Symptom } from "@kind-grip/core/safety";
import type { Session } from "@kind-grip/core/session";
import { v7 as uuid } from "uuid";
import { emptyMemberDay } from "../testing/member-day";
import { phoneDay } from "./paused";
import type { Sending } from "./phone-store";

const session: Session = {
  id: uuid(),
  name: "Break",
  slot: "break",
  items: ["palm-away", "shoulder-circles"].map((id) => newItem(SHIPPED_LIBRARY.get(id), DEFAULT_STYLE, uuid())),
};
const entry: MemberSession = { placementId: null, programId: uuid(), startsAt: null, totalSec: 240, session, done: false, ended: false };
const day = (change: Partial<MemberDay> = {}): MemberDay =>
  emptyMemberDay({ usualLevel: 1, anyTime: [entry], checkedIn: false, ...change });
const report = (change: object = {}): Sending => ({
  kind: "symptom-reports",
  body: {
    id: uuid(),
    at: "2026-03-26T06:01:00.000Z",
    kind: "sharpPain",
    movementId: null,
    words: null,
    side: null,
    regions: [],
    stillThere: null,
    freshInjury: null,
    ...change,
  },
});
const morning = (change: object = {}): Sending => ({
  kind: "check-ins",
  body: { id: uuid(), day: "2026-03-26", level: 2, regions: [], tingling: false, stillThere: null, ...change },
});
const left = (list: readonly MemberSession[]) => list.flatMap(({ session: { items } }) => items.map(({ movementId }) => movementId));
const place = SHIPPED_LIBRARY.get("palm-away").regions.stretched[0]!;

it("nothing waiting, nothing paused", () => {
  expect(phoneDay(SHIPPED_LIBRARY, day(), [], [])).toEqual({
    alerts: [],
    out: null,
    sessions: [],
    anyTime: [entry],
    home: [],
    shortOfEndDeg: null,
  });
});

it("pauses itself before the server knows: everything, or what touches the place", () => {
  expect(phoneDay(SHIPPED_LIBRARY, day(), [report()], [])).toMatchObject({
    out: "paused",
    anyTime: [],
    alerts: [{ kind: "sharpPain", pauses: true }],
  });
  const some = phoneDay(SHIPPED_LIBRARY, day(), [report({ regions: [place] })], []);
  expect([some.out, left(some.anyTime)]).toEqual([null, ["shoulder-circles"]]);
  expect(some.anyTime[0]!.totalSec).toBeLessThan(entry.totalSec);
});

it.each([
  ["a morning of 6", morning({ level: 6 }), "paused"],
  ["a morning of 5", morning({ level: 5 }), null],
  ["tingling that is still there", morning({ tingling: true, stillThere: true }), "paused"],
  ["something else told", report({ kind: "other" }), null],
  ["numbness that stays: a clinician first", report({ kind: "numbness", stillThere: true, freshInjury: false }), "clinician"],
])("%s", (_, waiting, out) => expect(phoneDay(SHIPPED_LIBRARY, day(), [waiting], []).out).toBe(out));

it("what the server has is not counted twice, and its word is the last", () => {
  const waiting = report();
  const known: MemberAlert = {
    id: uuid(),
    causeId: waiting.body.id,
    kind: "sharpPain",
    side: null,
    regions: [],
    at: "2026-03-26T06:01:00.000Z",
    pauses: false,
    answer: "giveBack",
    reply: "Go on",
    answeredAt: "2026-03-26T06:05:00.000Z",
  };
  const now = phoneDay(SHIPPED_LIBRARY, day({ alerts: [known] }), [waiting], []);
  expect([now.alerts, now.out, now.anyTime]).toEqual([[{ ...known, unsent: true }], null, [entry]]);
});

it("what was sent pauses on until a day knows of it, and is no longer said to wait", () => {
  const told = report();
  const alertOf = (waiting: Sending[], sent: Sending[]) => phoneDay(SHIPPED_LIBRARY, day(), waiting, sent);
  expect(alertOf([told], [])).toMatchObject({ out: "paused", anyTime: [], alerts: [{ unsent: true }] });
  expect(alertOf([], [told])).toMatchObject({ out: "paused", anyTime: [], alerts: [{ unsent: false }] });
  expect(alertOf([], [report({ kind: "numbness", stillThere: true, freshInjury: false })]).out).toBe("clinician");
});

it("held out by an answer is the clinician's; paused by oneself is not", () => {
  expect(phoneDay(SHIPPED_LIBRARY, day({ heldOut: true, clinicianFirst: true }), [], []).out).toBe("clinician");
  const own: MemberAlert = {
    id: uuid(),
    causeId: uuid(),
    kind: "sharpPain",
    side: null,
    regions: [],
    at: "",
    pauses: true,
    answer: null,
    reply: null,
    answeredAt: null,
  };
  expect(phoneDay(SHIPPED_LIBRARY, day({ heldOut: true, alerts: [own] }), [], []).out).toBe("paused");
});

describe("a self-check that waits to be sent", () => {
  const check = (yes: readonly QuestionId[], symptoms: Symptom[] = []): Sending => ({
    kind: "self-checks",
    body: {
      id: uuid(),
      roundId: uuid(),
      at: "2026-03-26T06:01:00.000Z",
      safety: Object.fromEntries(QUESTION_IDS.map((id) => [id, yes.includes(id)])) as SafetyAnswers,
      symptoms,
      handedness: null,
    },
  });
  const after = (sending: Sending) => phoneDay(SHIPPED_LIBRARY, day(), [sending], []);
  it("holds out of everything, of some items, or keeps short of the end, before the server knows", () => {
    expect(after(check(["growingWeakness"]))).toMatchObject({ out: "clinician", anyTime: [] });
    expect(after(check(["neckInjury"])).anyTime[0]!.session.items.map(({ movementId }) => movementId)).toEqual(["palm-away"]);
    expect(after(check(["hypermobility"]))).toMatchObject({ out: null, shortOfEndDeg: 10, anyTime: [entry] });
    expect(after(check([]))).toMatchObject({ out: null, shortOfEndDeg: null, anyTime: [entry] });
  });
  it("sharp pain pauses its place", () => {
    const pain: Symptom = {
      id: uuid(),
      side: "left",
      region: "shoulderNeck",
      kind: "sharpPain",
      level: 5,
      since: null,
      nights: "never",
      constant: false,
    };
    const { alerts, anyTime } = after(check([], [pain]));
    expect(alerts).toMatchObject([{ kind: "sharpPain", side: "left", pauses: true }]);
    expect(anyTime[0]!.session.items.map(({ movementId }) => movementId)).toEqual(["palm-away"]);
  });
});
