/** The hand-out as a page: every session and movement as headings and lists, in the language asked for, printed once its pictures are there. */
import { screen, waitFor, within } from "@testing-library/react";
import type { HandOut } from "@kind-grip/core/api";
import { showCrewPage } from "../testing/crew-page";
import { sampleCrew, sampleId, samplePerson, sampleSession } from "../testing/sample";
import { refusal } from "../testing/screen";
import HandOutPage from "./HandOutPage";

jest.mock("../figure/drawer", () => ({ stillOf: jest.fn(async () => "<svg><path/></svg>") }));

const crew = sampleCrew({ name: "Slate crew" });
const programId = sampleId();
const ada = sampleId();
const handOut = (change: Partial<HandOut> = {}): HandOut => {
  const session = sampleSession(["shake-out", "palm-away"], { name: "Warm-up" });
  session.items[1]!.personal = { [ada]: { formId: session.items[1]!.formId }, [sampleId()]: { formId: session.items[1]!.formId } };
  return {
    crewName: crew.name,
    programName: "Block 1",
    language: "en",
    sessions: [session],
    people: [{ id: ada, name: "Ada Quill" }],
    ...change,
  };
};
const open = (answers: Record<string, object>, query = "") =>
  showCrewPage(<HandOutPage />, "program/:programId/hand-out", { crew, at: `program/${programId}/hand-out${query}`, answers });
const address = `GET /programs/${programId}/hand-out`;

it("is read by headings and lists: steps in order, what to watch for, whose form is easier, and when to stop", async () => {
  open({ [address]: handOut() });
  const sheet = within(await screen.findByRole("region", { name: "Warm-up" }));
  expect(sheet.getByRole("heading", { level: 2, name: "Warm-up" })).toBeVisible();
  const [shake, palm] = sheet.getAllByRole("heading", { level: 3 });
  expect(shake).toHaveTextContent(/^1\. Shake-out/);
  const entry = within(palm!.closest("li")!);
  expect(entry.getAllByRole("list")[0]!.tagName).toBe("OL");
  expect(entry.getByRole("heading", { level: 4, name: "Easier form" }).nextElementSibling).toHaveTextContent(/^Ada Quill: /);
  // Somebody who is held out is not among the people, and not told of.
  expect(entry.getByRole("heading", { level: 4, name: "Easier form" }).nextElementSibling!.children).toHaveLength(1);
  expect(sheet.getByText(/^Stop and tell your trainer/)).toBeVisible();
  await waitFor(() => expect(sheet.getAllByRole("img")).toHaveLength(2));
  expect(sheet.getAllByRole("img")[0]).toHaveAccessibleName(/Shake-out/);
});

it("is printed once every picture is drawn, also those nobody scrolled to", async () => {
  const print = jest.spyOn(window, "print").mockImplementation(() => undefined);
  const { user } = open({ [address]: handOut() });
  const button = await screen.findByRole("button", { name: "Print" });
  await waitFor(() => expect(button).toBeEnabled());
  await user.click(button);
  expect(print).toHaveBeenCalledTimes(1);
});

it("another language is asked for, with its direction, its digits and its words for the pictures", async () => {
  const { server, user } = open({ [address]: handOut(), [`${address}?language=ar`]: handOut({ language: "ar" }) });
  await screen.findByRole("region", { name: "Warm-up" });
  await user.click(screen.getByRole("radio", { name: "العربية" }));
  await waitFor(() => expect(server.calls(`${address}?language=ar`)).toHaveLength(1));
  const heading = await screen.findByRole("heading", { level: 3, name: /^١/ });
  expect(heading.closest("[dir]")).toHaveAttribute("dir", "rtl");
  expect(heading.closest("[lang]")).toHaveAttribute("lang", "ar");
  const figures = within(heading.closest("section")!).getAllByRole("img");
  expect(figures[0]!.getAttribute("aria-label")).not.toMatch(/[a-z]{3}/i);
});

it("somebody's own sheet is asked for in their language, with their name; one who is held out has none, and nothing else is shown", async () => {
  const own = handOut({ people: [{ id: ada, name: "Ada Quill" }] });
  const away = sampleId();
  const message = "There is no sheet for them today: they are held out of everything, or not here.";
  const { server, user } = open(
    {
      [address]: handOut(),
      [`GET /crews/${crew.id}/people`]: [samplePerson({ id: ada, name: "Ada Quill" }), samplePerson({ id: away, name: "Olmo Reed" })],
      [`${address}?language=pl`]: handOut(),
      [`${address}?personId=${ada}`]: own,
      [`${address}?personId=${away}`]: refusal(404, "notFound", message),
    },
    "?language=pl",
  );
  await screen.findByRole("region", { name: "Warm-up" });
  const choose = async (name: string) => {
    await user.click(screen.getByRole("combobox", { name: "For" }));
    await user.click(screen.getByRole("option", { name }));
  };
  await choose("Ada Quill");
  expect(await screen.findByText(/Ada Quill · Slate crew/)).toBeVisible();
  expect(server.calls(`${address}?personId=${ada}`)).toHaveLength(1);
  await choose("Olmo Reed");
  expect(await screen.findByText(message)).toBeVisible();
  expect(screen.queryByRole("region", { name: "Warm-up" })).toBeNull();
  expect(screen.getByRole("button", { name: "Print" })).toBeDisabled();
});

it("a program without items says so", async () => {
  open({ [address]: handOut({ sessions: [] }) });
  expect(await screen.findByText("This program has no session with items yet.")).toBeVisible();
});
