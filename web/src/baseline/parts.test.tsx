/** The parts of a measuring round: what is asked, what is felt, what is typed when no meter is there. */
import { act, screen, within } from "@testing-library/react";
import { useState } from "react";
import { emptyRecord, MOST_GRIP_TRIALS, MOTION_FACTS, MOTIONS, type BaselineRecord } from "@kind-grip/core/baseline";
import { SAFETY_QUESTIONS } from "@kind-grip/core/safety";
import { showPage } from "../testing/screen";
import type { Reading } from "@kind-grip/core/meter";
import type { Meter } from "../meter/use-meter";
import { Grip } from "./FindingParts";
import { FunctionPart } from "./FunctionPart";
import { GripPart } from "./GripPart";
import { RangePart } from "./RangePart";
import { SafetyPart } from "./SafetyPart";
import { SymptomPart } from "./SymptomPart";
import type { EditedRecord } from "./use-record";

const NO_METER = { state: "off", name: null, kinds: [], readings: [], subscribe: () => () => undefined } as unknown as Meter;

/** A record that is edited in place; what it came to is `now()`. */
function open(part: (edited: EditedRecord) => React.ReactNode, start: Partial<BaselineRecord> = {}) {
  let now: BaselineRecord = { ...emptyRecord(), ...start };
  function Page() {
    const [value, setValue] = useState(now);
    const change = (next: BaselineRecord) => {
      now = next;
      setValue(next);
    };
    return <>{part({ value, change } as unknown as EditedRecord)}</>;
  }
  return { now: () => now, ...showPage(<Page />) };
}

describe("the safety questions", () => {
  const question = (name: RegExp) => screen.getByRole("radiogroup", { name });
  it("one press answers no to all, and then there is nothing left to answer", async () => {
    const { user, now } = open((edited) => <SafetyPart edited={edited} />);
    await user.click(screen.getByRole("button", { name: "All were asked: no to all" }));
    expect(Object.values(now().safety)).toEqual(SAFETY_QUESTIONS.map(() => false));
    expect(screen.queryByRole("button", { name: /No to/ })).toBeNull();
  });
  it("a yes stays a yes when the others are answered no", async () => {
    const { user, now } = open((edited) => <SafetyPart edited={edited} />);
    await user.click(within(question(/chest/i)).getByRole("radio", { name: "Yes" }));
    await user.click(screen.getByRole("button", { name: `No to the other ${SAFETY_QUESTIONS.length - 1}` }));
    expect(now().safety.chestPain).toBe(true);
    expect(Object.values(now().safety).filter(Boolean)).toHaveLength(1);
  });
  it("each is answered by keyboard", async () => {
    const { user, now } = open((edited) => <SafetyPart edited={edited} />);
    within(question(/chest/i)).getByRole("radio", { name: "No" }).focus();
    await user.keyboard("{ArrowRight}");
    expect(now().safety.chestPain).toBe(true);
  });
});

describe("where something is felt", () => {
  const edit = (start: Partial<BaselineRecord> = {}) => open((edited) => <SymptomPart edited={edited} today="2026-03-26" />, start);
  it("nothing anywhere is an answer", async () => {
    const { user, now } = edit();
    expect(now().symptomsAsked).toBe(false);
    await user.click(screen.getByRole("button", { name: "Nothing anywhere" }));
    expect([now().symptomsAsked, now().symptoms]).toEqual([true, []]);
  });
  it("what is felt is told in a line, and taken out with its own button", async () => {
    const symptom = { id: "s", side: "left", region: "thumbBase", kind: "ache", level: 4, nights: "never", since: null, constant: false };
    const { user, now } = edit({ symptoms: [symptom as never], symptomsAsked: true });
    const line = screen.getByRole("button", { name: /Thumb base: .*, 4 of 10/i });
    expect(line).toHaveAttribute("aria-expanded", "true");
    await user.click(line);
    expect(line).toHaveAttribute("aria-expanded", "false");
    await user.click(screen.getByRole("button", { name: /Remove Left .*thumb base/i }));
    expect(now().symptoms).toEqual([]);
  });
});

describe("range", () => {
  const edit = (start: Partial<BaselineRecord> = {}) => open((edited) => <RangePart edited={edited} meter={NO_METER} />, start);
  it("is full on both sides in one press, and then only what differs is measured", async () => {
    const { user, now } = edit();
    await user.click(screen.getByRole("button", { name: "Full both sides" }));
    for (const motion of MOTIONS)
      expect(now().range[motion]).toMatchObject({
        left: { active: MOTION_FACTS[motion].referenceDeg, assisted: null },
        right: { active: MOTION_FACTS[motion].referenceDeg, assisted: null },
      });
    expect(screen.queryByRole("button", { name: /full$|^Full/ })).toBeNull();
  });
  it("what was measured stays as it was", async () => {
    const measured = emptyRecord();
    measured.range.wristFlexion.left.active = 40;
    const { user, now } = edit(measured);
    await user.click(screen.getByRole("button", { name: "The rest is full" }));
    expect([now().range.wristFlexion.left.active, now().range.wristFlexion.right.active]).toEqual([40, 80]);
  });
});

describe("grip without a meter", () => {
  const edit = (start: Partial<BaselineRecord> = {}) =>
    open((edited) => <GripPart edited={edited} meter={NO_METER} handedness="right" />, start);
  const hand = (name: string) => screen.getByRole("region", { name: `Grip, ${name} hand` });
  const trial = (kg: number) => ({ kg, faults: [], from: "typed" as const });
  it("a typed figure becomes a trial of its hand, and the field is empty again", async () => {
    const { user, now } = edit();
    const field = within(hand("left")).getByRole("textbox", { name: "Left grip, kg" });
    await user.type(field, "38,5");
    await user.tab();
    await user.click(within(hand("left")).getByRole("button", { name: "Add the left trial" }));
    expect(now().grip).toEqual({ left: [trial(38.5)], right: [] });
    expect(field).toHaveValue("");
    expect(hand("left")).toHaveTextContent("38.5 kg mean");
    expect(hand("right")).toHaveTextContent("no trial yet");
  });
  it("Enter takes what is typed and goes on to the other hand; the button takes it while it is being typed", async () => {
    const { user, now } = edit();
    const field = (side: "Left" | "Right") => screen.getByRole("textbox", { name: `${side} grip, kg` });
    await user.click(field("Right"));
    await user.keyboard("41{Enter}");
    expect(now().grip).toEqual({ left: [], right: [trial(41)] });
    expect(field("Left")).toHaveFocus();
    await user.keyboard("38,5");
    expect(within(hand("left")).getByRole("button", { name: "Add the left trial" })).toBeEnabled();
    await user.click(within(hand("left")).getByRole("button", { name: "Add the left trial" }));
    expect(now().grip).toEqual({ left: [trial(38.5)], right: [trial(41)] });
    expect(field("Left")).toHaveValue("");
    await user.click(field("Right"));
    await user.keyboard("nothing{Enter}");
    expect(now().grip.right).toHaveLength(1);
  });
  it("scatter asks for one more; the last trial there is room for ends the asking", () => {
    edit({ grip: { left: [trial(20), trial(30), trial(40)], right: Array.from({ length: MOST_GRIP_TRIALS }, () => trial(40)) } });
    expect(hand("left")).toHaveTextContent(/spread \d+ %, one more/);
    expect(within(hand("right")).queryByRole("button", { name: /Add the right trial/ })).toBeNull();
  });
  it("a trial is taken out by its own button", async () => {
    const { user, now } = edit({ grip: { left: [trial(20), trial(30)], right: [] } });
    await user.click(within(hand("left")).getByRole("button", { name: "Take out left trial 1" }));
    expect(now().grip.left).toEqual([trial(30)]);
  });
});

describe("the test of the trade", () => {
  const edit = (start: Partial<BaselineRecord> = {}) => open((edited) => <FunctionPart edited={edited} usual="stapleLever" />, start);
  it("is the usual one of the trade, told from 0 to 10 for each hand", async () => {
    const { user, now } = edit();
    expect(screen.getByRole("combobox", { name: "Test" })).toHaveTextContent("Ten squeezes of the staple lever");
    await user.click(screen.getByRole("button", { name: "Left: 3 of 10" }));
    await user.click(screen.getByRole("button", { name: "Right: 0 of 10" }));
    expect(now().functionTest).toEqual({ test: "stapleLever", left: 3, right: 0 });
  });
  it("body mass is asked only of who agrees, and forgotten when they do not", async () => {
    const { user, now } = edit();
    expect(screen.queryByRole("textbox", { name: "Body mass, kg" })).toBeNull();
    await user.click(screen.getByRole("button", { name: "Agrees to give body mass" }));
    const field = screen.getByRole("textbox", { name: "Body mass, kg" });
    await user.type(field, "180 lb{Enter}");
    expect(now().bodyMass).toEqual({ agreed: true, kg: 82 });
    await user.click(screen.getByRole("button", { name: "Agrees to give body mass" }));
    expect(now().bodyMass).toEqual({ agreed: false, kg: null });
  });
});

describe("people like them", () => {
  const grip = (mainHand: "left" | "right" | null, start: Partial<BaselineRecord> = {}) =>
    open((edited) => <GripPart edited={edited} meter={NO_METER} handedness={mainHand} />, start);
  it("are only asked for by whoever wants it; taken back, nothing of it stays", async () => {
    const { user, now } = grip("right");
    const wish = screen.getByRole("button", { name: /want to be compared/ });
    expect(screen.queryByRole("combobox")).toBeNull();
    await user.click(wish);
    await user.click(screen.getByRole("combobox", { name: "Compared with" }));
    await user.click(screen.getByRole("option", { name: "Men" }));
    await user.click(screen.getByRole("combobox", { name: "of age" }));
    await user.click(screen.getByRole("option", { name: "50–54" }));
    expect(now().likeThem).toEqual({ sex: "man", age: "50–54" });
    await user.click(wish);
    expect(now().likeThem).toBeNull();
  });
  it.each([
    ["left", /would not be fair here/],
    [null, /needs the main hand/],
  ] as const)("with the main hand %s there is no fair comparison, and it says why", (mainHand, why) => {
    grip(mainHand);
    expect(screen.getByText(why)).toBeVisible();
    expect(screen.queryByRole("button", { name: /want to be compared/ })).toBeNull();
  });
  const measured = { grip: { left: [36, 36, 36], right: [44, 44, 44] } };
  const record = (change: Partial<BaselineRecord>): BaselineRecord => {
    const reading = (kg: number) => ({ kg, faults: [], from: "typed" as const });
    return { ...emptyRecord(), grip: { left: measured.grip.left.map(reading), right: measured.grip.right.map(reading) }, ...change };
  };
  it("their spread and its source stand below the bars, and it is no verdict", () => {
    showPage(<Grip record={record({ likeThem: { sex: "woman", age: "35–39" } })} mainHand="right" />);
    // 74.1 ± 10.8 lb and 66.3 ± 11.7 lb.
    expect(
      screen.getByText(
        /women of 35–39 lie, right 29 kg to 39 kg, left 25 kg to 35 kg \(Mathiowetz and others 1985\)\. To look at, no verdict/,
      ),
    ).toBeVisible();
  });
  it("nobody who does not want it, and nobody who is not right-handed, is compared", () => {
    showPage(<Grip record={record({})} mainHand="right" />);
    showPage(<Grip record={record({ likeThem: { sex: "woman", age: "35–39" } })} mainHand="left" />);
    expect(screen.queryByText(/Mathiowetz/)).toBeNull();
  });
  it.each([
    ["right", "Right-handed people have about a tenth more in the right: 44 kg right lets expect 40 kg left."],
    ["left", "Of people who are not right-handed both hands are about equal."],
    [null, "The main hand is not known: both hands are expected about equal."],
  ] as const)("what one hand lets expect of the other is always told: main hand %s", (mainHand, text) => {
    showPage(<Grip record={record({})} mainHand={mainHand} />);
    expect(screen.getByText(text)).toBeVisible();
  });
});

describe("a meter that goes away in the middle", () => {
  /** It reads what it is told, until it is gone. */
  function withMeter(kind: "grip" | "angle", part: (edited: EditedRecord, meter: Meter) => React.ReactNode) {
    let lose: () => void = () => undefined;
    let now: BaselineRecord = emptyRecord();
    function Page() {
      const [value, setValue] = useState(now);
      const [isOn, setIsOn] = useState(true);
      const [readings, setReadings] = useState<{ atMs: number; value: number }[]>([]);
      lose = () => setIsOn(false);
      const change = (next: BaselineRecord) => {
        now = next;
        setValue(next);
      };
      const meter = {
        ...NO_METER,
        state: isOn ? "on" : "lost",
        kinds: [kind],
        readings,
        settings: null,
        calibration: null,
        isPhone: false,
        isUnseen: false,
        start: () => setReadings([{ atMs: 0, value: 23 }]),
        stop: () => undefined,
      } as unknown as Meter;
      return <>{part({ value, change } as unknown as EditedRecord, meter)}</>;
    }
    return { now: () => now, lose: () => act(() => lose()), ...showPage(<Page />) };
  }
  it("leaves the hand free for another trial or a typed figure, and says that nothing was kept", async () => {
    const { user, now, lose } = withMeter("grip", (edited, meter) => <GripPart edited={edited} meter={meter} handedness="right" />);
    await user.click(screen.getByRole("button", { name: "Squeeze right" }));
    expect(screen.queryByRole("textbox", { name: "Right grip, kg" })).toBeNull();
    lose();
    expect(screen.getByRole("status")).toHaveTextContent("The meter went away in the middle of the trial. Nothing of it was kept.");
    const field = screen.getByRole("textbox", { name: "Right grip, kg" });
    await user.type(field, "41{Enter}");
    expect(now().grip.right).toMatchObject([{ kg: 41, from: "typed" }]);
  });
  it("leaves no reading standing where a measured angle stands", async () => {
    const { user, now, lose } = withMeter("angle", (edited, meter) => <RangePart edited={edited} meter={meter} />);
    const field = () => screen.getByRole("textbox", { name: "Right wrist bends forward" });
    await user.click(screen.getByRole("button", { name: "Read Right wrist bends forward from the meter" }));
    expect(field()).toHaveValue("23");
    lose();
    expect(field()).toHaveValue("");
    expect(now().range.wristFlexion.right.active).toBeNull();
  });
});

describe("a part that is left in the middle of a reading", () => {
  /** Two parts on one record; the meter goes on for as long as nobody stops it. */
  function twoParts(kind: "grip" | "angle") {
    let now: BaselineRecord = emptyRecord();
    let listener: ((readings: readonly Reading[]) => void) | undefined;
    const stop = () => (listener = undefined);
    function Page() {
      const [value, setValue] = useState(now);
      const [part, setPart] = useState<string>(kind);
      const change = (next: BaselineRecord) => {
        now = next;
        setValue(next);
      };
      const edited = { value, change } as unknown as EditedRecord;
      const meter = {
        ...NO_METER,
        state: "on",
        kinds: [kind],
        start: (_: string, onReading: typeof listener) => (listener = onReading),
        stop,
      } as unknown as Meter;
      return (
        <>
          <button onClick={() => setPart("function")}>Function</button>
          {part === "grip" && <GripPart edited={edited} meter={meter} handedness="right" />}
          {part === "angle" && <RangePart edited={edited} meter={meter} />}
          {part === "function" && <FunctionPart edited={edited} usual="wringTowel" />}
        </>
      );
    }
    const shown = showPage(<Page />);
    return { now: () => now, send: (list: readonly Reading[]) => act(() => listener?.(list)), ...shown };
  }
  /** Three seconds of a good squeeze and the letting go. */
  const squeeze: Reading[] = Array.from({ length: 60 }, (_, i) => ({ atMs: i * 80, value: i < 5 || i > 48 ? 0 : 40 }));
  /** Out to seventy degrees, and still there. */
  const bend: Reading[] = Array.from({ length: 60 }, (_, i) => ({ atMs: i * 80, value: Math.min(70, i * 4) }));

  it.each([
    ["grip", "Squeeze right", squeeze, (record: BaselineRecord) => record.grip.right.length],
    [
      "angle",
      "Read Right wrist bends forward from the meter",
      bend,
      ({ range }: BaselineRecord) => (range.wristFlexion.right.active === null ? 0 : 1),
    ],
  ] as const)(
    "%s: what is entered elsewhere since is not written over by what the meter still reads",
    async (kind, press, readings, count) => {
      const stays = twoParts(kind);
      await stays.user.click(screen.getByRole("button", { name: press }));
      stays.send(readings);
      // While its part is there, it is kept.
      expect(count(stays.now())).toBe(1);
      stays.unmount();
      const { user, now, send } = twoParts(kind);
      await user.click(screen.getByRole("button", { name: press }));
      await user.click(screen.getByRole("button", { name: "Function" }));
      await user.click(screen.getByRole("button", { name: "Right: 3 of 10" }));
      send(readings);
      expect(now().functionTest.right).toBe(3);
      expect(count(now())).toBe(0);
    },
  );
});
