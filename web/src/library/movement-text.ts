/** All that a movement says, for finding it by a word. */
import type { Words } from "@kind-grip/core/language";
import type { Movement } from "@kind-grip/core/library";

export function movementText(words: Words, movement: Movement): string {
  const text = words.movement(movement.id);
  const regions = [...movement.regions.worked, ...movement.regions.stretched, ...movement.regions.released].map((region) =>
    words.label("region", region),
  );
  return [text.name, text.feel, ...text.steps, ...regions, ...movement.motions].join(" ");
}
