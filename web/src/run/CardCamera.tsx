/** The camera of the screen that leads: a card held before it says who is here. It signs nobody in. */
import { Box, Typography } from "@mui/material";
import { useEffect, useRef, useState } from "react";
import type { PersonEntry } from "@kind-grip/core/api";
import { problemOf } from "../base/api";
import { t } from "../base/words";
import { runApi } from "./api";
import { cardToken } from "./card-token";
import { watchForSquares } from "./watch-for-squares";

interface CardCameraProps {
  crewId: string;
  /** Who may take part. */
  people: readonly PersonEntry[];
  onHere(personId: string): void;
}

/** The same card, still before the camera, is one card. */
const SAME_CARD_MS = 4000;

type Said = { good: boolean; text: string };

export default function CardCamera({ crewId, people, onHere }: CardCameraProps) {
  const [findHolder] = runApi.useCardHolderMutation();
  const [said, setSaid] = useState<Said | null>(null);
  const video = useRef<HTMLVideoElement>(null);
  const latest = useRef({ people, onHere });
  useEffect(() => {
    latest.current = { people, onHere };
  });
  useEffect(() => {
    let gone = false;
    let last = { token: "", atMs: 0 };
    const seen = async (scanned: string) => {
      const token = cardToken(scanned);
      const atMs = Date.now();
      if (!token) return setSaid({ good: false, text: t("This is not a sign-in card.") });
      if (token === last.token && atMs - last.atMs < SAME_CARD_MS) return;
      last = { token, atMs };
      const { data, error } = await findHolder({ crewId, token });
      if (gone) return;
      if (error) return setSaid({ good: false, text: problemOf(error).message });
      const person = latest.current.people.find(({ id }) => id === data.personId);
      // Why somebody is not on the list stands on no screen that others can read.
      if (!person) return setSaid({ good: false, text: t("This card is of nobody on this session's list.") });
      latest.current.onHere(person.id);
      navigator.vibrate?.(60);
      setSaid({ good: true, text: t("{{name}} is here", { name: person.name }) });
    };
    const watching = watchForSquares(video.current!, (text) => void seen(text)).catch(() => {
      if (!gone) setSaid({ good: false, text: t("The camera cannot be used here. Allow it in the browser, or tap the names.") });
      return undefined;
    });
    return () => {
      gone = true;
      void watching.then((end) => end?.());
    };
  }, [crewId, findHolder]);
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", sm: "260px 1fr" }, gap: 2, alignItems: "center", mb: 2 }}>
      <Box
        component="video"
        ref={video}
        muted
        playsInline
        aria-label={t("What the camera sees")}
        sx={{ width: "100%", aspectRatio: "4 / 3", objectFit: "cover", borderRadius: 3, bgcolor: "line" }}
      />
      <Typography
        role="status"
        sx={{ fontSize: "1.35rem", fontWeight: 700, lineHeight: 1.25, color: said && !said.good ? "error.main" : "text.primary" }}
      >
        {said?.text ?? t("Hold a card before the camera, its square towards it.")}
      </Typography>
    </Box>
  );
}
