/** The sessions of the program, and making another. */
import { Box, Button, ButtonBase, IconButton, ListItemText, Menu, MenuItem } from "@mui/material";
import { Pencil, Plus } from "lucide-react";
import { useState } from "react";
import { MAX_SESSIONS } from "@kind-grip/core/program";
import { SESSION_SLOTS, type Session, type SessionSlot } from "@kind-grip/core/session";
import { durationText } from "@kind-grip/core/units";
import { t } from "../base/words";
import { useWords } from "../base/library";
import { v7 as uuid } from "uuid";
import type { CrewEntry } from "@kind-grip/core/api";
import { SessionDialog } from "./SessionDialog";
import { BringSessionDialog } from "../template/BringSessionDialog";
import { useEdit, useEditedSession, useProgramEditor } from "./program-editor";
import { useGroupLengths } from "./use-group-lengths";
import { SESSION_NAMES } from "./session-names";

export function SessionTabs({ crew }: { crew: CrewEntry }) {
  const words = useWords();
  const { program, change, chooseSession } = useEdit();
  const session = useEditedSession();
  const lengths = useGroupLengths(crew, program.sessions);
  const [menuAt, setMenuAt] = useState<HTMLElement | null>(null);
  const [editing, setEditing] = useState(false);
  const [bringing, setBringing] = useState(false);
  const { programId } = useProgramEditor();

  const add = (slot: SessionSlot, copied?: Session) => {
    setMenuAt(null);
    const made: Session = {
      id: uuid(),
      name: copied ? t("{{name}} (copy)", { name: copied.name }).slice(0, 120) : SESSION_NAMES[slot],
      slot,
      items: copied?.items.map((item) => ({ ...item, id: uuid() })) ?? [],
    };
    change({ ...program, sessions: [...program.sessions, made] });
    chooseSession(made.id);
  };
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 0.5, flexWrap: "wrap", mb: 1 }}>
      <Box role="group" aria-label={t("Sessions")} sx={{ display: "flex", gap: 0.5, flexWrap: "wrap" }}>
        {program.sessions.map((each) => {
          const chosen = each.id === session?.id;
          return (
            <ButtonBase
              key={each.id}
              aria-pressed={chosen}
              onClick={() => chooseSession(each.id)}
              sx={{
                px: 1.75,
                minHeight: 52,
                borderRadius: 2,
                display: "grid",
                textAlign: "left",
                lineHeight: 1.2,
                ...(chosen
                  ? { bgcolor: "text.primary", color: "background.paper" }
                  : { bgcolor: "transparent", border: "2px solid", borderColor: "line" }),
              }}
            >
              <Box component="span" sx={{ fontWeight: 700, fontSize: "1rem" }}>
                {each.name}
              </Box>
              <Box component="span" sx={{ fontSize: "0.875rem", opacity: 0.85 }}>
                {words.label("slot", each.slot)} · {durationText(lengths.get(each.id)!)}
              </Box>
            </ButtonBase>
          );
        })}
      </Box>
      {session && (
        <IconButton aria-label={t("Change {{name}}", { name: session.name })} onClick={() => setEditing(true)}>
          <Pencil size={19} />
        </IconButton>
      )}
      {program.sessions.length < MAX_SESSIONS && (
        <Button
          startIcon={<Plus size={18} />}
          aria-haspopup="menu"
          onClick={(event) => setMenuAt(event.currentTarget)}
          variant={program.sessions.length === 0 ? "contained" : "text"}
        >
          {t("Session")}
        </Button>
      )}
      <Menu anchorEl={menuAt} open={menuAt !== null} onClose={() => setMenuAt(null)}>
        {SESSION_SLOTS.map((slot) => (
          <MenuItem key={slot} onClick={() => add(slot)}>
            {words.label("slot", slot)}
          </MenuItem>
        ))}
        {session && (
          <MenuItem onClick={() => add(session.slot, session)}>
            <ListItemText primary={t("Copy of {{name}}", { name: session.name })} />
          </MenuItem>
        )}
        <MenuItem
          onClick={() => {
            setMenuAt(null);
            setBringing(true);
          }}
        >
          {t("From another program or a template")}
        </MenuItem>
      </Menu>
      {bringing && (
        <BringSessionDialog
          crew={crew}
          program={program}
          programId={programId}
          onBring={(brought) => {
            change({ ...program, sessions: [...program.sessions, brought] });
            chooseSession(brought.id);
          }}
          onClose={() => setBringing(false)}
        />
      )}
      {editing && session && <SessionDialog session={session} onClose={() => setEditing(false)} />}
    </Box>
  );
}
