/** Sign-in cards: made for whom they are chosen, shown once, and never ended without a word. */
import { screen, waitFor, within } from "@testing-library/react";
import { showCrewPage } from "../testing/crew-page";
import { sampleCrew, samplePerson } from "../testing/sample";
import { refusal, type Answers } from "../testing/screen";
import CardsPage from "./CardsPage";

const crew = sampleCrew();
const [ann, bo, gone] = [
  samplePerson({ name: "Ann Early" }),
  samplePerson({ name: "Bo Late", language: "pl" }),
  samplePerson({ name: "Cy Gone", leftOn: "2026-03-01" }),
] as const;
const issue = `POST /crews/${crew.id}/access`;
const withdraw = `POST /crews/${crew.id}/access/withdraw`;

const open = (answers: Answers = {}) => {
  const made = (body: unknown) => ({
    code: "RDGE24",
    cards: (body as { personIds: string[] }).personIds.map((personId, i) => ({
      personId,
      name: [ann, bo].find(({ id }) => id === personId)!.name,
      pin: `00${i + 1}-24680`,
      token: `token-${i}`,
    })),
  });
  return showCrewPage(<CardsPage />, "people/cards", {
    crew,
    people: [ann, bo, gone],
    answers: { [`GET /crews/${crew.id}/access`]: { code: "RDGE24", people: [{ personId: ann.id }] }, [issue]: made, ...answers },
  });
};
const button = (name: string | RegExp) => screen.getByRole("button", { name });
const sent = (shown: ReturnType<typeof open>, call: string) =>
  shown.server.asked.filter((each) => each.call === call).map(({ body }) => body);

it("who has none is chosen with one press; the cards are shown once, in the language of whom they are for", async () => {
  const shown = open();
  expect(await screen.findByText(/1 of 2 have a card/)).toBeInTheDocument();
  expect(screen.queryByRole("button", { name: /Cy Gone/ })).toBeNull();
  expect(button(/^Make/)).toBeDisabled();
  await shown.user.click(button("Choose the one without"));
  expect(screen.queryByText(/a new card ends/)).toBeNull();
  await shown.user.click(button("Make 1 card"));
  const card = await screen.findByRole("article", { name: "Card of Bo Late" });
  expect(sent(shown, issue)).toEqual([{ personIds: [bo.id] }]);
  expect(card).toHaveTextContent("RDGE24");
  expect(card).toHaveTextContent("001-24680");
  expect(card.querySelector("[lang]")).toHaveAttribute("lang", "pl");
  await waitFor(() =>
    expect(within(card).getByRole("img", { name: "Square to photograph with a phone" }).querySelector("svg")).not.toBeNull(),
  );
  expect(screen.getByText(/shown only now/)).toBeInTheDocument();
  expect(button("Print 1 card")).toBeInTheDocument();
});

it("says whose card ends before a new one is made", async () => {
  const { user } = open();
  await user.click(await screen.findByRole("button", { name: "Ann Early · has a card" }));
  expect(screen.getByText("Ann Early: a new card ends the one they have, and signs their phone out.")).toBeInTheDocument();
});

it("asks before a card is withdrawn; what could not be withdrawn stays chosen", async () => {
  let there = [{ personId: ann.id }];
  let busy = true;
  const shown = open({
    [`GET /crews/${crew.id}/access`]: () => ({ code: "RDGE24", people: there }),
    [withdraw]: () => {
      if (busy) return refusal(503, "busy", "Try again in a moment.");
      there = [];
      return { code: "RDGE24", people: there };
    },
  });
  const { user } = shown;
  await user.click(await screen.findByRole("button", { name: "Ann Early · has a card" }));
  await user.click(button("Bo Late"));
  await user.click(button("Withdraw"));
  const dialog = await screen.findByRole("dialog", { name: "Withdraw one card?" });
  expect(dialog).toHaveTextContent("Ann Early: their phones are signed out at once");
  await user.click(within(dialog).getByRole("button", { name: "Not now" }));
  expect(sent(shown, withdraw)).toEqual([]);
  const again = async () => {
    await waitFor(() => expect(screen.queryByRole("dialog")).toBeNull());
    await user.click(await screen.findByRole("button", { name: "Withdraw" }));
    await user.click(within(await screen.findByRole("dialog")).getByRole("button", { name: "Withdraw" }));
  };
  await again();
  expect(await screen.findByText("Try again in a moment.")).toBeInTheDocument();
  expect(await screen.findByRole("button", { name: "Ann Early · has a card" })).toHaveAttribute("aria-pressed", "true");
  busy = false;
  await again();
  expect(await screen.findByText(/0 of 2 have a card/)).toBeInTheDocument();
  expect(sent(shown, withdraw)).toEqual([{ personIds: [ann.id] }, { personIds: [ann.id] }]);
  expect(await screen.findByRole("button", { name: "Bo Late" })).toHaveAttribute("aria-pressed", "false");
});
