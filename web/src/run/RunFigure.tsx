/** The figure of a run: the form that is led, on the side that is on, in time with the count. */
import { Box } from "@mui/material";
import { useMemo } from "react";
import { figurePlace, placeAt } from "@kind-grip/core/run";
import { positionAt } from "@kind-grip/core/session";
import type { Side } from "@kind-grip/core/units";
import { useLibrary } from "../base/library";
import { FigurePicture } from "../figure/FigurePicture";
import { MovingFigure } from "../figure/MovingFigure";
import { figureRequest } from "../figure/request";
import { useCalm } from "../figure/use-calm";
import type { RunScreenProps } from "./BeforeRun";

interface RunFigureProps {
  run: RunScreenProps["run"];
  movementId: string;
  formId: string;
  side: Side;
}

export function RunFigure({ run: { clock, timeline }, movementId, formId, side }: RunFigureProps) {
  const calm = useCalm();
  const library = useLibrary();
  const request = useMemo(
    () => figureRequest(library, movementId, { formId, side, width: 660, ratio: 0.9 }),
    [library, movementId, formId, side],
  );
  if (!request) return <Box />;
  const fit = { display: "grid", alignContent: "center", minWidth: 0, minHeight: 0, bgcolor: "#FBF7EE", overflow: "hidden" } as const;
  if (calm) return <FigurePicture request={request} sx={fit} />;
  const place = (aheadSec: number) => {
    const position = positionAt(timeline, placeAt(clock, performance.now() + aheadSec * 1000));
    return position ? figurePlace(request.figure, position) : { place: 0 };
  };
  return <MovingFigure request={request} placeAt={place} moving={clock.status === "running"} sx={fit} />;
}
