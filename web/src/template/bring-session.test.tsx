/** Bringing a session into a program: from where, what comes with it, and what could not be read. */
import { screen, within } from "@testing-library/react";
import type { TemplateEntry } from "@kind-grip/core/api";
import type { ShiftSession } from "@kind-grip/core/session";
import { sampleCrew, sampleId, sampleProgram, sampleSession } from "../testing/sample";
import { refusal, showPage, SIGNED_IN, TestServer, type Answers } from "../testing/screen";
import { BringSessionDialog } from "./BringSessionDialog";

const crew = sampleCrew();
const own = sampleProgram(crew.id, [sampleSession(["shake-out"], { name: "Own warm-up" })]);
const other = sampleProgram(crew.id, [
  sampleSession(["palm-away", "shake-out"], { name: "Evening of the other" }),
  sampleSession([], { name: "Empty one" }),
]);
const template: TemplateEntry = {
  id: sampleId(),
  keptAt: "2026-03-01T08:00:00.000Z",
  name: "Kept for roofs",
  why: "",
  program: sampleProgram(crew.id, [sampleSession(["fist-and-star"], { name: "Roof break" })]).program,
};
const programs = `GET /crews/${crew.id}/programs`;
const open = (answers: Answers = {}) => {
  const server = new TestServer({
    ...SIGNED_IN,
    [programs]: [own, { ...other, program: { ...other.program, name: "Other hands" } }],
    "GET /templates": [template],
    "GET /movements": [],
    ...answers,
  });
  const brought: ShiftSession[] = [];
  const closed = jest.fn();
  const shown = showPage(
    <BringSessionDialog
      crew={crew}
      program={own.program}
      programId={own.id}
      onBring={(session) => brought.push(session as ShiftSession)}
      onClose={closed}
    />,
  );
  return { server, brought, closed, ...shown };
};

it("offers what the crew's other programs, the practice's templates and the shipped ones have; not its own, nothing empty", async () => {
  open();
  const from = await screen.findByRole("region", { name: "Other hands" });
  expect(within(from).getByRole("button", { name: /^\d'\d\d" Evening of the other$/ })).toBeInTheDocument();
  expect(within(await screen.findByRole("region", { name: "Kept for roofs" })).getByRole("button", { name: /Roof break/ })).toBeVisible();
  expect(screen.getAllByRole("region").length).toBeGreaterThan(6);
  expect(screen.queryByText(/Own warm-up|Empty one/)).toBeNull();
});

it("what is chosen comes in with ids of its own, and nothing before it was looked at", async () => {
  const { user, brought, closed } = open();
  await user.click(await screen.findByRole("button", { name: /Evening of the other/ }));
  expect(brought).toEqual([]);
  await user.click(await screen.findByRole("button", { name: "Bring it in" }));
  expect(brought).toMatchObject([{ name: "Evening of the other" }]);
  const [session] = other.program.sessions;
  expect(brought[0]!.items.map(({ movementId }) => movementId)).toEqual(["palm-away", "shake-out"]);
  expect(brought[0]!.id).not.toBe(session!.id);
  expect(brought[0]!.items.map(({ id }) => id)).not.toEqual(session!.items.map(({ id }) => id));
  expect(closed).toHaveBeenCalled();
});

it("what could not be read is said, and asked for again; what is there can be had meanwhile", async () => {
  const { server, user } = open({ [programs]: refusal(500, "broken", "Something broke.") });
  const said = await screen.findByRole("alert");
  expect(said).toHaveTextContent("This crew's other programs could not be read.");
  expect(await screen.findByRole("region", { name: "Kept for roofs" })).toBeInTheDocument();
  server.answers = { ...server.answers, [programs]: [own, other] };
  await user.click(within(said).getByRole("button", { name: "Try again" }));
  expect(await screen.findByRole("button", { name: /Evening of the other/ })).toBeInTheDocument();
  expect(screen.queryByRole("alert")).toBeNull();
});
