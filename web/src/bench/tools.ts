/** Tools to start from, with the measures they usually have: to be corrected with a tape and a scale. */
import type { KitKind } from "@kind-grip/core/library";
import type { Tool } from "@kind-grip/core/load";

export const USUAL_TOOLS: readonly Tool[] = [
  { name: "Rod", kind: "lever", lengthM: 0.9, massKg: 0.45, headKg: 0 },
  { name: "Hammer", kind: "lever", lengthM: 0.33, massKg: 0.2, headKg: 0.5 },
  { name: "Bar", kind: "lever", lengthM: 1.2, massKg: 2, headKg: 0 },
  { name: "Dumbbell", kind: "weight", massKg: 1.5 },
  { name: "Bottle", kind: "weight", massKg: 1 },
];

/** A piece of a crew's kit as a tool; kinds without a mass or a shape of their own are left out. */
export function toolFrom(kind: KitKind, massKg: number | null): Tool | undefined {
  if (massKg === null) return undefined;
  switch (kind) {
    case "dumbbell":
    case "bottle":
    case "plate":
      return { name: `${kind[0]!.toUpperCase()}${kind.slice(1)} ${massKg} kg`, kind: "weight", massKg };
    case "dowel":
      return { name: `Dowel ${massKg} kg`, kind: "lever", lengthM: 0.9, massKg, headKg: 0 };
    case "bar":
      return { name: `Bar ${massKg} kg`, kind: "lever", lengthM: 1.2, massKg, headKg: 0 };
    case "hammer":
      // About seven tenths of a hammer are its head.
      return {
        name: `Hammer ${massKg} kg`,
        kind: "lever",
        lengthM: 0.33,
        massKg: Math.round(massKg * 30) / 100,
        headKg: Math.round(massKg * 70) / 100,
      };
    case "ball":
    case "band":
    case "edge":
    case "roller":
    case "tape":
    case "towel":
      return undefined;
  }
}
