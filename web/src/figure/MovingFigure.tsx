/** A figure in motion. Each frame is asked for at the place the count will have when it arrives, so it stays in step under load. */
import { Box, type SxProps } from "@mui/material";
import { useEffect, useMemo, useRef } from "react";
import type { FigurePlace } from "@kind-grip/core/run";
import { useWords } from "../base/library";
import { motionDrawer } from "./drawer";
import { FigureSheet } from "./FigureSheet";
import type { FigureRequest } from "./request";

interface MovingFigureProps {
  request: FigureRequest;
  /** Where the figure is, `aheadSec` from now. */
  placeAt(aheadSec: number): FigurePlace;
  moving: boolean;
  sx?: SxProps;
}

/** Coarser than a still: motion hides it. */
const MOTION_CELL = 4;
/** Rest between two frames: about twenty-five a second are smooth enough and leave the device cool. */
const PAUSE_MS = 16;

/** Frames of one way from pose to pose: finer than can be seen, and few enough that a loop is drawn once and then only shown again. */
const FRAMES = 64;
const toFrame = (place: FigurePlace): FigurePlace => {
  const rounded = (value: number) => Math.round(value * FRAMES) / FRAMES;
  return "slide" in place ? { slide: rounded(place.slide) } : { place: rounded(place.place) };
};

export function MovingFigure({ request, placeAt, moving, sx }: MovingFigureProps) {
  const sheet = useRef<HTMLDivElement>(null);
  const now = useRef(placeAt);
  useEffect(() => {
    now.current = placeAt;
  });
  useEffect(() => {
    const drawer = motionDrawer();
    const options = { ...request.options, cell: MOTION_CELL };
    let stopped = false;
    let latencySec = 0.03;
    let shown = "";
    const loop = async () => {
      while (!stopped) {
        const place = toFrame(now.current(moving ? latencySec : 0));
        const wanted = JSON.stringify(place);
        if (wanted !== shown) {
          const asked = performance.now();
          const svg = await drawer.moment(request.key, request.figure, options, place);
          latencySec = latencySec * 0.7 + ((performance.now() - asked) / 1000) * 0.3;
          if (stopped) return;
          const holder = sheet.current?.firstElementChild;
          if (holder) {
            holder.innerHTML = svg;
            holder.setAttribute("data-place", wanted);
          }
          shown = wanted;
        }
        await new Promise((resolve) => setTimeout(() => requestAnimationFrame(resolve), PAUSE_MS));
      }
    };
    void loop();
    return () => {
      stopped = true;
    };
    // oxlint-disable-next-line react/exhaustive-deps -- the key says all that the request holds
  }, [request.key, moving]);
  const words = useWords();
  // oxlint-disable-next-line react/exhaustive-deps -- the key says all that the request holds
  const title = useMemo(() => request.title(words), [request.key, words]);
  return (
    <Box ref={sheet} sx={sx}>
      <FigureSheet svg="" title={title} aspect={request.options.width! / request.options.height!} />
    </Box>
  );
}
