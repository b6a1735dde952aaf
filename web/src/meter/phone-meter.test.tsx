/** This device as angle meter: checked against a right angle, corrected by it, and what gravity cannot see said at once. */
import { act, screen, within } from "@testing-library/react";
import { useEffect, useState } from "react";
import { emptyRecord, type BaselineRecord } from "@kind-grip/core/baseline";
import { RangePart } from "../baseline/RangePart";
import type { EditedRecord } from "../baseline/use-record";
import { showPage, SIGNED_IN, TestServer } from "../testing/screen";
import { keptCalibration } from "./calibration";
import { MeterPanel } from "./MeterPanel";
import { PhoneCheck } from "./PhoneCheck";
import { useMeter } from "./use-meter";

let nowMs = 0;
let record: BaselineRecord;
function Page() {
  const meter = useMeter();
  const [value, setValue] = useState(() => structuredClone(emptyRecord()));
  useEffect(() => {
    record = value;
  });
  return (
    <>
      <button onClick={() => void meter.connectPhone()}>This phone</button>
      {meter.isPhone && <PhoneCheck meter={meter} />}
      <p>{meter.state}</p>
      <RangePart edited={{ value, change: setValue } as unknown as EditedRecord} meter={meter} />
    </>
  );
}
beforeEach(() => {
  nowMs = 0;
  jest.spyOn(performance, "now").mockImplementation(() => nowMs);
  Object.assign(globalThis, { DeviceOrientationEvent: class {} });
});
afterEach(() => jest.restoreAllMocks());

/** Lies, then goes to an angle within half a second and stays there for two. */
function tiltTo(deg: number, { turn = 0 } = {}): void {
  act(() => {
    for (let i = 0; i <= 50; i++) {
      nowMs += 50;
      const share = Math.min(1, i / 10);
      dispatchEvent(Object.assign(new Event("deviceorientation"), { alpha: turn * share, beta: deg * share, gamma: 0 }));
    }
  });
}
const lieFlat = () => {
  act(() => {
    nowMs += 50;
    dispatchEvent(Object.assign(new Event("deviceorientation"), { alpha: 0, beta: 0, gamma: 0 }));
  });
};
const open = async () => {
  new TestServer(SIGNED_IN);
  const page = showPage(<Page />);
  await page.user.click(screen.getByRole("button", { name: "This phone" }));
  lieFlat();
  return page;
};
async function check(user: { click(element: Element): Promise<void> }, readings: readonly number[]): Promise<void> {
  for (const deg of readings) {
    lieFlat();
    await user.click(await screen.findByRole("button", { name: /^Lies flat/ }));
    tiltTo(deg);
  }
}
const flexion = () => within(screen.getByRole("group", { name: "Wrist bends forward" }));

it("before it is checked it says so; afterwards what it reads for a right angle, and each motion says its error", async () => {
  const { user } = await open();
  expect(await screen.findByText("Not checked yet: what it is off by cannot be said.")).toBeVisible();
  expect(flexion().getByText(/not known before the phone is checked/)).toBeVisible();
  await check(user, [88, 89, 89, 90]);
  expect(await screen.findByText(/It reads 89° for a right angle and repeats within 2.9°.*Readings are corrected by it/)).toBeVisible();
  expect(keptCalibration()).toMatchObject({ readsDeg: expect.closeTo(89, 6) });
  expect(flexion().getByText(/Forearm flat on the table, palm down.*near 80° may be 3.3° too little or 2.9° too much/)).toBeVisible();
});

it("what it reads is corrected, and the other hand's button is next", async () => {
  const { user } = await open();
  await check(user, [88, 88, 88, 88]);
  lieFlat();
  await user.click(flexion().getByRole("button", { name: "Read Left wrist bends forward from the meter" }));
  tiltTo(66);
  expect(record.range.wristFlexion.left.active).toBe(68);
  expect(flexion().getByRole("button", { name: "Read Right wrist bends forward from the meter" })).toHaveFocus();
});

it("a check is not corrected by the one before", async () => {
  const { user } = await open();
  await check(user, [88, 88, 88, 88]);
  await check(user, [88, 88, 88, 88]);
  expect(keptCalibration()!.readsDeg).toBeCloseTo(88, 6);
});

it("one that is too far off reads nothing, and says why", async () => {
  const { user } = await open();
  await check(user, [80, 80, 80, 80]);
  expect(await screen.findByText(/More than 5° off: nothing is read from it/)).toBeVisible();
  expect(screen.getByText(/too far off a right angle/)).toBeVisible();
  expect(screen.queryByRole("button", { name: /from the meter/ })).toBeNull();
});

it("turned in the level plane it says that gravity cannot see it, and nothing is taken", async () => {
  const { user } = await open();
  await check(user, [90, 90, 90, 90]);
  lieFlat();
  await user.click(flexion().getByRole("button", { name: "Read Left wrist bends forward from the meter" }));
  tiltTo(1, { turn: 40 });
  expect(screen.getByText(/turns in the level plane, where gravity cannot see it/)).toBeVisible();
  expect(record.range.wristFlexion.left.active).toBeNull();
});

it("a device whose sensor says nothing is not measured with", async () => {
  new TestServer(SIGNED_IN);
  const { user } = showPage(<Page />);
  await user.click(screen.getByRole("button", { name: "This phone" }));
  expect(screen.getByText("connecting")).toBeVisible();
  expect(await screen.findByText("lost")).toBeVisible();
  lieFlat();
  expect(screen.getByText("lost")).toBeVisible();
});

it("a device that may not say how it is turned is no lost address", async () => {
  Object.assign(globalThis, {
    DeviceOrientationEvent: class {
      static requestPermission(): Promise<string> {
        return Promise.resolve("denied");
      }
    },
  });
  new TestServer({ ...SIGNED_IN, "GET /meter": { address: "ws://meter.example" } });
  function Panel() {
    const meter = useMeter();
    return (
      <>
        <button onClick={() => void meter.connectPhone()}>This phone</button>
        <MeterPanel meter={meter} />
      </>
    );
  }
  const { user } = showPage(<Panel />);
  await user.click(screen.getByRole("button", { name: "This phone" }));
  await user.click(await screen.findByRole("button", { name: "Meter lost" }));
  expect(await screen.findByRole("alert")).toHaveTextContent("This device may not say how it is turned.");
});
