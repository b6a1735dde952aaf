/** Cards about the work itself, awkward beside better: a changed grip comes before any stretch. */
import { Box, Typography } from "@mui/material";
import { Check, X } from "lucide-react";
import { COACHING_CARDS, lookOf, type CoachingCard } from "@kind-grip/core/library";
import { t } from "../base/words";
import { useWords } from "../base/library";
import { FigurePicture } from "../figure/FigurePicture";
import type { FigureRequest } from "../figure/request";

export function CoachingCards() {
  return (
    <Box component="section" aria-label={t("For the work itself")} sx={{ borderTop: "2px solid", borderColor: "line", pt: 1.5, pb: 3 }}>
      <Typography variant="h2">{t("For the work itself")}</Typography>
      <Typography sx={{ color: "text.secondary", mb: 2 }}>{t("Stretching is no substitute for changing a bad grip.")}</Typography>
      <CoachingCardList cards={COACHING_CARDS} />
    </Box>
  );
}

export function CoachingCardList({ cards }: { cards: readonly CoachingCard[] }) {
  return (
    <Box
      component="ul"
      sx={{
        listStyle: "none",
        m: 0,
        p: 0,
        display: "grid",
        gridTemplateColumns: "repeat(auto-fill, minmax(min(100%, 330px), 1fr))",
        gap: 3,
      }}
    >
      {cards.map((card) => (
        <Card key={card.id} card={card} />
      ))}
    </Box>
  );
}

function Card({ card: { id, figure, betterProps, postures } }: { card: CoachingCard }) {
  const words = useWords();
  const { title, why } = words.coaching(id);
  const request = (better: boolean): FigureRequest => ({
    key: `coaching-${id}`,
    figure: better && betterProps ? { ...figure, props: betterProps } : figure,
    title: () => title,
    options: { look: lookOf(id), width: 300, height: 225, cell: 1.9, bold: 1.5 },
  });
  return (
    <Box component="li" sx={{ breakInside: "avoid" }}>
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1 }}>
        {figure.poses.map((pose, i) => (
          <Box key={i}>
            <FigurePicture request={request(i === 1)} pose={pose} poseKey={String(i)} silent />
            <Typography
              sx={{
                display: "flex",
                alignItems: "center",
                gap: 0.5,
                mt: 0.25,
                fontSize: "0.9375rem",
                fontWeight: 700,
                color: i === 0 ? "error.main" : "primary.main",
              }}
            >
              {i === 0 ? <X size={18} aria-hidden /> : <Check size={18} aria-hidden />}
              {i === 0 ? t("Awkward") : t("Better")}
            </Typography>
          </Box>
        ))}
      </Box>
      <Typography sx={{ fontWeight: 700, fontSize: "1.05rem", lineHeight: 1.25, mt: 0.75 }}>{title}</Typography>
      <Typography sx={{ lineHeight: 1.3 }}>{why}</Typography>
      <Typography sx={{ color: "text.secondary", fontSize: "0.9375rem" }}>
        {postures.map((posture) => words.label("posture", posture)).join(" · ")}
      </Typography>
    </Box>
  );
}
