import fc from "fast-check";
import { FromMeter, readMessage, readTrial, spreadOf, steadyAngle, tiltBetween, ToMeter, upFrom, WEAK_SHARE, type Reading } from ".";

/** Rest, a squeeze that rises in 0.4 s and holds, rest; 20 readings a second. */
function squeeze(kg: number, { heldMs = 2500, wobble = 0, dropFrom = -1, dropTo = -1 } = {}): Reading[] {
  const readings: Reading[] = [];
  for (let atMs = 0; atMs <= 1000 + heldMs + 1000; atMs += 50) {
    const into = atMs - 600;
    const share = into < 0 ? 0 : into < 400 ? into / 400 : into < 400 + heldMs ? 1 : 0;
    const value = share * kg + (share === 1 ? wobble * (atMs % 100 === 0 ? 1 : -1) : 0);
    if (atMs < dropFrom || atMs >= dropTo) readings.push({ atMs, value });
  }
  return readings;
}

describe("a squeeze", () => {
  it("that is held gives peak, plateau and no fault", () => {
    expect(readTrial(squeeze(32))).toEqual({ peakKg: 32, plateauKg: 32, heldSec: 2.5, faults: [] });
  });
  it("nobody made is no trial", () => {
    expect(readTrial([])).toBeUndefined();
    expect(readTrial(squeeze(1.9))).toBeUndefined();
  });
  it("one stray reading is no peak", () => {
    const readings = squeeze(30);
    readings[readings.findIndex(({ value }) => value === 30) + 5]!.value = 95;
    expect(readTrial(readings)!.peakKg).toBe(30);
  });
  it.each([
    [1600, []],
    [1300, ["tooShort"]],
  ])("held for %s ms: %s", (heldMs, faults) => {
    expect(readTrial(squeeze(30, { heldMs }))!.faults).toEqual(faults);
  });
  it.each([
    [2.5, []],
    [4, ["unsteady"]],
  ])("that wobbles by %s kg around 30: %s", (wobble, faults) => {
    expect(readTrial(squeeze(30, { wobble }))!.faults).toEqual(faults);
  });
  it.each([
    [1800, 2000, []],
    [1800, 2050, ["dropOut"]],
  ])("readings lost from %s to %s ms: %s", (dropFrom, dropTo, faults) => {
    expect(readTrial(squeeze(30, { dropFrom, dropTo }))!.faults).toEqual(faults);
  });
  it("well under the best of the same hand is a weak trial", () => {
    expect(readTrial(squeeze(40 * WEAK_SHARE), 40)!.faults).toEqual([]);
    expect(readTrial(squeeze(40 * WEAK_SHARE - 0.5), 40)!.faults).toEqual(["weak"]);
  });
  it("the strongest of two squeezes counts", () => {
    const later = squeeze(35).map(({ atMs, value }) => ({ atMs: atMs + 5000, value }));
    expect(readTrial([...squeeze(12), ...later])!.peakKg).toBe(35);
  });
  it("any stream is read without breaking, and plateau never passes peak by more than rounding", () => {
    const streams = fc.array(fc.record({ gap: fc.integer({ min: 10, max: 400 }), value: fc.double({ min: -3, max: 90, noNaN: true }) }), {
      maxLength: 80,
    });
    fc.assert(
      fc.property(streams, (steps) => {
        let atMs = 0;
        const trial = readTrial(steps.map(({ gap, value }) => ({ atMs: (atMs += gap), value })));
        if (trial) expect(trial.heldSec).toBeGreaterThanOrEqual(0);
        const most = Math.max(0, ...steps.map(({ value }) => value));
        if (trial) expect(Math.max(trial.peakKg, trial.plateauKg)).toBeLessThanOrEqual(most + 0.05);
      }),
    );
  });
});

describe("an angle", () => {
  const readings = (valueAt: (atMs: number) => number, untilMs = 1000) =>
    Array.from({ length: untilMs / 50 + 1 }, (_, i) => ({ atMs: i * 50, value: valueAt(i * 50) }));
  it("that stands still is read to the degree", () => {
    expect(steadyAngle(readings(() => 63.4))).toBe(63);
    expect(steadyAngle(readings((atMs) => 63 + (atMs % 100 === 0 ? 1.4 : -1.4)))).toBe(63);
  });
  it("that moves, or that was read too little of, is not read", () => {
    expect(steadyAngle(readings((atMs) => atMs / 20))).toBeUndefined();
    expect(steadyAngle(readings((atMs) => 63 + (atMs % 100 === 0 ? 1.6 : -1.6)))).toBeUndefined();
    expect(steadyAngle(readings(() => 63, 350))).toBeUndefined();
    expect(steadyAngle([])).toBeUndefined();
  });
  it("that moved before and stands now is read", () => {
    expect(steadyAngle(readings((atMs) => Math.min(50, atMs / 10), 1500))).toBe(50);
  });
});

it("scatter is the standard deviation over the mean", () => {
  expect(spreadOf([30, 33, 27])).toBeCloseTo(0.1, 9);
  expect([spreadOf([]), spreadOf([5]), spreadOf([4, 4, 4])]).toEqual([0, 0, 0]);
});

describe("the protocol", () => {
  it("understands what both sides say, and nothing else", () => {
    expect(readMessage(FromMeter, '{"type":"reading","kind":"grip","atMs":50,"value":3.2}')).toEqual({
      type: "reading",
      kind: "grip",
      atMs: 50,
      value: 3.2,
    });
    expect(readMessage(ToMeter, '{"type":"set","settings":{"noise":1}}')).toEqual({ type: "set", settings: { noise: 1 } });
    for (const text of [
      "",
      "{",
      "null",
      '{"type":"explode"}',
      '{"type":"reading","kind":"grip","atMs":50,"value":"3"}',
      '{"type":"set","settings":{"noise":-1}}',
    ])
      expect([readMessage(FromMeter, text), readMessage(ToMeter, text)]).toEqual([undefined, undefined]);
  });
});

describe("a phone as angle meter", () => {
  it.each([
    [0, 0, 70, 0, 70],
    [20, 0, -30, 0, 50],
    [90, 0, 160, 0, 70],
    [0, 0, 0, 35, 35],
    [180, 0, -170, 0, 10],
  ])("from %s/%s to %s/%s it was turned by %s°", (beta, gamma, toBeta, toGamma, expected) => {
    expect(tiltBetween(upFrom(beta, gamma), upFrom(toBeta, toGamma))).toBeCloseTo(expected, 6);
  });
  it("the way up has length 1, whatever way the phone is held", () => {
    fc.assert(
      fc.property(fc.double({ min: -180, max: 180, noNaN: true }), fc.double({ min: -90, max: 90, noNaN: true }), (beta, gamma) => {
        expect(Math.hypot(...upFrom(beta, gamma))).toBeCloseTo(1, 9);
        expect(tiltBetween(upFrom(beta, gamma), upFrom(beta, gamma))).toBeLessThan(1e-5);
      }),
    );
  });
});
