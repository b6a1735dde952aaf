/** A movement large and moving, with its steps in words, over whatever page it was asked for on. */
import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from "@mui/material";
import type { Movement } from "@kind-grip/core/library";
import { useWords } from "../base/library";
import { t } from "../base/words";
import { FigureStage } from "./FigureStage";
import { HowTo } from "./HowTo";

interface LargeMovementProps {
  movement: Movement;
  formId: string;
  onClose(): void;
}

export function LargeMovement({ movement, formId, onClose }: LargeMovementProps) {
  const words = useWords();
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="lg" aria-labelledby="large-movement">
      <DialogTitle id="large-movement">
        {words.movementName(movement.id)}
        <Typography component="span" sx={{ ml: 1.5, fontSize: "1.1rem", color: "text.secondary" }}>
          {words.formName(movement.id, formId)}
        </Typography>
      </DialogTitle>
      <DialogContent
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "minmax(0, 1.15fr) minmax(0, 1fr)" },
          columnGap: 4,
          rowGap: 3,
        }}
      >
        <FigureStage movement={movement} formId={formId} />
        <Box sx={{ display: "grid", gap: 3, alignContent: "start" }}>
          <HowTo movementId={movement.id} />
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose} autoFocus>
          {t("Close")}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
