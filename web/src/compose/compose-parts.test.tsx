/** What a proposal has to keep to, and what it could not cover. */
import { screen, within } from "@testing-library/react";
import { useState } from "react";
import { USUAL_LIMITS, type Hindrance, type Met, type Proposal, type Unmet } from "@kind-grip/core/compose";
import { DEFAULT_STYLE } from "@kind-grip/core/library";
import { showPage } from "../testing/screen";
import { Limits, type Editable } from "./Limits";
import { marksOf, NeedsMet } from "./NeedsMet";

const start: Editable = {
  ...USUAL_LIMITS,
  aim: "loadLed",
  style: DEFAULT_STYLE,
  weeks: 4,
  slotSec: { preShift: 480, break: 180, postShift: 840 },
} as Editable;
const open = () => {
  let now = start;
  function Page() {
    const [limits, setLimits] = useState(start);
    return <Limits limits={limits} onChange={(next) => setLimits((now = next))} />;
  }
  return { now: () => now, ...showPage(<Page />) };
};
const field = (name: string | RegExp) => screen.getByRole("textbox", { name });

describe("the limits", () => {
  it("minutes are shown and seconds are kept; a slot of none takes nothing", async () => {
    const { user, now } = open();
    expect(field("Pre-shift, min")).toHaveValue("8");
    await user.clear(field("Pre-shift, min"));
    await user.type(field("Pre-shift, min"), "6,5{Enter}");
    await user.clear(field(/break, min/i));
    await user.type(field(/break, min/i), "0{Enter}");
    expect(now().slotSec).toEqual({ preShift: 390, break: 0, postShift: 840 });
  });
  it.each([
    ["Movements in all", "99", 24],
    ["Movements in all", "1", 3],
    ["Items a session", "1", 2],
    ["Breaks a day", "9", 3],
    ["Weeks", "40", 12],
  ])("%s of %s is %d", async (name, typed, kept) => {
    const { user } = open();
    await user.clear(field(name));
    await user.type(field(name), `${typed}{Enter}`);
    expect(field(name)).toHaveValue(String(kept));
  });
  it("the aim is one of two", async () => {
    const { user, now } = open();
    expect(screen.getByRole("radio", { name: "Load-led" })).toBeChecked();
    await user.click(screen.getByRole("radio", { name: "Relief-led" }));
    expect(now().aim).toBe("reliefLed");
  });
});

describe("the needs of the work", () => {
  const met = (covered: number, by: string[] = ["palm-turn"], change: Partial<Met> = {}): Met => ({
    region: "thumbBase",
    kind: "strength",
    need: 63.4,
    covered,
    by,
    ...change,
  });
  const show = (needs: Met[], unmet: Unmet[] = []) => showPage(<NeedsMet proposal={{ met: needs, unmet } as unknown as Proposal} />);
  const line = () => within(screen.getByRole("region", { name: "Needs of the work" })).getAllByRole("listitem")[0]!;

  it.each<[Hindrance, RegExp]>([
    [{ kind: "kit", needs: ["dumbbell", "band"] as never }, /needs kit: dumbbells or bands/],
    [{ kind: "place", needs: ["table", "wall"] as never }, /needs a place: .* or /],
    [{ kind: "time", slots: ["preShift"] }, /no time left in pre-shift/],
    [{ kind: "items", slots: ["preShift", "break"] }, /no more items fit in pre-shift and/],
    [{ kind: "movements" }, /would need one more movement to remember/],
    [{ kind: "nothing" }, /nothing in the library does more for it here/],
  ])("what stands in the way is said: %j", (because, words) => {
    show([met(0.255)], [{ ...met(0.255), because }]);
    expect(line()).toHaveTextContent(words);
    expect(line()).toHaveTextContent(/Thumb baseStrength.*a little of it.*by palm turn/i);
  });

  it.each([
    [0, /not met/],
    [0.39, /a little of it/],
    [0.4, /about half of it/],
    [0.75, /most of it/],
    [0.96, /most of it/],
    [0.97, /Strengthmet/],
    [1, /Strengthmet/],
  ])("%d of it is said in words", (covered, words) => {
    show([met(covered, covered === 0 ? [] : ["palm-turn"])]);
    expect(line()).toHaveTextContent(words);
    expect(line()).not.toHaveTextContent("%");
  });

  it("names three movements and counts the rest", () => {
    show([met(1, ["palm-turn", "palm-away", "hand-drop", "finger-wave", "shake-out"])]);
    expect(line()).toHaveTextContent(/palm turn, palm-away stretch, hand drop and 2 more/i);
  });

  it("the hands are looked at, not pressed", () => {
    show([met(1)]);
    expect(screen.getAllByRole("img").map((map) => map.getAttribute("aria-label"))).toEqual(["Palm side", "Back of the hands"]);
    expect(screen.queryAllByRole("button", { pressed: false })).toEqual([]);
  });

  it("nothing needed is nothing to say", () => {
    show([]);
    expect(screen.queryByRole("region")).toBeNull();
  });

  it("a region is marked on both hands by what it is given of all it needs", () => {
    const marks = marksOf([met(1, [], { need: 60 }), met(0, [], { kind: "relief", need: 20 }), met(0.5, [], { region: "pronators" })]);
    expect(marks).toEqual([
      { side: "left", region: "thumbBase", strength: 0.75 },
      { side: "right", region: "thumbBase", strength: 0.75 },
      { side: "left", region: "pronators", strength: 0.5 },
      { side: "right", region: "pronators", strength: 0.5 },
    ]);
  });
});
