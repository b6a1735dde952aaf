/** Deciding: nothing to decide, many at once, otherwise with a reason, and what came in between. */
import { screen, waitFor, within } from "@testing-library/react";
import { NoticeBar } from "../base/NoticeBar";
import { sampleCrew, sampleDecision, sampleId } from "../testing/sample";
import { refusal, showPage, SIGNED_IN, TestServer } from "../testing/screen";
import { Decisions } from "./Decisions";

const crew = sampleCrew();
const of = (name: string, change: object = {}) => sampleDecision({ personId: sampleId(), name, ...change });
const open = (waiting: object[], more: Record<string, object | null | ((body: unknown) => object | null)> = {}) => {
  const server = new TestServer({
    ...SIGNED_IN,
    [`GET /crews/${crew.id}/decisions?all=no`]: waiting,
    [`GET /crews/${crew.id}/programs`]: [],
    [`GET /crews/${crew.id}/people`]: [],
    [`GET /crews/${crew.id}/participation`]: [],
    [`GET /crews/${crew.id}/ramps`]: [],
    [`POST /crews/${crew.id}/decisions`]: null,
    ...more,
  });
  const shown = showPage(
    <>
      <Decisions crew={crew} />
      <NoticeBar />
    </>,
  );
  return { server, ...shown };
};
const decided = (server: TestServer) =>
  server.calls("POST").map(({ body }) => (body as { decisions: { personId: string; decided: string; why: string | null }[] }).decisions);

it("nothing waits: it says where decisions come from", async () => {
  open([]);
  expect(await screen.findByText("Nothing waits for you")).toBeInTheDocument();
});

it("what is most urgent stands first, each kind with how many people it is of", async () => {
  const response = (kind: string) => ({ ...sampleDecision().response, kind, next: null });
  open([of("Cy", {}), of("Ann", { response: response("pauseAndRefer") }), of("Bo", { response: response("ease") })]);
  const kinds = (await screen.findAllByRole("region")).map((region) => region.getAttribute("aria-label"));
  expect(kinds).toEqual(["Pause and refer", "Ease", "Progress"]);
});

it("all of a kind are confirmed at once, each as it was proposed", async () => {
  const [ann, bo] = [of("Ann Early"), of("Bo Late")];
  const { server, user } = open([ann, bo]);
  await user.click(await screen.findByRole("button", { name: "Confirm all 2" }));
  await waitFor(() => expect(decided(server)).toHaveLength(1));
  expect(decided(server)[0]).toMatchObject([
    { personId: ann.personId, decided: "progress", why: null },
    { personId: bo.personId, decided: "progress", why: null },
  ]);
  expect(await screen.findByText("2 decided.")).toBeInTheDocument();
});

it("answers that came in meanwhile are said, and nothing is taken as done", async () => {
  const { user } = open([of("Ann Early"), of("Bo Late")], {
    [`POST /crews/${crew.id}/decisions`]: refusal(409, "changed", "New answers came in meanwhile. Look at this one again."),
  });
  await user.click(await screen.findByRole("button", { name: "Confirm all 2" }));
  expect(await screen.findByText("New answers came in meanwhile. Look at this one again.")).toBeInTheDocument();
  expect(screen.queryByText("2 decided.")).toBeNull();
});

describe("deciding otherwise", () => {
  const ask = async (more: Parameters<typeof open>[1] = {}) => {
    const shown = open([of("Ann Early")], more);
    await shown.user.click(await screen.findByRole("button", { name: /^Decide otherwise: Ann Early/ }));
    return { ...shown, dialog: await screen.findByRole("dialog") };
  };
  it("asks for another kind and a reason of three letters at least; what was proposed is not offered", async () => {
    const { server, user, dialog } = await ask();
    expect(dialog).toHaveTextContent("Proposed: progress. What instead?");
    expect(within(dialog).queryByRole("radio", { name: "Progress" })).toBeNull();
    const decide = within(dialog).getByRole("button", { name: "Decide" });
    await user.click(within(dialog).getByRole("radio", { name: "Hold" }));
    await user.type(within(dialog).getByRole("textbox", { name: "Why" }), "no");
    expect(decide).toBeDisabled();
    await user.type(within(dialog).getByRole("textbox", { name: "Why" }), "t yet");
    await user.click(decide);
    await waitFor(() => expect(screen.queryByRole("dialog")).toBeNull());
    expect(decided(server)[0]).toMatchObject([{ decided: "hold", why: "not yet" }]);
  });
  it("what the server finds wrong stays in the dialog with what was typed", async () => {
    const { user, dialog } = await ask({
      [`POST /crews/${crew.id}/decisions`]: refusal(400, "invalid", "Some fields need another look.", {
        fields: [{ path: "decisions.0.why", message: "say why it is not what was proposed" }],
      }),
    });
    await user.click(within(dialog).getByRole("radio", { name: "Ease" }));
    await user.type(within(dialog).getByRole("textbox", { name: "Why" }), "because");
    await user.click(within(dialog).getByRole("button", { name: "Decide" }));
    const why = within(dialog).getByRole("textbox", { name: "Why" });
    await waitFor(() => expect(why).toHaveAccessibleDescription("say why it is not what was proposed"));
    expect(why).toHaveValue("because");
  });
  it("not now changes nothing", async () => {
    const { server, user, dialog } = await ask();
    await user.click(within(dialog).getByRole("button", { name: "Not now" }));
    await waitFor(() => expect(screen.queryByRole("dialog")).toBeNull());
    expect(decided(server)).toEqual([]);
  });
});
