/** While a run is led: the steps in words where there is no room beside the count, and what a tap on a name does. */
import { screen, waitFor, within } from "@testing-library/react";
import { wordsIn } from "@kind-grip/core/language";
import { SHIPPED_LIBRARY } from "@kind-grip/core/library";
import { NoticeBar } from "../base/NoticeBar";
import { dosed } from "../testing/run";
import { sampleCrew, samplePerson, sampleProgram, sampleSession, sampleToday } from "../testing/sample";
import { showPage, SIGNED_IN, TestServer } from "../testing/screen";
import { underWay } from "./run-store";
import RunPage from "./RunPage";

const crew = sampleCrew();
const ada = samplePerson({ name: "Ada Early" });
const bo = samplePerson({ name: "Bo Late" });

/** A movement that is done with a dumbbell in more than one form. */
const curl = SHIPPED_LIBRARY.movements.find(({ kit, forms }) => kit.includes("dumbbell") && forms.length > 1)!;

interface LeadOptions {
  movementIds?: string[];
  /** What the second of them has of their own beside the form. */
  own?: object;
  /** What the first item is written with. */
  item?: object;
}

async function lead(ownForm?: string, { movementIds = ["palm-away", "fist-and-star"], own = {}, item = {} }: LeadOptions = {}) {
  localStorage.setItem("kind-grip.sound", JSON.stringify({ coach: "count" }));
  const written = dosed(sampleSession(movementIds));
  const first = written.items[0]!;
  const session = {
    ...written,
    items: [
      { ...first, ...item, personal: ownForm ? { [bo.id]: { formId: ownForm, dose: null, ...own } } : {} },
      ...written.items.slice(1),
    ],
  };
  const entry = sampleProgram(crew.id, [session as never]);
  new TestServer({
    ...SIGNED_IN,
    "GET /today": sampleToday(),
    [`GET /crews/${crew.id}`]: crew,
    [`GET /crews/${crew.id}/people`]: [ada, bo],
    [`GET /crews/${crew.id}/participation`]: [],
    [`GET /crews/${crew.id}/ramps`]: [],
    [`GET /crews/${crew.id}/last-presence`]: { startedAt: null, absent: [] },
    [`GET /programs/${entry.id}`]: entry,
    [`GET /crews/${crew.id}/quick-test`]: { test: null },
  });
  const path = `/crews/${crew.id}/run/${entry.id}/${session.id}`;
  const shown = showPage(
    <>
      <RunPage />
      <NoticeBar />
    </>,
    { at: path, path: "/crews/:crewId/run/:programId/:sessionId" },
  );
  await shown.user.click(await screen.findByRole("button", { name: "Start" }));
  await screen.findByRole("progressbar", { name: "Session" });
  const kept = () => underWay(entry.id, session.id, SIGNED_IN["GET /me"].account.email);
  const marks = () => kept()?.marks.map(({ personId, kind }) => [personId, kind]);
  return { ...shown, kept, marks };
}
// Where the steps have no room is told by the screen's size, which a test of a part has none of.
const HIDDEN = { hidden: true };
const inWords = () => screen.getByRole("button", { name: "In words", ...HIDDEN });
const words = wordsIn("en");
const movement = (id: string) => words.movement(id);

describe("the steps in words over the figure", () => {
  it("come and go with one press, with what to watch for", async () => {
    const { user } = await lead();
    const { name, steps, watch } = movement("palm-away");
    await user.click(inWords());
    const over = screen.getByRole("region", { name, ...HIDDEN });
    expect(within(over).getAllByRole("listitem", HIDDEN)).toHaveLength(steps.length);
    for (const text of [...steps, ...watch]) expect(over).toHaveTextContent(text);
    await user.click(screen.getByRole("button", { name: "The picture", expanded: true, ...HIDDEN }));
    expect(screen.queryByRole("region", { name, ...HIDDEN })).toBeNull();
  });

  it("stay for the next movement, and are its own then", async () => {
    const { user } = await lead();
    await user.click(inWords());
    const { name, steps } = movement("fist-and-star");
    for (let i = 0; i < 12 && !screen.queryByRole("heading", { name }); i++)
      await user.click(screen.getByRole("button", { name: /^Skip/ }));
    expect(screen.getByRole("region", { name, ...HIDDEN })).toHaveTextContent(steps[0]!);
  });
});

describe("a name of the strip", () => {
  const strip = () => screen.getByRole("group", { name: "People" });
  const names = () => within(strip()).getAllByRole("button");

  it("stands before the others with its own form, and never a reason", async () => {
    await lead("elbow-90");
    expect(names()[0]).toHaveTextContent(`Bo Late ${words.within(words.formName("palm-away", "elbow-90"))}`);
    expect(names()[1]).toHaveTextContent(/^Ada Early$/);
  });

  it("goes one form easier by its menu", async () => {
    const { user } = await lead();
    await user.click(within(strip()).getByRole("button", { name: /^Ada Early/ }));
    const easier = await screen.findByRole("menuitem", { name: /^Easier: / });
    const form = easier.textContent!.replace("Easier: ", "");
    await user.click(easier);
    await waitFor(() => expect(within(strip()).getByRole("button", { name: /^Ada Early/ })).toHaveTextContent(form));
    expect(within(strip()).getByRole("button", { name: /^Bo Late/ })).toHaveTextContent(/^Bo Late$/);
  });

  it("of whoever has a load of their own keeps it in the easier form: the item's is more", async () => {
    const [easy, hard] = curl.forms.slice(0, 2);
    const { user, kept } = await lead(hard!.id, {
      movementIds: [curl.id, "fist-and-star"],
      item: { formId: hard!.id, loadKg: 2 },
      own: { dose: undefined, loadKg: 1 },
    });
    await user.click(within(strip()).getByRole("button", { name: /^Bo Late/ }));
    await user.click(await screen.findByRole("menuitem", { name: /^Easier: / }));
    await waitFor(() => expect(kept()?.session.items[0]!.personal[bo.id]).toMatchObject({ formId: easy!.id, loadKg: 1 }));
  });

  it("takes a mark that can be undone", async () => {
    const { user, marks } = await lead();
    await user.click(within(strip()).getByRole("button", { name: /^Bo Late/ }));
    await user.click(await screen.findByRole("menuitem", { name: "Too much" }));
    expect(await screen.findByText("Noted for Bo Late.")).toBeInTheDocument();
    await waitFor(() => expect(marks()).toEqual([[bo.id, "tooMuch"]]));
    await user.click(screen.getByRole("button", { name: "Undo" }));
    await waitFor(() => expect(marks()).toEqual([]));
  });

  it("is gone at once after sharp pain, and the others stay", async () => {
    const { user } = await lead();
    await user.click(within(strip()).getByRole("button", { name: /^Bo Late/ }));
    await user.click(await screen.findByRole("menuitem", { name: "Sharp pain" }));
    expect(await screen.findByText(/^Bo Late is out from now on/)).toBeInTheDocument();
    expect(names().map(({ textContent }) => textContent)).toEqual(["Ada Early"]);
  });
});
