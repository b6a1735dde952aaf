/** One group of a plan for a day: its shift with the work on it, its sessions on that to drag, and as buttons to pin and move by keys. */
import { Box, ButtonBase, Typography } from "@mui/material";
import { Pin } from "lucide-react";
import { useRef, useState, type PointerEvent } from "react";
import { type Span } from "@kind-grip/core/calendar";
import { GRID_MIN, onGrid, ribbonOf, type RibbonPart, type SessionRequest } from "@kind-grip/core/dayplan";
import { RAISED_STRAIN } from "@kind-grip/core/strain";
import { t } from "../base/words";
import { timeText } from "../base/dates";
import type { CrewDay } from "./crew-day";

interface GroupRowProps {
  day: CrewDay;
  /** What all rows show, so that times stand above each other. */
  axis: Span;
  name: string;
  /** Their names. */
  people: readonly string[];
  /** What their hands do along the shift. */
  parts: readonly RibbonPart[];
  requests: readonly SessionRequest[];
  plan: ReadonlyMap<string, number>;
  pinned: ReadonlyMap<string, number>;
  nameOf(sessionId: string): string;
  /** Pins it where it is, or lets it go. */
  onPin(request: SessionRequest): void;
  onMove(request: SessionRequest, startMs: number): void;
}

export function GroupRow({ day, axis, name, people, parts, requests, plan, pinned, nameOf, onPin, onMove }: GroupRowProps) {
  const { crew, shift } = day;
  const x = (ms: number) => ((ms - axis.startMs) / (axis.endMs - axis.startMs)) * 100;
  const strip = useRef<HTMLDivElement>(null);
  const [dragged, setDragged] = useState<{ id: string; fromX: number; startMs: number; atMs: number } | null>(null);
  /** A session is over when the shift is. */
  const within = ({ lengthMs }: SessionRequest, startMs: number) =>
    Math.min(shift.endMs - lengthMs, Math.max(shift.startMs, onGrid(startMs)));
  const grab = (request: SessionRequest, startMs: number) => (event: PointerEvent<HTMLElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    setDragged({ id: request.id, fromX: event.clientX, startMs, atMs: startMs });
  };
  const pull = (request: SessionRequest) => (event: PointerEvent<HTMLElement>) => {
    if (!dragged) return;
    const msPerPx = (axis.endMs - axis.startMs) / (strip.current?.clientWidth ?? 1);
    const to = dragged.startMs + (event.clientX - dragged.fromX) * msPerPx;
    setDragged({ ...dragged, atMs: within(request, to) });
  };
  const drop = (request: SessionRequest) => () => {
    if (dragged && dragged.atMs !== dragged.startMs) onMove(request, dragged.atMs);
    setDragged(null);
  };
  return (
    <Box component="section" aria-label={name} sx={{ borderTop: "2px solid", borderColor: "line", pt: 1, pb: 1.5 }}>
      <Typography>
        <strong>{name}</strong> · {people.join(", ")}
      </Typography>
      <Box ref={strip} sx={{ position: "relative", height: 30, mt: 0.5 }} aria-hidden>
        <Box
          sx={{
            position: "absolute",
            left: `${x(shift.startMs)}%`,
            right: `${100 - x(shift.endMs)}%`,
            top: 12,
            height: 2,
            bgcolor: "line",
          }}
        />
        {ribbonOf(shift, parts).map((piece, i) => (
          <Box
            className="keeps-colour"
            key={i}
            sx={{
              position: "absolute",
              left: `${x(piece.startMs)}%`,
              width: `${x(piece.endMs) - x(piece.startMs)}%`,
              height: `${4 + Math.min(1, piece.strain / 25) * 18}px`,
              top: `${13 - (4 + Math.min(1, piece.strain / 25) * 18) / 2}px`,
              bgcolor: piece.strain > RAISED_STRAIN ? "warm.light" : "primary.light",
            }}
          />
        ))}
        {[...shift.breaks, ...shift.away].map((pause) => (
          <Box
            key={pause.startMs}
            sx={{
              position: "absolute",
              left: `${x(pause.startMs)}%`,
              width: `${x(pause.endMs) - x(pause.startMs)}%`,
              top: 0,
              height: 26,
              bgcolor: "background.paper",
              borderInline: "2px solid",
              borderColor: "line",
            }}
          />
        ))}
        {requests.flatMap((request) => {
          const planned = plan.get(request.id);
          if (planned === undefined) return [];
          const at = dragged?.id === request.id ? dragged.atMs : planned;
          return [
            <Box
              className="keeps-colour"
              key={request.id}
              title={t("{{name}}, drag to move", { name: nameOf(request.sessionId) })}
              onPointerDown={grab(request, planned)}
              onPointerMove={pull(request)}
              onPointerUp={drop(request)}
              onPointerCancel={() => setDragged(null)}
              sx={{
                position: "absolute",
                left: `${x(at)}%`,
                width: `max(10px, ${x(axis.startMs + request.lengthMs)}%)`,
                top: -1,
                height: 28,
                bgcolor: pinned.has(request.id) || dragged?.id === request.id ? "text.primary" : "warm.main",
                borderRadius: 1,
                cursor: "grab",
                touchAction: "none",
                "&:active": { cursor: "grabbing" },
              }}
            />,
          ];
        })}
      </Box>
      <Box sx={{ display: "flex", gap: 0.75, flexWrap: "wrap", mt: 0.75 }}>
        {[...requests]
          .sort((a, b) => (plan.get(a.id) ?? Infinity) - (plan.get(b.id) ?? Infinity))
          .map((request) => {
            const at = dragged?.id === request.id ? dragged.atMs : plan.get(request.id);
            const pin = pinned.has(request.id);
            return (
              <ButtonBase
                key={request.id}
                aria-pressed={pin}
                onClick={() => onPin(request)}
                onKeyDown={(event) => {
                  if (event.key !== "ArrowLeft" && event.key !== "ArrowRight") return;
                  event.preventDefault();
                  onMove(request, within(request, (at ?? request.idealMs) + (event.key === "ArrowLeft" ? -1 : 1) * GRID_MIN * 60_000));
                }}
                sx={{
                  minHeight: 40,
                  px: 1.25,
                  borderRadius: 2,
                  border: "2px solid",
                  borderColor: pin ? "text.primary" : "line",
                  bgcolor: "background.paper",
                  gap: 0.75,
                  fontSize: "1rem",
                }}
              >
                {pin && <Pin size={16} aria-label={t("pinned")} />}
                <strong>{at === undefined ? t("no place") : timeText(at, crew.timeZone)}</strong> {nameOf(request.sessionId)}
              </ButtonBase>
            );
          })}
      </Box>
    </Box>
  );
}
