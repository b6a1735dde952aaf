/** A person's entry while it is changed: by the one who types, by somebody else meanwhile, and right after it was stored. */
import { act, screen, waitFor, within } from "@testing-library/react";
import type { PersonEntry } from "@kind-grip/core/api";
import { serverApi } from "../base/api";
import PersonPage from "../record/PersonPage";
import { showCrewPage } from "../testing/crew-page";
import { sampleCrew, samplePerson } from "../testing/sample";
import type { Answers } from "../testing/screen";
import { shownDay, typeDay } from "../testing/type-day";

const crew = sampleCrew();
const ann = samplePerson({ name: "Ann Early" });
const theirs: PersonEntry = { ...ann, version: 2, badge: "SL-9" };
const people = `GET /crews/${crew.id}/people`;
const change = `PUT /crews/${crew.id}/people/${ann.id}`;

const open = (answers: Answers = {}) =>
  showCrewPage(<PersonPage />, "people/:personId", {
    crew,
    people: [ann],
    at: `people/${ann.id}`,
    answers: { [`GET /crews/${crew.id}/people/${ann.id}/record`]: { events: [], more: false }, ...answers },
  });
type Shown = ReturnType<typeof open>;
const openDialog = async ({ user }: Shown) => user.click(await screen.findByRole("button", { name: "Change" }));
/** Somebody else's change reaches this page, as it does when anything about people was stored. */
const arrives = async ({ server, store }: Shown) => {
  const calls = () => server.asked.filter(({ call }) => call === people).length;
  const before = calls();
  server.answers = { ...server.answers, [people]: [theirs] };
  act(() => void store.dispatch(serverApi.util.invalidateTags(["People"])));
  await waitFor(() => expect(calls()).toBe(before + 1));
  await screen.findByText(/SL-9/);
};
const sent = ({ server }: Shown) => server.calls("PUT").map(({ body }) => body as { version: number; person: PersonEntry });

it("nothing typed yet: the fields take what somebody else set, and are sent with its version", async () => {
  const shown = open({ [change]: { ...theirs, version: 3 } });
  await openDialog(shown);
  await arrives(shown);
  await waitFor(() => expect(screen.getByRole("textbox", { name: "Badge" })).toHaveValue("SL-9"));
  await shown.user.click(screen.getByRole("button", { name: "Save" }));
  await waitFor(() => expect(sent(shown)).toHaveLength(1));
  expect(sent(shown)[0]).toMatchObject({ version: 2, person: { badge: "SL-9" } });
}, 30_000);

it("something typed: it is sent as a change of what it was typed over, and the other one is not lost unseen", async () => {
  let tries = 0;
  const shown = open({
    [change]: () =>
      ++tries === 1
        ? { status: 409, body: { code: "stale", message: "Somebody else saved a newer version.", fields: [], detail: theirs } }
        : { ...theirs, version: 3 },
  });
  await openDialog(shown);
  const name = screen.getByRole("textbox", { name: "Name" });
  await shown.user.type(name, " Bird");
  await arrives(shown);
  expect(name).toHaveValue("Ann Early Bird");
  expect(screen.getByRole("textbox", { name: "Badge" })).toHaveValue("");
  await shown.user.click(screen.getByRole("button", { name: "Save" }));
  expect(await screen.findByText(/Somebody else changed this person meanwhile: Badge: SL-9\./)).toBeInTheDocument();
  expect(name).toHaveValue("Ann Early Bird");
  await shown.user.click(screen.getByRole("button", { name: "Save" }));
  await shown.user.click(await screen.findByRole("button", { name: "Undo" }));
  await waitFor(() => expect(sent(shown)).toHaveLength(3));
  // Undo brings back what was replaced, theirs with it.
  expect(sent(shown).map(({ version, person }) => [version, person.name, person.badge])).toEqual([
    [1, "Ann Early Bird", null],
    [2, "Ann Early Bird", null],
    [3, "Ann Early", "SL-9"],
  ]);
}, 30_000);

it("whoever opens it again at once meets what was just stored", async () => {
  const shown = open({ [change]: (body: unknown) => ({ ...ann, ...(body as { person: PersonEntry }).person, version: 2 }) });
  await openDialog(shown);
  // The list is not asked for again as long as this test lasts.
  shown.server.answers = {
    ...shown.server.answers,
    [people]: { status: 503, body: { code: "databaseAway", message: "Away.", fields: [] } },
  };
  await shown.user.click(screen.getByRole("button", { name: "Leaves today" }));
  await screen.findByText("Ann Early leaves today.");
  await openDialog(shown);
  expect(shownDay(within(screen.getByRole("dialog")).getByRole("group", { name: "Last day" }))).toMatch(/^\d+ \w{3} \d{4}$/);
}, 30_000);

it("a last day that is half typed is said at its field, and nothing is sent until it is whole", async () => {
  const shown = open({ [change]: { ...ann, version: 2 } });
  await openDialog(shown);
  const last = within(screen.getByRole("dialog")).getByRole("group", { name: "Last day" });
  await shown.user.click(within(last).getAllByRole("spinbutton")[0]!);
  await shown.user.keyboard("5");
  await shown.user.click(screen.getByRole("button", { name: "Save" }));
  expect(await screen.findByText("is not a whole day, e.g. 26 Mar 2026")).toBeInTheDocument();
  expect(screen.getByRole("dialog")).toBeVisible();
  expect(sent(shown)).toEqual([]);
  await typeDay(shown.user, last, "2026-05-31");
  await shown.user.click(screen.getByRole("button", { name: "Save" }));
  await waitFor(() => expect(sent(shown).map(({ person }) => person.leftOn)).toEqual(["2026-05-31"]));
}, 30_000);
