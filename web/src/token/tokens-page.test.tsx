/** API tokens: made for what is ticked and shown once, listed with what they are for and until when, looked through, withdrawn. */
import { screen, waitFor, within } from "@testing-library/react";
import { DateTime } from "luxon";
import type { ApiTokenEntry } from "@kind-grip/core/api";
import { NoticeBar } from "../base/NoticeBar";
import { sampleDescription } from "../description/description.sample";
import { sampleId } from "../testing/sample";
import { refusal, showPage, SIGNED_IN, TestServer } from "../testing/screen";
import TokensPage from "./TokensPage";

const inDays = (days: number) => DateTime.now().plus({ days, hours: 1 }).toISO();
const token = (change: Partial<ApiTokenEntry> = {}): ApiTokenEntry => ({
  id: sampleId(),
  name: "Pay-roll",
  begins: "kg_ab12c",
  scopes: ["crews.read", "crews.write", "plan.write"],
  madeAt: inDays(-30),
  until: inDays(60),
  withdrawnAt: null,
  usedAt: null,
  ...change,
});
const open = (tokens: ApiTokenEntry[], answers: object = {}) => {
  const server = new TestServer({ ...SIGNED_IN, "GET /practice/tokens": tokens, "GET /openapi.json": sampleDescription(), ...answers });
  return {
    server,
    ...showPage(
      <>
        <TokensPage />
        <NoticeBar />
      </>,
    ),
  };
};

describe("making one", () => {
  const fill = async (answers: object) => {
    const opened = open([], answers);
    await opened.user.click(await screen.findByRole("button", { name: "Make a token" }));
    const dialog = within(screen.getByRole("dialog", { name: "Make a token" }));
    expect(dialog.getByLabelText("Which program it is for")).toHaveFocus();
    await opened.user.type(dialog.getByLabelText("Which program it is for"), "Wall display");
    await opened.user.click(dialog.getByRole("checkbox", { name: "Read: Day plan" }));
    await opened.user.click(dialog.getByRole("radio", { name: "30 days" }));
    await opened.user.type(dialog.getByLabelText("Your password"), "copper kettle{Enter}");
    return { ...opened, dialog };
  };
  it("is for what is ticked; the token is shown once, and not closed by a slip", async () => {
    const { server, user } = await fill({ "POST /practice/tokens": { token: "kg_secret", id: sampleId() } });
    expect(await screen.findByLabelText("Token")).toHaveValue("kg_secret");
    expect(server.calls("POST")[0]!.body).toEqual({ name: "Wall display", scopes: ["plan.read"], days: 30, password: "copper kettle" });
    await user.keyboard("{Escape}");
    expect(screen.getByLabelText("Token")).toBeVisible();
    // The keyboard's place is in it, and not on what would close it.
    expect(screen.getByRole("dialog")).toContainElement(document.activeElement as HTMLElement);
    expect(screen.getByRole("button", { name: "I have it" })).not.toHaveFocus();
    await user.click(screen.getByRole("button", { name: "I have it" }));
    await waitFor(() => expect(screen.queryByLabelText("Token")).toBeNull());
    await waitFor(() => expect(screen.getByRole("button", { name: "Make a token" })).toHaveFocus());
    expect(server.calls("GET /practice/tokens").length).toBeGreaterThan(1);
  });
  it("what is wrong stands at its field, and what was typed stays", async () => {
    const { dialog } = await fill({
      "POST /practice/tokens": refusal(400, "invalid", "Some fields need another look.", {
        fields: [
          { path: "password", message: "is not your password" },
          { path: "name", message: "is the name of another of your tokens" },
          { path: "scopes.0", message: "is nothing a token can be for" },
        ],
      }),
    });
    for (const text of ["is not your password", "is the name of another of your tokens", "is nothing a token can be for"])
      expect(await dialog.findByText(text)).toBeVisible();
    expect(dialog.getByLabelText("Which program it is for")).toHaveValue("Wall display");
    expect(dialog.getByRole("checkbox", { name: "Read: Day plan" })).toBeChecked();
  });
  it("says what goes out with health answers, while they are ticked", async () => {
    const { user } = open([]);
    await user.click(await screen.findByRole("button", { name: "Make a token" }));
    const health = screen.getByRole("checkbox", { name: "Read: Health answers" });
    await user.click(health);
    expect(screen.getByRole("alert")).toHaveTextContent(/reads health answers of people by name/);
    await user.click(health);
    expect(screen.queryByRole("alert")).toBeNull();
  });
});

it("each says what it is for, until when, and whether it was used; one that ended cannot be withdrawn again", async () => {
  open([
    token(),
    token({ name: "Soon", until: inDays(1), usedAt: inDays(-1) }),
    token({ name: "Ended", until: inDays(-2) }),
    token({ name: "Taken back", withdrawnAt: inDays(-1) }),
  ]);
  const [good, soon, ended, withdrawn] = await screen.findAllByRole("listitem");
  expect(good).toHaveTextContent(/kg_ab12c….*good until .*Crews: read and change · Day plan: change.*not used yet/);
  expect(soon).toHaveTextContent(/runs out in 1 day.*last used/);
  expect(ended).toHaveTextContent(/ran out/);
  expect(withdrawn).toHaveTextContent(/withdrawn/);
  expect(screen.getAllByRole("button", { name: /^Withdraw / })).toHaveLength(2);
});

it("is withdrawn after a question, and a refusal is said", async () => {
  const each = token();
  const { server, user } = open([each], { [`DELETE /practice/tokens/${each.id}`]: null });
  const withdraw = async () => {
    await user.click(await screen.findByRole("button", { name: "Withdraw Pay-roll" }));
    await user.click(screen.getByRole("button", { name: "Withdraw it" }));
  };
  await withdraw();
  expect(await screen.findByText("Pay-roll calls no more.")).toBeInTheDocument();
  await waitFor(() => expect(screen.getByRole("heading", { name: "Pay-roll" })).toHaveFocus());
  server.away = true;
  await withdraw();
  await waitFor(() => expect(screen.queryByText("Pay-roll calls no more.")).toBeNull());
  expect(server.calls("DELETE")).toHaveLength(2);
});

it("what it did is told in words, a line a day and kind of call", async () => {
  const each = token();
  const { user } = open([each], {
    [`GET /practice/tokens/${each.id}/uses`]: [
      { day: "2026-03-26", operation: "crews", answered: 12, refused: 0, lastAt: "2026-03-26T09:30:00Z" },
      { day: "2026-03-26", operation: "gone", answered: 0, refused: 2, lastAt: "2026-03-26T08:00:00Z" },
    ],
  });
  const button = await screen.findByRole("button", { name: "What Pay-roll did" });
  expect(button).toHaveAttribute("aria-expanded", "false");
  await user.click(button);
  const [, first, second] = within(await screen.findByRole("table")).getAllByRole("row");
  expect(first).toHaveTextContent(/26 Mar 2026\s*Crews of the trainer\s*12\s*0/);
  // What this version does not know any more keeps its name.
  expect(second).toHaveTextContent(/gone\s*0\s*2/);
});
