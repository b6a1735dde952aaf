/** A trainer hands somebody everything that is kept of them, and forgets them: by name, once, for good. */
import { act, screen, waitFor, within } from "@testing-library/react";
import { useState } from "react";
import type { ErasedPerson, PersonEntry } from "@kind-grip/core/api";
import { NoticeBar } from "../base/NoticeBar";
import { refusal, showPage, SIGNED_IN, TestServer, type Answers } from "../testing/screen";
import { sampleId } from "../testing/sample";
import { PersonData } from "./PersonData";

const [crewId, personId] = [sampleId(), sampleId()];
const PERSON: PersonEntry = {
  id: personId,
  name: "Ann Early",
  badge: null,
  handedness: null,
  startedOn: null,
  leftOn: null,
  language: null,
  version: 1,
};
const at = `/crews/${crewId}/people/${personId}/erase`;
const show = (answers: Answers = {}, change: object = {}) => {
  const server = new TestServer({ ...SIGNED_IN, [`POST ${at}`]: { elsewhere: [] } satisfies ErasedPerson, ...answers });
  let showAs!: (person: PersonEntry) => void;
  const Page = () => {
    const [person, setPerson] = useState<PersonEntry>({ ...PERSON, ...change });
    showAs = setPerson;
    return <PersonData crewId={crewId} person={person} />;
  };
  const shown = showPage(
    <>
      <Page />
      <NoticeBar />
    </>,
  );
  return { server, ...shown, showAs: (person: PersonEntry) => act(() => showAs(person)) };
};
const begin = async ({ user }: ReturnType<typeof show>) => {
  await user.click(await screen.findByRole("button", { name: "Forget Ann Early …" }));
  return screen.findByRole("dialog", { name: "Forget Ann Early for good?" });
};

it("everything is a file of theirs", async () => {
  show();
  expect(await screen.findByRole("link", { name: "Everything as a file" })).toHaveAttribute(
    "href",
    `/api/crews/${crewId}/people/${personId}/everything.json`,
  );
  expect(screen.getByRole("link", { name: "Measurements for a therapist (FHIR)" })).toHaveAttribute(
    "href",
    `/api/crews/${crewId}/people/${personId}/fhir.json`,
  );
});

it("says what goes and what stays, and asks for the name; nothing is sent before it is there", async () => {
  const page = show();
  const dialog = await begin(page);
  expect(dialog).toHaveTextContent("Reports that were given out do not change.");
  expect(dialog).toHaveTextContent("Backups from before still have it");
  const forget = within(dialog).getByRole("button", { name: "Forget for good" });
  const field = within(dialog).getByRole("textbox", { name: "Type the name to go on: Ann Early" });
  expect(field).toHaveFocus();
  await page.user.type(field, "Ann Earl{Enter}");
  expect(forget).toBeDisabled();
  expect(page.server.calls("POST")).toEqual([]);
  await page.user.type(field, "y{Enter}");
  await waitFor(() => expect(page.server.calls("POST").map(({ body }) => body)).toEqual([{ name: "Ann Early" }]));
  expect(await screen.findByText("Ann Early was forgotten.")).toBeInTheDocument();
  await waitFor(() => expect(screen.queryByRole("dialog")).toBeNull());
  await waitFor(() => expect(screen.getByRole("heading", { name: "Their data" })).toHaveFocus());
});

it("the keyboard's place stays in sight while the page above it is loaded anew", async () => {
  const page = show();
  await begin(page);
  await page.user.type(screen.getByRole("textbox"), "Ann Early{Enter}");
  const heading = screen.getByRole("heading", { name: "Their data", hidden: true });
  await waitFor(() => expect(heading).toHaveFocus());
  let scrolled = 0;
  heading.scrollIntoView = () => void scrolled++;
  let resized!: () => void;
  class Watch extends ResizeObserver {
    constructor(hears: ResizeObserverCallback) {
      super(hears);
      resized = () => hears([], this);
    }
  }
  const usual = globalThis.ResizeObserver;
  globalThis.ResizeObserver = Watch;
  page.showAs({ ...PERSON, name: "Erased person 1", isErased: true });
  globalThis.ResizeObserver = usual;
  resized();
  resized();
  expect(scrolled).toBe(2);
  // Who has gone on elsewhere is left there.
  await page.user.tab();
  resized();
  expect(scrolled).toBe(2);
});

it("says where somebody of that name is besides", async () => {
  const other = { crewId: sampleId(), crewName: "Oyster line", personId: sampleId(), name: "Anne Early" };
  const page = show({ [`POST ${at}`]: { elsewhere: [other] } });
  await begin(page);
  await page.user.type(screen.getByRole("textbox"), "Ann Early{Enter}");
  expect(await screen.findByRole("link", { name: "Anne Early in Oyster line" })).toHaveAttribute(
    "href",
    `/crews/${other.crewId}/people/${other.personId}`,
  );
});

it("what the server refuses is said, and nothing is said to be done", async () => {
  const page = show({ [`POST ${at}`]: refusal(503, "databaseAway", "The database is away. Try again in a moment.") });
  await begin(page);
  await page.user.type(screen.getByRole("textbox"), "Ann Early{Enter}");
  await waitFor(() => expect(screen.getByRole("textbox")).toHaveAccessibleDescription("The database is away. Try again in a moment."));
  expect(screen.queryByText(/was forgotten/)).toBeNull();
});

it("of who was forgotten there is a file, and nothing to forget", async () => {
  show({}, { name: "Erased person 1", isErased: true });
  expect(await screen.findByText(/They were forgotten/)).toBeInTheDocument();
  expect(screen.queryByRole("button", { name: /Forget/ })).toBeNull();
});
