/** A length of hours and minutes in words. */
import { t } from "./words";

/** @param min whole minutes, from 0 on */
export function hoursText(min: number): string {
  const minutes = t("{{min}} min", { min: min % 60 });
  if (min < 60) return minutes;
  return min % 60 ? `${Math.floor(min / 60)} h ${minutes}` : `${Math.floor(min / 60)} h`;
}
