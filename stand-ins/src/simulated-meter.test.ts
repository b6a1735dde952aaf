import { paceOf, readTrial, repetitionsIn, steadyAngle, type MeterSettings, type Reading } from "@kind-grip/core/meter";
import { READINGS_PER_SEC, SimulatedMeter } from "./simulated-meter";

function chance(seed = 7): () => number {
  let state = seed;
  return () => (state = (state * 16807) % 2147483647) / 2147483647;
}

/** What the application gets to see of one start. */
function stream(settings: Partial<MeterSettings>, begin: (meter: SimulatedMeter) => void, lengthSec = 5, seed = 7): Reading[] {
  const meter = new SimulatedMeter(chance(seed));
  meter.settings = { ...meter.settings, ...settings };
  begin(meter);
  const readings: Reading[] = [];
  for (let i = 0; i <= lengthSec * READINGS_PER_SEC; i++) {
    const reading = meter.readingAt(i / READINGS_PER_SEC);
    if (reading) readings.push({ atMs: (i * 1000) / READINGS_PER_SEC, value: reading.value });
  }
  return readings;
}
const squeeze = (meter: SimulatedMeter) => {
  meter.start("grip");
  meter.squeeze(0);
};

describe("a simulated squeeze", () => {
  it("reads as a good trial of about the hand's strength", () => {
    for (let seed = 1; seed <= 30; seed++) {
      const trial = readTrial(stream({ gripKg: 34 }, squeeze, 5, seed))!;
      expect([seed, trial.faults]).toEqual([seed, []]);
      expect(Math.abs(trial.peakKg - 34)).toBeLessThan(34 * 0.13);
    }
  });
  it("half-hearted, only the next one, reads as weak", () => {
    const meter = new SimulatedMeter(chance());
    meter.settings = { ...meter.settings, weakTrial: true };
    squeeze(meter);
    expect(meter.settings.weakTrial).toBe(false);
    expect(readTrial(stream({ weakTrial: true }, squeeze), 34)!.faults).toContain("weak");
  });
  it("with drop-outs reads as one with drop-outs", () => {
    const faults = [1, 2, 3, 4, 5].map((seed) => readTrial(stream({ dropOuts: 0.35 }, squeeze, 5, seed))?.faults ?? []);
    expect(faults.filter((list) => list.includes("dropOut")).length).toBeGreaterThan(2);
  });
  it("with much noise reads as unsteady", () => {
    expect(readTrial(stream({ gripKg: 20, noise: 6 }, squeeze))!.faults.length).toBeGreaterThan(0);
  });
  it("is nothing until somebody squeezes", () => {
    expect(readTrial(stream({}, (meter) => meter.start("grip")))).toBeUndefined();
    expect(stream({}, () => undefined)).toEqual([]);
  });
});

describe("a simulated joint", () => {
  const end = (assisted: boolean) =>
    steadyAngle(stream({ rangeShare: 0.9, noise: 0.3 }, (meter) => meter.start("angle", { fullDeg: 80, assisted }), 3));
  it("comes to rest near its share of the range, further with help", () => {
    expect(end(false)!).toBeGreaterThan(60);
    expect(end(false)!).toBeLessThan(84);
    expect(end(true)!).toBeGreaterThan(end(false)! + 3);
  });
  it("is not read while it moves", () => {
    expect(steadyAngle(stream({}, (meter) => meter.start("angle", { fullDeg: 80 }), 0.9))).toBeUndefined();
  });
});

it("goes out and back as often as it is asked, a little quicker each time", () => {
  const repeated = { restSec: 1, outSec: 2, holdSec: 1, backSec: 2 };
  const readings = stream({ noise: 0.3 }, (meter) => meter.start("angle", { fullDeg: 60, repeated }), 62);
  const pace = paceOf(repetitionsIn(readings))!;
  expect(pace.count).toBeGreaterThanOrEqual(10);
  expect(pace.wholeSec!).toBeGreaterThan(4.5);
  expect(pace.wholeSec!).toBeLessThan(6);
  expect(pace.drift!.toSec).toBeLessThan(pace.drift!.fromSec);
});
