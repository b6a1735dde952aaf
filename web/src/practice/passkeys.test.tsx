/** Passkeys in the interface: made with the password, taken out, signed in with; and what the practice asks of everybody. */
import { screen, waitFor, within } from "@testing-library/react";
import type { Passkey, TrailState } from "@kind-grip/core/api";
import SecondStepGate from "../auth/SecondStepGate";
import SignInPage from "../auth/SignInPage";
import { sampleId } from "../testing/sample";
import { refusal, showPage, SIGNED_IN, TestServer, type Answers } from "../testing/screen";
import { PasskeyList } from "./PasskeyList";
import { SignInRules } from "./SignInRules";

/** What the browser does when it is asked. */
const browser = { make: jest.fn(), use: jest.fn() };
jest.mock("@simplewebauthn/browser", () => ({
  startRegistration: (asked: unknown) => browser.make(asked) as unknown,
  startAuthentication: (asked: unknown) => browser.use(asked) as unknown,
}));
const QUESTION = { challenge: "abc" };
const ANSWER = { id: "key", rawId: "key", type: "public-key", response: { clientDataJSON: "e30" }, clientExtensionResults: {} };
const said = (name: string, code?: string) => Object.assign(new Error("as browsers say"), { name, code });

beforeEach(() => {
  Object.assign(window, { PublicKeyCredential: class {}, isSecureContext: true });
  browser.make.mockReset().mockResolvedValue(ANSWER);
  browser.use.mockReset().mockResolvedValue(ANSWER);
});
const passkey = (name: string, usedAt: string | null = null): Passkey => ({
  id: sampleId(),
  name,
  addedAt: "2026-03-01T08:00:00.000Z",
  usedAt,
});

describe("one's passkeys", () => {
  const open = (list: Passkey[], answers: Answers = {}) => {
    let now = list;
    const server = new TestServer({
      ...SIGNED_IN,
      "GET /me/passkeys": () => now,
      "POST /me/passkeys/question": QUESTION,
      "POST /me/passkeys": () => (now = [...now, passkey("Tablet")]),
      ...answers,
    });
    return { server, ...showPage(<PasskeyList />), set: (next: Passkey[]) => (now = next) };
  };
  const fill = async ({ user }: ReturnType<typeof open>, password = "my password") => {
    await user.click(await screen.findByRole("button", { name: "Add a passkey" }));
    const name = screen.getByRole("textbox", { name: "What you call this device" });
    await user.clear(name);
    await user.type(name, "Tablet");
    await user.type(screen.getByLabelText("Your password"), `${password}{Enter}`);
  };
  it("are made with a name and the password, and listed", async () => {
    const shown = open([]);
    await fill(shown);
    expect(await screen.findByText(/added 1 Mar 2026, not used yet/)).toBeInTheDocument();
    expect(shown.server.calls("POST").map(({ body }) => body)).toEqual([{ password: "my password" }, { name: "Tablet", answer: ANSWER }]);
    expect(browser.make).toHaveBeenCalledWith({ optionsJSON: QUESTION });
    expect(screen.queryByLabelText("Your password")).toBeNull();
  });
  it("are not asked of the browser with a wrong password", async () => {
    const wrong = refusal(400, "invalid", "Look again.", { fields: [{ path: "password", message: "is not your password" }] });
    await fill(open([], { "POST /me/passkeys/question": wrong }));
    expect(await screen.findByText("is not your password")).toBeInTheDocument();
    expect(browser.make).not.toHaveBeenCalled();
  });
  it.each([
    ["NotAllowedError", undefined, "No passkey was made. Try again when you like."],
    ["InvalidStateError", "ERROR_AUTHENTICATOR_PREVIOUSLY_REGISTERED", "This device has a passkey for you already."],
    ["SecurityError", undefined, /This browser could not use a passkey here/],
  ])("say why the browser made none (%s), and keep what was typed", async (name, code, text) => {
    browser.make.mockRejectedValue(said(name, code));
    const shown = open([]);
    await fill(shown);
    expect(await screen.findByText(text)).toBeInTheDocument();
    expect(screen.getByRole("textbox", { name: "What you call this device" })).toHaveValue("Tablet");
    expect(shown.server.calls("POST")).toHaveLength(1);
  });
  it("are taken out", async () => {
    const old = passkey("Old phone", "2026-03-20T08:00:00.000Z");
    const shown = open([old], { [`DELETE /me/passkeys/${old.id}`]: () => (shown.set([]), []) });
    expect(await screen.findByText(/last used 20 Mar 2026/)).toBeInTheDocument();
    await shown.user.click(screen.getByRole("button", { name: "Take out the passkey Old phone" }));
    await waitFor(() => expect(screen.queryByText("Old phone")).toBeNull());
  });
  it("are not offered where a browser has none", async () => {
    Object.assign(window, { isSecureContext: false });
    open([]);
    expect(await screen.findByText(/they need an address with a name over HTTPS/)).toBeInTheDocument();
    expect(screen.queryByRole("button", { name: "Add a passkey" })).toBeNull();
  });
});

describe("signing in with one", () => {
  const open = (answers: Answers = {}) => {
    const server = new TestServer({
      "GET /me": { csrfToken: "token", account: null },
      "POST /sign-in/passkey/question": QUESTION,
      ...answers,
    });
    return { server, ...showPage(<SignInPage />, { at: "/sign-in", knowsMe: false }) };
  };
  const press = async ({ user }: ReturnType<typeof open>) =>
    user.click(await screen.findByRole("button", { name: "Sign in with a passkey" }));
  it("needs nothing typed", async () => {
    let inside = false;
    const shown = open({
      "GET /me": () => (inside ? SIGNED_IN["GET /me"] : { csrfToken: "token", account: null }),
      "POST /sign-in/passkey": () => ((inside = true), SIGNED_IN["GET /me"]),
    });
    await press(shown);
    await waitFor(() => expect(shown.router.state.location.pathname).toBe("/today"));
    expect(shown.server.calls("POST").at(-1)!.body).toEqual({ answer: ANSWER });
  });
  it("that the person gave up says nothing and sends nothing", async () => {
    browser.use.mockRejectedValue(said("NotAllowedError"));
    const shown = open();
    await press(shown);
    await waitFor(() => expect(browser.use).toHaveBeenCalled());
    expect(shown.server.calls("POST")).toHaveLength(1);
    expect(screen.queryByRole("alert")).toBeNull();
  });
  it("that is not known any more says so", async () => {
    await press(open({ "POST /sign-in/passkey": refusal(401, "wrongPasskey", "This passkey is not known here any more.") }));
    expect(await screen.findByText("This passkey is not known here any more.")).toBeInTheDocument();
  });
});

describe("what the practice asks", () => {
  const seals: TrailState = { segments: 3, sealed: 40, open: 2, lastHash: "ab12", broken: null };
  const entry = (what: string) => ({
    id: sampleId(),
    personId: null,
    act: "did",
    subject: "signIn",
    what,
    at: "2026-03-26T08:00:00.000Z",
    lastAt: "2026-03-26T08:00:00.000Z",
    times: 1,
    by: "Maren",
  });
  const open = (answers: Answers = {}) => {
    const server = new TestServer({
      ...SIGNED_IN,
      "GET /practice/sign-in-rule": { asksSecondStep: false },
      "GET /practice/trail": { total: 0, pageSize: 60, entries: [] },
      "GET /practice/trail/seals": seals,
      ...answers,
    });
    return { server, ...showPage(<SignInRules />) };
  };
  it("is changed with a press, and refused to whoever has no second step", async () => {
    const { user } = open({ "PUT /practice/sign-in-rule": refusal(409, "firstYourself", "Turn on a second step yourself first.") });
    const ask = await screen.findByRole("button", { name: /^Ask every trainer/ });
    await user.click(ask);
    expect(await screen.findByRole("alert")).toHaveTextContent("Turn on a second step yourself first.");
    expect(ask).toHaveAttribute("aria-pressed", "false");
  });
  it("shows the last sign-ins, all of them when wanted", async () => {
    const entries = Array.from({ length: 12 }, (_, i) => entry(`act ${i}`));
    const { user } = open({ "GET /practice/trail": { total: 12, pageSize: 60, entries } });
    const list = within(await screen.findByRole("list", { name: "Who signed in" }));
    expect(list.getAllByRole("listitem")).toHaveLength(8);
    await user.click(screen.getByRole("button", { name: "Show all 12" }));
    expect(list.getAllByRole("listitem")).toHaveLength(12);
  });
  it("says whether the seals hold", async () => {
    const first = open();
    expect(await screen.findByText(/as it was written: 40 entries in 3 seals, 2 not sealed yet/)).toBeInTheDocument();
    first.unmount();
    open({ "GET /practice/trail/seals": { ...seals, broken: 2 } });
    expect(await screen.findByText("The trail was changed: seal 2 of 3 does not hold any more.")).toBeInTheDocument();
  });
});

describe("in the way of everything else", () => {
  const open = (passkeys: Passkey[]) => {
    const server = new TestServer({ ...SIGNED_IN, "GET /me/passkeys": passkeys, "GET /me/second-factor": { since: null, codesLeft: 0 } });
    return { server, ...showPage(<SecondStepGate practice="Fern practice" />) };
  };
  it("nobody goes on before there is one", async () => {
    open([]);
    expect(await screen.findByRole("button", { name: "Add a passkey" })).toBeInTheDocument();
    expect(screen.getByText(/Fern practice keeps health answers/)).toBeInTheDocument();
    expect(screen.getByRole("button", { name: "Go on" })).toBeDisabled();
  });
  it("with one, it is asked anew who is signed in", async () => {
    const { server, user } = open([passkey("Tablet")]);
    await screen.findByText("Tablet");
    const before = server.calls("GET /me").length;
    await user.click(screen.getByRole("button", { name: "Go on" }));
    await waitFor(() => expect(server.calls("GET /me").length).toBeGreaterThanOrEqual(before));
    expect(screen.getByRole("button", { name: "Go on" })).toBeEnabled();
  });
});
