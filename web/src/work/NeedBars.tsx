/** Need by region and hand as bars, each with its working. */
import { Box, Typography } from "@mui/material";
import { useMemo, useState } from "react";
import { MAP_VIEWS } from "@kind-grip/core/figure";
import { ADDED_POINTS, HALVING_LOAD_MIN, type LoadPart, type RegionNeed } from "@kind-grip/core/need";
import type { Task, Work } from "@kind-grip/core/strain";
import { grouped, type HandSide } from "@kind-grip/core/units";
import { orderBy, sum, sumBy } from "es-toolkit";
import { fixedText, numberText } from "../base/measures";
import { t } from "../base/words";
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
      <Empty
        title={t("Nothing to show yet")}
        text={t("Describe the tasks and how long each is done; the need of each region follows from them.")}
      />
    );
  return (
    <Box
      component="section"
      aria-label={t("Region need")}
      sx={{ display: "grid", gridTemplateColumns: "repeat(auto-fit, minmax(min(100%, 450px), 1fr))", columnGap: 5, rowGap: 3 }}
    >
      <Box>
        <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1 }}>
          {MAP_VIEWS.slice(0, 2).map((view) => (
            <HandMapPicture
              key={view}
              view={view}
              marks={marks}
              picking={{
                chosen: shown,
                onPick: (side, region) => setChosen({ side, region }),
                nameOf: (side, region) => `${words.label("side", side)} ${words.label("region", region).toLowerCase()}`,
              }}
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
            sx={{
              display: "grid",
              gridTemplateColumns: { xs: "30px minmax(0, 1fr) 104px minmax(0, 1fr) 30px", sm: "38px 1fr 168px 1fr 38px" },
              columnGap: { xs: 0.5, sm: 1 },
              alignItems: "center",
              minHeight: 36,
            }}
          >
            {(["left", "right"] as const).map((side) => {
              const need = of(side);
              const bar = (
                <Box
                  key={`${side} bar`}
                  component="button"
                  type="button"
                  aria-label={t("{{word}} {{word2}}: need {{need}}, show the working", {
                    word: words.label("side", side),
                    word2: words.label("region", region).toLowerCase(),
                    need: Math.round(need),
                  })}
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
  shortRange: t("a short range"),
  sideDifference: t("less than the other side"),
  rangeWithoutStrength: t("range without strength"),
  weakGrip: t("the weaker grip"),
  symptom: t("something felt there"),
};

/** Tasks that are worked out on the screen; the others are in the sum. */
const MOST_TASKS = 3;

/** The parts of each task, the one that asks for most first. */
function tasksOf(parts: readonly LoadPart[]): LoadPart[][] {
  const loadOf = (list: readonly LoadPart[]) => sumBy(list, ({ loadMin }) => loadMin);
  return orderBy([...grouped(parts, ({ taskId }) => taskId).values()], [loadOf], ["desc"]);
}

/** A task with its figures, so that whoever multiplies them comes to the same. */
function TaskWorking({ parts, task }: { parts: readonly LoadPart[]; task: Task | undefined }) {
  const { minutes, harder } = parts[0]!;
  const weights = parts.map(({ duty, intensity, share }) => duty * intensity ** 3 * share ** 2);
  return (
    <li>
      <strong>{task?.name}</strong>
      {t(": {{minutes}} min × √{{sum}}", { minutes: exact(minutes), sum: significant(sum(weights)) })}
      {harder > 1 && ` ${t("× {{harder}} for cold or vibration", { harder: fixedText(harder, 2) })}`} ={" "}
      {fixedText(
        sumBy(parts, ({ loadMin }) => loadMin),
        1,
      )}
      <Box component="ul" sx={{ listStyle: "none", m: 0, pl: 2, color: "text.secondary" }}>
        {parts.map((part, i) => (
          <li key={part.effortId}>
            {t("{{name}}: {{duty}} % of the time × ({{effort}} of 10)³ × ({{share}} % share)² = {{weight}}", {
              name: task?.efforts.find(({ id }) => id === part.effortId)?.name ?? "",
              duty: exact(part.duty * 100),
              effort: exact(part.intensity * 10),
              share: exact(part.share * 100),
              weight: significant(weights[i]!),
            })}
          </li>
        ))}
      </Box>
    </li>
  );
}

/** With three figures that say something, however small it is. */
const significant = (value: number) => fixedText(value, value === 0 ? 0 : Math.max(0, 3 - Math.ceil(Math.log10(value))));

/** Whole where it is, else with one decimal. */
const exact = (value: number) => numberText(value, Math.abs(value - Math.round(value)) < 1e-9 ? 0 : 1);

function Working({ need, work }: { need: RegionNeed; work: Work }) {
  const words = useWords();
  return (
    <Box sx={{ mt: 2 }} aria-live="polite">
      <Box sx={{ display: "flex", alignItems: "center", gap: 1.5 }}>
        <SideMark side={need.side} size={30} />
        <Typography variant="h2">{words.label("region", need.region)}</Typography>
        <Typography sx={{ fontSize: "1.9rem", fontWeight: 800, ml: "auto", lineHeight: 1 }}>{Math.round(need.need)}</Typography>
      </Box>
      <Box component="ul" sx={{ listStyle: "none", m: 0, mt: 1, p: 0 }}>
        {tasksOf(need.parts)
          .slice(0, MOST_TASKS)
          .map((parts) => (
            <TaskWorking key={parts[0]!.taskId} parts={parts} task={work.tasks.find(({ id }) => id === parts[0]!.taskId)} />
          ))}
        {need.loadMin > 0 && (
          <li>
            {t("{{loadMin}} load minutes → {{fromWork}}", { loadMin: fixedText(need.loadMin, 1), fromWork: Math.round(need.fromWork) })}
          </li>
        )}
        {need.added.map((added, i) => (
          <li key={i}>{t("+ {{points}} for {{by}}", { points: Math.round(added.points), by: BY[added.by] })}</li>
        ))}
        {need.parts.length + need.added.length === 0 && <li>{t("Neither the work nor the measurements ask for anything here.")}</li>}
      </Box>
      <Why label={t("How this is worked out")}>
        {t(
          "Load minutes of a task are minutes × the root of the sum over its efforts of share of the time × (effort ÷ 10)³ × (the share this region takes by grip and posture)²: hard efforts count far more than light ones that last. Every {{halvingLoadMin}} of them close half of what is left to 100. Findings add: range short, sides apart or range without strength {{shortRange}}, weaker grip {{weakGrip}}, something felt {{symptomPerPoint}} a point, for relief and never for strength. This is a planning aid of this practice, not a validated risk score.",
          {
            halvingLoadMin: HALVING_LOAD_MIN,
            shortRange: ADDED_POINTS.shortRange,
            weakGrip: ADDED_POINTS.weakGrip,
            symptomPerPoint: ADDED_POINTS.symptomPerPoint,
          },
        )}
      </Why>
    </Box>
  );
}
