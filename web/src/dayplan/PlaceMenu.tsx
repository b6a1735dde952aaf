/** Which session to place on a shift, and whether on every one of its kind. */
import { Box, Divider, Menu, MenuItem } from "@mui/material";
import { Square, SquareCheckBig } from "lucide-react";
import { durationText } from "@kind-grip/core/units";
import { useWords } from "../base/library";
import { t } from "../base/words";
import type { PlaceableSession } from "./placed";

interface PlaceMenuProps {
  /** Null while it is closed. */
  anchor: HTMLElement | null;
  sessions: readonly PlaceableSession[];
  shiftName: string;
  every: boolean;
  onEvery(every: boolean): void;
  onPlace(session: PlaceableSession): void;
  onClose(): void;
}

export function PlaceMenu({ anchor, sessions, shiftName, every, onEvery, onPlace, onClose }: PlaceMenuProps) {
  const words = useWords();
  return (
    <Menu anchorEl={anchor} open={anchor !== null} onClose={onClose}>
      <MenuItem role="menuitemcheckbox" aria-checked={every} onClick={() => onEvery(!every)} sx={{ gap: 1.25, fontWeight: 650 }}>
        {every ? <SquareCheckBig size={20} aria-hidden /> : <Square size={20} aria-hidden />}
        {t("On every {{name}} shift from this day on", { name: shiftName.toLowerCase() })}
      </MenuItem>
      <Divider />
      {sessions.map((each) => (
        <MenuItem key={`${each.programId} ${each.session.id}`} onClick={() => onPlace(each)}>
          <Box>
            {each.session.name}
            <Box sx={{ fontSize: "0.875rem", color: "text.secondary" }}>
              {words.label("slot", each.session.slot)} · {durationText(each.lengthSec)} · {each.programName}
            </Box>
          </Box>
        </MenuItem>
      ))}
    </Menu>
  );
}
