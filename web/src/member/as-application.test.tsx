/** The phone's page as an application: how it gets to the home screen, new versions that come calmly, code that is gone with a version. */
import "fake-indexeddb/auto";
import { screen, waitFor } from "@testing-library/react";
import { reloadForLostCode } from "../base/lost-code";
import { showPage, SIGNED_IN, TestServer } from "../testing/screen";
import { InstallHint } from "./InstallHint";
import { AWAY_MS, takeNewVersions } from "./new-version";

const usual = window.matchMedia;
const asApplication = (media: string) => ({ ...usual(media), matches: media.includes("standalone") });
const onA = (userAgent: string, more: Record<string, unknown> = {}) => {
  Object.defineProperty(navigator, "userAgent", { value: userAgent, configurable: true });
  for (const [name, value] of Object.entries({ isSecureContext: true, ...more }))
    Object.defineProperty(window, name, { value, configurable: true, writable: true });
};
const ANDROID = "Mozilla/5.0 (Linux; Android 15) Firefox/140";
const IPHONE = "Mozilla/5.0 (iPhone; CPU iPhone OS 18_0 like Mac OS X) Safari/604.1";
const hint = () => screen.queryByRole("region", { name: "Keep this page on your home screen" });
const show = () => {
  new TestServer({ ...SIGNED_IN });
  return showPage(<InstallHint />);
};

describe("the hint", () => {
  it.each([
    [IPHONE, /share sign/],
    [ANDROID, /menu of your browser/],
  ])("on %s says where it is", async (userAgent, text) => {
    onA(userAgent);
    show();
    expect(await screen.findByText(text)).toBeVisible();
  });
  it.each([
    ["Mozilla/5.0 (X11; Linux x86_64) Firefox/140", {}],
    [ANDROID, { isSecureContext: false }],
    [ANDROID, { matchMedia: asApplication }],
  ])("is not there at a desk, without https, or in the application (%s %j)", (userAgent, more) => {
    onA(userAgent, more);
    show();
    expect(hint()).toBeNull();
    onA(userAgent, { matchMedia: usual });
  });
  it("goes for good with one press", async () => {
    onA(IPHONE);
    const { user, unmount } = show();
    await user.click(await screen.findByRole("button", { name: "Not now" }));
    expect(hint()).toBeNull();
    unmount();
    show();
    expect(hint()).toBeNull();
  });
  it("where the browser offers it, one press asks the browser", async () => {
    onA("Mozilla/5.0 (X11; Linux x86_64) Chrome/140");
    const prompt = jest.fn(async () => undefined);
    const offered = Object.assign(new Event("beforeinstallprompt", { cancelable: true }), { prompt });
    window.dispatchEvent(offered);
    expect(offered.defaultPrevented).toBe(true);
    const { user } = show();
    await user.click(await screen.findByRole("button", { name: "Put it there" }));
    expect(prompt).toHaveBeenCalledTimes(1);
    await waitFor(() => expect(hint()).toBeNull());
  });
});

describe("a new version", () => {
  const open = (waiting: boolean, controlled = true) => {
    const worker = { postMessage: jest.fn() };
    const update = jest.fn(async () => undefined);
    const registration = { waiting: waiting ? worker : null, update };
    const container = Object.assign(new EventTarget(), { controller: controlled ? {} : null, getRegistration: async () => registration });
    const reload = jest.fn();
    const end = takeNewVersions(container as unknown as ServiceWorkerContainer, reload);
    return { worker, update, registration, container, reload, end };
  };
  const settled = () => new Promise((done) => setTimeout(done));
  const turn = async (state: "hidden" | "visible", now: number) => {
    jest.spyOn(Date, "now").mockReturnValue(now);
    jest.spyOn(document, "visibilityState", "get").mockReturnValue(state);
    document.dispatchEvent(new Event("visibilitychange"));
    await settled();
  };
  afterEach(() => jest.restoreAllMocks());

  it("that waits is taken as somebody comes to their day, and the page is loaded anew when it is in charge, once", async () => {
    const { worker, container, reload, end } = open(true);
    await settled();
    expect(worker.postMessage.mock.calls).toEqual([[{ type: "SKIP_WAITING" }]]);
    expect(reload).not.toHaveBeenCalled();
    container.dispatchEvent(new Event("controllerchange"));
    container.dispatchEvent(new Event("controllerchange"));
    expect(reload).toHaveBeenCalledTimes(1);
    end();
  });
  it("is not taken where none was before, where none waits, or once the page was left", async () => {
    const [first, none, left] = [open(true, false), open(false), open(true)];
    left.end();
    await settled();
    for (const { worker } of [first, none, left]) expect(worker.postMessage).not.toHaveBeenCalled();
    first.end();
    none.end();
  });
  it.each([
    [AWAY_MS - 1, 0],
    [AWAY_MS, 1],
  ])("is looked for by who comes back after %i ms: %i time", async (away, times) => {
    const { update, end } = open(false);
    await turn("hidden", 1000);
    await turn("visible", 1000 + away);
    expect(update).toHaveBeenCalledTimes(times);
    end();
    await turn("hidden", 1000);
    await turn("visible", 1000 + 2 * AWAY_MS);
    expect(update).toHaveBeenCalledTimes(times);
  });
});

it("code that is gone loads the page anew, once in a minute, and not while the server is away", async () => {
  const reload = jest.fn();
  let isThere = false;
  reloadForLostCode(reload, async () => isThere);
  const lose = async () => {
    window.dispatchEvent(new Event("vite:preloadError"));
    await new Promise((done) => setTimeout(done));
  };
  await lose();
  expect(reload).not.toHaveBeenCalled();
  isThere = true;
  await lose();
  await lose();
  expect(reload).toHaveBeenCalledTimes(1);
  jest.spyOn(Date, "now").mockReturnValue(Date.now() + 60_001);
  await lose();
  expect(reload).toHaveBeenCalledTimes(2);
});
