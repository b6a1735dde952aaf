/** One thing on record: its sign, when, what, and the way to the whole of it. */
import { Box, IconButton, Link as TextLink, Typography } from "@mui/material";
import {
  BadgeCheck,
  Ban,
  CalendarOff,
  ClipboardList,
  ListChecks,
  OctagonX,
  Paperclip,
  Play,
  StickyNote,
  Sunrise,
  Trash2,
  type LucideIcon,
} from "lucide-react";
import { Link } from "react-router";
import type { CrewEntry, RecordEvent } from "@kind-grip/core/api";
import { timeText } from "../base/dates";
import { useWords } from "../base/library";
import { t } from "../base/words";
import { eventWords } from "./event-text";

const SIGNS: Record<RecordEvent["kind"], LucideIcon> = {
  run: Play,
  morning: Sunrise,
  round: ClipboardList,
  decision: ListChecks,
  restriction: Ban,
  clearance: BadgeCheck,
  report: OctagonX,
  absence: CalendarOff,
  note: StickyNote,
};
const GRAVE: readonly RecordEvent["kind"][] = ["restriction", "report"];

interface EventRowProps {
  event: RecordEvent;
  crew: CrewEntry;
  personId: string;
  onRemoveNote(noteId: string): void;
}

export function EventRow({ event, crew, personId, onRemoveNote }: EventRowProps) {
  const words = useWords();
  const { title, lines } = eventWords(event, words, crew.timeZone);
  const Sign = SIGNS[event.kind];
  const to =
    event.kind === "run"
      ? `/crews/${crew.id}/runs/${event.runId}`
      : event.kind === "round"
        ? `/crews/${crew.id}/baseline/${event.roundId}`
        : event.kind === "restriction" || event.kind === "clearance" || event.kind === "report"
          ? `/crews/${crew.id}/people/held-out`
          : null;
  return (
    <Box
      component="li"
      sx={{ display: "grid", gridTemplateColumns: "64px 28px minmax(0, 1fr) auto", columnGap: 1, py: 0.75, alignItems: "start" }}
    >
      <Typography sx={{ color: "text.secondary" }}>
        {event.kind === "absence" || event.kind === "morning" ? "" : timeText(Date.parse(event.at), crew.timeZone)}
      </Typography>
      <Box sx={{ color: GRAVE.includes(event.kind) ? "error.main" : "primary.main", pt: 0.25 }}>
        <Sign size={20} aria-hidden />
      </Box>
      <Box sx={{ minWidth: 0, overflowWrap: "anywhere" }}>
        <Typography component="span" sx={{ fontWeight: 700 }}>
          {to ? (
            <TextLink component={Link} to={to} color="inherit">
              {title}
            </TextLink>
          ) : (
            title
          )}
        </Typography>
        {event.kind === "note" ? (
          lines.map((line, i) => <Typography key={i}>{line}</Typography>)
        ) : (
          <Typography component="span" sx={{ color: "text.secondary" }}>
            {lines.length > 0 && ` · ${lines.join(" · ")}`}
          </Typography>
        )}
        {event.kind === "note" && event.attachment && (
          <TextLink
            href={`/api/crews/${crew.id}/people/${personId}/notes/${event.id}/file`}
            sx={{ display: "inline-flex", gap: 0.5, alignItems: "center", minHeight: 44 }}
          >
            <Paperclip size={18} aria-hidden /> {event.attachment.name}, {t("{{kb}} kB", { kb: Math.ceil(event.attachment.bytes / 1000) })}
          </TextLink>
        )}
      </Box>
      {event.kind === "note" ? (
        <IconButton aria-label={t("Remove the note by {{by}}", { by: event.by })} onClick={() => onRemoveNote(event.id)}>
          <Trash2 size={18} />
        </IconButton>
      ) : (
        <span />
      )}
    </Box>
  );
}
