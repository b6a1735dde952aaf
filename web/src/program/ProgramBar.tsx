/** Above the score: the program's name, its style, undo and redo, where saving stands, and the ways out. */
import { Box, Button, IconButton, InputBase, ListItemText, Menu, MenuItem } from "@mui/material";
import { Ellipsis } from "lucide-react";
import { useState } from "react";
import { useNavigate } from "react-router";
import { UNSEEN } from "../base/unseen";
import { t } from "../base/words";
import { useWords } from "../base/library";
import type { CrewEntry } from "@kind-grip/core/api";
import { programApi } from "./api";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { useTellFailure } from "../base/tell-failure";
import { SaveState } from "../document/SaveState";
import { HandOutButton } from "./HandOutButton";
import { KeepBoth } from "./KeepBoth";
import { KeysDialog } from "./KeysDialog";
import { VersionSummary } from "./VersionSummary";
import { StyleDialog } from "./StyleDialog";
import { CopyDialog } from "../template/CopyDialog";
import { KeepTemplateDialog } from "../template/KeepTemplateDialog";
import { useEdit, useProgramEditor } from "./program-editor";

export function ProgramBar({ crew }: { crew: CrewEntry }) {
  const words = useWords();
  const { program, change } = useEdit();
  const { programId, edited } = useProgramEditor();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const [menuAt, setMenuAt] = useState<HTMLElement | null>(null);
  const [dialog, setDialog] = useState<"style" | "keys" | "template" | "copy" | null>(null);
  const [remove] = programApi.useRemoveProgramMutation();
  const told = useTellFailure();
  const [restore] = programApi.useRestoreProgramMutation();

  const removeProgram = async () => {
    setMenuAt(null);
    if (!(await told(remove(programId)))) return;
    dispatch(notify({ text: t("{{name}} is removed.", { name: program.name }), undo: () => restore(programId) }));
    await navigate(`/crews/${crew.id}/program`);
  };
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 1, flexWrap: "wrap", mb: 1 }}>
      <Box component="h1" sx={UNSEEN}>
        {program.name}
      </Box>
      <NameField value={program.name} onChange={(name) => change({ ...program, name })} />
      <Button variant="outlined" onClick={() => setDialog("style")} title={t("Change the style of dosing")}>
        {words.label("stretchSchool", program.style.stretch)} · {words.label("loadSchool", program.style.load)}
      </Button>
      <Box sx={{ ml: "auto", display: "flex", flexWrap: "wrap", justifyContent: "flex-end" }}>
        <SaveState
          edited={edited}
          what={t("this program")}
          summary={(version) => <VersionSummary program={version} />}
          otherWay={<KeepBoth />}
        />
        <HandOutButton programId={programId} />
        <IconButton aria-label={t("More")} aria-haspopup="menu" onClick={(event) => setMenuAt(event.currentTarget)}>
          <Ellipsis size={22} />
        </IconButton>
      </Box>
      <Menu anchorEl={menuAt} open={menuAt !== null} onClose={() => setMenuAt(null)}>
        <MenuItem component="a" href={`/api/programs/${programId}/file`} onClick={() => setMenuAt(null)}>
          <ListItemText primary={t("Save as a file")} secondary={t("An open JSON file another practice can bring in")} />
        </MenuItem>
        {(
          [
            ["copy", t("Copy to a new block or another crew")],
            ["template", t("Keep as a template")],
            ["keys", t("Keys of the score")],
          ] as const
        ).map(([opens, label]) => (
          <MenuItem
            key={opens}
            onClick={() => {
              setMenuAt(null);
              setDialog(opens);
            }}
          >
            {label}
          </MenuItem>
        ))}
        <MenuItem onClick={() => void removeProgram()}>{t("Remove this program")}</MenuItem>
      </Menu>
      {dialog === "style" && <StyleDialog onClose={() => setDialog(null)} />}
      {dialog === "template" && <KeepTemplateDialog program={program} onClose={() => setDialog(null)} />}
      {dialog === "copy" && <CopyDialog crew={crew} program={program} onClose={() => setDialog(null)} />}
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
      inputProps={{ "aria-label": t("Name of the program"), maxLength: 120 }}
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
