/** One-time addresses as a page: the first day, an invitation, a new password; and the way back. */
import { screen, waitFor, within } from "@testing-library/react";
import { refusal, showPage, SIGNED_IN, TestServer } from "../testing/screen";
import ForgottenPage from "./ForgottenPage";
import LinkPage from "./LinkPage";

const TOKEN = "t".repeat(32);
const NOBODY = { "GET /me": { csrfToken: "token", account: null } };
const link = (change: object) => ({
  kind: "invitation",
  practice: "Fern Works",
  role: "lead",
  name: "Ada Quill",
  email: "ada@test.example",
  by: "Maren",
  until: "2026-04-09T09:00:00Z",
  ...change,
});
const open = (answers: object) => {
  const server = new TestServer({ ...NOBODY, ...answers });
  return { server, ...showPage(<LinkPage />, { at: `/link#${TOKEN}`, path: "/link", knowsMe: false }) };
};
const sent = (server: TestServer) => server.calls("POST").at(-1)!;

it("an invitation says who invites to what, and takes a name and a password", async () => {
  const { server, user } = open({ "POST /link": link({}), "POST /link/use": SIGNED_IN["GET /me"] });
  expect(await screen.findByRole("heading", { name: "Welcome to Fern Works" })).toBeVisible();
  expect(server.calls("POST")[0]!.body).toEqual({ token: TOKEN });
  expect(screen.getByText("Maren invites you to work here as a crew lead. You sign in as ada@test.example.")).toBeVisible();
  const password = screen.getByLabelText(/A password/);
  await user.type(password, "copper kettle");
  await user.click(screen.getByRole("button", { name: "Show the password" }));
  expect(password).toHaveAttribute("type", "text");
  await user.click(screen.getByRole("button", { name: "Accept and sign in" }));
  expect(await screen.findByText("at /today")).toBeVisible();
  expect(sent(server).body).toEqual({ kind: "invitation", token: TOKEN, name: "Ada Quill", password: "copper kettle" });
});

it("a password that is guessed too soon says so at its field, and stays typed", async () => {
  const fields = [{ path: "password", message: "would be guessed too soon" }];
  const { user } = open({ "POST /link": link({}), "POST /link/use": refusal(400, "invalid", "Look again.", { fields }) });
  await user.type(await screen.findByLabelText(/A password/), "password123{Enter}");
  expect(await screen.findByText("would be guessed too soon")).toBeVisible();
  expect(screen.getByLabelText(/A password/)).toHaveValue("password123");
});

it("one that was used says so, and leads to the sign-in", async () => {
  open({ "POST /link": refusal(410, "usedUp", "This address was used, taken back or is too old. Ask for a new one.") });
  expect(await screen.findByRole("heading", { name: "This address is not good any more" })).toBeVisible();
  expect(screen.getByRole("link", { name: "To the sign-in" })).toHaveAttribute("href", "/sign-in");
});

it("a new password leads in, or to the sign-in where a second step is asked for", async () => {
  const { user } = open({ "POST /link": link({ kind: "password" }), "POST /link/use": NOBODY["GET /me"] });
  await user.type(await screen.findByLabelText(/New password/), "copper kettle walking{Enter}");
  expect(await screen.findByText("at /sign-in")).toBeVisible();
});

it("the first day asks for the practice, oneself, place, language and units, and begins", async () => {
  const { server, user } = open({
    "POST /link": link({ kind: "first", practice: "", name: "", email: "", by: "", role: "trainer" }),
    "POST /link/use": SIGNED_IN["GET /me"],
  });
  await user.type(await screen.findByLabelText(/Name of the practice/), "Quarry Lane Hands");
  await user.type(screen.getByLabelText(/Your name/), "Ines");
  await user.type(screen.getByLabelText(/Your e-mail address/), "ines@test.example");
  await user.type(screen.getByLabelText(/A password/), "copper kettle walking");
  await user.type(screen.getByLabelText(/Where your crews work/), "Quarry Lane");
  await user.click(within(screen.getByRole("radiogroup", { name: "What crews read and hear" })).getByRole("radio", { name: "Polski" }));
  await user.click(screen.getByRole("radio", { name: "pounds" }));
  await user.click(screen.getByRole("button", { name: "Begin" }));
  await waitFor(() =>
    expect(sent(server).body).toMatchObject({
      kind: "first",
      token: TOKEN,
      practice: "Quarry Lane Hands",
      name: "Ines",
      email: "ines@test.example",
      place: "Quarry Lane",
      language: "pl",
      measures: { mass: "lb" },
    }),
  );
  expect(await screen.findByText("at /today")).toBeVisible();
});

describe("the way back", () => {
  const forgotten = (answers: object) => {
    const server = new TestServer({ ...NOBODY, ...answers });
    return { server, ...showPage(<ForgottenPage />, { knowsMe: false }) };
  };
  it("is sent, and the answer tells nobody whether there is such an address", async () => {
    const { server, user } = forgotten({ "GET /forgotten": { byMail: true }, "POST /forgotten": null });
    await user.type(await screen.findByLabelText("E-mail"), "ada@test.example{Enter}");
    expect(await screen.findByText(/^If ada@test.example has a sign-in here/)).toBeVisible();
    expect(sent(server).body).toEqual({ email: "ada@test.example" });
  });
  it("without e-mail says who can help, and how", async () => {
    forgotten({ "GET /forgotten": { byMail: false } });
    expect(await screen.findByText(/This server sends no e-mail/)).toHaveTextContent("bin/admin password your e-mail address");
  });
});
