import { screen, within } from "@testing-library/react";
import type { UserEvent } from "@testing-library/user-event";

/** The parts of a field of days: day, month and year, as a practice has them that chose nothing else. */
const partsOf = (field: HTMLElement) => within(field).getAllByRole("spinbutton");

/** A field of days by its label. */
export const dayField = (name: string): HTMLElement => screen.getByRole("group", { name });

/** What a field of days shows: `2 Mar 2026`. */
export const shownDay = (field: HTMLElement): string =>
  partsOf(field)
    .map(({ textContent }) => textContent)
    .join(" ");

/** Types a day into its field. @param date ISO @param then what is pressed after it */
export async function typeDay(user: UserEvent, field: HTMLElement, date: string, then = ""): Promise<void> {
  const [year, month, day] = date.split("-") as [string, string, string];
  for (const [i, keys] of [day, month, `${year}${then}`].entries()) {
    await user.click(partsOf(field)[i]!);
    await user.keyboard(keys);
  }
}
