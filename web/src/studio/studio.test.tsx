/** The studio: a draft, its problems, forms, and somebody else who saved first. */
import { screen, waitFor, within } from "@testing-library/react";
import { sampleCustomMovement } from "@kind-grip/core/library";
import { refusal, showPage, SIGNED_IN, TestServer } from "../testing/screen";
import StudioPage from "./StudioPage";

const id = "0199c0de-0000-7000-8000-000000000001";
const entry = { id, version: 3, removed: false, custom: sampleCustomMovement(id) };
const open = (answers: object = {}, at = `/library/studio/${id}`) => {
  const server = new TestServer({ ...SIGNED_IN, "GET /movements": [entry], ...answers });
  return { server, ...showPage(<StudioPage />, { at, path: at.endsWith("studio") ? "/library/studio" : "/library/studio/:customId" }) };
};
const sent = (server: TestServer) => server.calls("PUT").map(({ body }) => body as { version: number; custom: typeof entry.custom });
const status = (text: string) => waitFor(() => expect(screen.getByText(text, { selector: "[role=status]" })).toBeInTheDocument());

it("a new one is not saved until its maker says so, and says what is missing when asked to", async () => {
  const { server, user } = open({}, "/library/studio");
  await user.type(await screen.findByLabelText("Name"), "Hook");
  await status("Not saved yet");
  await user.click(screen.getByRole("button", { name: "Save to the library" }));
  expect(screen.getByRole("alert")).toHaveTextContent("Where it is felt: is missing");
  expect(server.calls("PUT")).toEqual([]);
});

it("is saved with the version it grew from, empty lines left out, and then in the library", async () => {
  const { server, user } = open({ [`PUT /movements/${id}`]: { ...entry, version: 4 } });
  await user.type(await screen.findByLabelText("Watch for"), "{End}{Enter}{Enter}Soft grip.{Enter}");
  await user.click(screen.getByRole("button", { name: "Save" }));
  expect(await screen.findByText(`at /library/${entry.custom.movement.id}`)).toBeInTheDocument();
  expect(sent(server)).toMatchObject([{ version: 3, custom: { words: { watch: ["Elbow stays at the side.", "Soft grip."] } } }]);
  expect(Object.keys(localStorage)).toEqual([]);
});

it("a draft is there again after the page was lost; undo brings back what is stored", async () => {
  const first = open();
  await first.user.type(await screen.findByLabelText("Where it is felt"), " Deep.");
  await status("Not saved yet");
  first.unmount();
  const { user } = open();
  expect(await screen.findByLabelText("Where it is felt")).toHaveValue("Both sides of the forearm. Deep.");
  await user.click(screen.getByRole("button", { name: "Undo" }));
  expect(screen.getByLabelText("Where it is felt")).toHaveValue("Both sides of the forearm.");
});

it("a draft of an older product is still read", async () => {
  localStorage.setItem(
    `kind-grip:studio:${id}`,
    JSON.stringify({ version: 3, own: { ...entry.custom, words: { ...entry.custom.words, name: "Old draft" } } }),
  );
  open();
  expect(await screen.findByLabelText("Name")).toHaveValue("Old draft");
});

it("when somebody else saved first there is a choice, and mine stays one undo away", async () => {
  const theirs = { ...entry, version: 9, custom: { ...entry.custom, words: { ...entry.custom.words, name: "Theirs" } } };
  const { user } = open({ [`PUT /movements/${id}`]: refusal(409, "stale", "Newer.", { detail: theirs }) });
  await user.type(await screen.findByLabelText("Name"), "!");
  await user.click(screen.getByRole("button", { name: "Save" }));
  const dialog = await screen.findByRole("dialog", { name: "Somebody else saved this movement meanwhile" });
  expect(dialog).toHaveTextContent("Theirs");
  await user.click(within(dialog).getByRole("button", { name: "Take theirs" }));
  expect(screen.getByLabelText("Name")).toHaveValue("Theirs");
  await waitFor(() => expect(screen.queryByRole("dialog")).toBeNull());
  await user.click(screen.getByRole("button", { name: "Undo" }));
  expect(screen.getByLabelText("Name")).toHaveValue("Door-handle turn!");
});

describe("forms", () => {
  const forms = () => screen.getByRole("region", { name: "Forms" });
  it("an easier one comes first, needs a name, and can be where new items start", async () => {
    const { server, user } = open({ [`PUT /movements/${id}`]: { ...entry, version: 4 } });
    await user.click(await screen.findByRole("button", { name: "Add an easier form" }));
    await user.click(screen.getByRole("button", { name: "Save" }));
    expect(within(forms()).getByText("the form has no name")).toBeInTheDocument();
    await user.type(screen.getByRole("textbox", { name: "Form 1" }), "Half way");
    await user.click(within(forms()).getAllByRole("radio")[0]!);
    await user.click(screen.getByRole("button", { name: "Save" }));
    await waitFor(() => expect(sent(server)).toHaveLength(1));
    const { movement, words } = sent(server)[0]!.custom;
    expect(movement.forms.map((form) => words.forms[form.id])).toEqual(["Half way", "As described"]);
    expect(words.forms[movement.startForm]).toBe("Half way");
  });
  it("what programs may hold already is not taken out; what was just added is", async () => {
    const { user } = open();
    await user.click(await screen.findByRole("button", { name: "Add an easier form" }));
    expect(screen.getByRole("button", { name: "Take form 2 out" })).toBeDisabled();
    await user.click(screen.getByRole("button", { name: "Take form 1 out" }));
    expect(within(forms()).getAllByRole("textbox")).toHaveLength(1);
  });
});

it("an address that is none says so", async () => {
  open({ "GET /movements": [] });
  expect(await screen.findByText("There is nothing at this address")).toBeInTheDocument();
});
