/** The movement large and moving: at the pace of its dose, from any of its views, for either side; or frozen, or step by step. */
import { Box, Button, MenuItem, TextField, Typography } from "@mui/material";
import { Pause, Play } from "lucide-react";
import { useEffect, useMemo, useState } from "react";
import { VIEW_NAMES, type ViewName } from "@kind-grip/core/figure";
import { DEFAULT_STYLE, newItem, type Movement } from "@kind-grip/core/library";
import { previewPlace, previewSec } from "@kind-grip/core/run";
import { compilePerson } from "@kind-grip/core/session";
import { t } from "../base/words";
import { useLibrary, useWords } from "../base/library";
import { FigurePicture } from "../figure/FigurePicture";
import { LoopClock } from "../figure/loop-clock";
import { MovingFigure } from "../figure/MovingFigure";
import { figureRequest } from "../figure/request";
import { useCalm } from "../figure/use-calm";
import { VIEW_LABEL } from "../figure/view-names";
import { Toggle } from "../parts/Toggle";

export function FigureStage({ movement, formId }: { movement: Movement; formId: string }) {
  const library = useLibrary();
  const calm = useCalm();
  const figure = useMemo(() => library.figure(movement.id, formId), [library, movement.id, formId]);
  const [view, setView] = useState<ViewName>();
  const [left, setLeft] = useState(false);
  const [wantsMotion, setMoving] = useState(true);
  const moves = !calm && (figure?.poses.length ?? 0) > 1;
  const moving = moves && wantsMotion;
  const request = useMemo(
    () => figureRequest(library, movement.id, { formId, side: left ? "left" : "right", view }),
    [library, movement.id, formId, left, view],
  );
  // One bout of the movement's own dose, round and round.
  const timeline = useMemo(() => {
    const item = { ...newItem(movement, DEFAULT_STYLE, "00000000-0000-7000-8000-000000000000"), formId };
    return compilePerson({ id: item.id, name: "-", slot: "break", items: [item] }, library.timings);
  }, [movement, formId, library]);
  const bout = timeline.segments.find((segment) => segment.kind === "work" || segment.kind === "hold");
  const [clock] = useState(() => new LoopClock());
  const lengthSec = bout && figure ? previewSec(figure, bout) : 4;
  useEffect(() => clock.set(lengthSec, moving, performance.now()), [clock, lengthSec, moving]);
  if (!figure || !request || !bout) return null;
  const placeAt = (aheadSec: number) => previewPlace(figure, timeline, bout, clock.placeAt(performance.now() + aheadSec * 1000));
  return (
    <Box component="section" aria-label={t("Figure")}>
      {moves && wantsMotion ? (
        <MovingFigure request={request} placeAt={placeAt} moving={moving} />
      ) : calm && figure.poses.length > 1 ? (
        <Strip movement={movement} formId={formId} left={left} />
      ) : (
        <FigurePicture request={request} />
      )}
      <Box sx={{ display: "flex", flexWrap: "wrap", alignItems: "end", gap: 1, mt: 1.5, "@media print": { display: "none" } }}>
        {moves && (
          <Button
            variant="contained"
            startIcon={wantsMotion ? <Pause size={18} /> : <Play size={18} />}
            onClick={() => setMoving(!wantsMotion)}
            sx={{ minWidth: 120 }}
          >
            {wantsMotion ? t("Freeze") : t("Play")}
          </Button>
        )}
        {!figure.both && <Toggle label={t("For the left hand")} pressed={left} onChange={setLeft} />}
        <TextField
          select
          label={t("Seen from")}
          value={view ?? figure.view}
          onChange={(event) => setView(event.target.value as ViewName)}
          fullWidth={false}
          sx={{ width: 210 }}
        >
          {VIEW_NAMES.map((each) => (
            <MenuItem key={each} value={each}>
              {VIEW_LABEL[each]}
            </MenuItem>
          ))}
        </TextField>
      </Box>
      {!calm && figure.poses.length > 1 && (!wantsMotion || figure.poses.length > 2) && (
        <Box sx={{ mt: 2 }}>
          <Strip movement={movement} formId={formId} left={left} />
        </Box>
      )}
    </Box>
  );
}

/** Start and end, or every step, side by side. */
function Strip({ movement, formId, left }: { movement: Movement; formId: string; left: boolean }) {
  const library = useLibrary();
  const words = useWords();
  const request = useMemo(
    () => figureRequest(library, movement.id, { formId, side: left ? "left" : "right", width: 340, bare: true }),
    [library, movement.id, formId, left],
  );
  if (!request) return null;
  const { poses } = request.figure;
  const steps = poses.length > 2;
  return (
    <Box
      component="ol"
      aria-label={steps ? t("Steps") : t("Start and end")}
      sx={{
        m: 0,
        p: 0,
        listStyle: "none",
        display: "grid",
        gap: 1.5,
        gridTemplateColumns: `repeat(auto-fit, minmax(${steps ? 110 : 200}px, 1fr))`,
      }}
    >
      {poses.map((pose, i) => (
        <Box component="li" key={i}>
          <FigurePicture request={request} pose={pose} poseKey={`step-${i}`} silent />
          <Typography sx={{ fontSize: "0.9375rem", color: "text.secondary" }}>
            {steps ? `${i + 1}` : i === 0 ? t("Start") : t("End")}
          </Typography>
        </Box>
      ))}
      <Typography component="li" sx={{ position: "absolute", left: -9999 }}>
        {words.figure(request.figure, left ? "left" : "right", "")}
      </Typography>
    </Box>
  );
}
