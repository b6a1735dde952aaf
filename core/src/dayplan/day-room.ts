/** Whether a day has room for one session more: so many with glides, so many with mobility or stretching, whoever plans them. */
import type { Library, Phase } from "../library";
import type { Session } from "../session";
import { SPACING } from "./rules";

/** @param planned what is done that day anyway */
export function hasRoomFor(library: Library, planned: readonly Session[], session: Session): boolean {
  const has = ({ items }: Session, ...phases: Phase[]) =>
    items.some(({ movementId }) => phases.some((phase) => library.find(movementId)?.phase === phase));
  const full = (most: number, ...phases: Phase[]) =>
    has(session, ...phases) && planned.filter((each) => has(each, ...phases)).length >= most;
  return !full(SPACING.glidesPerDay, "glide") && !full(SPACING.mobilityPerDay, "mobility", "stretch");
}
