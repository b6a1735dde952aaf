/** Long lists in few words. */
import { listText } from "./measures";
import { t } from "./words";

/** The first of them in words, the others counted: `a, b and 3 more`. A single one over is named, which is no longer than counting it. */
export function firstListText(parts: readonly string[], most: number): string {
  if (parts.length <= most + 1) return listText(parts);
  return t("{{names}} and {{count}} more", { names: parts.slice(0, most).join(", "), count: parts.length - most });
}
