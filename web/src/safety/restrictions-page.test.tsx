/** Holding out and letting back in: nothing is sent before it is whole, and what could not be stored keeps what was typed. */
import { act, screen, waitFor, within } from "@testing-library/react";
import type { AuditEntry, ClearanceEntry, HeldOut, RestrictionEntry } from "@kind-grip/core/api";
import { showCrewPage } from "../testing/crew-page";
import { NOW, sampleAlert, sampleCrew, sampleId, samplePerson } from "../testing/sample";
import { refusal, type Answers } from "../testing/screen";
import RestrictionsPage from "./RestrictionsPage";

jest.setTimeout(60_000);
const crew = sampleCrew();
const people = ["Ann Early", "Bo Late", "Cy Away"].map((name) => samplePerson({ name }));
const [ann, bo, cy] = people.map(({ id }) => id) as [string, string, string];
people.push(samplePerson({ name: "Di Gone", leftOn: "2026-03-01" }));

const restriction = (personId: string, change: Partial<RestrictionEntry> = {}): RestrictionEntry => ({
  id: sampleId(),
  personId,
  question: "sharpPain",
  words: null,
  since: "2026-03-20T08:00:00.000Z",
  roundId: null,
  withdrawnAt: null,
  withdrawnWhy: null,
  ...change,
});
const clearance = (of: RestrictionEntry, change: Partial<ClearanceEntry> = {}): ClearanceEntry => ({
  id: sampleId(),
  personId: of.personId,
  restrictionId: of.id,
  givenBy: "Dr. Wren",
  profession: "Physician",
  allows: ["getReady", "mobility", "stretch", "glide", "strengthen", "release"],
  fromDay: "2026-03-21",
  untilDay: "2026-04-10",
  note: null,
  enteredAt: NOW,
  withdrawnAt: null,
  withdrawnWhy: null,
  ...change,
});
const none: HeldOut = { restrictions: [], clearances: [], reports: [] };
const open = (held: Partial<HeldOut> = {}, answers: Answers = {}) =>
  showCrewPage(<RestrictionsPage />, "held-out", {
    crew,
    people,
    answers: {
      [`GET /crews/${crew.id}/held-out`]: { ...none, ...held },
      [`GET /crews/${crew.id}/audit`]: { total: 0, pageSize: 20, entries: [] },
      ...answers,
    },
  });
const group = (name: string) => screen.findByRole("region", { name });
const sentTo = (server: ReturnType<typeof open>["server"], call: string) =>
  server.asked.filter((each) => each.call === call).map(({ body }) => body);

describe("who is out of what", () => {
  it("is told by what it keeps them from; whoever is fully cleared, and mistakes, stand apart", async () => {
    const out = restriction(ann);
    const again = restriction(ann, { question: "hotJoint" });
    const partly = restriction(bo, { question: "knownEntrapment" });
    const cleared = restriction(cy);
    const mistake = restriction(bo, { withdrawnAt: NOW, withdrawnWhy: "wrong name tapped" });
    open({ restrictions: [out, again, partly, cleared, mistake], clearances: [clearance(cleared)] });
    expect(await screen.findByText("1 person held out of everything")).toBeInTheDocument();
    expect(within(await group("Out of everything until cleared")).getAllByText("Ann Early")).toHaveLength(2);
    expect(await group("Out of some items, or kept short of the end")).toHaveTextContent(/Bo Late.*Out of \d+ of \d+ movements/);
    expect(within(await group("Cleared")).getByText("Cy Away")).toBeInTheDocument();
    expect(within(await group("Entered by mistake")).getByText("wrong name tapped")).toBeInTheDocument();
  });
  it("a clearance of some phases lets back into those only, and says so", async () => {
    const held = restriction(ann);
    open({ restrictions: [held], clearances: [clearance(held, { allows: ["mobility", "glide"] })] });
    const row = await group("Out of some items, or kept short of the end");
    expect(row).toHaveTextContent("Cleared for mobility, glide only.");
    expect(screen.getByText("Nobody is held out of everything")).toBeInTheDocument();
  });
  it("a clearance that ran out yesterday holds out again; one that ends this week is marked", async () => {
    const [gone, ending] = [restriction(ann), restriction(cy)];
    open({
      restrictions: [gone, ending],
      clearances: [clearance(gone, { untilDay: "2026-03-25" }), clearance(ending, { untilDay: "2026-03-29" })],
    });
    expect(within(await group("Out of everything until cleared")).getByText(/ran out on/)).toBeInTheDocument();
    expect(await group("Cleared")).toHaveTextContent("29 Mar 2026, ends this week");
  });
  it("says what happens by itself while there is nothing", async () => {
    open();
    expect(await screen.findByText("No holds, no clearances")).toBeInTheDocument();
    expect(screen.queryByText("Who saw or changed health answers")).toBeNull();
  });
});

describe("holding somebody out", () => {
  const call = `POST /crews/${crew.id}/restrictions`;
  const dialog = async (user: ReturnType<typeof open>["user"]) => {
    await user.click(await screen.findByRole("button", { name: "Hold somebody out" }));
    return within(screen.getByRole("dialog"));
  };
  it("asks who and what first, and offers nobody who has left", async () => {
    const { server, user } = open({}, { [call]: none });
    const asked = await dialog(user);
    const hold = asked.getByRole("button", { name: "Hold out now" });
    expect(hold).toBeDisabled();
    await user.click(asked.getByRole("combobox", { name: "Who" }));
    expect(screen.getAllByRole("option").map((option) => option.textContent)).toEqual(["Ann Early", "Bo Late", "Cy Away"]);
    await user.click(screen.getByRole("option", { name: "Bo Late" }));
    expect(hold).toBeDisabled();
    await user.click(asked.getAllByRole("radio")[0]!);
    await user.click(hold);
    await waitFor(() => expect(sentTo(server, call)).toHaveLength(1));
    expect(sentTo(server, call)[0]).toMatchObject({ personId: bo, words: null });
    expect(await screen.findByText("Bo Late is held out from now on.")).toBeInTheDocument();
    await waitFor(() => expect(screen.queryByRole("dialog")).toBeNull());
  });
  it("something else needs words, at least three letters of them", async () => {
    const { server, user } = open({}, { [call]: none });
    const asked = await dialog(user);
    await user.click(asked.getByRole("combobox", { name: "Who" }));
    await user.click(screen.getByRole("option", { name: "Ann Early" }));
    await user.click(asked.getAllByRole("radio").at(-1)!);
    const words = asked.getByRole("textbox", { name: "What it is, in words" });
    await user.type(words, "  ab ");
    expect(asked.getByRole("button", { name: "Hold out now" })).toBeDisabled();
    await user.type(words, "scess");
    await user.click(asked.getByRole("button", { name: "Hold out now" }));
    await waitFor(() => expect(sentTo(server, call)).toEqual([{ personId: ann, question: "other", words: "ab scess" }]));
  });
  it("reasons are one group to the keyboard: arrow keys choose, round the ends", async () => {
    const { user } = open();
    const asked = await dialog(user);
    const radios = asked.getAllByRole("radio");
    act(() => radios[0]!.focus());
    await user.keyboard("{ArrowUp}");
    expect(radios.at(-1)).toHaveFocus();
    expect(radios.at(-1)).toBeChecked();
    await user.keyboard("{ArrowDown}{ArrowDown}");
    expect(radios[1]).toBeChecked();
    expect(radios.filter((radio) => radio.tabIndex === 0)).toEqual([radios[1]]);
  });
  it("while the server is away it stays open with everything that was chosen", async () => {
    const { server, user } = open();
    const asked = await dialog(user);
    await user.click(asked.getByRole("combobox", { name: "Who" }));
    await user.click(screen.getByRole("option", { name: "Cy Away" }));
    await user.click(asked.getAllByRole("radio")[2]!);
    server.away = true;
    await user.click(asked.getByRole("button", { name: "Hold out now" }));
    expect(await asked.findByRole("alert")).toHaveTextContent("cannot be reached");
    expect(asked.getByRole("combobox", { name: "Who" })).toHaveTextContent("Cy Away");
    expect(asked.getAllByRole("radio")[2]).toBeChecked();
  });
});

describe("a clearance", () => {
  const held = restriction(ann);
  const call = `POST /crews/${crew.id}/clearances`;
  it("runs four weeks for every phase unless changed, in the order of phases", async () => {
    const { server, user } = open({ restrictions: [held] }, { [call]: none });
    await user.click(await screen.findByRole("button", { name: "Enter a clearance for Ann Early" }));
    const asked = within(screen.getByRole("dialog", { name: "Clearance for Ann Early" }));
    await user.type(asked.getByLabelText("Name of the clinician"), "Dr. Wren");
    await user.type(asked.getByLabelText("Profession"), "Physician");
    await user.click(asked.getByRole("button", { name: "Mobility" }));
    await user.click(asked.getByRole("button", { name: "Mobility" }));
    await user.click(asked.getByRole("button", { name: "Strengthen" }));
    await user.click(asked.getByRole("button", { name: "Enter the clearance" }));
    await waitFor(() => expect(sentTo(server, call)).toHaveLength(1));
    expect(sentTo(server, call)[0]).toMatchObject({
      restrictionId: held.id,
      givenBy: "Dr. Wren",
      profession: "Physician",
      from: "2026-03-26",
      until: "2026-04-23",
      note: null,
    });
    const { allows } = sentTo(server, call)[0] as { allows: string[] };
    expect(allows).not.toContain("strengthen");
    expect(allows.indexOf("getReady")).toBeLessThan(allows.indexOf("mobility"));
  });
  it("that is refused says so at its fields and keeps what was typed; sent again it is the same clearance", async () => {
    const refused = refusal(400, "invalid", "Look again.", { fields: [{ path: "profession", message: "is missing" }] });
    const { server, user } = open({ restrictions: [held] }, { [call]: refused });
    await user.click(await screen.findByRole("button", { name: "Enter a clearance for Ann Early" }));
    await user.type(screen.getByLabelText("Name of the clinician"), "Dr. Wren");
    await user.click(screen.getByRole("button", { name: "Enter the clearance" }));
    expect(await screen.findByText("is missing")).toBeInTheDocument();
    expect(screen.getByLabelText("Name of the clinician")).toHaveValue("Dr. Wren");
    server.answers = { ...server.answers, [call]: none };
    await user.type(screen.getByLabelText("Profession"), "Physician{Enter}");
    await waitFor(() => expect(screen.queryByRole("dialog")).toBeNull());
    const [first, second] = sentTo(server, call) as { id: string }[];
    expect(second!.id).toBe(first!.id);
  });
  it("is withdrawn only with a reason, and the dialog stays until it is", async () => {
    const given = clearance(held);
    const to = `POST /clearances/${given.id}/withdraw`;
    const { server, user } = open({ restrictions: [held], clearances: [given] }, { [to]: none });
    await user.click(await screen.findByRole("button", { name: "Withdraw" }));
    const asked = within(screen.getByRole("dialog", { name: "Withdraw the clearance of Ann Early" }));
    const withdraw = asked.getByRole("button", { name: "Withdraw it" });
    await user.type(asked.getByLabelText("Why"), "no");
    expect(withdraw).toBeDisabled();
    await user.type(asked.getByLabelText("Why"), "t the right form");
    server.away = true;
    await user.click(withdraw);
    expect(await asked.findByRole("alert")).toHaveTextContent("cannot be reached");
    expect(asked.getByLabelText("Why")).toHaveValue("not the right form");
    server.away = false;
    await user.click(withdraw);
    await waitFor(() => expect(screen.queryByRole("dialog")).toBeNull());
    expect(sentTo(server, to)).toEqual([{ why: "not the right form" }, { why: "not the right form" }]);
  });
});

it("a hold that was a wrong tap is ended with a reason", async () => {
  const held = restriction(bo);
  const to = `POST /restrictions/${held.id}/withdraw`;
  const { server, user } = open({ restrictions: [held] }, { [to]: none });
  await user.click(await screen.findByRole("button", { name: "Hold of Bo Late entered by mistake" }));
  const asked = within(screen.getByRole("dialog", { name: "Bo Late was held out by mistake" }));
  expect(asked.getByText(/feels better is not a mistake/)).toBeInTheDocument();
  await user.type(asked.getByLabelText("Why"), "meant his brother");
  await user.click(asked.getByRole("button", { name: "End this hold" }));
  await waitFor(() => expect(sentTo(server, to)).toEqual([{ why: "meant his brother" }]));
});

describe("an answer to what somebody told", () => {
  const { reports } = sampleAlert();
  const call = `POST /crews/${crew.id}/people/${ann}/alerts/answer`;
  const dialog = async (kind: (typeof reports)[number]["kind"] = "tingling", answers: Answers = { [call]: null }) => {
    const shown = open({ reports: [{ personId: ann, reports: [{ ...reports[0]!, kind }] }] }, answers);
    await shown.user.click(await screen.findByRole("button", { name: "Answer Ann Early" }));
    return { ...shown, asked: within(screen.getByRole("dialog", { name: "Answer Ann Early" })) };
  };
  const reply = () => screen.getByRole<HTMLTextAreaElement>("textbox", { name: "Reply to Ann Early" });
  const answered = { reply: expect.any(String) as string, reason: null, words: null };

  it("proposes a reply for each answer, until the trainer writes one", async () => {
    const { asked, server, user } = await dialog();
    expect(asked.getByRole("button", { name: "Answer" })).toBeDisabled();
    await user.click(asked.getByRole("radio", { name: /^Give back/ }));
    expect(reply().value).toContain("Go on as before");
    await user.keyboard("{ArrowDown}");
    expect(asked.getByRole("radio", { name: /^Ease/ })).toBeChecked();
    expect(reply().value).toContain("easier form");
    await user.clear(reply());
    await user.type(reply(), "Come by at ten.");
    await user.click(asked.getByRole("radio", { name: /^Keep paused/ }));
    expect(reply()).toHaveValue("Come by at ten.");
    await user.click(asked.getByRole("button", { name: "Answer" }));
    await waitFor(() => expect(sentTo(server, call)).toHaveLength(1));
    expect(sentTo(server, call)[0]).toEqual({
      alertIds: [reports[0]!.alertId],
      answer: { ...answered, answer: "keepPaused", reply: "Come by at ten." },
    });
    expect(await screen.findByText(/Ann Early: keep paused\. The reply is on its way/)).toBeInTheDocument();
  });
  it("holding out needs a reason; sharp pain brings its own", async () => {
    const { asked, user } = await dialog();
    await user.click(asked.getByRole("radio", { name: /^Refer and hold out/ }));
    expect(asked.getByRole("button", { name: "Answer" })).toBeDisabled();
  });
  it("after sharp pain it is there already, and can be told in other words", async () => {
    const { asked, server, user } = await dialog("sharpPain");
    await user.click(asked.getByRole("radio", { name: /^Refer and hold out/ }));
    const send = asked.getByRole("button", { name: "Answer" });
    expect(send).toBeEnabled();
    await user.click(asked.getByRole("combobox", { name: "Why they are held out" }));
    await user.click(screen.getAllByRole("option").at(-1)!);
    expect(send).toBeDisabled();
    await user.type(asked.getByRole("textbox", { name: "What it is, in words" }), "cut by glass");
    await user.click(send);
    await waitFor(() => expect(sentTo(server, call)).toHaveLength(1));
    expect(sentTo(server, call)[0]).toMatchObject({ answer: { ...answered, answer: "refer", reason: "other", words: "cut by glass" } });
  });
  it("that was answered by somebody else meanwhile says so and stays", async () => {
    const { asked, user } = await dialog("tingling", { [call]: refusal(409, "conflict", "Somebody else answered it.") });
    await user.click(asked.getByRole("radio", { name: /^Ease/ }));
    await user.type(reply(), " Soon.");
    await user.click(asked.getByRole("button", { name: "Answer" }));
    expect(await asked.findByRole("alert")).toHaveTextContent("Somebody else answered it.");
    expect(reply().value).toMatch(/ Soon\.$/);
  });
});

it("the trail names who saw what of whom, how often, and turns its pages", async () => {
  const entry = (change: Partial<AuditEntry>): AuditEntry => ({
    id: sampleId(),
    personId: ann,
    act: "saw",
    subject: "baseline",
    what: "record",
    at: NOW,
    lastAt: NOW,
    times: 1,
    by: "Maren",
    ...change,
  });
  const audit = `GET /crews/${crew.id}/audit`;
  const { user } = open(
    {},
    {
      [`${audit}?page=0`]: {
        total: 3,
        pageSize: 2,
        entries: [
          entry({ times: 3 }),
          entry({ personId: null, act: "changed", subject: "run" }),
          entry({ act: "changed", subject: "decision", what: "pauseAndRefer" }),
        ],
      },
      [`${audit}?page=1`]: { total: 3, pageSize: 2, entries: [entry({ by: "Teo" })] },
    },
  );
  const trail = within(await group("Who saw or changed health answers"));
  const rows = () =>
    trail
      .getAllByRole("row")
      .slice(1)
      .map((row) => row.textContent);
  expect(rows()[0]).toMatch(/Maren.*saw baseline: record, 3 times until 26 Mar 09:00.*Ann Early/);
  expect(rows()[1]).toMatch(/changed runs: record.*the crew/);
  expect(rows()[2]).toMatch(/changed decision: paused, and referred/);
  expect(trail.getByRole("button", { name: "Newer" })).toBeDisabled();
  await user.click(trail.getByRole("button", { name: "Older" }));
  await waitFor(() => expect(rows()).toHaveLength(1));
  expect(rows()[0]).toContain("Teo");
  expect(trail.getByRole("button", { name: "Older" })).toBeDisabled();
});
