/** A still figure. It is drawn when it comes into view, off the page's thread, and kept. */
import { Box, type SxProps } from "@mui/material";
import { useEffect, useRef, useState } from "react";
import type { Pose } from "@kind-grip/core/figure";
import { useWords } from "../base/library";
import { stillOf } from "./drawer";
import { FigureSheet } from "./FigureSheet";
import type { FigureRequest } from "./request";

interface FigurePictureProps {
  request: FigureRequest | undefined;
  /** One pose alone instead of the whole picture. */
  pose?: Pose;
  poseKey?: string;
  /** Beside its own name the picture says nothing new to whoever listens. */
  silent?: boolean;
  /** Drawn wherever it stands on the page: it may be printed. Told once it is there. */
  onDrawn?(): void;
  sx?: SxProps;
}

const AGAIN_AFTER_MS = 3000;

export function FigurePicture({ request, pose, poseKey = "", silent = false, onDrawn, sx }: FigurePictureProps) {
  const words = useWords();
  const place = useRef<HTMLDivElement>(null);
  const [near, setNear] = useState(onDrawn !== undefined);
  const [svg, setSvg] = useState("");
  useEffect(() => {
    if (near || !place.current) return;
    const watcher = new IntersectionObserver((entries) => entries.some((entry) => entry.isIntersecting) && setNear(true), {
      rootMargin: "300px",
    });
    watcher.observe(place.current);
    return () => watcher.disconnect();
  }, [near]);
  const key = request && `${request.key}/${poseKey}`;
  useEffect(() => {
    if (!near || !request || !key) return;
    let gone = false;
    let later: ReturnType<typeof setTimeout> | undefined;
    const draw = (): Promise<unknown> =>
      stillOf(
        key,
        (drawer) => (pose ? drawer.pose(request.figure, request.options, pose) : drawer.still(request.figure, request.options)),
        pose ? undefined : request.still,
      ).then(
        (picture) => {
          if (gone) return;
          setSvg(picture);
          onDrawn?.();
        },
        () => {
          // The drawer could not be loaded: perhaps it can in a moment.
          if (!gone) later = setTimeout(draw, AGAIN_AFTER_MS);
        },
      );
    void draw();
    return () => {
      gone = true;
      clearTimeout(later);
    };
    // oxlint-disable-next-line react/exhaustive-deps -- the key says all that the request and the pose hold; who is told of it is told once
  }, [near, key]);
  if (!request) return null;
  return (
    <Box ref={place} sx={sx}>
      <FigureSheet svg={svg} aspect={request.options.width! / request.options.height!} title={silent ? undefined : request.title(words)} />
    </Box>
  );
}
