/** The rules of the practice: what was changed, kept as a version, taken back, and made usual again. */
import { screen, waitFor } from "@testing-library/react";
import { USUAL_SETTINGS } from "@kind-grip/core/response";
import { refusal, showPage, SIGNED_IN, TestServer, type Answers } from "../testing/screen";
import { NoticeBar } from "../base/NoticeBar";
import { SettingsForm } from "./SettingsForm";

const open = (more: Answers = {}, settings = USUAL_SETTINGS) => {
  const server = new TestServer({
    ...SIGNED_IN,
    "GET /practice/settings": { version: 3, settings },
    "PUT /practice/settings": { version: 4, settings },
    ...more,
  });
  const shown = showPage(
    <>
      <SettingsForm />
      <NoticeBar />
    </>,
  );
  return { server, ...shown };
};
const keep = () => screen.getByRole("button", { name: "Keep these rules" });

it("nothing changed is nothing to keep; the usual ones are the usual ones", async () => {
  open();
  await screen.findByText(/This is version 3/);
  expect(keep()).toBeDisabled();
  expect(screen.getByRole("button", { name: "The usual ones" })).toBeDisabled();
});

it("a threshold goes no further than its range, and is kept with the version it came from", async () => {
  const { server, user } = open();
  const field = await screen.findByRole("textbox", { name: "Clean runs in a row before more" });
  await user.clear(field);
  await user.type(field, "99{Enter}");
  expect(field).toHaveValue("10");
  await user.click(keep());
  await waitFor(() => expect(server.calls("PUT")).toHaveLength(1));
  expect(server.calls("PUT")[0]!.body).toMatchObject({ version: 3, settings: { thresholds: { progressRuns: 10 } } });
  expect(await screen.findByText("Kept as version 4.")).toBeInTheDocument();
});

it("undo asks for the rules before, from the version that was kept", async () => {
  const { server, user } = open();
  await user.click(await screen.findByRole("button", { name: "Settling-in: more" }));
  await user.click(keep());
  await user.click(await screen.findByRole("button", { name: "Undo" }));
  await waitFor(() => expect(server.calls("PUT")).toHaveLength(2));
  expect(server.calls("PUT")[1]!.body).toEqual({ version: 4, settings: USUAL_SETTINGS });
});

it("the usual ones are one press away", async () => {
  const own = { ...USUAL_SETTINGS, thresholds: { ...USUAL_SETTINGS.thresholds, noGainPercent: 90 } };
  const { user } = open({}, own);
  const field = await screen.findByRole("textbox", { name: "With at least so much done" });
  expect(field).toHaveValue("90");
  await user.click(screen.getByRole("button", { name: "The usual ones" }));
  expect(field).toHaveValue(String(USUAL_SETTINGS.thresholds.noGainPercent));
  expect(keep()).toBeEnabled();
});

it("somebody else's rules meanwhile: said, nothing typed is lost, and keeping again replaces theirs", async () => {
  const theirs = { version: 9, settings: { ...USUAL_SETTINGS, thresholds: { ...USUAL_SETTINGS.thresholds, noGainPercent: 90 } } };
  let tries = 0;
  const { server, user } = open({
    "PUT /practice/settings": () =>
      ++tries === 1 ? refusal(409, "stale", "Somebody else saved a newer version.", { detail: theirs }) : { ...theirs, version: 10 },
  });
  await user.click(await screen.findByRole("button", { name: "Settling-in: more" }));
  server.answers = { ...server.answers, "GET /practice/settings": theirs };
  await user.click(keep());
  expect(await screen.findByText(/Somebody else changed the rules while you were here/)).toBeInTheDocument();
  expect(screen.getByRole("textbox", { name: "Settling-in" })).toHaveValue("5");
  await user.click(keep());
  await user.click(await screen.findByRole("button", { name: "Undo" }));
  await waitFor(() => expect(server.calls("PUT")).toHaveLength(3));
  const sent = server.calls("PUT").map(({ body }) => body as { version: number; settings: typeof USUAL_SETTINGS });
  expect(sent.map(({ version, settings }) => [version, settings.thresholds.settlingDays, settings.thresholds.noGainPercent])).toEqual([
    [3, 5, USUAL_SETTINGS.thresholds.noGainPercent],
    [9, 5, USUAL_SETTINGS.thresholds.noGainPercent],
    [10, USUAL_SETTINGS.thresholds.settlingDays, 90],
  ]);
});

it("what cannot be kept says why, and what was set stays", async () => {
  const { user } = open({ "PUT /practice/settings": refusal(503, "databaseAway", "The records cannot be reached at the moment.") });
  await user.click(await screen.findByRole("button", { name: "Settling-in: more" }));
  await user.click(keep());
  expect(await screen.findByText("The records cannot be reached at the moment.")).toBeInTheDocument();
  expect(screen.getByRole("textbox", { name: "Settling-in" })).toHaveValue("5");
});
