import { act, screen, waitFor } from "@testing-library/react";
import * as v from "valibot";
import { documentFormat } from "@kind-grip/core/document";
import { serverApi } from "../base/api";
import { refusal, showPage, SIGNED_IN, TestServer } from "../testing/screen";
import { readDraft } from "./draft";
import { SaveState } from "./SaveState";
import { useDocument, waitAgainMs } from "./use-document";

const NOTE = documentFormat({ name: "note", format: 2, steps: [(text) => ({ text })], schema: v.object({ text: v.string() }) });
type Note = { text: string };
const place = { storage: localStorage, owner: "me", id: "1", of: NOTE, former: { key: "old.note.1", valueAs: "note" } };
const KEY = "kind-grip/draft/me/note/1";

const noteApi = serverApi.injectEndpoints({
  endpoints: (make) => ({
    saveNote: make.mutation<{ version: number }, { version: number; note: Note }>({
      query: (body) => ({ url: "/note", method: "PUT", body }),
    }),
  }),
});

function Note({ start = { version: 1, value: { text: "first" } } }: { start?: { version: number; value: Note } }) {
  const [save] = noteApi.useSaveNoteMutation();
  const edited = useDocument<Note>({
    draft: place,
    start,
    save: (version, note) => save({ version, note }),
    theirsFrom: (detail) => detail as { version: number; value: Note },
  });
  return (
    <>
      <input aria-label="Text" value={edited.value.text} onChange={(event) => edited.change({ text: event.target.value })} />
      <SaveState edited={edited} what="this note" summary={({ text }) => <p>{text}</p>} />
    </>
  );
}

const saves = (server: TestServer) => server.calls("PUT").map(({ body }) => body as { version: number; note: Note });
const stored = (from: unknown) => ({ version: (from as { version: number }).version + 1 });
const state = () => screen.getByText(/Saved|Saving|Kept here|Not saved/, { selector: "[role=status]" });
const draft = () => readDraft(place);
const status = (text: string) => waitFor(() => expect(state()).toHaveTextContent(text));

it("is saved shortly after a change, with the version it grew from, and its draft goes when that is confirmed", async () => {
  const server = new TestServer({ ...SIGNED_IN, "PUT /note": stored });
  const { user } = showPage(<Note />);
  await user.type(screen.getByLabelText("Text"), "!");
  expect(draft()).toEqual({ version: 1, value: { text: "first!" } });
  await status("Saved");
  expect(saves(server)).toEqual([{ version: 1, note: { text: "first!" } }]);
  expect(draft()).toBeUndefined();
  await user.type(screen.getByLabelText("Text"), "!");
  await waitFor(() => expect(saves(server)[1]).toEqual({ version: 2, note: { text: "first!!" } }));
});

it("is undone and redone by button and key; in a field the keys are the field's own", async () => {
  new TestServer({ ...SIGNED_IN, "PUT /note": stored });
  const { user } = showPage(<Note />);
  await user.type(screen.getByLabelText("Text"), "!");
  await user.click(screen.getByRole("button", { name: "Undo" }));
  expect(screen.getByLabelText("Text")).toHaveValue("first");
  await user.keyboard("{Control>}y{/Control}");
  expect(screen.getByLabelText("Text")).toHaveValue("first!");
  await user.click(screen.getByLabelText("Text"));
  await user.keyboard("{Control>}y{/Control}");
  expect(screen.getByLabelText("Text")).toHaveValue("first!");
});

it("what the server refuses is not sent again until it changes, and says why", async () => {
  const server = new TestServer({
    ...SIGNED_IN,
    "PUT /note": (body) =>
      (body as { note: Note }).note.text === "first!"
        ? refusal(400, "invalid", "Look at it.", { fields: [{ path: "text", message: "is too loud" }] })
        : stored(body),
  });
  const { user } = showPage(<Note />);
  await user.type(screen.getByLabelText("Text"), "!");
  await status("Not saved: is too loud");
  await act(() => new Promise((done) => setTimeout(done, 1200)));
  expect(saves(server)).toHaveLength(1);
  expect(draft()?.value).toEqual({ text: "first!" });
  await user.type(screen.getByLabelText("Text"), "?");
  await status("Saved");
});

it("while the server is away it is kept, and sent when it is back", async () => {
  const server = new TestServer({ ...SIGNED_IN, "PUT /note": stored });
  server.away = true;
  const { user } = showPage(<Note />);
  await user.type(screen.getByLabelText("Text"), "!");
  await status("Kept here, sent when the server is back");
  expect(draft()?.value).toEqual({ text: "first!" });
  server.away = false;
  await waitFor(() => expect(state()).toHaveTextContent("Saved"));
  expect(draft()).toBeUndefined();
}, 15_000);

it("waits longer after every try, up to a minute", () => {
  expect([1, 2, 3, 5, 6, 40].map(waitAgainMs)).toEqual([3000, 6000, 12_000, 48_000, 60_000, 60_000]);
});

describe("somebody else saved first", () => {
  const clashing = () =>
    new TestServer({
      ...SIGNED_IN,
      "PUT /note": (body) =>
        (body as { version: number }).version === 1
          ? refusal(409, "stale", "Newer.", { detail: { version: 7, value: { text: "theirs" } } })
          : stored(body),
    });
  const conflict = async () => {
    const server = clashing();
    const { user } = showPage(<Note />);
    await user.type(screen.getByLabelText("Text"), "!");
    expect(await screen.findByRole("dialog", { name: "Somebody else saved this note meanwhile" })).toHaveTextContent("theirs");
    return { server, user };
  };
  it("mine is kept, over theirs, which is one undo away", async () => {
    const { server, user } = await conflict();
    await user.click(screen.getByRole("button", { name: "Keep mine" }));
    await waitFor(() => expect(saves(server).at(-1)).toEqual({ version: 7, note: { text: "first!" } }));
    await user.click(await screen.findByRole("button", { name: "Undo" }));
    expect(screen.getByLabelText("Text")).toHaveValue("theirs");
  });
  it("theirs is taken, and mine is one undo away", async () => {
    const { server, user } = await conflict();
    await user.click(screen.getByRole("button", { name: "Take theirs" }));
    expect(screen.getByLabelText("Text")).toHaveValue("theirs");
    await status("Saved");
    expect(saves(server)).toHaveLength(1);
    await user.click(await screen.findByRole("button", { name: "Undo" }));
    expect(screen.getByLabelText("Text")).toHaveValue("first!");
  });
});

describe("a draft of an earlier visit", () => {
  const open = (kept: object | string, key = KEY) => {
    const server = new TestServer({ ...SIGNED_IN, "PUT /note": stored });
    localStorage.setItem(key, typeof kept === "string" ? kept : JSON.stringify(kept));
    return { server, ...showPage(<Note />) };
  };
  it("is open again, and saved", async () => {
    const { server } = open({ format: 2, version: 1, value: { text: "draft" } });
    expect(screen.getByLabelText("Text")).toHaveValue("draft");
    await status("Saved");
    expect(saves(server)).toEqual([{ version: 1, note: { text: "draft" } }]);
  });
  it("of an older format is brought up to today's", () => {
    open({ format: 1, version: 1, value: "draft" });
    expect(screen.getByLabelText("Text")).toHaveValue("draft");
  });
  it("under the name an older product gave it is found, and goes when it is saved", async () => {
    open({ version: 1, note: "draft" }, place.former.key);
    expect(screen.getByLabelText("Text")).toHaveValue("draft");
    await status("Saved");
    await waitFor(() => expect(localStorage.getItem(place.former.key)).toBeNull());
  });
  it("that grew from an older version asks which", async () => {
    open({ format: 2, version: 0, value: { text: "draft" } });
    expect(await screen.findByRole("dialog")).toHaveTextContent("first");
  });
  it.each([
    ["is no draft", "{"],
    ["comes from a newer product", JSON.stringify({ format: 3, version: 1, value: {} })],
  ])("that %s is put aside, not thrown away", (_, text) => {
    open(text);
    expect(screen.getByLabelText("Text")).toHaveValue("first");
    expect(localStorage.getItem(`kind-grip/unreadable/${KEY}`)).toBe(text);
  });
  it("of somebody else is not shown, and stays theirs", () => {
    const key = "kind-grip/draft/other/note/1";
    open({ format: 2, version: 1, value: { text: "hers" } }, key);
    expect(screen.getByLabelText("Text")).toHaveValue("first");
    expect(localStorage.getItem(key)).not.toBeNull();
  });
});

it("a page that is left sends what it has at once", async () => {
  const server = new TestServer({ ...SIGNED_IN, "PUT /note": stored });
  const { user, unmount } = showPage(<Note />);
  await user.type(screen.getByLabelText("Text"), "!");
  unmount();
  await waitFor(() => expect(saves(server)).toEqual([{ version: 1, note: { text: "first!" } }]));
  await waitFor(() => expect(draft()).toBeUndefined());
});
