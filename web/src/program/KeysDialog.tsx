import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle } from "@mui/material";
import { t } from "../base/words";

const KEYS: readonly (readonly [string, string])[] = [
  ["← →", t("Choose the item before or after")],
  [t("Alt ← →"), t("Move the item earlier or later")],
  ["↑ ↓", t("Longer or shorter: hold, repetitions, work")],
  [t("Shift ↑ ↓"), t("More or fewer: holds, sets, rounds")],
  ["S", t("Next way of sharing the sides")],
  ["P", t("Pair with the next item, or part them")],
  ["D", t("Double the item")],
  ["Delete", t("Take the item out")],
  [t("Ctrl Z, Ctrl Y"), t("Undo, redo")],
];

export function KeysDialog({ onClose }: { onClose(): void }) {
  return (
    <Dialog open onClose={onClose} aria-labelledby="keys-title">
      <DialogTitle id="keys-title">{t("Keys of the score")}</DialogTitle>
      <DialogContent>
        <Box
          component="dl"
          sx={{ display: "grid", gridTemplateColumns: "150px 1fr", rowGap: 1, m: 0, "& dt": { fontWeight: 700 }, "& dd": { m: 0 } }}
        >
          {KEYS.flatMap(([keys, text]) => [<dt key={keys}>{keys}</dt>, <dd key={`${keys}-does`}>{text}</dd>])}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button variant="contained" onClick={onClose}>
          {t("Close")}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
