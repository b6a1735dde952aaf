/** What is felt in the hand at changes, beside what is heard. */
import { screen } from "@testing-library/react";
import { useState } from "react";
import { showPage, SIGNED_IN, TestServer } from "../testing/screen";
import { CuePlayer, type SoundChoice } from "./sound";
import { VoiceChoice } from "./VoiceChoice";

const SILENT: SoundChoice = { sounds: false, voice: false, coach: "full", captions: false, rate: 1, voices: {} };
const vibrate = jest.fn();
const device = (coarse: boolean) => {
  Object.assign(navigator, { vibrate });
  const usual = window.matchMedia;
  jest.spyOn(window, "matchMedia").mockImplementation((media) => ({ ...usual(media), matches: coarse }));
};
beforeEach(() => vibrate.mockClear());
afterEach(() => {
  jest.restoreAllMocks();
  jest.useRealTimers();
});

/** Plays a second and a half of a run that begins, ticks and turns. */
function play(choice: SoundChoice): void {
  jest.useFakeTimers();
  const cues = (["start", "tick", "turn"] as const).map((sound, i) => ({ atSec: i * 0.5, sound, say: null }));
  const player = new CuePlayer(cues, choice, "en");
  const began = Date.now();
  player.play(() => (Date.now() - began) / 1000);
  jest.advanceTimersByTime(1500);
  player.stop();
}

it("buzzes where something begins or turns, not at every tick", () => {
  device(true);
  play({ ...SILENT, buzz: true });
  expect(vibrate.mock.calls).toEqual([[[220]], [[120, 90, 120]]]);
});
it("does not where it was not wished, nor by who chose before there was a choice", () => {
  device(true);
  play(SILENT);
  expect(vibrate).not.toHaveBeenCalled();
});

function Page() {
  const [sound, setSound] = useState(SILENT);
  return <VoiceChoice language="en" sound={sound} onSound={setSound} />;
}
it("is offered by what is held in a hand, and kept as it is chosen", async () => {
  device(true);
  new TestServer(SIGNED_IN);
  const { user } = showPage(<Page />);
  const buzz = screen.getByRole("button", { name: "Buzz at changes" });
  await user.click(buzz);
  expect(buzz).toHaveAttribute("aria-pressed", "true");
});
it("is not offered at a desk", () => {
  device(false);
  new TestServer(SIGNED_IN);
  showPage(<Page />);
  expect(screen.queryByRole("button", { name: "Buzz at changes" })).toBeNull();
});
