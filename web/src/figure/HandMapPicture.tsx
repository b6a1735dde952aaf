/** Both hands and forearms with their regions: marked as strongly as asked for, each to be tapped. Drawn off the page's thread. */
import { Box, ButtonBase } from "@mui/material";
import { useEffect, useMemo, useState, type MouseEvent } from "react";
import { SKINS, type HandMap, type Look, type MapMark, type MapView } from "@kind-grip/core/figure";
import { t } from "../base/words";
import { motionDrawer } from "./drawer";
import { DIMMED, SHEET } from "./FigureSheet";

/** A skin on which pale and full marks can be told apart. */
const LOOK: Look = { skin: SKINS[1]!, hair: "short" };
const NAMES: Readonly<Record<MapView, string>> = {
  palms: t("Palm side"),
  backs: t("Back of the hands"),
  shoulders: t("Shoulders, from behind"),
};

/** How far beside a place a tap still means it, in the picture's units. */
const REACH = 60;

interface HandMapPictureProps {
  view: MapView;
  /** In the language of whoever looks at it. */
  name?: string;
  marks: readonly MapMark[];
  /** To be tapped: the name of each place, for its button, and what a tap does. Without it the map is only looked at. */
  picking?: {
    nameOf(side: "left" | "right", region: string): string;
    chosen?: { side: string; region: string } | null;
    onPick(side: "left" | "right", region: string): void;
  };
}

export function HandMapPicture({ view, name = NAMES[view], marks, picking }: HandMapPictureProps) {
  const [map, setMap] = useState<HandMap>();
  // The same marks are the same picture, whatever array they come in.
  const key = JSON.stringify(marks);
  const asked = useMemo(() => JSON.parse(key) as MapMark[], [key]);
  useEffect(() => {
    let gone = false;
    void motionDrawer()
      .handMap(view, LOOK, asked)
      .then((drawn) => gone || setMap(drawn));
    return () => {
      gone = true;
    };
  }, [view, asked]);
  const aspect = view === "shoulders" ? "400 / 230" : "400 / 500";
  // A finger need not hit the mark: the nearest place counts.
  const pickNearest = (event: MouseEvent<HTMLElement>) => {
    if (!map || !picking || event.target instanceof HTMLButtonElement) return;
    const box = event.currentTarget.getBoundingClientRect();
    const scale = map.width / box.width;
    const away = ({ x, y }: { x: number; y: number }) =>
      Math.hypot(x - (event.clientX - box.left) * scale, y - (event.clientY - box.top) * scale);
    const nearest = [...map.places].sort((a, b) => away(a) - away(b))[0];
    if (nearest && away(nearest) < REACH) picking.onPick(nearest.side, nearest.region);
  };
  return (
    <Box
      onClick={pickNearest}
      role={picking ? "group" : "img"}
      aria-label={name}
      className="figure"
      sx={{
        position: "relative",
        bgcolor: SHEET,
        "[data-floor='dark'] &": DIMMED,
        borderRadius: 2,
        aspectRatio: aspect,
        width: "100%",
        "& svg": { display: "block", width: "100%" },
      }}
    >
      {map && (
        <>
          <Box aria-hidden dangerouslySetInnerHTML={{ __html: map.svg }} />
          {(picking ? map.places : []).map(({ side, region, x, y }) => {
            const { nameOf, chosen, onPick } = picking!;
            const on = chosen?.side === side && chosen.region === region;
            return (
              <ButtonBase
                key={`${side} ${region}`}
                aria-label={nameOf(side, region)}
                aria-pressed={on}
                onClick={() => onPick(side, region)}
                title={nameOf(side, region)}
                sx={{
                  position: "absolute",
                  left: `${(x / map.width) * 100}%`,
                  top: `${(y / map.height) * 100}%`,
                  width: 24,
                  height: 24,
                  m: "-12px",
                  borderRadius: "50%",
                  "&::after": {
                    content: '""',
                    width: on ? 22 : 11,
                    height: on ? 22 : 11,
                    borderRadius: "50%",
                    border: on ? "4px solid #1D2B2A" : "2px solid #1D2B2A",
                    bgcolor: on ? "transparent" : "#FFFDF8cc",
                  },
                }}
              />
            );
          })}
        </>
      )}
    </Box>
  );
}
