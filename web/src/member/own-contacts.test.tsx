/** Somebody says on their own phone where they are reminded, and takes it back there. */
import "fake-indexeddb/auto";
import { screen, waitFor, within } from "@testing-library/react";
import type { OwnContacts as Answer } from "@kind-grip/core/api";
import { sampleContact } from "../testing/contact";
import { refusal, showPage, SIGNED_IN, TestServer, type Answers } from "../testing/screen";
import { OwnContacts } from "./OwnContacts";

const show = (answer: Partial<Answer>, answers: Answers = {}) => {
  const server = new TestServer({
    ...SIGNED_IN,
    "GET /member/contacts": { contacts: [], ways: ["email", "telephone"], ...answer },
    ...answers,
  });
  return { server, ...showPage(<OwnContacts timeZone="UTC" />) };
};

it("asks for each way the server has, and says what it is used for", async () => {
  show({ ways: ["email"] });
  const part = await screen.findByRole("region", { name: "How reminders reach you" });
  expect(part).toHaveTextContent("Reminders of your sessions go there, and nothing else does.");
  expect(
    within(part)
      .getAllByRole("textbox")
      .map((field) => field.getAttribute("type")),
  ).toEqual(["email"]);
});

it("is not there where the server has no way", async () => {
  const { server } = show({ ways: [] });
  await waitFor(() => expect(server.calls("GET").length).toBeGreaterThan(0));
  expect(screen.queryByRole("region")).toBeNull();
});

it.each([
  ["E-mail", " Ann@Crew.Example ", { way: "email", address: "ann@crew.example" }],
  ["Telephone", "0049 170 123-4567", { way: "telephone", address: "+491701234567" }],
])("%s is sent as it can be used", async (label, typed, body) => {
  const { user, server } = show({}, { "PUT /member/contacts": { contacts: [], ways: ["email"] } });
  await user.type(await screen.findByRole("textbox", { name: label }), `${typed}{Enter}`);
  await waitFor(() => expect(server.calls("PUT").map((call) => call.body)).toEqual([body]));
});

it.each([
  ["E-mail", "ann", "This is no e-mail address"],
  ["Telephone", "0170 1234567", "Begin with + and the country"],
])("%s that cannot be used is said by its field, kept, and not sent", async (label, typed, problem) => {
  const { user, server } = show({});
  const field = await screen.findByRole("textbox", { name: label });
  await user.type(field, `${typed}{Enter}`);
  expect(field).toHaveAccessibleDescription(problem);
  expect(field).toHaveValue(typed);
  expect(server.calls("PUT")).toEqual([]);
});

it("says since when, and who wrote it down; taken back it is asked for again", async () => {
  const given = sampleContact({ way: "telephone", address: "+15550100123", givenBy: "Maren Holt" });
  let contacts = [given];
  const { user, server } = show(
    {},
    {
      "GET /member/contacts": () => ({ contacts, ways: ["telephone"] }),
      [`DELETE /member/contacts/${given.id}`]: () => {
        contacts = [];
        return { contacts, ways: ["telephone"] };
      },
    },
  );
  const part = await screen.findByRole("region");
  expect(part).toHaveTextContent(/\+15550100123Since .*2.*, written down by Maren Holt/);
  await user.click(within(part).getByRole("button", { name: /^Take it back/ }));
  expect(await screen.findByRole("textbox", { name: "Telephone" })).toHaveValue("");
  expect(screen.getByRole("heading", { name: "How reminders reach you" })).toHaveFocus();
  expect(server.calls("DELETE")).toHaveLength(1);
});

it("without a server what was typed stays, and that is said", async () => {
  const { user } = show({}, { "PUT /member/contacts": refusal(503, "away", "away") });
  const field = await screen.findByRole("textbox", { name: "E-mail" });
  await user.type(field, "ann@crew.example{Enter}");
  expect(await screen.findByRole("alert")).toHaveTextContent("The server cannot be reached");
  expect(field).toHaveValue("ann@crew.example");
});
