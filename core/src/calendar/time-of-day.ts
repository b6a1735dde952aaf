/** Times of day as a clock on the wall shows them, and minutes between them. */
const DAY_MIN = 1440;

/** @param hhmm `22:30` @returns minutes since midnight, 0 to 1439 */
export function minutesOfDay(hhmm: string): number {
  return Number(hhmm.slice(0, 2)) * 60 + Number(hhmm.slice(3, 5));
}

/** @param hhmm `22:30` @param min 0 or more @returns the time of day so many minutes later, perhaps of another day */
export function timeAfter(hhmm: string, min: number): string {
  const total = (minutesOfDay(hhmm) + min) % DAY_MIN;
  const two = (value: number) => String(value).padStart(2, "0");
  return `${two(Math.floor(total / 60))}:${two(total % 60)}`;
}

/** @returns minutes from a time of day until the next time that a clock shows another, 0 to 1439 */
export function minutesUntil(from: string, to: string): number {
  return (minutesOfDay(to) - minutesOfDay(from) + DAY_MIN) % DAY_MIN;
}

/** Whether what begins at a time of day and takes so many minutes ends at midnight or after it. */
export function endsNextDay(start: string, lengthMin: number): boolean {
  return minutesOfDay(start) + lengthMin >= DAY_MIN;
}
