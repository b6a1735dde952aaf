/** The sessions of a proposal: each item with its dose, its reason, and a lock. */
import { Box, Button, Typography } from "@mui/material";
import { Lock, LockOpen, X } from "lucide-react";
import type { Proposal } from "@kind-grip/core/compose";
import { durationText } from "@kind-grip/core/units";
import { savedIn, type Session, type SlotKind } from "@kind-grip/core/session";
import type { Words } from "@kind-grip/core/language";
import { t } from "../base/words";
import { useLibrary, useWords } from "../base/library";
import { PictureButton } from "../library/PictureButton";
import { type Question } from "./use-proposal";
import { type Editable } from "./Limits";
import { savedText } from "../program/saved-text";
import { SESSION_NAMES } from "../program/session-names";

export type Locks = NonNullable<Question["locked"]>;

export function Sessions({
  proposal,
  limits,
  locked,
  onLock,
  onExclude,
}: {
  proposal: Proposal;
  limits: Editable;
  locked: Locks;
  onLock(place: Locks[number]): void;
  onExclude(movementId: string): void;
}) {
  const words = useWords();
  const library = useLibrary();
  const savedLine = (session: Session) => {
    const saved = savedText(savedIn(session, library.timings));
    return saved === undefined ? "" : ` · ${saved.toLowerCase()}`;
  };
  return proposal.program.sessions.map((session) => (
    <Box component="section" key={session.slot} aria-label={SESSION_NAMES[session.slot]} sx={{ mb: 3 }}>
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 1.5, borderBottom: "2px solid", borderColor: "line", pb: 0.5 }}>
        <Typography variant="h2">{SESSION_NAMES[session.slot]}</Typography>
        <Typography sx={{ fontWeight: 700 }}>
          {durationText(proposal.seconds.get(session.slot) ?? 0)}{" "}
          <Box component="span" sx={{ color: "text.secondary", fontWeight: 500 }}>
            {t("of {{time}}", { time: durationText(limits.slotSec[session.slot]) })}
            {(proposal.changeOvers.get(session.slot) ?? 0) > 0 &&
              ` · ${t("{{count}} changes of place or kit", { count: proposal.changeOvers.get(session.slot)!, defaultValue_one: "{{count}} change of place or kit" })}`}
            {spareText(proposal, session.slot)}
            {savedLine(session)}
          </Box>
        </Typography>
      </Box>
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {session.items.map((item) => {
          const place = proposal.places.get(item.id)!;
          const on = locked.some((each) => each.slot === place.slot && each.movementId === place.movementId);
          const name = words.movementName(item.movementId);
          return (
            <Box
              component="li"
              key={item.id}
              sx={{
                display: "grid",
                gridTemplateColumns: "84px minmax(0, 1fr) auto auto",
                columnGap: 2,
                alignItems: "center",
                py: 0.75,
                borderBottom: "1px solid",
                borderColor: "line",
              }}
            >
              <PictureButton movementId={item.movementId} formId={item.formId} />
              <Box>
                <Typography>
                  <strong>{name}</strong>, {words.dose(item.dose)}
                </Typography>
                <Typography sx={{ color: "text.secondary", lineHeight: 1.3 }}>{reasonText(words, proposal, item.id)}</Typography>
              </Box>
              <Button
                variant={on ? "contained" : "outlined"}
                onClick={() => onLock(place)}
                aria-pressed={on}
                aria-label={
                  on
                    ? t("Unlock {{name}} in {{sessionNames}}", { name, sessionNames: SESSION_NAMES[session.slot] })
                    : t("Lock {{name}} in {{sessionNames}}", { name, sessionNames: SESSION_NAMES[session.slot] })
                }
                sx={{ minWidth: 48, px: 1 }}
              >
                {on ? <Lock size={19} /> : <LockOpen size={19} />}
              </Button>
              <Button
                aria-label={t("Something else than {{name}}", { name })}
                disabled={on}
                onClick={() => onExclude(item.movementId)}
                sx={{ minWidth: 48, px: 1 }}
              >
                <X size={19} />
              </Button>
            </Box>
          );
        })}
      </Box>
    </Box>
  ));
}

/** Why a session does not use its time. */
function spareText(proposal: Proposal, slot: SlotKind): string {
  const spare = proposal.spare.find((each) => each.slot === slot);
  if (!spare) return "";
  const because = {
    items: t("no more items are allowed"),
    movements: t("no more movements are allowed"),
    nothing: t("nothing else fits what is left"),
  }[spare.because];
  return ` · ${because}`;
}

function reasonText(words: Words, proposal: Proposal, itemId: string): string {
  const { regions, reverses } = proposal.reasons.get(itemId)!;
  const parts = [
    ...regions.slice(0, 3).map(({ region, need }) => `${words.label("region", region).toLowerCase()} ${Math.round(need)}`),
    ...(reverses.length > 0
      ? [
          t("the opposite of {{reverses}}", {
            reverses: reverses.map((posture) => words.label("posture", posture).toLowerCase()).join(", "),
          }),
        ]
      : []),
  ];
  return parts.length === 0 ? t("Gets ready.") : t("For {{parts}}", { parts: parts.join(" · ") });
}
