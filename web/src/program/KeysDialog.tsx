import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle } from "@mui/material";

const KEYS: readonly (readonly [string, string])[] = [
  ["← →", "Choose the item before or after"],
  ["Alt ← →", "Move the item earlier or later"],
  ["↑ ↓", "Longer or shorter: hold, repetitions, work"],
  ["Shift ↑ ↓", "More or fewer: holds, sets, rounds"],
  ["S", "Next way of sharing the sides"],
  ["P", "Pair with the next item, or part them"],
  ["D", "Double the item"],
  ["Delete", "Take the item out"],
  ["Ctrl Z, Ctrl Y", "Undo, redo"],
];

export function KeysDialog({ onClose }: { onClose(): void }) {
  return (
    <Dialog open onClose={onClose} aria-labelledby="keys-title">
      <DialogTitle id="keys-title">Keys of the score</DialogTitle>
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
          Close
        </Button>
      </DialogActions>
    </Dialog>
  );
}
