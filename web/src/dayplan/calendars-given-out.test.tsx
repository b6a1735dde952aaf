/** Calendars to subscribe to: an address is shown once and while it is good; what could not be taken back is said where it was asked. */
import { screen, waitFor, within } from "@testing-library/react";
import type { CalendarLink } from "@kind-grip/core/api";
import { sampleCrew, samplePerson } from "../testing/sample";
import { refusal, showPage, SIGNED_IN, TestServer } from "../testing/screen";
import { OwnCalendarDialog } from "../ownweek/OwnCalendarDialog";
import { RemindersDialog } from "./RemindersDialog";

const crew = sampleCrew();
const ann = samplePerson({ name: "Ann Early" });
const MADE_AT = "2026-03-26T08:00:00.000Z";

it("are for whoever is in the crew, leaves later or begins later, and not for who has left", async () => {
  const people = [
    ann,
    samplePerson({ name: "Bo Leaving", leftOn: "2026-04-30" }),
    samplePerson({ name: "Cy Coming", startedOn: "2026-04-06" }),
  ];
  new TestServer({
    ...SIGNED_IN,
    [`GET /crews/${crew.id}/messages`]: [],
    [`GET /crews/${crew.id}/people`]: [...people, samplePerson({ name: "Di Gone", leftOn: "2026-03-25" })],
    [`GET /crews/${crew.id}/reminder-rule`]: { minutesBefore: null },
    [`GET /crews/${crew.id}/calendar-links`]: [],
    "GET /gateway": { address: null },
  });
  const { user } = showPage(<RemindersDialog crew={crew} onClose={() => undefined} />);
  await user.click(await screen.findByRole("combobox", { name: "For" }));
  expect((await screen.findAllByRole("option")).map((each) => each.textContent)).toEqual([
    "the whole crew",
    "Ann Early",
    "Bo Leaving",
    "Cy Coming",
  ]);
});

describe.each([
  ["of a crew", `/crews/${crew.id}/calendar-links`, () => <RemindersDialog crew={crew} onClose={() => undefined} />, true],
  ["of one's own week", "/own-week/calendar-links", () => <OwnCalendarDialog onClose={() => undefined} />, false],
])("the calendar %s", (_, path, dialog, asksFirst) => {
  const open = () => {
    let links: CalendarLink[] = [];
    let refuses = true;
    const server = new TestServer({
      ...SIGNED_IN,
      [`GET /crews/${crew.id}/messages`]: [],
      [`GET /crews/${crew.id}/people`]: [ann],
      [`GET /crews/${crew.id}/reminder-rule`]: { minutesBefore: null },
      "GET /gateway": { address: null },
      [`GET ${path}`]: () => links,
      [`POST ${path}`]: (body) => {
        const { id, name = "own", personId = null } = body as CalendarLink;
        links = [{ id, name, personId, madeAt: MADE_AT, lastReadAt: null, withdrawnAt: null }];
        server.answers = {
          ...server.answers,
          [`DELETE ${path}/${id}`]: () => {
            if (refuses) return refusal(503, "busy", "The server is busy. Try again in a moment.");
            links = links.map((link) => ({ ...link, withdrawnAt: MADE_AT }));
            return links;
          },
        };
        return { path: "/calendar/secret.ics", links };
      },
    });
    return { server, may: () => (refuses = false), ...showPage(dialog()) };
  };
  const withdraw = async (user: ReturnType<typeof open>["user"]) => {
    await user.click(await screen.findByRole("button", { name: "Withdraw" }));
    if (asksFirst) await user.click(within(screen.getByRole("dialog", { name: /Withdraw/ })).getByRole("button", { name: /Withdraw/ }));
  };
  it("has its address shown once, and no longer once it is withdrawn", async () => {
    const { user, may } = open();
    await user.click(await screen.findByRole("button", { name: "Make a link" }));
    expect(await screen.findByRole("textbox", { name: "Address of the calendar" })).toHaveValue("http://localhost/calendar/secret.ics");
    await withdraw(user);
    expect(await screen.findByText("The server is busy. Try again in a moment.")).toBeInTheDocument();
    // The question closes slowly, and hides what is under it until it is gone.
    expect(await screen.findByRole("textbox", { name: "Address of the calendar" })).toBeInTheDocument();
    may();
    await withdraw(user);
    await waitFor(() => expect(screen.queryByRole("textbox", { name: "Address of the calendar" })).toBeNull());
    expect(screen.queryByText(/The server is busy/)).toBeNull();
  });
});
