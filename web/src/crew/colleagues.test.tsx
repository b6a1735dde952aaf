/** A crew shared among trainers: invited, taken back, ended, accepted, declined, left. */
import { screen, waitFor, within } from "@testing-library/react";
import type { CrewColleagues } from "@kind-grip/core/api";
import { NoticeBar } from "../base/NoticeBar";
import { sampleCrew, sampleId } from "../testing/sample";
import { refusal, showPage, SIGNED_IN, TestServer, type Answers } from "../testing/screen";
import { Colleagues } from "./Colleagues";
import CrewsPage from "./CrewsPage";

const crew = sampleCrew();
const [teo, ida] = [sampleId(), sampleId()];
const of = `/crews/${crew.id}/colleagues`;
const own = (change: Partial<CrewColleagues> = {}): CrewColleagues => ({
  own: true,
  trainer: "Maren",
  colleagues: [],
  others: [{ accountId: teo, name: "Teo", email: "teo@test.example" }],
  ...change,
});
const open = (answers: Answers) => {
  const server = new TestServer({ ...SIGNED_IN, ...answers });
  return { server, ...showPage([<Colleagues key="c" crew={crew} />, <NoticeBar key="n" />], { at: "/settings" }) };
};
const share = (accepted: boolean) => ({ accountId: teo, name: "Teo", email: "teo@test.example", accepted });

describe("one's own crew", () => {
  it("is offered to another trainer, who is shown as not having answered", async () => {
    let now = own();
    const { server, user } = open({
      [`GET ${of}`]: () => now,
      [`PUT ${of}/${teo}`]: () => (now = own({ colleagues: [share(false)], others: [] })),
    });
    const invite = await screen.findByRole("button", { name: "Invite" });
    expect(invite).toBeDisabled();
    await user.click(screen.getByRole("combobox", { name: "A colleague" }));
    await user.click(screen.getByRole("option", { name: "Teo, teo@test.example" }));
    await user.click(invite);
    expect(await screen.findByText("invited, not answered yet")).toBeInTheDocument();
    expect(server.calls("PUT")).toHaveLength(1);
  });
  it("an invitation is taken back with a press, a share only after a question", async () => {
    const both = own({ colleagues: [share(true), { ...share(false), accountId: ida, name: "Ida" }], others: [] });
    const { server, user } = open({ [`GET ${of}`]: both, [`DELETE ${of}/${teo}`]: null, [`DELETE ${of}/${ida}`]: null });
    await user.click(await screen.findByRole("button", { name: "Take the invitation of Ida back" }));
    await waitFor(() => expect(server.calls("DELETE")).toHaveLength(1));
    await user.click(screen.getByRole("button", { name: "End sharing with Teo" }));
    expect(server.calls("DELETE")).toHaveLength(1);
    await user.click(within(screen.getByRole("dialog", { name: "End sharing with Teo?" })).getByRole("button", { name: "End it" }));
    await waitFor(() => expect(server.calls("DELETE").at(-1)!.call).toContain(teo));
  });
  it("is handed to a colleague who shares it, after a question", async () => {
    const both = own({ colleagues: [share(true), { ...share(false), accountId: ida, name: "Ida" }], others: [] });
    const { server, user } = open({ [`GET ${of}`]: both, [`PUT ${of}/${teo}/trainer`]: own({ own: false, trainer: "Teo" }) });
    await user.click(await screen.findByRole("button", { name: "Hand the crew to Teo" }));
    // Who has not answered cannot be handed anything.
    expect(screen.queryByRole("button", { name: "Hand the crew to Ida" })).toBeNull();
    const dialog = within(screen.getByRole("dialog", { name: "Hand the crew to Teo?" }));
    await user.click(dialog.getByRole("button", { name: "Hand it over" }));
    await waitFor(() => expect(server.calls("PUT").map(({ call }) => call)).toEqual([`PUT ${of}/${teo}/trainer`]));
  });
  it("without another trainer says so", async () => {
    open({ [`GET ${of}`]: own({ others: [] }) });
    expect(await screen.findByText("There is no other trainer in this practice.")).toBeInTheDocument();
  });
  it("an invitation that is refused keeps whom it was for", async () => {
    const { user } = open({ [`GET ${of}`]: own(), [`PUT ${of}/${teo}`]: refusal(404, "notFound", "There is no such colleague.") });
    await user.click(await screen.findByRole("combobox", { name: "A colleague" }));
    await user.click(screen.getByRole("option"));
    await user.click(screen.getByRole("button", { name: "Invite" }));
    expect(await screen.findByRole("alert")).toHaveTextContent("There is no such colleague.");
    expect(screen.getByRole("combobox", { name: "A colleague" })).toHaveTextContent("Teo");
  });
});

it("a colleague's crew says whose it is, and is left only after a question", async () => {
  const theirs = own({ own: false, others: [], colleagues: [share(true)] });
  const { server, user, router } = open({ [`GET ${of}`]: theirs, [`DELETE /invitations/${crew.id}`]: null });
  expect(await screen.findByText("This crew is Maren's and shared with Teo.")).toBeInTheDocument();
  expect(screen.queryByRole("button", { name: "Invite" })).toBeNull();
  await user.click(screen.getByRole("button", { name: "Leave this crew" }));
  expect(server.calls("DELETE")).toEqual([]);
  await user.click(screen.getByRole("button", { name: "Leave it" }));
  await waitFor(() => expect(router.state.location.pathname).toBe("/crews"));
});

describe("an invitation", () => {
  const invitation = { crewId: crew.id, crewName: "Slate crew", trade: "Roofing", by: "Maren" };
  const listed = { ...crew, people: 9, programs: 1, sharedBy: "Maren" };
  const openList = (answers: Answers) => {
    const server = new TestServer({ ...SIGNED_IN, ...answers });
    return { server, ...showPage([<CrewsPage key="c" />, <NoticeBar key="n" />], { at: "/crews" }) };
  };
  it("that is accepted brings the crew, named as the colleague's", async () => {
    let accepted = false;
    const { user } = openList({
      "GET /crews": () => (accepted ? [listed] : []),
      "GET /invitations": () => (accepted ? [] : [invitation]),
      [`POST /invitations/${crew.id}/accept`]: () => ((accepted = true), null),
    });
    await user.click(await screen.findByRole("button", { name: "Accept" }));
    expect(await screen.findByText("Roofing · shared by Maren")).toBeInTheDocument();
    await waitFor(() => expect(screen.queryByRole("region", { name: "Invitations" })).toBeNull());
    expect(screen.getByText("Slate crew is among your crews now.")).toBeInTheDocument();
  });
  it("that was taken back meanwhile says so", async () => {
    const { user } = openList({
      "GET /crews": [],
      "GET /invitations": [invitation],
      [`DELETE /invitations/${crew.id}`]: refusal(404, "notFound", "There is no such invitation."),
    });
    await user.click(await screen.findByRole("button", { name: "Decline" }));
    expect(await screen.findByText("There is no such invitation.")).toBeInTheDocument();
  });
});
