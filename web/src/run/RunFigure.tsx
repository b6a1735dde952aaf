/** The figure of a run: the form that is led, on the side that is on, in time with the count. */
import { Box } from "@mui/material";
import { useMemo, useRef } from "react";
import { figureMoment, placeAt } from "@kind-grip/core/run";
import type { Segment } from "@kind-grip/core/session";
import { useLibrary } from "../base/library";
import { FigurePicture } from "../figure/FigurePicture";
import { DIMMED, SHEET } from "../figure/FigureSheet";
import { MovingFigure } from "../figure/MovingFigure";
import { figureRequest } from "../figure/request";
import { useCalm } from "../figure/use-calm";
import type { RunScreenProps } from "./BeforeRun";
import { usePaneRatio } from "./use-pane-ratio";

interface RunFigureProps {
  run: RunScreenProps["run"];
  /** What the count is at; in the first moments after a hold the figure still shows how that one is left. */
  segment: Segment;
  /** Seconds into the timeline as this was rendered. */
  atSec: number;
}

export function RunFigure({ run: { clock, timeline }, segment, atSec }: RunFigureProps) {
  const calm = useCalm();
  const library = useLibrary();
  const figureOf = (each: Segment) => library.figure(each.movementId, each.formId);
  const { movementId, formId, side } = calm ? segment : (figureMoment(timeline, atSec, figureOf)?.segment ?? segment);
  const pane = useRef<HTMLDivElement>(null);
  const ratio = usePaneRatio(pane);
  const request = useMemo(
    () => figureRequest(library, movementId, { formId, side, width: 660, ratio }),
    [library, movementId, formId, side, ratio],
  );
  const place = (aheadSec: number) => {
    const moment = figureMoment(timeline, placeAt(clock, performance.now() + aheadSec * 1000), figureOf);
    // Until this is rendered anew, what is shown stays where it has come to.
    const same = moment && moment.segment.movementId === movementId && moment.segment.side === side;
    return same ? moment.place : { place: 0 };
  };
  return (
    <Box ref={pane} sx={PANE}>
      {request &&
        (calm ? (
          <FigurePicture request={request} sx={FILLING} />
        ) : (
          <MovingFigure request={request} placeAt={place} moving={clock.status === "running"} sx={FILLING} />
        ))}
    </Box>
  );
}

const PANE = {
  position: "relative",
  minWidth: 0,
  minHeight: 0,
  overflow: "hidden",
  bgcolor: SHEET,
  // The pane is dimmed as a whole, so the sheet in it is not dimmed once more.
  "[data-floor='dark'] &": { ...DIMMED, "& .figure": { filter: "none" } },
} as const;

/** Taken out of the flow: the pane's height is the page's, not the figure's. In one lower than is drawn for, the whole figure is smaller. */
const FILLING = {
  position: "absolute",
  inset: 0,
  display: "grid",
  gridTemplateRows: "minmax(0, 1fr)",
  alignItems: "center",
  "& .figure": { maxHeight: "102.5%", borderRadius: 0 },
} as const;
