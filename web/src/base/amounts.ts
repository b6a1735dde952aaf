/** How many of a thing, in words: one place for each, so that none reads "1 weeks". */
import { t } from "./words";

export const peopleText = (count: number): string => t("{{count}} people", { count, defaultValue_one: "{{count}} person" });
export const daysText = (count: number): string => t("{{count}} days", { count, defaultValue_one: "{{count}} day" });
export const weeksText = (count: number): string => t("{{count}} weeks", { count, defaultValue_one: "{{count}} week" });
export const runsText = (count: number): string => t("{{count}} runs", { count, defaultValue_one: "{{count}} run" });
export const answersText = (count: number): string => t("{{count}} answers", { count, defaultValue_one: "{{count}} answer" });
export const effortsText = (count: number): string => t("{{count}} efforts", { count, defaultValue_one: "{{count}} effort" });
export const bookingsText = (count: number): string => t("{{count}} bookings", { count, defaultValue_one: "{{count}} booking" });
export const resetsText = (count: number): string => t("{{count}} resets", { count, defaultValue_one: "{{count}} reset" });
