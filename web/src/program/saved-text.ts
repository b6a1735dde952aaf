/** What taking turns saves in a session, in words; nothing where it saves nothing. */
import type { Saved } from "@kind-grip/core/session";
import { listText, spanText } from "../base/measures";
import { t } from "../base/words";

export function savedText({ alternatingSec, pairedSec }: Saved): string | undefined {
  const parts = [
    ...(alternatingSec >= 1 ? [t("{{time}} by alternating sides", { time: spanText(alternatingSec) })] : []),
    ...(pairedSec >= 1 ? [t("{{time}} by items that take turns", { time: spanText(pairedSec) })] : []),
  ];
  return parts.length === 0 ? undefined : t("Saves {{parts}}", { parts: listText(parts) });
}
