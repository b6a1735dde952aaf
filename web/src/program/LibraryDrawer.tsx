/** The library beside the score: press + or drag onto it. What does not fit the crew's place or kit says why. */
import { useDraggable } from "@dnd-kit/core";
import { Box, IconButton, InputAdornment, MenuItem, TextField, Typography } from "@mui/material";
import { Plus, Search } from "lucide-react";
import { memo, useCallback, useDeferredValue, useEffect, useMemo, useRef, useState } from "react";
import { wordsIn } from "@kind-grip/core/language";
import {
  doseFor,
  filterMovements,
  misfitsOf,
  newItem,
  PHASES,
  type Movement,
  type Phase,
  type Style,
  type Surroundings,
} from "@kind-grip/core/library";
import { compilePerson, type SessionSlot } from "@kind-grip/core/session";
import { surroundingsOf } from "@kind-grip/core/crew";
import { durationText } from "@kind-grip/core/units";
import { t } from "../base/words";
import { useLibrary, useWords } from "../base/library";
import type { CrewEntry } from "@kind-grip/core/api";
import { PictureButton } from "../library/PictureButton";
import { movementText } from "../library/movement-text";
import { needsText } from "./needs-text";
import { useOffered } from "../library/use-offered";
import { Toggle } from "../parts/Toggle";

interface LibraryDrawerProps {
  crew: CrewEntry;
  /** Of the session it adds to. */
  slot: SessionSlot;
  style: Style;
  onAdd(movementId: string): void;
}

const IN_VIEW = 12;

export function LibraryDrawer({ crew, slot, style, onAdd }: LibraryDrawerProps) {
  const offered = useOffered();
  const words = useWords();
  const [text, setText] = useState("");
  const [phase, setPhase] = useState<Phase | "">("");
  const [fitting, setFitting] = useState(true);
  const place = useMemo(() => surroundingsOf(crew, slot), [crew, slot]);
  // The same for every entry at all times: what is edited beside them does not draw them again.
  const latest = useRef(onAdd);
  useEffect(() => void (latest.current = onAdd));
  const add = useCallback((movementId: string) => latest.current(movementId), []);
  const found = useMemo(
    () =>
      filterMovements(offered, { text, phases: phase ? [phase] : [], place: fitting ? place : undefined }, (movement) =>
        movementText(words, movement),
      ),
    [offered, text, phase, fitting, place, words],
  );
  // The page stands with those that are in view; the others come in the time that is left.
  const shown = useDeferredValue(found, found.slice(0, IN_VIEW));
  return (
    <Box
      component="aside"
      aria-label={t("Library")}
      sx={{
        borderLeft: { lg: "2px solid" },
        borderColor: { lg: "line" },
        pl: { lg: 2 },
        position: "sticky",
        top: 12,
        display: "grid",
        gap: 1.25,
        maxHeight: "calc(100dvh - 24px)",
        gridTemplateRows: "auto auto auto minmax(0, 1fr)",
      }}
    >
      <TextField
        placeholder={t("Find a movement")}
        value={text}
        onChange={(event) => setText(event.target.value)}
        slotProps={{
          htmlInput: { "aria-label": t("Find a movement") },
          input: {
            startAdornment: (
              <InputAdornment position="start">
                <Search size={18} />
              </InputAdornment>
            ),
          },
        }}
      />
      <TextField
        select
        value={phase}
        onChange={(event) => setPhase(event.target.value as Phase | "")}
        slotProps={{ htmlInput: { "aria-label": t("Phase") }, select: { displayEmpty: true } }}
      >
        <MenuItem value="">{t("All phases")}</MenuItem>
        {PHASES.map((each) => (
          <MenuItem key={each} value={each}>
            {words.label("phase", each)}
          </MenuItem>
        ))}
      </TextField>
      <Box>
        <Toggle label={t("Fits this crew")} pressed={fitting} onChange={setFitting} />
      </Box>
      <Box
        component="ul"
        tabIndex={0}
        aria-label={t("Movements")}
        sx={{ listStyle: "none", m: 0, p: 0, overflowY: "auto", minHeight: 240 }}
      >
        {shown.map((movement, i) => (
          <Box component="li" key={movement.id}>
            {movement.phase !== shown[i - 1]?.phase && (
              <Typography component="h3" sx={{ fontSize: "0.95rem", fontWeight: 700, color: "text.secondary", pt: 1 }}>
                {words.label("phase", movement.phase)}
              </Typography>
            )}
            <DrawerEntry movement={movement} style={style} misfit={misfitText(movement, place, words)} onAdd={add} />
          </Box>
        ))}
        {found.length === 0 && (
          <Typography sx={{ color: "text.secondary", py: 2 }}>
            {t("Nothing fits. {{what}}", { what: fitting ? t("Look beyond what fits this crew?") : "" })}
          </Typography>
        )}
      </Box>
    </Box>
  );
}

interface DrawerEntryProps {
  movement: Movement;
  style: Style;
  misfit: string;
  onAdd(movementId: string): void;
}

const DrawerEntry = memo(function DrawerEntry({ movement, style, misfit, onAdd }: DrawerEntryProps) {
  const library = useLibrary();
  const words = useWords();
  const name = words.movementName(movement.id);
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({ id: `drawer-${movement.id}`, data: { movementId: movement.id } });
  const item = newItem(movement, style, "00000000-0000-7000-8000-000000000000");
  const total = compilePerson({ id: item.id, name: "-", slot: "break", items: [item] }, library.timings).totalSec;
  return (
    <Box
      ref={setNodeRef}
      {...listeners}
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
      sx={{
        display: "grid",
        gridTemplateColumns: "72px 1fr 44px",
        columnGap: 1,
        alignItems: "center",
        cursor: "grab",
        touchAction: "manipulation",
        userSelect: "none",
        position: "relative",
        zIndex: isDragging ? 10 : 0,
        bgcolor: isDragging ? "background.paper" : undefined,
        borderRadius: 1,
      }}
    >
      <PictureButton movementId={movement.id} />
      <Box sx={{ py: 0.5 }}>
        <Typography sx={{ lineHeight: 1.2, fontWeight: 600 }}>{name}</Typography>
        <Typography sx={{ fontSize: "0.875rem", color: "text.secondary", lineHeight: 1.3 }}>
          {words.dose(doseFor(movement, style))} · {durationText(total)}
        </Typography>
        {misfit && <Typography sx={{ fontSize: "0.875rem", color: "warm.dark", lineHeight: 1.3 }}>{misfit}</Typography>}
      </Box>
      <IconButton
        aria-label={t("Add {{name}}", { name })}
        onClick={() => onAdd(movement.id)}
        onMouseDown={(event) => event.stopPropagation()}
        onTouchStart={(event) => event.stopPropagation()}
      >
        <Plus size={20} />
      </IconButton>
    </Box>
  );
});

function misfitText(movement: Movement, place: Surroundings, words: ReturnType<typeof wordsIn>): string {
  const fits = movement.forms.some((form) => misfitsOf(movement, form.id, place).length === 0);
  if (fits) return "";
  const [first] = misfitsOf(movement, movement.startForm, place);
  if (!first) return "";
  return needsText(words, first);
}
