/** The record of one run: what was done, who was there and how it felt, who was away and who was excused; nobody is called removed in error. */
import { screen } from "@testing-library/react";
import type { RunRecord } from "@kind-grip/core/run";
import { showCrewPage } from "../testing/crew-page";
import { sampleCrew, sampleId, samplePerson, sampleSession } from "../testing/sample";
import { refusal, type Answers } from "../testing/screen";
import RunRecordPage from "./RunRecordPage";

const crew = sampleCrew();
const [ann, bo, cy] = ["Ann Early", "Bo Brook", "Cy Cole"].map((name) => samplePerson({ name })) as [
  ReturnType<typeof samplePerson>,
  ReturnType<typeof samplePerson>,
  ReturnType<typeof samplePerson>,
];
const session = sampleSession(["palm-away", "shake-out"]);
const person = (personId: string, change: object = {}) => ({
  personId,
  present: true,
  effort: 3,
  marks: [],
  forms: {},
  leftOut: [],
  quick: null,
  counted: null,
  ...change,
});
const away = { present: false, effort: null };
const run: RunRecord = {
  id: sampleId(),
  crewId: crew.id,
  programId: null,
  placementId: null,
  session,
  startedAt: "2026-03-25T07:00:00.000Z",
  endedAt: "2026-03-25T07:06:30.000Z",
  plannedSec: 360,
  alone: false,
  items: session.items.map((item, i) => ({
    itemId: item.id,
    movementId: item.movementId,
    formId: item.formId,
    plannedSec: 60,
    doneSec: i === 0 ? 60 : 20,
    status: i === 0 ? "done" : "part",
  })),
  people: [person(ann.id, { marks: [{ kind: "tingling", itemId: session.items[0]!.id }] }), person(bo.id, away), person(cy.id, away)],
} as RunRecord;
const open = (answers: Answers = {}) =>
  showCrewPage(<RunRecordPage />, "runs/:runId", {
    crew,
    people: [ann, bo, cy],
    at: `runs/${run.id}`,
    answers: { [`GET /runs/${run.id}`]: run, [`GET /crews/${crew.id}/absences`]: [], ...answers },
  });

it("says what was done and in part, who was there and what they marked, and who was away", async () => {
  open();
  expect(await screen.findByRole("heading", { level: 1 })).toHaveTextContent("Warm-up");
  expect(document.body).toHaveTextContent("planned 6'00\", took 6'30\"");
  expect(screen.getByText(/in part, 0'20/)).toBeInTheDocument();
  expect(screen.getByText("Who was there: 1 of 3")).toBeInTheDocument();
  expect(screen.getByText(/Tingling \(palm-away stretch\)/i)).toBeInTheDocument();
  expect(screen.getByText("Away: Bo Brook, Cy Cole")).toBeInTheDocument();
});

it("whoever was excused that day was not expected", async () => {
  const absence = { id: sampleId(), personId: cy.id, from: "2026-03-24", until: "2026-03-25" };
  open({ [`GET /crews/${crew.id}/absences`]: [absence] });
  expect(await screen.findByText("Who was there: 1 of 2")).toBeInTheDocument();
  expect(screen.getByText("Away: Bo Brook")).toBeInTheDocument();
  expect(screen.getByText("Excused: Cy Cole")).toBeInTheDocument();
});

it("calls nobody removed while it is not known who is there", async () => {
  open({ [`GET /crews/${crew.id}/people`]: refusal(503, "busy", "The server is busy.") });
  expect((await screen.findAllByText("The server is busy.")).length).toBeGreaterThan(0);
  expect(document.body).not.toHaveTextContent("removed");
});

it("calls nobody away while it is not known who was excused", async () => {
  open({ [`GET /crews/${crew.id}/absences`]: refusal(503, "busy", "The server is busy.") });
  expect(await screen.findByText("The server is busy.")).toBeInTheDocument();
  expect(document.body).not.toHaveTextContent("Away");
});
