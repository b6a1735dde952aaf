/** What a proposal has to keep to, and what it could not cover. */
import { screen, within } from "@testing-library/react";
import { useState } from "react";
import { USUAL_LIMITS, type Hindrance, type Unmet } from "@kind-grip/core/compose";
import { DEFAULT_STYLE } from "@kind-grip/core/library";
import { showPage } from "../testing/screen";
import { Limits, type Editable } from "./Limits";
import { NotCovered } from "./NotCovered";

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

describe("what is not covered", () => {
  const unmet = (because: Hindrance, change: Partial<Unmet> = {}): Unmet => ({
    region: "thumbBase",
    kind: "strength" as Unmet["kind"],
    need: 63.4,
    covered: 0.255,
    because,
    ...change,
  });
  it.each<[Hindrance, RegExp]>([
    [{ kind: "kit", needs: ["dumbbell", "band"] as never }, /needs kit: dumbbells or bands/],
    [{ kind: "place", needs: ["table", "wall"] as never }, /needs a place: .* or /],
    [{ kind: "time", slots: ["preShift"] }, /no time left in pre-shift/],
    [{ kind: "items", slots: ["preShift", "break"] }, /no more items fit in pre-shift and/],
    [{ kind: "movements" }, /would need one more movement to remember/],
    [{ kind: "nothing" }, /nothing in the library does more for it here/],
  ])("%j is said with how far it got", (because, words) => {
    showPage(<NotCovered unmet={[unmet(because)]} />);
    const [line] = within(screen.getByRole("region", { name: "Not covered" })).getAllByRole("listitem");
    expect(line).toHaveTextContent(words);
    expect(line).toHaveTextContent(/need 63.*26 %/);
  });
  it("everything covered is nothing to say", () => {
    showPage(<NotCovered unmet={[]} />);
    expect(screen.queryByRole("region")).toBeNull();
  });
});
