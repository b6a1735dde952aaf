/** The pose that is being shaped, live; or the whole movement at its pace. */
import { Box } from "@mui/material";
import { useEffect, useMemo, useRef, useState } from "react";
import { FORM_TIMINGS, knowOwnMovements, newItem, DEFAULT_STYLE, lookOf, regionsOf, type OwnMovement } from "@kind-grip/core/library";
import { figurePlace } from "@kind-grip/core/run";
import { compilePerson, positionAt } from "@kind-grip/core/session";
import { FigureSheet } from "../figure/FigureSheet";
import { drawerFor } from "../figure/drawer";
import { LoopClock } from "../figure/loop-clock";
import { MovingFigure } from "../figure/MovingFigure";
import { useCalm } from "../figure/use-calm";
import { Toggle } from "../parts/Toggle";

export function StudioPicture({ own, at }: { own: OwnMovement; at: number }) {
  const calm = useCalm();
  const [moving, setMoving] = useState(false);
  return (
    <Box>
      {moving ? <Moving own={own} /> : <Pose own={own} at={at} />}
      {!calm && own.figure.poses.length > 1 && (
        <Box sx={{ mt: 1 }}>
          <Toggle label="Watch it move" pressed={moving} onChange={setMoving} />
        </Box>
      )}
    </Box>
  );
}

/** Regions are those the form below names, whether stored or not. */
const optionsOf = ({ movement }: OwnMovement) => ({
  look: lookOf(movement.id),
  regions: [...movement.regions.stretched, ...movement.regions.released, ...movement.regions.worked].slice(0, 2),
  width: 640,
  height: 480,
});

/** Drawn as fast as the worker can, always the newest state; a pose that cannot be drawn leaves the last one standing. */
function Pose({ own, at }: { own: OwnMovement; at: number }) {
  const [svg, setSvg] = useState("");
  const wanted = useRef<{ own: OwnMovement; at: number } | null>(null);
  const busy = useRef(false);
  useEffect(() => {
    wanted.current = { own, at };
    if (busy.current) return;
    busy.current = true;
    const draw = async () => {
      while (wanted.current) {
        const now = wanted.current;
        wanted.current = null;
        const pose = now.own.figure.poses[now.at];
        if (!pose) continue;
        await drawerFor("motion")
          .pose(now.own.figure, optionsOf(now.own), pose)
          .then(setSvg, () => undefined);
      }
      busy.current = false;
    };
    void draw();
  }, [own, at]);
  return <FigureSheet svg={svg} title={`Pose ${at + 1} of ${own.figure.poses.length}`} />;
}

function Moving({ own }: { own: OwnMovement }) {
  const timeline = useMemo(() => {
    knowOwnMovements([own]);
    const item = newItem(own.movement, DEFAULT_STYLE, "00000000-0000-7000-8000-000000000000");
    return compilePerson({ id: item.id, name: "-", slot: "break", items: [item] }, FORM_TIMINGS);
  }, [own]);
  const bout = timeline.segments.find((segment) => segment.kind === "work" || segment.kind === "hold");
  const [clock] = useState(() => new LoopClock());
  const lengthSec = bout?.lengthSec ?? 4;
  useEffect(() => clock.set(lengthSec, true, performance.now()), [clock, lengthSec]);
  const request = useMemo(
    () => ({
      key: JSON.stringify([own.figure, regionsOf(own.movement.id)]),
      figure: own.figure,
      options: optionsOf(own),
      title: () => own.words.name || "The movement",
    }),
    [own],
  );
  if (!bout) return null;
  const placeAt = (aheadSec: number) => {
    const position = positionAt(timeline, bout.startSec + clock.placeAt(performance.now() + aheadSec * 1000));
    return position ? figurePlace(own.figure, position) : { place: 0 };
  };
  return <MovingFigure request={request} placeAt={placeAt} moving />;
}
