/** Where saving stands, undo and redo, and the choice when somebody else saved first. */
import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, IconButton, Typography } from "@mui/material";
import { Check, CloudOff, Redo2, TriangleAlert, Undo2 } from "lucide-react";
import { useEffect, type ReactNode } from "react";
import type { useKeptDocument } from "./kept-document";

const TEXT = {
  saved: "Saved",
  saving: "Saving …",
  away: "Kept here, sent when the server is back",
  refused: "Not saved: see below",
  conflict: "Somebody else saved",
} as const;

interface SaveStateProps {
  kept: Pick<ReturnType<typeof useKeptDocument>, "status" | "canUndo" | "canRedo" | "undo" | "redo" | "theirs" | "keepMine" | "takeTheirs">;
  /** What is being edited, in the dialog. */
  what: string;
  children?: ReactNode;
}

export function SaveState({ kept, what, children }: SaveStateProps) {
  const { status, undo, redo } = kept;
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement)
        return;
      const key = event.key.toLowerCase();
      if (key === "z" && !event.shiftKey) undo();
      else if (key === "y" || (key === "z" && event.shiftKey)) redo();
      else return;
      event.preventDefault();
    };
    addEventListener("keydown", onKey);
    return () => removeEventListener("keydown", onKey);
  }, [undo, redo]);
  const Icon = status === "away" ? CloudOff : status === "refused" || status === "conflict" ? TriangleAlert : Check;
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 0.5, "@media print": { display: "none" } }}>
      {children}
      <Typography
        role="status"
        sx={{ display: "flex", alignItems: "center", gap: 0.5, color: status === "refused" ? "error.main" : "text.secondary", mr: 1 }}
      >
        {status !== "saving" && <Icon size={17} aria-hidden />}
        {TEXT[status]}
      </Typography>
      <IconButton aria-label="Undo" disabled={!kept.canUndo} onClick={undo}>
        <Undo2 size={20} />
      </IconButton>
      <IconButton aria-label="Redo" disabled={!kept.canRedo} onClick={redo}>
        <Redo2 size={20} />
      </IconButton>
      <Dialog open={kept.theirs !== null} aria-labelledby="kept-conflict">
        <DialogTitle id="kept-conflict">Somebody else saved {what} meanwhile</DialogTitle>
        <DialogContent>
          <Typography>Nothing is lost: whichever you do not take stays one step of undo away.</Typography>
        </DialogContent>
        <DialogActions>
          <Button variant="outlined" onClick={kept.keepMine}>
            Keep mine
          </Button>
          <Button variant="contained" onClick={kept.takeTheirs}>
            Take theirs
          </Button>
        </DialogActions>
      </Dialog>
    </Box>
  );
}
