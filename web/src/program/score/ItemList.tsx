/** The items of a session in words, under the score: what is too short there for a name has one here. */
import { Box, ButtonBase } from "@mui/material";
import type { Session, Timeline } from "@kind-grip/core/session";
import { useWords } from "../../base/library";
import { spanText } from "../../base/measures";
import { t } from "../../base/words";
import { useEdit, useProgramEditor } from "../program-editor";

export function ItemList({ session, timeline }: { session: Session; timeline: Timeline }) {
  const words = useWords();
  const { itemId } = useProgramEditor();
  const { chooseItem } = useEdit();
  const secOf = new Map(timeline.items.map((span) => [span.itemId, span.endSec - span.startSec]));
  return (
    <Box
      component="ol"
      aria-label={t("{{name}} in words", { name: session.name })}
      sx={{
        listStyle: "none",
        m: 0,
        mt: 1,
        p: 0,
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0, 1fr)", sm: "1fr 1fr" },
        columnGap: 3,
      }}
    >
      {session.items.map((item, i) => (
        <Box component="li" key={item.id} sx={{ borderBottom: "1px solid", borderColor: "line" }}>
          <ButtonBase
            onClick={() => chooseItem(item.id)}
            aria-current={item.id === itemId || undefined}
            sx={{
              width: "100%",
              minHeight: 44,
              px: 0.75,
              display: "grid",
              gridTemplateColumns: "1.6em minmax(0, 1fr) auto",
              columnGap: 0.5,
              textAlign: "left",
              lineHeight: 1.25,
              bgcolor: item.id === itemId ? "warm.light" : "transparent",
            }}
          >
            <Box component="span" sx={{ fontWeight: 750 }}>
              {i + 1}
            </Box>
            <span>
              <strong>{words.movementName(item.movementId)}</strong>{" "}
              <Box component="span" sx={{ color: "text.secondary" }}>
                {words.dose(item.dose)}
              </Box>
            </span>
            <Box component="span" sx={{ fontVariantNumeric: "tabular-nums", color: "text.secondary" }}>
              {spanText(secOf.get(item.id) ?? 0)}
            </Box>
          </ButtonBase>
        </Box>
      ))}
    </Box>
  );
}
