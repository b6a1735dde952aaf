/** The page of one person: everything on record in words and order, what is shown alone, older pages, notes with and without a file. */
import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import type { RecordEvent } from "@kind-grip/core/api";
import { DEFAULT_STYLE, newItem, SHIPPED_LIBRARY } from "@kind-grip/core/library";
import { showCrewPage } from "../testing/crew-page";
import { NOW, sampleCrew, sampleId, samplePerson } from "../testing/sample";
import { refusal, type Answers } from "../testing/screen";
import PersonPage from "./PersonPage";

const crew = sampleCrew();
const ann = samplePerson({ name: "Ann Early", badge: "SL-1", language: "pl" });
const path = `/crews/${crew.id}/people/${ann.id}`;
const open = (events: RecordEvent[], answers: Answers = {}, more = false) =>
  showCrewPage(<PersonPage />, "people/:personId", {
    crew,
    people: [ann],
    at: `people/${ann.id}`,
    answers: { [`GET ${path}/record`]: { events, more }, ...answers },
  });
const at = (day: number, time = "07:05") => `2026-03-${String(day).padStart(2, "0")}T${time}:00.000Z`;
const run = (change: Partial<Extract<RecordEvent, { kind: "run" }>> = {}): RecordEvent => ({
  kind: "run",
  at: at(25),
  day: (change.at ?? at(25)).slice(0, 10),
  runId: sampleId(),
  sessionName: "Yard warm-up",
  alone: false,
  present: true,
  effort: 3,
  marks: ["tingling", "tingling"],
  leftOut: 1,
  ...change,
});
const note = (change: object = {}): RecordEvent => ({
  kind: "note",
  at: at(24, "16:00"),
  id: sampleId(),
  text: "Grip tape too thick\nTry the thin one",
  by: "Maren",
  attachment: null,
  ...change,
});
const held = {
  id: sampleId(),
  personId: ann.id,
  question: "sharpPain" as const,
  words: null,
  since: at(20),
  roundId: null,
  withdrawnAt: null,
  withdrawnWhy: null,
};
const EVERYTHING: RecordEvent[] = [
  { kind: "morning", at: at(26, "06:10"), id: sampleId(), day: "2026-03-26", level: 4, raised: true, tingling: true },
  run(),
  run({ sessionName: "Ridge break", present: false, effort: null, marks: [], leftOut: 0, at: at(25, "12:00") }),
  note(),
  { kind: "round", at: at(23), roundId: sampleId(), name: "Spring", progress: "begun" },
  {
    kind: "clearance",
    at: at(22),
    clearance: {
      id: sampleId(),
      personId: ann.id,
      restrictionId: held.id,
      givenBy: "Dr Rowan",
      profession: "Hand therapist",
      allows: ["getReady"],
      fromDay: "2026-03-22",
      untilDay: "2026-04-22",
      note: "no load",
      enteredAt: at(22),
      withdrawnAt: null,
      withdrawnWhy: null,
    },
  },
  {
    kind: "report",
    at: at(21),
    report: {
      alertId: sampleId(),
      cause: "report",
      kind: "numbness",
      side: "left",
      regions: ["thumbBase"],
      movementId: null,
      words: "after the third course",
      at: at(21),
      level: null,
      pauses: false,
      answer: "ease",
    },
    reply: "Go on with the easier form.",
    answeredAt: at(21, "09:00"),
    answeredBy: "Maren",
  },
  { kind: "restriction", at: at(20), restriction: held },
  { kind: "absence", at: at(2, "00:00"), id: sampleId(), from: "2026-03-02", until: "2026-03-03" },
];

it("has everything of a person in words, day by day, and a picture of eight weeks", async () => {
  open(EVERYTHING);
  expect(await screen.findByRole("heading", { name: "Ann Early" })).toBeInTheDocument();
  const record = await screen.findByRole("region", { name: "Everything on record" });
  const days = within(record).getAllByRole("region");
  expect(days.map((day) => day.getAttribute("aria-label"))).toEqual([
    "26 Mar 2026",
    "25 Mar 2026",
    "24 Mar 2026",
    "23 Mar 2026",
    "22 Mar 2026",
    "21 Mar 2026",
    "20 Mar 2026",
    "2 Mar 2026",
  ]);
  for (const [i, text] of [
    "Morning: 4 of 10 · above what is usual for them · tingling or numbness",
    "Yard warm-up · led · effort 3 of 10 · kept out of 1 item · tingling",
    "Grip tape too thick",
    "Measured: Spring · begun",
    "Cleared by Dr Rowan, Hand therapist · from 22 Mar 2026 to 22 Apr 2026 · “no load”",
    "Stopped and told",
    "Held out: ",
    "Excused · 2 Mar 2026 – 3 Mar 2026",
  ].entries())
    expect(days[i]).toHaveTextContent(text);
  expect(days[1]).toHaveTextContent("Ridge break · was not there");
  expect(days[5]).toHaveTextContent("“after the third course”");
  expect(days[5]).toHaveTextContent("Ease, Maren 21 Mar 09:00 · “Go on with the easier form.”");
  expect(
    screen.getByRole("img", { name: /^8 weeks at a glance. Days with a session: 1. Mornings answered: 1. Reports.*: 3\./ }),
  ).toBeInTheDocument();
});

it("shows one kind of thing alone", async () => {
  const { user } = open(EVERYTHING);
  await user.click(await screen.findByRole("radio", { name: "Reports and holds" }));
  expect(screen.getByRole("region", { name: "Everything on record" })).not.toHaveTextContent("Yard warm-up");
  expect(within(screen.getByRole("region", { name: "Everything on record" })).getAllByRole("region")).toHaveLength(3);
});

it("a decision says what changed, why it was not what was proposed, and who decided", async () => {
  const item = newItem(SHIPPED_LIBRARY.get("palm-away"), DEFAULT_STYLE, sampleId());
  const decision = {
    id: sampleId(),
    personId: ann.id,
    programId: sampleId(),
    itemId: item.id,
    movementId: "palm-away",
    proposed: "progress" as const,
    decided: "hold" as const,
    why: "Wait for the roof",
    response: { kind: "progress" as const, fired: [], next: null },
    was: { formId: item.formId, dose: item.dose, loadKg: null },
    settings: {},
    settingsVersion: 1,
    decidedBy: sampleId(),
    decidedAt: at(25),
    resumedAt: null,
    resumedWhy: null,
    by: "Maren",
  };
  open([{ kind: "decision", at: at(25), decision: decision as never }]);
  const record = await screen.findByRole("region", { name: "Everything on record" });
  expect(record).toHaveTextContent("Hold: Palm-away stretch");
  expect(record).toHaveTextContent("Instead of progress: Wait for the roof · By Maren");
});

it("says what they take part in, and that it is not known where it cannot be read", async () => {
  const { unmount } = open([]);
  expect(await screen.findByText("Takes part in everything")).toBeInTheDocument();
  unmount();
  open([], { [`GET /crews/${crew.id}/participation`]: refusal(503, "busy", "The server is busy.") });
  expect(await screen.findByText("What they take part in is not known yet")).toBeInTheDocument();
  expect(screen.queryByText(/Takes part in/)).toBeNull();
});

it("with nothing on record it says so", async () => {
  open([]);
  expect(await screen.findByText("Nothing on record yet")).toBeInTheDocument();
});

/** Fifty sessions, so many hours apart. */
const fifty = (from: number, hours: number) =>
  Array.from({ length: 50 }, (_, i) =>
    run({ sessionName: `Session ${from + i}`, at: new Date(Date.parse(NOW) - (from + i) * hours * 3_600_000).toISOString() }),
  );

it("the picture of eight weeks has all of them, also of somebody who does more in that time than a page holds", async () => {
  const { server } = open([], {
    [`GET ${path}/record`]: () => ({
      events: fifty(server.calls("GET").filter(({ call }) => call.includes("/record")).length * 50 - 50, 12),
      more: true,
    }),
  });
  expect(await screen.findByRole("img", { name: /^8 weeks at a glance. Days with a session: 56\./ })).toBeInTheDocument();
  const asked = server.calls("GET").filter(({ call }) => call.includes("/record"));
  expect(asked).toHaveLength(3);
  // What is older still is read on a press.
  expect(screen.getByRole("button", { name: "Older" })).toBeInTheDocument();
});

it("in the picture a run after midnight stands on the day its shift began on", async () => {
  const night = { ...run({ at: at(25, "02:00") }), day: "2026-03-24" } as RecordEvent;
  open([run({ at: at(24, "22:10") }), night]);
  expect(await screen.findByRole("img", { name: /Days with a session: 1\./ })).toBeInTheDocument();
});

it("reads what is older, page after page", async () => {
  const page = (from: number) => fifty(from, 40);
  const { user, server } = open(page(0), {}, true);
  await screen.findByText("Session 0");
  server.answers = { ...server.answers, [`GET ${path}/record`]: { events: page(50), more: false } };
  await user.click(screen.getByRole("button", { name: "Older" }));
  expect(await screen.findByText("Session 99")).toBeInTheDocument();
  expect(screen.queryByRole("button", { name: "Older" })).toBeNull();
});

describe("a note", () => {
  it("is kept with its file, and the field is empty for the next", async () => {
    const { user, server } = open([], { [`POST ${path}/notes`]: null });
    await user.type(await screen.findByLabelText("Note about Ann Early"), "Measured at the bench");
    fireEvent.change(screen.getByLabelText("Photo or PDF"), {
      target: { files: [new File(["%PDF-1.7"], "letter.pdf", { type: "application/pdf" })] },
    });
    expect(await screen.findByText(/letter\.pdf, 1 kB/)).toBeInTheDocument();
    await user.click(screen.getByRole("button", { name: "Keep the note" }));
    await waitFor(() => expect(screen.getByLabelText("Note about Ann Early")).toHaveValue(""));
    expect(server.calls("POST")[0]!.body).toMatchObject({
      text: "Measured at the bench",
      attachment: { name: "letter.pdf", type: "application/pdf", content: btoa("%PDF-1.7") },
    });
  });

  it("that does not arrive keeps what was typed; sent again it is the same note", async () => {
    const { user, server } = open([], { [`POST ${path}/notes`]: refusal(503, "away", "The records are away.") });
    await user.type(await screen.findByLabelText("Note about Ann Early"), "Left wrist");
    await user.click(screen.getByRole("button", { name: "Keep the note" }));
    expect(await screen.findByText("The records are away.")).toBeInTheDocument();
    expect(screen.getByLabelText("Note about Ann Early")).toHaveValue("Left wrist");
    await user.click(screen.getByRole("button", { name: "Keep the note" }));
    await waitFor(() => expect(server.calls("POST")).toHaveLength(2));
    const [first, second] = server.calls("POST").map(({ body }) => (body as { id: string }).id);
    expect(first).toBe(second);
  });

  it("takes no program for a file", async () => {
    open([]);
    fireEvent.change(await screen.findByLabelText("Photo or PDF"), {
      target: { files: [new File(["x"], "run.exe", { type: "application/x-msdownload" })] },
    });
    expect(await screen.findByRole("alert")).toHaveTextContent("run.exe is neither a photo nor a PDF.");
    expect(screen.getByRole("button", { name: "Keep the note" })).toBeDisabled();
  });

  it("has its file to fetch, and is removed after one question", async () => {
    const noted = note({ attachment: { name: "wrist.jpg", type: "image/jpeg", bytes: 120_000 } });
    const id = (noted as { id: string }).id;
    const { user, server } = open([noted], { [`DELETE ${path}/notes/${id}`]: null });
    expect(await screen.findByRole("link", { name: "wrist.jpg, 120 kB" })).toHaveAttribute("href", `/api${path}/notes/${id}/file`);
    await user.click(screen.getByRole("button", { name: "Remove the note by Maren" }));
    await user.click(screen.getByRole("button", { name: "Remove the note" }));
    await waitFor(() => expect(server.calls("DELETE")).toHaveLength(1));
  });
});
