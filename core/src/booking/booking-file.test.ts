import { sampleId } from "../session/sample";
import { notThereYet, readBookingFile } from ".";
import { sampleTreatments } from "./booking.sample";

const { treatments = [] } = sampleTreatments();
const people = [
  { id: sampleId(), name: "Orla Pember", badge: "SP-1" },
  { id: sampleId(), name: "Pia Renn", badge: null },
];
const read = (...lines: string[]) =>
  readBookingFile(new TextEncoder().encode(lines.join("\n")), {
    people,
    treatments,
    timeZone: "Europe/Dublin",
    today: "2026-03-26",
    makeId: sampleId,
  });
const first = (...lines: string[]) => {
  const { booking, problems } = read(...lines).rows[0]!;
  return booking ? [booking.personId, booking.startsAt.slice(0, 16), booking.lengthMin, booking.treatmentId, booking.cancelled] : problems;
};

it("reads whose, when, how long and which kind", () => {
  expect(first("Therapist,Date,Start,Minutes,Treatment,Status", "Orla Pember,2026-03-27,10:00,60,Deep tissue,")).toEqual([
    people[0]!.id,
    "2026-03-27T10:00",
    60,
    treatments[0]!.id,
    false,
  ]);
});

it.each([
  ["by badge", "Badge;Datum;Von;Bis;Behandlung", "sp1;27.3.26;9.30;10.20;calm", ["2026-03-27T09:30", 50]],
  ["in summer by the clock on the wall", "Name;Date;From;To", "Pia Renn;1 Apr 2026;9:00;9:45", ["2026-04-01T08:00", 45]],
  ["over midnight", "Name;Date;From;To", "Pia Renn;2026-03-27;23:30;0:30", ["2026-03-27T23:30", 60]],
  [
    "as long as the treatment where nothing else is said",
    "Name;Date;Time;Service",
    "Pia Renn;2026-03-27;7pm;Calm",
    ["2026-03-27T19:00", 60],
  ],
  ["minutes with their word", "Name;Date;Time;Duration", "Pia Renn;2026-03-27;900;45 min", ["2026-03-27T09:00", 45]],
  ["month first where a day says so", "Name;Date;Time;Min", "Pia Renn;3/27/2026;9:00;45", ["2026-03-27T09:00", 45]],
])("%s", (_, header, row, expected) => {
  expect((first(header, row) as unknown[]).slice(1, 3)).toEqual(expected);
});

it("a cancelled one is cancelled, a kind that is not known is told and taken without", () => {
  const [row] = read("Name,Date,Start,Min,Kind,State", "Pia Renn,2026-03-27,10:00,60,Mud bath,storniert").rows;
  expect([row!.booking!.cancelled, row!.booking!.treatmentId, row!.unknownTreatment]).toEqual([true, null, "Mud bath"]);
});

it.each([
  ["Ann Other,2026-03-27,10:00,60", ["noPerson"]],
  ["Pia Renn,someday,10:00,60", ["noDay"]],
  ["Pia Renn,2026-03-27,noon,60", ["noStart"]],
  ["Pia Renn,2026-03-27,10:00,", ["noLength"]],
  ["Pia Renn,2026-03-27,10:00,4", ["length"]],
  ["Pia Renn,2026-03-27,10:00,481", ["length"]],
  [",,,", ["noPerson", "noDay", "noStart", "noLength"]],
])("%s: says %j and takes none of it", (row, problems) => {
  expect(first("Name,Date,Start,Min", row === ",,," ? "x,,," : row)).toEqual(problems);
});

it.each([["5"], ["480"]])("%s minutes are taken", (min) => {
  expect((first("Name,Date,Start,Min", `Pia Renn,2026-03-27,10:00,${min}`) as unknown[])[2]).toBe(Number(min));
});

it("finds the columns under a title, and says which are missing", () => {
  const file = read("Week 13,,", "Name,Date,Colour", "Pia Renn,2026-03-27,red");
  expect([file.headers[1], file.missing, file.rows.map(({ line }) => line)]).toEqual(["Date", ["start", "minutes"], [3]]);
  expect(read("nothing here").missing).toEqual(["person", "date", "start", "minutes"]);
});

it("the same person at the same moment is there already, twice in the file too", () => {
  const header = "Name,Date,Start,Min";
  const rows = ["Pia Renn,2026-03-27,10:00,60", "Pia Renn,2026-03-27,10:00,60", "Pia Renn,2026-03-27,12:00,60"];
  const found = read(header, ...rows).rows.map(({ booking }) => booking!);
  expect(notThereYet(found, []).map(({ startsAt }) => startsAt.slice(11, 16))).toEqual(["10:00", "12:00"]);
  expect(notThereYet(found, [{ ...found[0]!, lengthMin: 30 }]).map(({ startsAt }) => startsAt.slice(11, 16))).toEqual(["12:00"]);
});
