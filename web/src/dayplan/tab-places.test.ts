import fc from "fast-check";
import { nameWidth, tabPlaces } from "./tab-places";

const span = (left: number, right: number, need: number) => ({ left, right, need });
const told = (places: ReturnType<typeof tabPlaces>) =>
  places.map(({ below, hangsLeft, from, until }) => `${below ? "below" : "above"}${hangsLeft ? ", hanging" : ""} ${from}–${until}`);

it.each([
  ["apart", [span(0, 10, 100), span(200, 210, 100)], ["above 0–100", "above 200–300"]],
  ["close together", [span(0, 10, 100), span(60, 70, 100)], ["above 0–100", "below 60–160"]],
  ["three close together", [span(0, 10, 100), span(60, 70, 100), span(110, 120, 100)], ["above 0–100", "below 60–160", "above 110–210"]],
  ["at the end of the row", [span(560, 570, 100)], ["above, hanging 470–570"]],
  ["at the end, beside another", [span(500, 510, 90), span(560, 570, 100)], ["above 500–590", "below, hanging 470–570"]],
  ["longer than its name", [span(0, 300, 100), span(310, 320, 50)], ["above 0–100", "above 310–360"]],
  ["no room above or below", [span(0, 5, 100), span(10, 15, 100), span(40, 45, 100)], ["above 0–37", "below 10–110", "above 40–140"]],
])("names %s", (_name, spans, places) => expect(told(tabPlaces(spans, 600))).toEqual(places));

it("a name that is locked takes more", () => expect(nameWidth("07:00 Warm-up", true)).toBeGreaterThan(nameWidth("07:00 Warm-up", false)));

it("whatever is placed, no name covers another, none runs out of the row, and each touches its session", () => {
  const sessions = fc.array(
    fc.tuple(fc.integer({ min: 0, max: 580 }), fc.integer({ min: 2, max: 20 }), fc.integer({ min: 30, max: 220 })),
    {
      maxLength: 8,
    },
  );
  fc.assert(
    fc.property(sessions, (made) => {
      const spans = made.map(([left, long, need]) => span(left, left + long, need)).sort((a, b) => a.left - b.left);
      const places = tabPlaces(spans, 600);
      return places.every((place, i) => {
        const { left, right } = spans[i]!;
        const others = places.slice(0, i).filter(({ below }) => below === place.below);
        return (
          others.every(({ until }) => until <= place.from) &&
          place.until <= Math.max(600, right) &&
          place.from <= left &&
          place.until >= Math.min(left, right) - 3
        );
      });
    }),
  );
});
