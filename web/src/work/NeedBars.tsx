/** Need by region and hand as bars, each with its working. */
import { Box, Typography } from "@mui/material";
import { useMemo, useState } from "react";
import { MAP_VIEWS } from "@kind-grip/core/figure";
import { ADDED_POINTS, HALVING_LOAD_MIN, type RegionNeed } from "@kind-grip/core/need";
import { type Work } from "@kind-grip/core/strain";
import type { HandSide } from "@kind-grip/core/units";
import { useWords } from "../base/library";
import { HandMapPicture } from "../figure/HandMapPicture";
import { Empty } from "../parts/Empty";
import { SideMark } from "../parts/SideMark";
import { Why } from "../parts/Why";

export function Needs({ needs, work }: { needs: RegionNeed[]; work: Work }) {
  const words = useWords();
  const [chosen, setChosen] = useState<{ side: HandSide; region: string } | null>(null);
  const most = needs.reduce((best, each) => (each.need > best.need ? each : best));
  const shown = needs.find((each) => each.side === chosen?.side && each.region === chosen.region) ?? most;
  const marks = useMemo(() => needs.map(({ side, region, need }) => ({ side, region, strength: need / 100 })), [needs]);
  const regions = [...new Set(needs.map(({ region }) => region))]
    .map((region) => ({ region, of: (side: HandSide) => needs.find((each) => each.region === region && each.side === side)!.need }))
    .sort((a, b) => Math.max(b.of("left"), b.of("right")) - Math.max(a.of("left"), a.of("right")));
  if (most.need === 0)
    return (
      <Empty title="Nothing to show yet" text="Describe the tasks and how long each is done; the need of each region follows from them." />
    );
  return (
    <Box
      component="section"
      aria-label="Region need"
      sx={{ display: "grid", gridTemplateColumns: "repeat(auto-fit, minmax(min(100%, 450px), 1fr))", columnGap: 5, rowGap: 3 }}
    >
      <Box>
        <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1 }}>
          {MAP_VIEWS.slice(0, 2).map((view) => (
            <HandMapPicture
              key={view}
              view={view}
              marks={marks}
              chosen={shown}
              onPick={(side, region) => setChosen({ side, region })}
              nameOf={(side, region) => `${words.label("side", side)} ${words.label("region", region).toLowerCase()}`}
            />
          ))}
        </Box>
        <Working need={shown} work={work} />
      </Box>
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {regions.map(({ region, of }) => (
          <Box
            component="li"
            key={region}
            sx={{ display: "grid", gridTemplateColumns: "38px 1fr 168px 1fr 38px", columnGap: 1, alignItems: "center", minHeight: 36 }}
          >
            {(["left", "right"] as const).map((side) => {
              const need = of(side);
              const bar = (
                <Box
                  key={`${side} bar`}
                  component="button"
                  type="button"
                  aria-label={`${words.label("side", side)} ${words.label("region", region).toLowerCase()}: need ${Math.round(need)}, show the working`}
                  aria-pressed={shown.side === side && shown.region === region}
                  onClick={() => setChosen({ side, region })}
                  sx={{
                    border: 0,
                    p: 0,
                    bgcolor: "transparent",
                    height: 36,
                    display: "flex",
                    alignItems: "center",
                    justifyContent: side === "left" ? "flex-end" : "flex-start",
                    cursor: "pointer",
                  }}
                >
                  <Box
                    className="keeps-colour"
                    sx={{
                      width: `${need}%`,
                      minWidth: need > 0 ? 3 : 0,
                      height: 16,
                      bgcolor: `hand.${side}`,
                      borderRadius: 1,
                      outline: shown.side === side && shown.region === region ? "3px solid" : "none",
                      outlineColor: "warm.main",
                    }}
                  />
                </Box>
              );
              const figure = (
                <Box key={side} component="span" aria-hidden sx={{ fontWeight: 750, textAlign: side === "left" ? "right" : "left" }}>
                  {Math.round(need)}
                </Box>
              );
              return side === "left"
                ? [
                    figure,
                    bar,
                    <Box key="name" component="span" sx={{ textAlign: "center", lineHeight: 1.1, fontSize: "0.95rem" }}>
                      {words.label("region", region)}
                    </Box>,
                  ]
                : [bar, figure];
            })}
          </Box>
        ))}
      </Box>
    </Box>
  );
}

const BY: Readonly<Record<RegionNeed["added"][number]["by"], string>> = {
  shortRange: "a short range",
  sideDifference: "less than the other side",
  rangeWithoutStrength: "range without strength",
  weakGrip: "the weaker grip",
  symptom: "something felt there",
};

function Working({ need, work }: { need: RegionNeed; work: Work }) {
  const words = useWords();
  const task = (id: string) => work.tasks.find((each) => each.id === id);
  return (
    <Box sx={{ mt: 2 }} aria-live="polite">
      <Box sx={{ display: "flex", alignItems: "center", gap: 1.5 }}>
        <SideMark side={need.side} size={30} />
        <Typography variant="h2">{words.label("region", need.region)}</Typography>
        <Typography sx={{ fontSize: "1.9rem", fontWeight: 800, ml: "auto", lineHeight: 1 }}>{Math.round(need.need)}</Typography>
      </Box>
      <Box component="ul" sx={{ listStyle: "none", m: 0, mt: 1, p: 0 }}>
        {need.parts.slice(0, 4).map((part) => (
          <li key={part.effortId}>
            <strong>{task(part.taskId)?.name}</strong>, {task(part.taskId)?.efforts.find(({ id }) => id === part.effortId)?.name}:{" "}
            {part.minutes} min × {Math.round(part.duty * 100)} % of the time × {part.intensity * 10} of 10 × {Math.round(part.share * 100)}{" "}
            % share{part.harder > 1 && ` × ${part.harder.toFixed(2)} for cold or vibration`} = {part.loadMin.toFixed(1)}
          </li>
        ))}
        {need.loadMin > 0 && (
          <li>
            {need.loadMin.toFixed(1)} load minutes → {Math.round(need.fromWork)}
          </li>
        )}
        {need.added.map((added, i) => (
          <li key={i}>
            + {Math.round(added.points)} for {BY[added.by]}
          </li>
        ))}
        {need.parts.length + need.added.length === 0 && <li>Neither the work nor the measurements ask for anything here.</li>}
      </Box>
      <Why label="How this is worked out">
        Load minutes are minutes × the root of (share of the time in effort × (effort ÷ 10)³) × the share this region takes by grip and
        posture: hard efforts count far more than light ones that last. Every {HALVING_LOAD_MIN} of them close half of what is left to 100.
        Findings add: range short, sides apart or range without strength {ADDED_POINTS.shortRange}, weaker grip {ADDED_POINTS.weakGrip},
        something felt {ADDED_POINTS.symptomPerPoint} a point, for relief and never for strength. This is a planning aid of this practice,
        not a validated risk score.
      </Why>
    </Box>
  );
}
