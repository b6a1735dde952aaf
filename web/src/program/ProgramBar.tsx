/** Above the score: the program's name, its style, undo and redo, where saving stands, and the ways out. */
import { Box, Button, IconButton, InputBase, ListItemText, Menu, MenuItem, Tooltip } from "@mui/material";
import { Check, CloudOff, Ellipsis, Loader, Printer, Redo2, Undo2 } from "lucide-react";
import { useEffect, useState } from "react";
import { useNavigate } from "react-router";
import { useWords } from "../base/library";
import { serverApi, type CrewEntry } from "../app/api";
import { notify } from "../app/notices";
import { useAppDispatch, useAppSelector } from "../app/store";
import { redone, undone } from "./editor-state";
import { KeysDialog } from "./KeysDialog";
import { StyleDialog } from "./StyleDialog";
import { useEdit } from "./use-editor";

export function ProgramBar({ crew }: { crew: CrewEntry }) {
  const words = useWords();
  const { program, change } = useEdit();
  const { programId, past, future } = useAppSelector((state) => state.editor);
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const [menuAt, setMenuAt] = useState<HTMLElement | null>(null);
  const [dialog, setDialog] = useState<"style" | "keys" | null>(null);
  const [remove] = serverApi.useRemoveProgramMutation();
  const [restore] = serverApi.useRestoreProgramMutation();
  useUndoKeys();

  const removeProgram = async () => {
    setMenuAt(null);
    await remove(programId!);
    dispatch(notify({ text: `${program.name} is removed.`, undo: () => void restore(programId!) }));
    await navigate(`/crews/${crew.id}/program`);
  };
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 1, flexWrap: "wrap", mb: 1 }}>
      <NameField value={program.name} onChange={(name) => change({ ...program, name })} />
      <Button variant="outlined" onClick={() => setDialog("style")} title="Change the style of dosing">
        {words.label("stretchSchool", program.style.stretch)} · {words.label("loadSchool", program.style.load)}
      </Button>
      <SavingState />
      <Box sx={{ ml: "auto", display: "flex" }}>
        <Tooltip title="Undo (Ctrl Z)">
          <span>
            <IconButton aria-label="Undo" disabled={past.length === 0} onClick={() => dispatch(undone())}>
              <Undo2 size={22} />
            </IconButton>
          </span>
        </Tooltip>
        <Tooltip title="Redo (Ctrl Y)">
          <span>
            <IconButton aria-label="Redo" disabled={future.length === 0} onClick={() => dispatch(redone())}>
              <Redo2 size={22} />
            </IconButton>
          </span>
        </Tooltip>
        <Button component="a" href={`/api/programs/${programId}/hand-out.pdf`} startIcon={<Printer size={20} />}>
          Hand-out
        </Button>
        <IconButton aria-label="More" aria-haspopup="menu" onClick={(event) => setMenuAt(event.currentTarget)}>
          <Ellipsis size={22} />
        </IconButton>
      </Box>
      <Menu anchorEl={menuAt} open={menuAt !== null} onClose={() => setMenuAt(null)}>
        <MenuItem component="a" href={`/api/programs/${programId}/file`} onClick={() => setMenuAt(null)}>
          <ListItemText primary="Save as a file" secondary="An open JSON file another practice can bring in" />
        </MenuItem>
        <MenuItem
          onClick={() => {
            setMenuAt(null);
            setDialog("keys");
          }}
        >
          Keys of the score
        </MenuItem>
        <MenuItem onClick={() => void removeProgram()}>Remove this program</MenuItem>
      </Menu>
      {dialog === "style" && <StyleDialog onClose={() => setDialog(null)} />}
      {dialog === "keys" && <KeysDialog onClose={() => setDialog(null)} />}
    </Box>
  );
}

/** Kept when left or confirmed; an empty name falls back to what it was. */
function NameField({ value, onChange }: { value: string; onChange(value: string): void }) {
  const [typed, setTyped] = useState<string | null>(null);
  const commit = () => {
    const name = typed?.trim().slice(0, 120);
    if (name && name !== value) onChange(name);
    setTyped(null);
  };
  return (
    <InputBase
      value={typed ?? value}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === "Enter") (event.target as HTMLElement).blur();
        if (event.key === "Escape") setTyped(null);
      }}
      inputProps={{ "aria-label": "Name of the program", maxLength: 120 }}
      sx={{
        fontSize: "1.4rem",
        fontWeight: 700,
        width: `${Math.min(34, Math.max(12, (typed ?? value).length + 1))}ch`,
        maxWidth: "100%",
        borderBottom: "2px dashed transparent",
        "&:hover, &.Mui-focused": { borderColor: "line" },
        "& input": { py: 0.5 },
      }}
    />
  );
}

function SavingState() {
  const { program, saved, saving, failed, conflict } = useAppSelector((state) => state.editor);
  const state = conflict
    ? "Not saved: choose a version"
    : program === saved
      ? "Saved"
      : saving
        ? "Saving …"
        : failed
          ? `Not saved yet: ${failed}`
          : "Saving …";
  const Icon = failed && program !== saved ? CloudOff : program === saved ? Check : Loader;
  return (
    <Box
      role="status"
      sx={{
        display: "inline-flex",
        alignItems: "center",
        gap: 0.75,
        color: failed && program !== saved ? "warm.dark" : "text.secondary",
        minHeight: 44,
        px: 1,
      }}
    >
      <Icon size={18} aria-hidden />
      {state}
    </Box>
  );
}

function useUndoKeys(): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement)
        return;
      const key = event.key.toLowerCase();
      if (key === "z") dispatch(event.shiftKey ? redone() : undone());
      else if (key === "y") dispatch(redone());
      else return;
      event.preventDefault();
    };
    addEventListener("keydown", onKey);
    return () => removeEventListener("keydown", onKey);
  }, [dispatch]);
}
