/** Told at once, while a pose is shaped: where a hand goes into something. People copy what they see. */
import { Alert } from "@mui/material";
import type { Overlap } from "@kind-grip/core/figure";
import { t } from "../base/words";

const PARTS: Readonly<Record<string, string>> = {
  palm: t("palm"),
  index: t("index finger"),
  middle: t("middle finger"),
  ring: t("ring finger"),
  little: t("little finger"),
  thumb: t("thumb"),
  forearm: t("forearm"),
  upper: t("upper arm"),
  trunk: t("trunk"),
  shirtTail: t("trunk"),
  neck: t("neck"),
  head: t("head"),
  leg: t("leg"),
  foot: t("foot"),
};

/** `right:index` → "the right index finger"; a bench is named as what it is. */
export function partName(id: string): string {
  const [side, part] = id.includes(":") ? (id.split(":") as [string, string]) : [undefined, id];
  if (id.startsWith("prop")) return t("the bench");
  const name = PARTS[part] ?? part;
  if (side === "right") return t("the right {{part}}", { part: name });
  if (side === "left") return t("the left {{part}}", { part: name });
  return t("the {{part}}", { part: name });
}

/** How many are said; the rest shows once these are mended. */
const SAID = 3;

export function Entering({ overlaps }: { overlaps: readonly Overlap[] }) {
  if (overlaps.length === 0) return null;
  return (
    <Alert severity="warning" role="status" sx={{ mt: 1 }}>
      {overlaps
        .slice(0, SAID)
        .map(({ one, other, mm }) =>
          t("{{one}} goes {{mm}} mm into {{other}}.", { one: partName(one), other: partName(other), mm: Math.round(mm) }),
        )
        .map((line) => line[0]!.toUpperCase() + line.slice(1))
        .join(" ")}
    </Alert>
  );
}
