/** The head of an item above the score: number and name; the place to take hold of it for reordering. */
import { useSortable } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { Box, Tooltip } from "@mui/material";
import { Link2, UserRound } from "lucide-react";
import type { Item } from "@kind-grip/core/session";
import { useState } from "react";
import { useWords } from "../../base/library";
import { LEAST_PICTURE_PX, NARROW_TAB } from "./geometry";
import { MovementThumb } from "../../figure/MovementThumb";

interface ItemTabProps {
  item: Item;
  number: number;
  width: number;
  chosen: boolean;
  /** The keyboard has just come to it. */
  approached: boolean;
  paired: boolean;
  /** People with a form of their own. */
  easier: number;
  onChoose(): void;
}

export function ItemTab({ item, number, width, chosen, approached, paired, easier, onChoose }: ItemTabProps) {
  const words = useWords();
  const name = words.movementName(item.movementId);
  const dose = words.dose(item.dose);
  const narrow = width <= NARROW_TAB;
  // A smaller picture shows nothing.
  const pictured = width - 14 >= LEAST_PICTURE_PX;
  const [near, setNear] = useState(false);
  const { setNodeRef, listeners, transform, transition, isDragging } = useSortable({ id: item.id });
  return (
    <Tooltip
      open={!pictured && !isDragging && (near || approached)}
      placement="top"
      describeChild
      title={
        <Box sx={{ p: 0.5, width: 150 }}>
          <MovementThumb movementId={item.movementId} formId={item.formId} sx={{ width: 142, mb: 0.5 }} />
          <strong>{name}</strong>, {dose}
        </Box>
      }
    >
      <Box
        ref={setNodeRef}
        id={`tab-${item.id}`}
        role="option"
        aria-selected={chosen}
        aria-label={`${number}. ${name}, ${dose}`}
        onPointerEnter={() => setNear(true)}
        onPointerLeave={() => setNear(false)}
        {...listeners}
        onClick={onChoose}
        style={{ transform: CSS.Translate.toString(transform), transition }}
        sx={{
          width,
          flexShrink: 0,
          overflow: "hidden",
          px: width > 40 ? 0.75 : 0.25,
          pt: 0.5,
          borderLeft: "2px solid",
          borderColor: chosen ? "warm.main" : "line",
          bgcolor: chosen ? "warm.light" : isDragging ? "background.paper" : "transparent",
          cursor: "grab",
          zIndex: isDragging ? 3 : 0,
          position: "relative",
          userSelect: "none",
          touchAction: "manipulation",
          fontSize: "0.9rem",
          lineHeight: 1.15,
        }}
      >
        <Box sx={{ display: "flex", gap: 0.5, alignItems: "center", fontWeight: 750 }}>
          {number}
          {paired && width > 44 && <Link2 size={14} aria-hidden />}
          {easier > 0 && width > 44 && (
            <>
              <UserRound size={14} aria-hidden />
              <span>{easier}</span>
            </>
          )}
        </Box>
        {pictured && <MovementThumb movementId={item.movementId} formId={item.formId} sx={{ width: Math.min(96, width - 14), my: 0.25 }} />}
        {!narrow && (
          <Box
            sx={{ display: "-webkit-box", WebkitLineClamp: 2, WebkitBoxOrient: "vertical", overflow: "hidden", overflowWrap: "anywhere" }}
          >
            {name}
          </Box>
        )}
      </Box>
    </Tooltip>
  );
}
