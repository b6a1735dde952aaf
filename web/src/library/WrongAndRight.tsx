/** The commonest cheat beside the way it should be, seen from the same place. */
import { Box, Typography } from "@mui/material";
import { Check, X } from "lucide-react";
import { useMemo } from "react";
import { figuresOf, type Movement } from "@kind-grip/core/library";
import { t } from "../base/words";
import { useLibrary, useWords } from "../base/library";
import { FigurePicture } from "../figure/FigurePicture";
import { figureRequest } from "../figure/request";

export function WrongAndRight({ movement }: { movement: Movement }) {
  const library = useLibrary();
  const words = useWords();
  const figures = useMemo(() => figuresOf(movement.id), [movement.id]);
  const wrong = figures?.wrong;
  const request = useMemo(
    () => wrong && figureRequest(library, movement.id, { width: 420, alsoShown: [wrong.pose], bare: true }),
    [library, movement.id, wrong],
  );
  if (!figures || !wrong || !request) return null;
  const right = figures.figure.poses[figures.figure.cover ?? figures.figure.poses.length - 1]!;
  const watch = words.movement(movement.id).watch[wrong.watch];
  return (
    <Box component="section" aria-label={t("Wrong against right")}>
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 2 }}>
        <Box component="figure" sx={{ m: 0 }}>
          <FigurePicture request={request} pose={wrong.pose} poseKey="wrong" silent sx={{ opacity: 0.9 }} />
          <Typography
            component="figcaption"
            sx={{ display: "flex", gap: 0.75, alignItems: "center", mt: 0.5, color: "error.main", fontWeight: 700 }}
          >
            <X size={20} aria-hidden /> {t("Not like this")}
          </Typography>
        </Box>
        <Box component="figure" sx={{ m: 0 }}>
          <FigurePicture request={request} pose={right} poseKey="right" silent />
          <Typography
            component="figcaption"
            sx={{ display: "flex", gap: 0.75, alignItems: "center", mt: 0.5, color: "primary.main", fontWeight: 700 }}
          >
            <Check size={20} aria-hidden /> {t("Like this")}
          </Typography>
        </Box>
      </Box>
      <Typography sx={{ mt: 0.5 }}>{watch}</Typography>
    </Box>
  );
}
