/** What begins a drag: a mouse that moves while it is pressed; a finger that stays a moment, as one that moves at once scrolls the page. */
import { MouseSensor, TouchSensor, useSensor, useSensors } from "@dnd-kit/core";

const MOVED_PX = 6;
const STAYED_MS = 250;
/** A finger that stays is never quite still. */
const STILL_PX = 8;

export function useDragSensors() {
  return useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: MOVED_PX } }),
    useSensor(TouchSensor, { activationConstraint: { delay: STAYED_MS, tolerance: STILL_PX } }),
  );
}
