/** What a crew member's phone keeps: the last day it was told, and what still has to be sent, in order. */
import Dexie, { type Table } from "dexie";
import type { CheckIn } from "@kind-grip/core/response";
import type { SymptomReport } from "@kind-grip/core/safety";
import type { SelfCheck } from "@kind-grip/core/baseline";
import type { Arrival, OwnEffort, RunRecord } from "@kind-grip/core/run";
import type { MemberDay, MemberProgress } from "@kind-grip/core/api";
import type { CheckDraft } from "./check/check-draft";

export type Sending =
  | { kind: "runs"; body: RunRecord }
  | { kind: "check-ins"; body: CheckIn }
  | { kind: "symptom-reports"; body: SymptomReport }
  | { kind: "self-checks"; body: SelfCheck }
  | { kind: "arrivals"; body: Arrival }
  | { kind: "efforts"; body: OwnEffort };

export type Waiting = Sending & {
  seq?: number;
  /** The person who made it: it is sent as theirs or not at all. */
  owner: string;
  /** What the server said when it will not take it; stays until it is read. */
  refused?: string;
};

interface Kept {
  key: string;
  value: unknown;
}

class PhoneStore extends Dexie {
  declare kept: Table<Kept, string>;
  declare outbox: Table<Waiting, number>;

  constructor() {
    super("kind-grip-member");
    this.version(1).stores({ kept: "key", outbox: "++seq" });
    // What an earlier version of this page kept under another name still goes out.
    this.version(2)
      .stores({ kept: "key", outbox: "++seq" })
      .upgrade((transaction) =>
        transaction
          .table<{ kind: string; body: object }>("outbox")
          .toCollection()
          .modify((waiting) => {
            if (waiting.kind !== "tells") return;
            waiting.kind = "symptom-reports";
            waiting.body = { side: null, regions: [], stillThere: null, freshInjury: null, ...waiting.body };
          }),
      );
    // What waits belongs to whoever made it: until then that was whoever the phone's day is of.
    this.version(3)
      .stores({ kept: "key", outbox: "++seq" })
      .upgrade(async (transaction) => {
        const day = (await transaction.table<Kept, string>("kept").get("day"))?.value as MemberDay | undefined;
        await transaction
          .table<Partial<Waiting>>("outbox")
          .toCollection()
          .modify((waiting) => {
            waiting.owner ??= day?.person.id ?? "";
          });
      });
  }
}

export const phone = new PhoneStore();

interface KeptValues {
  day: MemberDay;
  /** When the day was fetched, real time of the phone, ms: carries the practice's clock on. */
  fetchedMs: number;
  progress: MemberProgress;
  /** Placements done here and not yet in the day. */
  done: string[];
  /** What was sent and may pause something, until a day that knows of it is here: sent is not yet in the day. */
  sent: Sending[];
  /** What was answered here and is not in the day yet: "check" and a round, "here" or "effort" and a placement or run. */
  answered: string[];
  /** A self-check as far as it is answered. */
  selfCheck: CheckDraft;
  /** The day that was checked in on here. */
  checkedIn: string;
}

export async function keep<Key extends keyof KeptValues>(key: Key, value: KeptValues[Key]): Promise<void> {
  await phone.kept.put({ key, value });
}

export async function kept<Key extends keyof KeptValues>(key: Key): Promise<KeptValues[Key] | undefined> {
  return (await phone.kept.get(key))?.value as KeptValues[Key] | undefined;
}

export async function forget(key: keyof KeptValues): Promise<void> {
  await phone.kept.delete(key);
}

/** What happened here that a day fetched before it does not know. */
export type NotInDay = Pick<KeptValues, "done" | "answered" | "sent">;

export async function notInDay(): Promise<NotInDay> {
  return { done: (await kept("done")) ?? [], answered: (await kept("answered")) ?? [], sent: (await kept("sent")) ?? [] };
}

/** A day has come: what had happened and was sent before it was asked for is in it; what happened since is not. */
export async function isInDay(before: NotInDay): Promise<void> {
  await phone.transaction("rw", phone.kept, async () => {
    const now = await notInDay();
    await keep("done", without(now.done, before.done));
    await keep("answered", without(now.answered, before.answered));
    const gone = new Set(before.sent.map(({ body }) => body.id));
    await keep(
      "sent",
      now.sent.filter(({ body }) => !gone.has(body.id)),
    );
  });
}

const without = (list: readonly string[], gone: readonly string[]) => list.filter((each) => !gone.includes(each));

/** It is with the server: it no longer waits, and what it pauses stays paused until the day says so itself. */
export async function wasSent(seq: number): Promise<void> {
  await phone.transaction("rw", phone.kept, phone.outbox, async () => {
    const waited = await phone.outbox.get(seq);
    if (!waited) return;
    const { seq: _, owner, refused: __, ...sending } = waited;
    await phone.outbox.delete(seq);
    if (owner === (await kept("day"))?.person.id) await keep("sent", [...((await kept("sent")) ?? []), sending]);
  });
}

/** What a sending answers, as the day asks it. */
function answeredBy(sending: Sending): string | null {
  switch (sending.kind) {
    case "self-checks":
      return `check ${sending.body.roundId}`;
    case "arrivals":
      return `here ${sending.body.placementId}`;
    case "efforts":
      return `effort ${sending.body.runId ?? sending.body.placementId}`;
    case "runs":
    case "check-ins":
    case "symptom-reports":
      return null;
  }
}

/** In the same write as what it changes on the page, so that one is never there without the other. */
export async function putAway(sending: Sending, placementId: string | null = null): Promise<void> {
  await phone.transaction("rw", phone.kept, phone.outbox, async () => {
    const owner = (await kept("day"))!.person.id;
    await phone.outbox.add({ ...sending, owner });
    if (sending.kind === "check-ins") await keep("checkedIn", sending.body.day);
    const answered = answeredBy(sending);
    if (answered) await keep("answered", [...((await kept("answered")) ?? []), answered]);
    if (placementId) await keep("done", [...((await kept("done")) ?? []), placementId]);
  });
}

/** The phone is somebody else's, or nobody's: what it showed goes. What was not sent yet waits for whoever made it. */
export async function forgetPerson(): Promise<void> {
  await phone.kept.clear();
}

/** Somebody has signed in: with the person the phone was of before, everything stays; with another, only what waits. */
export async function signedInAs(day: MemberDay): Promise<void> {
  await phone.transaction("rw", phone.kept, phone.outbox, async () => {
    const before = await kept("day");
    if (before && before.person.id !== day.person.id) await forgetPerson();
    await keep("day", day);
    await keep("fetchedMs", Date.now());
  });
}
