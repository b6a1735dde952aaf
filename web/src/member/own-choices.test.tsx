/** Somebody chooses on their own phone when they are reminded, and what they are asked before and after. */
import "fake-indexeddb/auto";
import { screen, waitFor } from "@testing-library/react";
import { emptyMemberDay } from "../testing/member-day";
import { refusal, showPage, SIGNED_IN, TestServer, type Answers } from "../testing/screen";
import { QuickChoice } from "./QuickChoice";
import { ReminderChoice } from "./ReminderChoice";

const show = (own: { minutesBefore: 10 | 20 | 30 | 60 | null } | null, answers: Answers = {}) => {
  const server = new TestServer({ ...SIGNED_IN, "PUT /member/reminder": emptyMemberDay(), ...answers });
  return { server, ...showPage(<ReminderChoice reminder={{ crew: { minutesBefore: 20 }, own }} />) };
};

it.each([
  ["as the crew, and says what that is", null, "As the crew (20 min before)"],
  ["in their own time", { minutesBefore: 60 }, "60 min before"],
  ["not at all", { minutesBefore: null }, "None"],
] as const)("shows that they are reminded %s", (_, own, text) => {
  show(own);
  expect(screen.getByRole("combobox", { name: "Reminders" })).toHaveTextContent(text);
});

it.each([
  ["10 min before", { minutesBefore: 10 }],
  ["None", { minutesBefore: null }],
  ["As the crew (20 min before)", null],
] as const)("%s is sent as it is chosen", async (name, own) => {
  const { user, server } = show({ minutesBefore: 30 });
  await user.click(screen.getByRole("combobox", { name: "Reminders" }));
  await user.click(screen.getByRole("option", { name }));
  await waitFor(() => expect(server.calls("PUT").map(({ body }) => body)).toEqual([{ own }]));
});

it("without a server it says so, and nothing is changed", async () => {
  const { user } = show(null, { "PUT /member/reminder": refusal(503, "away", "away") });
  await user.click(screen.getByRole("combobox", { name: "Reminders" }));
  await user.click(screen.getByRole("option", { name: "None" }));
  expect(await screen.findByRole("alert")).toHaveTextContent("The server cannot be reached");
  expect(screen.getByRole("combobox", { name: "Reminders" })).toHaveTextContent("As the crew");
});

describe("before and after", () => {
  const showQuick = (own: "none" | "tingling" | null, crew: "twistLid" | "grip" | null = "twistLid") => {
    const server = new TestServer({ ...SIGNED_IN, "PUT /member/quick-test": emptyMemberDay() });
    return { server, ...showPage(<QuickChoice quickTest={{ crew, own }} />) };
  };
  const field = () => screen.getByRole("combobox", { name: "Before and after" });
  it.each([
    ["as the crew", null, "twistLid", "As the crew (Twist a tight lid)"],
    ["as a crew that squeezes a meter: nothing on a phone", null, "grip", "As the crew (Nothing)"],
    ["their own", "tingling", "twistLid", "Tingling now"],
    ["nothing", "none", "twistLid", "Nothing"],
  ] as const)("shows that they are asked %s", (_, own, crew, text) => {
    showQuick(own, crew);
    expect(field()).toHaveTextContent(text);
  });
  it.each([
    ["Wrist bent back on a wall", "bentBack"],
    ["Nothing", "none"],
    ["As the crew (Twist a tight lid)", null],
  ] as const)("%s is sent as it is chosen", async (name, own) => {
    const { user, server } = showQuick("tingling");
    await user.click(field());
    await user.click(screen.getByRole("option", { name }));
    await waitFor(() => expect(server.calls("PUT").map(({ body }) => body)).toEqual([{ own }]));
  });
});
