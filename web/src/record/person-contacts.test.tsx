/** A trainer sees where a person agreed to be reminded, writes it down for them, and takes it back. */
import { screen, waitFor, within } from "@testing-library/react";
import type { ContactEntry } from "@kind-grip/core/api";
import { sampleContact } from "../testing/contact";
import { refusal, showPage, SIGNED_IN, TestServer, type Answers } from "../testing/screen";
import { sampleId } from "../testing/sample";
import { PersonContacts } from "./PersonContacts";

const [crewId, personId] = [sampleId(), sampleId()];
const contact = (change: Partial<ContactEntry> = {}) => sampleContact({ personId, ...change });
const at = `/crews/${crewId}/people/${personId}/contacts`;
const show = (list: ContactEntry[], answers: Answers = {}) => {
  const server = new TestServer({ ...SIGNED_IN, [`GET /crews/${crewId}/contacts`]: list, ...answers });
  return { server, ...showPage(<PersonContacts crewId={crewId} personId={personId} name="Ann Early" timeZone="UTC" />) };
};
const part = () => screen.findByRole("region", { name: "Reminders reach them by" });

it("says who agreed to what and when, what was taken back, and nothing of others", async () => {
  show([
    contact(),
    contact({ way: "telephone", address: "+15550100123", givenBy: "Maren Holt" }),
    contact({ way: "telephone", address: "", withdrawnAt: "2026-03-09T08:00:00.000Z", withdrawnBy: null }),
    contact({ personId: sampleId(), address: "other@crew.example" }),
  ]);
  const text = (await part()).textContent;
  expect(text).toContain("E-mail ann@crew.example agreed themselves on 2 Mar 2026");
  expect(text).toContain("Telephone +15550100123 agreed on 2 Mar 2026, written down by Maren Holt");
  expect(text).toContain("Telephone: agreed on 2 Mar 2026, taken back on 9 Mar 2026 by themselves. The address is forgotten.");
  expect(text).not.toContain("other@");
});

it("with none it says where they give one", async () => {
  show([]);
  expect(await part()).toHaveTextContent("No way yet. They give it on their own phone under My four weeks, or tell you.");
});

it("is written down only with the person's yes", async () => {
  const { user, server } = show([], { [`PUT ${at}`]: [contact()] });
  await user.click(within(await part()).getByRole("button", { name: "Write an address down" }));
  await user.type(screen.getByRole("textbox", { name: "E-mail address" }), "ann@crew.example");
  const keep = screen.getByRole("button", { name: "Keep it" });
  expect(keep).toBeDisabled();
  await user.click(screen.getByRole("checkbox", { name: /Ann Early told me that they agree/ }));
  await user.click(keep);
  await waitFor(() => expect(server.calls("PUT").map(({ body }) => body)).toEqual([{ way: "email", address: "ann@crew.example" }]));
  await waitFor(() => expect(screen.queryByRole("button", { name: "Keep it" })).toBeNull());
});

it("what the server refuses is said by the field, and stays typed", async () => {
  const fields = [{ path: "address", message: "needs + and the country before the number" }];
  const { user } = show([], { [`PUT ${at}`]: refusal(400, "invalid", "Look at the fields.", { fields }) });
  await user.click(within(await part()).getByRole("button", { name: "Write an address down" }));
  await user.click(screen.getByRole("combobox", { name: "Way" }));
  await user.click(screen.getByRole("option", { name: "Telephone" }));
  const field = screen.getByRole("textbox", { name: "Number with + and country" });
  await user.type(field, "0170");
  await user.click(screen.getByRole("checkbox"));
  await user.click(screen.getByRole("button", { name: "Keep it" }));
  await waitFor(() => expect(field).toHaveAccessibleDescription("needs + and the country before the number"));
  expect(field).toHaveValue("0170");
});

it("is taken back after one question", async () => {
  const given = contact();
  const { user, server } = show([given], { [`DELETE ${at}/${given.id}`]: [] });
  await user.click(within(await part()).getByRole("button", { name: "Take it back" }));
  expect(server.calls("DELETE")).toEqual([]);
  await user.click(within(screen.getByRole("dialog")).getByRole("button", { name: "Take it back" }));
  await waitFor(() => expect(server.calls("DELETE")).toHaveLength(1));
});

it("a consent that could not be taken back is said, and still there", async () => {
  const given = contact();
  const { user } = show([given], { [`DELETE ${at}/${given.id}`]: refusal(503, "away", "The database cannot be reached.") });
  await user.click(within(await part()).getByRole("button", { name: "Take it back" }));
  await user.click(within(screen.getByRole("dialog")).getByRole("button", { name: "Take it back" }));
  expect(await screen.findByText("The database cannot be reached.")).toBeVisible();
  expect(await part()).toHaveTextContent("ann@crew.example");
});

it("what could not be read is said, and asked for again", async () => {
  const { user, server } = show([], { [`GET /crews/${crewId}/contacts`]: refusal(503, "away", "The database cannot be reached.") });
  await user.click(await screen.findByRole("button", { name: "Try again" }));
  expect(server.calls("GET").filter(({ call }) => call.endsWith("/contacts")).length).toBeGreaterThan(1);
});
