import { inOrder, isDeep, runningLate, treatmentNamed, personNamed, type Booking } from ".";
import { at, booking, sampleTreatments, timeOf } from "./booking.sample";

const day = ["09:00", "10:00", "11:10", "13:00"].map((time) => booking(time));
const starts = (list: readonly Booking[]) => list.map(({ startsAt }) => timeOf(Date.parse(startsAt)));

it("those that take place, the earliest first", () => {
  expect(starts(inOrder([day[2]!, { ...day[1]!, cancelled: true }, day[0]!]))).toEqual(["09:00", "11:10"]);
});

describe("running late", () => {
  const late = (id: string, byMin: number, turnMin = 3) => runningLate(day, id, byMin, turnMin);
  it("moves what it would run into, and no more", () => {
    // Back to back before stays back to back; the gap of ten minutes takes the rest up.
    expect(starts(late(day[0]!.id, 5))).toEqual(["09:05", "10:05"]);
    expect(starts(late(day[0]!.id, 15))).toEqual(["09:15", "10:15", "11:18"]);
  });
  it("keeps the room's time only where it was", () => {
    expect(starts(late(day[1]!.id, 10))).toEqual(["10:10", "11:13"]);
    expect(starts(late(day[1]!.id, 7))).toEqual(["10:07"]);
  });
  it("an earlier one moves alone; one that is cancelled or unknown moves nothing", () => {
    expect(starts(late(day[2]!.id, -5))).toEqual(["11:05"]);
    expect(runningLate([{ ...day[0]!, cancelled: true }], day[0]!.id, 5, 3)).toEqual([]);
    expect(late("none", 5)).toEqual([]);
  });
});

describe("what a foreign booking is", () => {
  const { treatments = [] } = sampleTreatments();
  const [deep, calm] = treatments.map((each, i) => ({ ...each, words: i === 0 ? ["sports"] : ["Wellness massage"] }));
  const list = [deep!, calm!];
  it.each([
    ["Deep tissue 60", deep],
    ["DEEP-TISSUE: first visit", deep],
    ["a sports one", deep],
    ["sportswear", undefined],
    ["wellness massage", calm],
    ["Wellness", undefined],
    ["calm and deep tissue", deep],
    ["", undefined],
  ])("%s", (text, treatment) => {
    expect(treatmentNamed([text], list)).toBe(treatment);
  });
  it("two equally good are none", () => {
    expect(treatmentNamed(["calm spa"], [calm!, { ...deep!, words: ["spa "] }, { ...deep!, id: "x", name: "calm" }])).toBeUndefined();
  });
  it("whose, by the name without accents", () => {
    const people = [{ name: "Zoë Marrin" }, { name: "Ann" }];
    expect(personNamed(["room 2", "Zoe Marrin"], people)).toBe(people[0]);
    expect(personNamed(["Annika"], people)).toBeUndefined();
  });
  it("counts as deep until somebody says", () => {
    expect([isDeep(booking("09:00"), list), isDeep(booking("09:00", { treatmentId: calm!.id }), list)]).toEqual([true, false]);
  });
});

it("the sample day is on one day", () => expect(timeOf(at("23:59"))).toBe("23:59"));
