/** Reminders on the phone in one's hand: asked for where it can, said why where it cannot, taken back; what the worker does with them. */
import "fake-indexeddb/auto";
import { screen, waitFor } from "@testing-library/react";
import type { OwnContacts as Answer } from "@kind-grip/core/api";
import { sampleContact } from "../testing/contact";
import { refusal, showPage, SIGNED_IN, TestServer, type Answers } from "../testing/screen";
import { OwnContacts } from "./OwnContacts";
import { listenForMessages } from "./push-worker";

const ADDRESS = { endpoint: "https://push.example/1", keys: { p256dh: "p", auth: "a" } };
const given = sampleContact({ way: "push", address: "Chrome, Android" });
const here: Answer = { contacts: [], ways: ["push"], pushKey: "server-key" };

/** A browser as far as messages go. */
function browser({ secure = true, push = true, permission = "granted" as NotificationPermission, subscribed = jest.fn() } = {}) {
  const old = { unsubscribe: jest.fn(async () => true) };
  const pushManager = { getSubscription: jest.fn(async () => old), subscribe: subscribed };
  const stubs: Record<string, unknown> = {
    isSecureContext: secure,
    Notification: push ? { permission: "default", requestPermission: jest.fn(async () => permission) } : undefined,
    PushManager: push ? {} : undefined,
  };
  for (const [name, value] of Object.entries(stubs)) {
    if (value === undefined) Reflect.deleteProperty(window, name);
    else Object.defineProperty(window, name, { value, configurable: true, writable: true });
  }
  const serviceWorker = { getRegistration: async () => ({ active: {}, pushManager }) };
  Object.defineProperty(navigator, "serviceWorker", { value: serviceWorker, configurable: true });
  Object.defineProperty(navigator, "userAgent", { value: "Chrome/140 (Linux; Android 15; Mobile)", configurable: true });
  return { old, pushManager };
}
const show = (answers: Answers = {}, answer = here) => {
  const server = new TestServer({ ...SIGNED_IN, "GET /member/contacts": answer, ...answers });
  return { server, ...showPage(<OwnContacts timeZone="UTC" />) };
};
const agree = () => screen.findByRole("button", { name: "Yes, on this phone" });

it("signs the phone up with the server's key, in place of what it had, and says which phone it is", async () => {
  const { old, pushManager } = browser({ subscribed: jest.fn(async () => ({ toJSON: () => ADDRESS })) });
  const { server, user } = show({ "PUT /member/contacts": { ...here, contacts: [given] } });
  await user.click(await agree());
  await waitFor(() => expect(server.calls("PUT")[0]?.body).toEqual({ way: "push", device: "Chrome, Android", address: ADDRESS }));
  expect(old.unsubscribe).toHaveBeenCalledTimes(1);
  expect(pushManager.subscribe).toHaveBeenCalledWith({ userVisibleOnly: true, applicationServerKey: "server-key" });
  await waitFor(() => expect(screen.getByRole("heading", { name: "How reminders reach you" })).toHaveFocus());
});

it.each([
  [{ secure: false }, /secure address/],
  [{ push: false }, /home screen/],
])("a browser that cannot (%j) says what to do instead of asking", async (can, text) => {
  browser(can);
  show();
  expect(await screen.findByText(text)).toBeVisible();
  expect(screen.queryByRole("button")).toBeNull();
});

it("a no is taken: nothing is sent, and how to change one's mind is said", async () => {
  browser({ permission: "denied" });
  const { server, user } = show();
  const button = await agree();
  Object.assign(Notification, { permission: "denied" });
  await user.click(button);
  expect(await screen.findByText(/does not allow it/)).toBeVisible();
  expect(server.calls("PUT")).toEqual([]);
});

it("a phone that cannot be signed up says so and can be tried again; so does a server that is away", async () => {
  const subscribed = jest
    .fn<Promise<object>, []>()
    .mockRejectedValueOnce(new Error("no service"))
    .mockResolvedValue({ toJSON: () => ADDRESS });
  browser({ subscribed });
  const { user } = show({ "PUT /member/contacts": refusal(503, "databaseAway", "away") });
  await user.click(await agree());
  expect(await screen.findByRole("alert")).toHaveTextContent(/could not be signed up/);
  await user.click(await agree());
  expect(await screen.findByText(/server cannot be reached/)).toBeVisible();
  expect(screen.getAllByRole("alert")).toHaveLength(1);
});

it("taken back, the phone forgets it as well; not when the server did not hear of it", async () => {
  const { old } = browser();
  const address = `DELETE /member/contacts/${given.id}`;
  const { server, user } = show({ [address]: refusal(503, "databaseAway", "away") }, { ...here, contacts: [given] });
  expect(await screen.findByText("Chrome, Android")).toBeVisible();
  const back = screen.getByRole("button", { name: "Take it back: On your phone" });
  await user.click(back);
  expect(await screen.findByRole("alert")).toBeVisible();
  expect(old.unsubscribe).not.toHaveBeenCalled();
  server.answers = { ...server.answers, [address]: here };
  await user.click(back);
  await waitFor(() => expect(old.unsubscribe).toHaveBeenCalledTimes(1));
});

describe("the phone's worker", () => {
  const listeners: Record<string, (event: object) => void> = {};
  const showNotification = jest.fn(async () => undefined);
  const openWindow = jest.fn(async () => undefined);
  let pages: { url: string; focus: jest.Mock }[] = [];
  beforeAll(() => {
    listenForMessages({
      registration: { showNotification },
      clients: { matchAll: async () => pages, openWindow },
      addEventListener: (type: string, listener: unknown) => void (listeners[type] = listener as (event: object) => void),
    });
  });
  const done = async (type: string, event: object) => {
    const waited: Promise<unknown>[] = [];
    listeners[type]!({ ...event, waitUntil: (promise: Promise<unknown>) => waited.push(promise) });
    await Promise.all(waited);
  };
  it("shows a message under its id, so that one sent twice is seen once", async () => {
    await done("push", { data: { json: () => ({ id: "1", text: "Ridge break at 12:15, Yard." }) } });
    expect(showNotification).toHaveBeenCalledWith("Kind Grip", expect.objectContaining({ body: "Ridge break at 12:15, Yard.", tag: "1" }));
    await done("push", { data: null });
    expect(showNotification).toHaveBeenCalledTimes(1);
  });
  it("pressed, it goes to the page that is open, or opens it", async () => {
    const close = jest.fn();
    const mine = { url: "https://hands.example/me/progress", focus: jest.fn(async () => undefined) };
    pages = [{ url: "https://hands.example/today", focus: jest.fn() }, mine];
    await done("notificationclick", { notification: { close } });
    expect([close.mock.calls.length, mine.focus.mock.calls.length, openWindow.mock.calls.length]).toEqual([1, 1, 0]);
    pages = [];
    await done("notificationclick", { notification: { close } });
    expect(openWindow).toHaveBeenCalledWith("/me");
  });
});
