/** The texts of a language: found, said otherwise, refused where something is lost, taken back. */
import { screen, waitFor, within } from "@testing-library/react";
import { refusal, showPage, SIGNED_IN, TestServer } from "../testing/screen";
import TextsPage from "./TextsPage";

const KEY = "movements.palm-away.name";
const texts = (own: Record<string, string> = {}, readings: object[] = []) => ({ corrections: { es: own }, readings });
const open = (answers: object = {}, language = "es") => {
  const server = new TestServer({ ...SIGNED_IN, "GET /practice/texts": texts(), ...answers });
  return { server, ...showPage(<TextsPage />, { at: `/practice/texts/${language}`, path: "/practice/texts/:language" }) };
};
const find = async (user: ReturnType<typeof open>["user"], words: string) =>
  user.type(await screen.findByRole("searchbox", { name: "Find a text, in English or Español" }), words);
const field = (english: string) => screen.findByRole("textbox", { name: `In your own words: ${english}` });

it("is found by English words or its own, and kept when it is left", async () => {
  const { server, user } = open({ "PUT /practice/texts/es": texts({ [KEY]: "Estira la palma" }) });
  await find(user, "palm-away");
  const name = await field("Palm-away stretch");
  expect(name).toHaveValue("Palma hacia fuera");
  await user.clear(name);
  await user.type(name, "Estira la palma");
  await user.tab();
  await waitFor(() => expect(server.calls("PUT")[0]!.body).toEqual({ key: KEY, text: "Estira la palma" }));
});

it("that loses what is filled in is refused at its field, with what was typed", async () => {
  const problem = refusal(400, "invalid", "Look again.", { fields: [{ path: "text", message: "leaves out {{count}}" }] });
  const { user } = open({ "PUT /practice/texts/es": problem });
  await find(user, "Step {{{{count}}");
  const step = await field("Step {{count}}");
  await user.clear(step);
  await user.type(step, "Paso");
  await user.tab();
  expect(await screen.findByText("leaves out {{count}}")).toBeInTheDocument();
  expect(step).toHaveValue("Paso");
});

it("one's own are shown alone, and taken back", async () => {
  const { server, user } = open({ "GET /practice/texts": texts({ [KEY]: "Lo mío" }), "PUT /practice/texts/es": texts() });
  await user.click(await screen.findByRole("button", { name: "Only your own" }));
  await waitFor(() => expect(screen.getAllByRole("listitem")).toHaveLength(1));
  expect(await field("Palm-away stretch")).toHaveValue("Lo mío");
  await user.click(screen.getByRole("button", { name: "Take back" }));
  await waitFor(() => expect(server.calls("PUT")[0]!.body).toEqual({ key: KEY, text: null }));
});

it("what is not there is said; so is a language there is not", async () => {
  const { user } = open();
  await find(user, "zzzz");
  expect(await screen.findByText("Nothing like it")).toBeInTheDocument();
  open({}, "xx");
  expect(await screen.findByText(/nothing at this address/i)).toBeInTheDocument();
});

it("who read all of it is noted, and unnoted", async () => {
  const { server, user } = open({ "PUT /practice/texts/es/reading": texts() });
  expect(await screen.findByText("Not yet read by a practitioner who speaks it.")).toBeInTheDocument();
  const form = screen.getByRole("textbox", { name: "Who read all of it, and their profession" });
  expect(screen.getByRole("button", { name: "Note it" })).toBeDisabled();
  await user.type(form, "Inés, physiotherapist{Enter}");
  await waitFor(() => expect(server.calls("PUT")[0]!.body).toEqual({ readBy: "Inés, physiotherapist" }));
});

it("a text of Arabic is written from the right", async () => {
  const { user } = open({}, "ar");
  await user.type(await screen.findByRole("searchbox"), "Palm-away stretch");
  const own = await screen.findByRole("textbox", { name: "In your own words: Palm-away stretch" });
  expect([own.getAttribute("dir"), own.getAttribute("lang")]).toEqual(["rtl", "ar"]);
  expect(within(own.closest("li")!).queryByRole("button", { name: "Take back" })).toBeNull();
});
