/** The phone's worker sends what waits with the page closed: in order, as theirs only, once, and again later where it could not. */
import "fake-indexeddb/auto";
import { emptyMemberDay } from "../testing/member-day";
import { sendInBackground, SENDING } from "./background";
import { kept, phone, signedInAs, type Waiting } from "./phone-store";
import { listenForConnection, type SyncWorker } from "./sync-worker";

const day = emptyMemberDay({ today: "2026-03-26" });
const checkIn = (id: string, owner = day.person.id): Waiting => ({
  kind: "check-ins",
  owner,
  body: { id, day: "2026-03-26", level: 1, regions: [], tingling: false, stillThere: null },
});
const answered = globalThis.fetch;
const sent: { id: string; headers: Record<string, string> }[] = [];
let answers: Record<string, Response> = {};
let me: () => Promise<Response>;
const json = (body: object, status = 200) => ({ ok: status < 300, status, json: async () => body }) as Response;

beforeEach(async () => {
  sent.splice(0);
  answers = {};
  me = async () => json({ csrfToken: "a token" });
  globalThis.fetch = jest.fn((address: string, { headers }: { headers?: Record<string, string> } = {}) => {
    if (address === "/api/me") return me();
    const id = address.split("/").at(-1)!;
    sent.push({ id, headers: headers! });
    return Promise.resolve(answers[id] ?? json({ id, stored: "new" }));
  }) as never;
  await phone.outbox.clear();
  await phone.kept.clear();
  await signedInAs(day);
});
afterAll(() => void (globalThis.fetch = answered));

type Listener = Parameters<SyncWorker["addEventListener"]>[1];
function wake(tag = SENDING): Promise<unknown> {
  let listener: Listener;
  let done: Promise<unknown> = Promise.resolve();
  listenForConnection({ addEventListener: (_, each) => void (listener = each) });
  listener!({ tag, waitUntil: (promise: Promise<unknown>) => void (done = promise) } as never);
  return done;
}
const waiting = async () => (await phone.outbox.toArray()).map(({ body, refused }) => [body.id, refused]);

it("sends in order, with a fresh token and whose it is; what is sent leaves", async () => {
  await phone.outbox.bulkAdd([checkIn("a"), checkIn("b")]);
  await wake();
  expect(sent.map(({ id }) => id)).toEqual(["a", "b"]);
  expect(sent[0]!.headers).toMatchObject({ "x-csrf-token": "a token", "x-owner": day.person.id });
  expect(await waiting()).toEqual([]);
  // The page opens with a day that does not know of them: what they pause stays paused.
  expect(await kept("sent")).toMatchObject([{ body: { id: "a" } }, { body: { id: "b" } }]);
});

it("what somebody else made waits for them", async () => {
  await phone.outbox.bulkAdd([checkIn("theirs", "somebody else"), checkIn("mine")]);
  await wake();
  expect(sent.map(({ id }) => id)).toEqual(["mine"]);
  expect(await waiting()).toEqual([["theirs", undefined]]);
});

it("what will never be taken stays with the reason, and holds nothing up", async () => {
  answers = { a: json({ code: "gone", message: "This crew has ended." }, 409) };
  await phone.outbox.bulkAdd([checkIn("a"), checkIn("b")]);
  await wake();
  expect(await waiting()).toEqual([["a", "This crew has ended."]]);
});

it.each([
  ["nobody is signed in", json({ code: "signedOut", message: "" }, 401)],
  ["the token ran out", json({ code: "csrf", message: "" }, 403)],
  ["the server is busy", json({}, 503)],
])("is asked again later where %s, and nothing overtakes", async (_, answer) => {
  answers = { a: answer };
  await phone.outbox.bulkAdd([checkIn("a"), checkIn("b")]);
  await expect(wake()).rejects.toThrow("something still waits");
  expect(await waiting()).toEqual([
    ["a", undefined],
    ["b", undefined],
  ]);
});

it("is asked again later where there is no connection after all, or no server", async () => {
  await phone.outbox.add(checkIn("a"));
  me = () => Promise.reject(new TypeError("no connection"));
  await expect(wake()).rejects.toThrow("no connection");
  me = async () => json({}, 503);
  await expect(wake()).rejects.toThrow("the server is busy");
  expect(await waiting()).toEqual([["a", undefined]]);
});

it("other wakings are not for it", async () => {
  await phone.outbox.add(checkIn("a"));
  await wake("something else");
  expect(sent).toEqual([]);
});

describe("the page asks for it", () => {
  const register = jest.fn();
  const inPlace = (sync?: object) =>
    Object.defineProperty(navigator, "serviceWorker", { configurable: true, value: { ready: Promise.resolve(sync ? { sync } : {}) } });
  afterEach(() => void delete (navigator as { serviceWorker?: unknown }).serviceWorker);

  it("where the browser can", async () => {
    inPlace({ register: register.mockResolvedValue(undefined) });
    await sendInBackground();
    expect(register).toHaveBeenCalledWith(SENDING);
  });
  it("and goes on without where it cannot, or may not", async () => {
    await sendInBackground();
    inPlace();
    await sendInBackground();
    inPlace({ register: register.mockRejectedValue(new Error("not allowed")) });
    await sendInBackground();
  });
});
