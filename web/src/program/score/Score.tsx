/** The two-hand score: a session to scale in seconds, left hand above the spine, right hand below, the slot as a ruler. */
import { SortableContext, horizontalListSortingStrategy } from "@dnd-kit/sortable";
import { Box, Typography } from "@mui/material";
import { useMemo, useRef, useState, type KeyboardEvent } from "react";
import {
  savedIn,
  boutsOf,
  duplicateItem,
  moveItem,
  removeItem,
  sessionTotals,
  type Dose,
  type Item,
  type Session,
  type Timeline,
} from "@kind-grip/core/session";
import { torqueIn } from "@kind-grip/core/program";
import { durationText } from "@kind-grip/core/units";
import { rulerOf } from "@kind-grip/core/slot";
import type { Movement } from "@kind-grip/core/library";
import { spanText } from "../../base/measures";
import { t } from "../../base/words";
import { useLibrary, useWords } from "../../base/library";
import { v7 as uuid } from "uuid";
import { SideMark } from "../../parts/SideMark";
import { useWidth } from "../../parts/use-measured";
import { countOf, lengthOf, nudged } from "../dose-edit";
import { savedText } from "../saved-text";
import { useEdit, useProgramEditor } from "../program-editor";
import { BoutMark } from "./BoutMark";
import { EdgeHandle } from "./EdgeHandle";
import { barHeight, blocksOf, firstBout, HEIGHT, LANE, scaleSecOf, SPINE } from "./geometry";
import { ItemList } from "./ItemList";
import { ItemTab } from "./ItemTab";
import { Ruler } from "./Ruler";

interface ScoreProps {
  session: Session;
  /** As whoever the timeline is of does it: the doses that are told in words. */
  seen: Session;
  timeline: Timeline;
  slotSec: number;
}

/** Height of the row of tabs above the lanes: number, picture, name. */
const TABS = 132;
/** Of a score that has no size yet. */
const USUAL_WIDTH = 700;

export function Score({ session, seen, timeline, slotSec }: ScoreProps) {
  const library = useLibrary();
  const words = useWords();
  const { itemId } = useProgramEditor();
  const { changeItem, changeSession, chooseItem, endGesture } = useEdit();
  const frame = useRef<HTMLDivElement>(null);
  /** Gone along by keyboard: a tab too narrow for its name says it. */
  const [byKeyboard, setByKeyboard] = useState(false);
  const room = useWidth(frame) || USUAL_WIDTH;
  const saved = useMemo(() => savedText(savedIn(session, library.timings)), [session, library]);
  const scaleSec = scaleSecOf(timeline.totalSec, slotSec);
  const pxPerSec = Math.max(0.8, (room - 14) / scaleSec);
  const width = scaleSec * pxPerSec + 14;
  const chosen = session.items.find((item) => item.id === itemId);
  const itemOf = new Map(session.items.map((item) => [item.id, item]));
  const numberOf = new Map(session.items.map((item, i) => [item.id, i + 1]));
  const totals = sessionTotals(session, timeline, library.tensionRegions, torqueIn(library));
  const ruler = rulerOf(timeline, slotSec);

  const pull = (item: Item) => (dose: Dose, gesture: string) => changeItem(session, item.id, { dose }, gesture);
  const keys = (event: KeyboardEvent) => {
    setByKeyboard(true);
    const index = session.items.findIndex((item) => item.id === itemId);
    const item = session.items[index];
    const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (by !== undefined) {
      const target = Math.max(0, Math.min(session.items.length - 1, index + by));
      if (event.altKey && item) changeSession(moveItem(session, item.id, target));
      else chooseItem(session.items[index < 0 ? 0 : target]?.id ?? null);
    } else if (!item) return;
    else if (event.key === "ArrowUp" || event.key === "ArrowDown") {
      const number = event.shiftKey ? countOf(item.dose) : lengthOf(item.dose);
      changeItem(session, item.id, { dose: nudged(number, event.key === "ArrowUp" ? 1 : -1) });
    } else if (event.key === "Delete" || event.key === "Backspace") {
      chooseItem((session.items[index + 1] ?? session.items[index - 1])?.id ?? null);
      changeSession(removeItem(session, item.id));
    } else if (event.key.toLowerCase() === "s" && !event.ctrlKey && !event.metaKey)
      changeItem(session, item.id, { sides: nextSides(item, library.find(item.movementId)) });
    else if (event.key.toLowerCase() === "p" && !event.ctrlKey && !event.metaKey)
      changeItem(session, item.id, { pairedWithNext: !item.pairedWithNext });
    else if (event.key.toLowerCase() === "d" && !event.ctrlKey && !event.metaKey) changeSession(duplicateItem(session, item.id, uuid()));
    else if (event.key === "Escape") chooseItem(null);
    else return;
    event.preventDefault();
  };

  return (
    <>
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "36px minmax(0, 1fr)", sm: "40px minmax(0, 1fr) 104px" }, columnGap: 1 }}>
        <Box
          sx={{ pt: `${TABS}px`, display: "grid", gridTemplateRows: `${LANE}px ${LANE}px`, justifyItems: "center", alignItems: "center" }}
        >
          <SideMark side="left" size={34} />
          <SideMark side="right" size={34} />
        </Box>
        <Box ref={frame} sx={{ overflowX: "auto", overflowY: "hidden" }}>
          <Box sx={{ width, position: "relative" }}>
            <Box
              role="listbox"
              aria-label={t("Items of {{name}}", { name: session.name })}
              aria-orientation="horizontal"
              tabIndex={0}
              aria-activedescendant={itemId ? `tab-${itemId}` : undefined}
              onKeyDown={keys}
              onBlur={() => setByKeyboard(false)}
              onPointerDown={() => setByKeyboard(false)}
              sx={{ display: "flex", height: TABS, alignItems: "stretch", borderRadius: 1, "&:focus-visible": { outlineOffset: -3 } }}
            >
              <SortableContext items={session.items.map((item) => item.id)} strategy={horizontalListSortingStrategy}>
                {blocksOf(timeline).flatMap((block) =>
                  block.itemIds.map((id) => {
                    const item = itemOf.get(id)!;
                    return (
                      <ItemTab
                        key={id}
                        item={item}
                        number={numberOf.get(id)!}
                        width={((block.endSec - block.startSec) / block.itemIds.length) * pxPerSec}
                        chosen={id === itemId}
                        approached={id === itemId && byKeyboard}
                        paired={block.itemIds.length > 1}
                        easier={Object.keys(item.personal).length}
                        onChoose={() => chooseItem(id)}
                      />
                    );
                  }),
                )}
              </SortableContext>
            </Box>
            <svg
              width={width}
              height={HEIGHT}
              style={{ display: "block", touchAction: "pan-x" }}
              role="group"
              aria-label={t("Score of {{name}}: {{time}}, left {{left}} and right {{right}} under tension", {
                name: session.name,
                time: spanText(timeline.totalSec),
                left: spanText(totals.tensionSec.left),
                right: spanText(totals.tensionSec.right),
              })}
            >
              <Patterns />
              <rect x={0} y={LANE} width={scaleSec * pxPerSec} height={SPINE} fill="var(--mui-palette-line)" />
              {timeline.segments.map((segment) => (
                <BoutMark
                  key={`${segment.startSec}`}
                  segment={segment}
                  pxPerSec={pxPerSec}
                  height={barHeight(library.find(segment.movementId)?.effortCap ?? 2)}
                  dimmed={chosen !== undefined && segment.itemId !== chosen.id}
                />
              ))}
              {timeline.items.map((span) => (
                <rect
                  key={span.itemId}
                  x={span.startSec * pxPerSec}
                  y={0}
                  width={Math.max(2, (span.endSec - span.startSec) * pxPerSec)}
                  height={HEIGHT}
                  fill="transparent"
                  style={{ cursor: "pointer" }}
                  onPointerDown={() => chooseItem(span.itemId)}
                >
                  <title>{words.movementName(span.movementId)}</title>
                </rect>
              ))}
              {chosen && <Edges item={chosen} timeline={timeline} pxPerSec={pxPerSec} onChange={pull(chosen)} onEnd={() => endGesture()} />}
            </svg>
            <Ruler timeline={timeline} slotSec={slotSec} pxPerSec={pxPerSec} width={width} />
          </Box>
        </Box>
        {/* Beside the lanes; on a telephone under them, where the score has the width for itself. */}
        <Box
          sx={{
            pt: { sm: `${TABS}px` },
            mt: { xs: 1, sm: 0 },
            gridColumn: { xs: "1 / -1", sm: "auto" },
            display: { xs: "flex", sm: "grid" },
            justifyContent: "space-between",
            gridTemplateRows: `${LANE}px ${LANE}px auto`,
            alignItems: "center",
          }}
        >
          <LaneTotal sec={totals.tensionSec.left} tone="hand.left" />
          <LaneTotal sec={totals.tensionSec.right} tone="hand.right" />
          <Box role="status" aria-label={t("Length")} sx={{ alignSelf: "start" }}>
            <Typography sx={{ fontWeight: 750, fontSize: "1.25rem", lineHeight: 1.2 }}>{durationText(timeline.totalSec)}</Typography>
            <Typography
              sx={{ fontSize: "0.95rem", fontWeight: 650, lineHeight: 1.2, color: ruler.overSec > 0 ? "warm.dark" : "text.secondary" }}
            >
              {ruler.overSec > 0
                ? t("{{overSec}} over", { overSec: spanText(ruler.overSec) })
                : t("{{spareSec}} spare", { spareSec: spanText(ruler.spareSec) })}
            </Typography>
          </Box>
        </Box>
      </Box>
      <ItemList session={seen} timeline={timeline} />
      {saved !== undefined && <Typography sx={{ mt: 1, color: "text.secondary" }}>{saved}.</Typography>}
    </>
  );
}

function LaneTotal({ sec, tone }: { sec: number; tone: string }) {
  return (
    <Box>
      <Typography sx={{ fontWeight: 750, fontSize: "1.25rem", color: tone, lineHeight: 1.1 }}>{durationText(sec)}</Typography>
      <Typography sx={{ fontSize: "0.875rem", color: "text.secondary", lineHeight: 1.2 }}>{t("under tension")}</Typography>
    </Box>
  );
}

function Edges({
  item,
  timeline,
  pxPerSec,
  onChange,
  onEnd,
}: {
  item: Item;
  timeline: Timeline;
  pxPerSec: number;
  onChange(dose: Dose, gesture: string): void;
  onEnd(): void;
}) {
  const bout = firstBout(timeline, item.id);
  const span = timeline.items.find((each) => each.itemId === item.id);
  if (!bout || !span) return null;
  const length = lengthOf(item.dose);
  const count = countOf(item.dose);
  const perStep =
    boutsOf(nudged(length, 1)).lengthSec - boutsOf(item.dose).lengthSec ||
    boutsOf(item.dose).lengthSec - boutsOf(nudged(length, -1)).lengthSec;
  return (
    <>
      <EdgeHandle
        number={length}
        x={(bout.startSec + bout.leadSec) * pxPerSec}
        secPerStep={perStep}
        pxPerSec={pxPerSec}
        tone="var(--mui-palette-text-primary)"
        onChange={onChange}
        onEnd={onEnd}
      />
      <EdgeHandle
        number={count}
        x={span.endSec * pxPerSec}
        secPerStep={(span.endSec - span.startSec) / count.value}
        pxPerSec={pxPerSec}
        tone="var(--mui-palette-warm-main)"
        onChange={onChange}
        onEnd={onEnd}
      />
    </>
  );
}

/** Textures of what is not work: getting ready is hatched one way, changing sides the other. */
function Patterns() {
  return (
    <defs>
      {(["ready", "switch"] as const).map((kind) => (
        <pattern
          key={kind}
          id={`score-${kind}`}
          width={6}
          height={6}
          patternUnits="userSpaceOnUse"
          patternTransform={kind === "ready" ? "rotate(45)" : "rotate(-45)"}
        >
          <line y2={6} stroke="var(--mui-palette-text-secondary)" strokeWidth={kind === "ready" ? 1.5 : 4} />
        </pattern>
      ))}
    </defs>
  );
}

function nextSides(item: Item, movement: Movement | undefined): Item["sides"] {
  const modes = movement?.sideModes ?? [item.sides];
  return modes[(modes.indexOf(item.sides) + 1) % modes.length] ?? item.sides;
}
