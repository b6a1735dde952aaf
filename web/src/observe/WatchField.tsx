/** The field of one hand: pressed while it works. */
import { Box } from "@mui/material";
import type { HandSide } from "@kind-grip/core/units";
import { sideWord, t } from "../base/words";

interface WatchFieldProps {
  side: HandSide;
  down: boolean;
  count: number;
  acts: { press(side: HandSide, at: number): void; release(side: HandSide, at: number): void };
}

/** What is pressed: by any finger, each for itself, without the page moving under it. */
export function WatchField({ side, down, count, acts }: WatchFieldProps) {
  return (
    <Box
      component="button"
      type="button"
      className="keeps-colour"
      aria-label={t("{{side}} hand works: hold while it does", { side: sideWord(side) })}
      onPointerDown={(event: React.PointerEvent) => {
        event.preventDefault();
        // A finger that slides off its field has not let go.
        event.currentTarget.setPointerCapture?.(event.pointerId);
        acts.press(side, event.timeStamp);
      }}
      onPointerUp={(event: React.PointerEvent) => acts.release(side, event.timeStamp)}
      onPointerCancel={(event: React.PointerEvent) => acts.release(side, event.timeStamp)}
      onContextMenu={(event: React.MouseEvent) => event.preventDefault()}
      onKeyDown={(event: React.KeyboardEvent) => {
        if (event.key !== "Enter" && event.key !== " ") return;
        event.preventDefault();
        if (!event.repeat) acts.press(side, event.timeStamp);
      }}
      onKeyUp={(event: React.KeyboardEvent) => {
        if (event.key === "Enter" || event.key === " ") acts.release(side, event.timeStamp);
      }}
      sx={{
        display: "grid",
        placeContent: "center",
        placeItems: "center",
        border: "6px solid",
        borderColor: `hand.${side}`,
        borderRadius: 4,
        bgcolor: down ? `hand.${side}` : "background.paper",
        color: down ? "hand.on" : "text.primary",
        font: "inherit",
        minHeight: 0,
        touchAction: "none",
        userSelect: "none",
        WebkitTouchCallout: "none",
        cursor: "pointer",
      }}
    >
      <Box component="span" aria-hidden sx={{ fontSize: "clamp(2.5rem, 9vmin, 6rem)", fontWeight: 800, lineHeight: 1 }}>
        {side === "left" ? "L" : "R"}
      </Box>
      <Box component="span" aria-hidden sx={{ fontSize: "1.5rem", fontWeight: 700, fontVariantNumeric: "tabular-nums" }}>
        {count}
      </Box>
    </Box>
  );
}
