/** The pose that is being shaped, live; or the whole movement at its pace. */
import { Box } from "@mui/material";
import { useEffect, useMemo, useRef, useState } from "react";
import type { Overlap } from "@kind-grip/core/figure";
import { DEFAULT_STYLE, libraryOf, lookOf, newItem, type CustomMovement } from "@kind-grip/core/library";
import { previewPlace, previewSec } from "@kind-grip/core/run";
import { compilePerson } from "@kind-grip/core/session";
import { t } from "../base/words";
import { FigureSheet } from "../figure/FigureSheet";
import { motionDrawer } from "../figure/drawer";
import { LoopClock } from "../figure/loop-clock";
import { MovingFigure } from "../figure/MovingFigure";
import { useCalm } from "../figure/use-calm";
import { Toggle } from "../parts/Toggle";
import { Entering } from "./Entering";

export function StudioPicture({ custom, at }: { custom: CustomMovement; at: number }) {
  const calm = useCalm();
  const [moving, setMoving] = useState(false);
  return (
    <Box>
      {moving ? <Moving custom={custom} /> : <Pose custom={custom} at={at} />}
      {!calm && custom.figure.poses.length > 1 && (
        <Box sx={{ mt: 1 }}>
          <Toggle label={t("Watch it move")} pressed={moving} onChange={setMoving} />
        </Box>
      )}
    </Box>
  );
}

/** Regions are those the form below names, whether stored or not. */
const optionsOf = ({ movement }: CustomMovement) => ({
  look: lookOf(movement.id),
  regions: [...movement.regions.stretched, ...movement.regions.released, ...movement.regions.worked].slice(0, 2),
  width: 640,
  height: 480,
});

/** Drawn as fast as the worker can, always the newest state; a pose that cannot be drawn leaves the last one standing. */
function Pose({ custom, at }: { custom: CustomMovement; at: number }) {
  const [svg, setSvg] = useState("");
  const [overlaps, setOverlaps] = useState<readonly Overlap[]>([]);
  const wanted = useRef<{ custom: CustomMovement; at: number } | null>(null);
  const busy = useRef(false);
  useEffect(() => {
    wanted.current = { custom, at };
    if (busy.current) return;
    busy.current = true;
    const draw = async () => {
      while (wanted.current) {
        const now = wanted.current;
        wanted.current = null;
        const pose = now.custom.figure.poses[now.at];
        if (!pose) continue;
        await motionDrawer()
          .pose(now.custom.figure, optionsOf(now.custom), pose)
          .then(setSvg, () => undefined);
        await motionDrawer()
          .overlaps(now.custom.figure, optionsOf(now.custom), pose)
          .then(setOverlaps, () => undefined);
      }
      busy.current = false;
    };
    void draw();
  }, [custom, at]);
  return (
    <>
      <FigureSheet svg={svg} title={t("Pose {{at}} of {{poses}}", { at: at + 1, poses: custom.figure.poses.length })} />
      <Entering overlaps={overlaps} />
    </>
  );
}

function Moving({ custom }: { custom: CustomMovement }) {
  // The draft as a library of its own: nobody else can come upon it, and nothing of it stays.
  const library = useMemo(() => libraryOf([custom]), [custom]);
  const timeline = useMemo(() => {
    const item = newItem(custom.movement, DEFAULT_STYLE, "00000000-0000-7000-8000-000000000000");
    return compilePerson({ id: item.id, name: "-", slot: "break", items: [item] }, library.timings);
  }, [custom, library]);
  const bout = timeline.segments.find((segment) => segment.kind === "work" || segment.kind === "hold");
  const [clock] = useState(() => new LoopClock());
  const lengthSec = bout ? previewSec(custom.figure, bout) : 4;
  useEffect(() => clock.set(lengthSec, true, performance.now()), [clock, lengthSec]);
  const request = useMemo(
    () => ({
      key: library.revision,
      figure: custom.figure,
      options: optionsOf(custom),
      title: () => custom.words.name || t("The movement"),
    }),
    [custom, library],
  );
  if (!bout) return null;
  const placeAt = (aheadSec: number) => previewPlace(custom.figure, timeline, bout, clock.placeAt(performance.now() + aheadSec * 1000));
  return <MovingFigure request={request} placeAt={placeAt} moving />;
}
