/** Staff: given a crew, taken it back, ended; invited, with an address that is shown once; one's own name and password. */
import { screen, waitFor, within } from "@testing-library/react";
import { refusal, showPage, SIGNED_IN, TestServer } from "../testing/screen";
import { sampleCrew, sampleId } from "../testing/sample";
import { OwnAccount } from "./OwnAccount";
import { Password } from "./Password";
import { Staff } from "./Staff";

const crews = ["Slate crew", "Oyster line"].map((name) => ({ ...sampleCrew({ name }), people: 3, programs: 1, sharedBy: null }));
const lead = { id: sampleId(), name: "Greta Lead", email: "greta@test.example", role: "lead", crewIds: [crews[0]!.id] };
const trainer = { id: sampleId(), name: "Maren", email: "maren@test.example", role: "trainer", crewIds: [] };
const open = (answers: object = {}) => {
  const server = new TestServer({
    ...SIGNED_IN,
    "GET /practice/staff": [trainer, lead],
    "GET /crews": crews,
    "GET /practice/invitations": [],
    ...answers,
  });
  return { server, ...showPage(<Staff />) };
};

it("says who has which crew, and gives and takes with a press", async () => {
  const { server, user } = open({ [`PUT /practice/staff/${lead.id}`]: [trainer, lead] });
  const given = await screen.findByRole("button", { name: "Slate crew" });
  const other = screen.getByRole("button", { name: "Oyster line" });
  expect([given.getAttribute("aria-pressed"), other.getAttribute("aria-pressed")]).toEqual(["true", "false"]);
  await user.click(other);
  await user.click(given);
  await waitFor(() => expect(server.calls("PUT")).toHaveLength(2));
  expect(server.calls("PUT").map(({ body }) => (body as { crewIds: string[] }).crewIds)).toEqual([[crews[0]!.id, crews[1]!.id], []]);
});

it("a trainer's sign-in is not ended here; a lead's is, after a question", async () => {
  const { server, user } = open({ [`DELETE /practice/staff/${lead.id}`]: [trainer] });
  const [end, ...more] = await screen.findAllByRole("button", { name: "End sign-in" });
  expect(more).toEqual([]);
  await user.click(end!);
  const dialog = screen.getByRole("dialog", { name: "End the sign-in of Greta Lead?" });
  expect(server.calls("DELETE")).toEqual([]);
  await user.click(within(dialog).getByRole("button", { name: "End it" }));
  await waitFor(() => expect(server.calls("DELETE")).toHaveLength(1));
});

describe("inviting", () => {
  const token = "t".repeat(32);
  const made = (mailed: string) => ({ invitations: [], token, mailed });
  const fill = async (mailed: string, answers: object = {}) => {
    const opened = open({ "POST /practice/invitations": made(mailed), ...answers });
    await opened.user.click(await screen.findByRole("button", { name: "Invite somebody" }));
    const dialog = within(screen.getByRole("dialog", { name: "Invite somebody" }));
    await opened.user.type(dialog.getByLabelText("Name"), "Ada Quill");
    await opened.user.type(dialog.getByLabelText("E-mail"), "ada@test.example");
    return { ...opened, dialog };
  };
  it("a lead gets crews; the address is shown once, to be copied", async () => {
    const { server, user, dialog } = await fill("off");
    await user.click(dialog.getByRole("button", { name: "Slate crew" }));
    await user.click(dialog.getByRole("button", { name: "Invite" }));
    const address = await screen.findByLabelText("Address of the invitation");
    expect(address).toHaveValue(`${location.origin}/link#${token}`);
    expect(screen.getByText(/^Pass this address on/)).toBeVisible();
    expect(server.calls("POST")[0]!.body).toMatchObject({
      name: "Ada Quill",
      email: "ada@test.example",
      role: "lead",
      crewIds: [crews[0]!.id],
    });
    await user.click(screen.getByRole("button", { name: "Copy" }));
    expect(await screen.findByRole("button", { name: "Copied" })).toBeVisible();
    expect(await navigator.clipboard.readText()).toBe(`${location.origin}/link#${token}`);
  });
  it("a trainer gets none, and hears whether it was sent", async () => {
    const { server, user, dialog } = await fill("sent");
    await user.click(dialog.getByRole("button", { name: "Slate crew" }));
    await user.click(dialog.getByRole("radio", { name: "Trainer" }));
    expect(dialog.queryByRole("button", { name: "Slate crew" })).toBeNull();
    await user.click(dialog.getByRole("button", { name: "Invite" }));
    expect(await screen.findByText("It is on its way to ada@test.example.")).toBeVisible();
    expect(server.calls("POST")[0]!.body).toMatchObject({ role: "trainer", crewIds: [] });
  });
  it("what is wrong stands at its field, and what was typed stays", async () => {
    const fields = [{ path: "crewIds", message: "names no crew" }];
    const { user, dialog } = await fill("off", { "POST /practice/invitations": refusal(400, "invalid", "Look again.", { fields }) });
    await user.click(dialog.getByRole("button", { name: "Invite" }));
    expect(await dialog.findByText("names no crew")).toBeVisible();
    expect(dialog.getByLabelText("Name")).toHaveValue("Ada Quill");
  });
  it("who is invited is listed; one's own is made anew or taken back, a colleague's only seen", async () => {
    const of = (change: object) => ({
      id: sampleId(),
      name: "Ada",
      email: "ada@test.example",
      role: "lead",
      crewIds: [],
      by: "Test",
      own: true,
      until: "2026-04-09T09:00:00Z",
      expired: false,
      ...change,
    });
    const [own, theirs] = [of({}), of({ name: "Bo", by: "Teo", own: false, expired: true })];
    const { server, user } = open({
      "GET /practice/invitations": [own, theirs],
      "POST /practice/invitations": made("failed"),
      [`DELETE /practice/invitations/${own.id}`]: null,
    });
    expect(await screen.findByText("invited by Test, until 9 April")).toBeVisible();
    expect(screen.getByText("invitation of Teo ran out")).toBeVisible();
    expect(screen.queryByRole("button", { name: "Take the invitation of Bo back" })).toBeNull();
    await user.click(screen.getByRole("button", { name: "A new address for Ada" }));
    expect(await screen.findByText(/could not be sent\. Pass the address on yourself/)).toBeVisible();
    expect(server.calls("POST")[0]!.body).toMatchObject({ id: own.id });
    await user.click(screen.getByRole("button", { name: "Done" }));
    await user.click(screen.getByRole("button", { name: "Take the invitation of Ada back" }));
    await waitFor(() => expect(server.calls("DELETE")).toHaveLength(1));
  });
});

describe("oneself", () => {
  const account = (answers: object) => {
    const server = new TestServer({ ...SIGNED_IN, ...answers });
    return { server, ...showPage(<OwnAccount name="Test" email="test@test.example" />) };
  };
  it("a name is saved as it is; another address asks for the password", async () => {
    const { server, user } = account({ "PUT /me/name": null });
    expect(screen.getByRole("button", { name: "Save it" })).toBeDisabled();
    await user.type(screen.getByLabelText("Your name"), " Two");
    expect(screen.queryByLabelText(/^Your password/)).toBeNull();
    await user.type(screen.getByLabelText("Your e-mail address"), "x");
    await user.type(screen.getByLabelText("Your password, for another address"), "secret{Enter}");
    await waitFor(() =>
      expect(server.calls("PUT")[0]!.body).toEqual({ name: "Test Two", email: "test@test.examplex", password: "secret" }),
    );
  });
  it("leaving asks for the password, and says what stands in the way", async () => {
    const { server, user } = account({ "POST /me/leave": refusal(409, "hasCrews", "Hand your crews to a colleague first: Slate crew.") });
    await user.click(screen.getByRole("button", { name: "Leave the practice" }));
    const dialog = within(screen.getByRole("dialog", { name: "Leave the practice?" }));
    expect(dialog.getByRole("button", { name: "Leave it" })).toBeDisabled();
    await user.type(dialog.getByLabelText("Your password"), "secret");
    await user.click(dialog.getByRole("button", { name: "Leave it" }));
    expect(await dialog.findByText("Hand your crews to a colleague first: Slate crew.")).toBeVisible();
    expect(server.calls("POST")[0]!.body).toEqual({ password: "secret" });
  });
});

describe("one's own password", () => {
  const fill = async (answer: object | null) => {
    const server = new TestServer({ ...SIGNED_IN, "PUT /me/password": answer });
    const { user } = showPage(<Password />);
    await user.type(screen.getByLabelText("Password now"), "the old password");
    await user.type(screen.getByLabelText("New password"), "the new password{Enter}");
    return server;
  };
  it("is changed, and what was typed is gone", async () => {
    await fill(null);
    expect(await screen.findByText(/Your password is changed\./)).toBeInTheDocument();
    expect(screen.getByLabelText("New password")).toHaveValue("");
  });
  it("that is wrong says so at its field, and what was typed stays", async () => {
    await fill(refusal(400, "invalid", "Look again.", { fields: [{ path: "current", message: "is not your password" }] }));
    expect(await screen.findByText("is not your password")).toBeInTheDocument();
    expect(screen.getByLabelText("New password")).toHaveValue("the new password");
  });
});
