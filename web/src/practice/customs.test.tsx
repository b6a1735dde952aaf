/** What crews read, the units of the practice, one's own, and who read a language through. */
import { screen, waitFor, within } from "@testing-library/react";
import { METRIC } from "@kind-grip/core/units";
import { showPage, SIGNED_IN, TestServer } from "../testing/screen";
import { CustomsForm, OwnMeasuresForm } from "./CustomsForm";

const customs = { language: "en", measures: METRIC };
const open = (answers: object = {}) => {
  const server = new TestServer({
    ...SIGNED_IN,
    "GET /practice/customs": customs,
    "PUT /practice/customs": (body: unknown) => body as object,
    "PUT /me/measures": null,
    ...answers,
  });
  const page = (
    <>
      <CustomsForm />
      <OwnMeasuresForm />
    </>
  );
  return { server, ...showPage(page) };
};
const group = (name: string) => screen.findByRole("radiogroup", { name });

it("the language of the practice is kept as it is chosen, each under the name its speakers give it", async () => {
  const { server, user } = open();
  const languages = await group("Language of the practice");
  expect(
    within(languages)
      .getAllByRole("radio")
      .map(({ textContent }) => textContent),
  ).toEqual(["English", "Español", "Deutsch", "Polski", "العربية"]);
  await user.click(within(languages).getByRole("radio", { name: "Polski" }));
  await waitFor(() => expect(server.calls("PUT")).toEqual([{ call: "PUT /practice/customs", body: { ...customs, language: "pl" } }]));
  await user.click(within(languages).getByRole("radio", { name: "English" }));
  expect(server.calls("PUT")).toHaveLength(1);
});

it("pounds and a clock of twelve hours are the practice's; what is chosen already is not sent again", async () => {
  const { server, user } = open();
  await user.click(within(await group("Masses")).getByRole("radio", { name: "pounds" }));
  await waitFor(() => expect(server.calls("PUT")[0]!.body).toEqual({ ...customs, measures: { ...METRIC, mass: "lb" } }));
  await user.click(within(await group("Clock")).getByRole("radio", { name: "14:30" }));
  expect(server.calls("PUT")).toHaveLength(1);
});

it("one's own are begun from the practice's, and given up again", async () => {
  const { server, user } = open();
  await user.click(await screen.findByRole("button", { name: "Other units, times and dates than the practice" }));
  await waitFor(() => expect(server.calls("PUT")).toEqual([{ call: "PUT /me/measures", body: { measures: METRIC } }]));
});

it("says which language nobody has read through yet, by whom another was, and how many texts are one's own", async () => {
  open({
    "GET /practice/texts": {
      corrections: { pl: { "cues.rest": "Przerwa." } },
      readings: [{ language: "es", readBy: "Inés, physiotherapist", readOn: "2026-03-01" }],
    },
  });
  const line = async (name: string) => (await screen.findByText(name, { selector: "p" })).closest("li")!;
  expect(await line("Español")).toHaveTextContent("read through by Inés, physiotherapist, 1 Mar 2026");
  expect(await line("Polski")).toHaveTextContent("not yet read by a practitioner who speaks it; 1 text of your own");
  expect(screen.getByRole("link", { name: "Your own texts as a file" })).toBeInTheDocument();
});
