/** Where saving stands, undo and redo with their keys, and the choice when somebody else saved first. */
import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, IconButton, Tooltip, Typography } from "@mui/material";
import { Check, CloudOff, Redo2, TriangleAlert, Undo2 } from "lucide-react";
import { useEffect, type ReactNode } from "react";
import { t } from "../base/words";
import type { DocumentStatus, EditedDocument } from "./use-document";

const TEXT: Readonly<Record<DocumentStatus, string>> = {
  saved: t("Saved"),
  saving: t("Saving …"),
  unsaved: t("Not saved yet"),
  away: t("Kept here, sent when the server is back"),
  refused: t("Not saved"),
  conflict: t("Not saved: choose a version"),
};
const ICON: Partial<Record<DocumentStatus, typeof Check>> = {
  saved: Check,
  away: CloudOff,
  refused: TriangleAlert,
  conflict: TriangleAlert,
};

interface SaveStateProps<T> {
  edited: Pick<
    EditedDocument<T>,
    "status" | "problems" | "canUndo" | "canRedo" | "undo" | "redo" | "value" | "theirs" | "keepMine" | "takeTheirs"
  >;
  /** What is being edited, in the dialog: "this week". */
  what: string;
  /** A version in short, so that there is something to choose by. */
  summary?(value: T): ReactNode;
  /** A third way out of a conflict. */
  otherWay?: ReactNode;
  /** Between the state and the arrows. */
  children?: ReactNode;
}

export function SaveState<T>({ edited, what, summary, otherWay, children }: SaveStateProps<T>) {
  const { status, problems, undo, redo } = edited;
  useUndoKeys(undo, redo);
  const Icon = ICON[status];
  const [first] = problems;
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 0.5, "@media print": { display: "none" } }}>
      {children}
      <Typography
        role="status"
        sx={{
          display: "flex",
          alignItems: "center",
          gap: 0.75,
          px: 1,
          color: status === "refused" || status === "conflict" ? "error.main" : status === "away" ? "warm.dark" : "text.secondary",
        }}
      >
        {Icon && <Icon size={18} aria-hidden />}
        {TEXT[status]}
        {status === "refused" && first && `: ${first.message}`}
      </Typography>
      <Arrow label={t("Undo")} keys="Ctrl Z" disabled={!edited.canUndo} onClick={undo}>
        <Undo2 size={22} />
      </Arrow>
      <Arrow label={t("Redo")} keys="Ctrl Y" disabled={!edited.canRedo} onClick={redo}>
        <Redo2 size={22} />
      </Arrow>
      <ConflictDialog edited={edited} what={what} summary={summary} otherWay={otherWay} />
    </Box>
  );
}

function Arrow({
  label,
  keys,
  disabled,
  onClick,
  children,
}: {
  label: string;
  keys: string;
  disabled: boolean;
  onClick(): void;
  children: ReactNode;
}) {
  return (
    <Tooltip title={`${label} (${keys})`}>
      <span>
        <IconButton aria-label={label} disabled={disabled} onClick={onClick}>
          {children}
        </IconButton>
      </span>
    </Tooltip>
  );
}

/** Somebody else saved meanwhile: a clear choice, and whichever is not taken stays one undo away. */
function ConflictDialog<T>({ edited, what, summary, otherWay }: Omit<SaveStateProps<T>, "children">) {
  const { theirs, value, keepMine, takeTheirs } = edited;
  return (
    <Dialog open={theirs !== null} aria-labelledby="conflict-title" maxWidth="sm" fullWidth>
      <DialogTitle id="conflict-title">{t("Somebody else saved {{what}} meanwhile", { what })}</DialogTitle>
      <DialogContent>
        <Typography sx={{ mb: 2 }}>{t("Nothing is lost: the version you do not take stays one step of undo away.")}</Typography>
        {theirs && summary && (
          <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 3 }}>
            <Box>
              <Typography variant="h3">{t("Yours")}</Typography>
              {summary(value)}
            </Box>
            <Box>
              <Typography variant="h3">{t("Theirs")}</Typography>
              {summary(theirs.value)}
            </Box>
          </Box>
        )}
      </DialogContent>
      <DialogActions sx={{ flexWrap: "wrap", gap: 1 }}>
        {otherWay}
        <Button variant="outlined" onClick={keepMine}>
          {t("Keep mine")}
        </Button>
        <Button variant="contained" onClick={takeTheirs}>
          {t("Take theirs")}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** Undo and redo by keyboard, but for where text is typed: a field has its own. */
export function useUndoKeys(undo: () => void, redo: () => void): void {
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
}
