/** What a session is short of for those who do it at once, and how it is shared: known before they stand there. */
import { Typography } from "@mui/material";
import { PackageMinus } from "lucide-react";
import type { TodayEntry } from "@kind-grip/core/api";
import { useWords } from "../base/library";
import { listText, massText, spanText } from "../base/measures";
import { t } from "../base/words";

type Short = TodayEntry["shortKit"][number];

/** @param onColour on a ground of its own colour */
export function ShortKit({ short, onColour = false }: { short: readonly Short[]; onColour?: boolean }) {
  const words = useWords();
  const what = ({ kinds, loadKg }: Short) => {
    const name = listText(
      kinds.map((kind) => words.label("kit", kind).toLowerCase()),
      "or",
    );
    return loadKg === null ? name : `${name} ${massText(loadKg)}`;
  };
  const how = ({ way, waves }: Short) => (way === "partners" ? t("in pairs") : t("in {{waves}} waves", { waves }));
  return short.map((each) => (
    <Typography
      key={`${each.movementId} ${each.loadKg}`}
      sx={{ display: "flex", gap: 0.75, alignItems: "start", fontWeight: 650, lineHeight: 1.35, color: onColour ? "inherit" : "warm.dark" }}
    >
      <PackageMinus size={19} aria-hidden style={{ flex: "none", marginTop: 2 }} />
      {t("{{movement}}: {{what}}, {{pieces}} for {{people}} people, {{how}}, {{time}} more.", {
        movement: words.movementName(each.movementId),
        pieces: each.pieces,
        what: what(each),
        people: each.people,
        how: how(each),
        time: spanText(each.costSec),
      })}
    </Typography>
  ));
}
