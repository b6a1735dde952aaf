/** Staff: given a crew, taken it back, ended; and a password that is shown once. */
import { screen, waitFor, within } from "@testing-library/react";
import { refusal, showPage, SIGNED_IN, TestServer } from "../testing/screen";
import { sampleCrew, sampleId } from "../testing/sample";
import { Password } from "./Password";
import { Staff } from "./Staff";

const crews = ["Slate crew", "Oyster line"].map((name) => ({ ...sampleCrew({ name }), people: 3, programs: 1, sharedBy: null }));
const lead = { id: sampleId(), name: "Greta Lead", email: "greta@test.example", role: "lead", crewIds: [crews[0]!.id] };
const trainer = { id: sampleId(), name: "Maren", email: "maren@test.example", role: "trainer", crewIds: [] };
const open = (answers: object = {}) => {
  const server = new TestServer({ ...SIGNED_IN, "GET /practice/staff": [trainer, lead], "GET /crews": crews, ...answers });
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
