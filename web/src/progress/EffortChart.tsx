/** Effort of each run over time with its trend, and attendance below it. */
import { DateTime } from "luxon";
import type { Data, Layout } from "plotly.js-basic-dist-min";
import { useCallback } from "react";
import type { Trend } from "@kind-grip/core/followup";
import type { Progress } from "@kind-grip/core/api";
import { DAY_TICKS } from "../base/dates";
import { answersText } from "../base/amounts";
import { t } from "../base/words";
import { Plot, plotAxis, type PlotColours } from "../parts/Plot";

interface EffortChartProps {
  runs: Progress["runs"];
  trend: Trend | undefined;
  timeZone: string;
}

export function EffortChart({ runs, trend, timeZone }: EffortChartProps) {
  const draw = useCallback(
    (colours: PlotColours) => ({ data: dataOf(runs, trend, timeZone, colours), layout: layoutOf(colours) }),
    [runs, trend, timeZone],
  );
  return (
    <Plot
      label={t("Mean effort and attendance of {{count}} runs over time; the figures are in the table of runs.", {
        count: runs.length,
        defaultValue_one: "Mean effort and attendance of {{count}} run; the figures are in the table of runs.",
      })}
      height={300}
      draw={draw}
    />
  );
}

function dataOf(runs: Progress["runs"], trend: Trend | undefined, timeZone: string, { spruce, warm, quiet }: PlotColours): Data[] {
  const local = (ms: number) => DateTime.fromMillis(ms, { zone: timeZone }).toFormat("yyyy-MM-dd HH:mm");
  const names = runs.map((run) => run.sessionName);
  const felt = runs.filter((run) => run.meanEffort !== null);
  const ends = felt.length > 1 ? [felt[0]!, felt.at(-1)!] : [];
  return [
    {
      type: "bar",
      name: t("Came"),
      x: runs.map((run) => local(run.startedAtMs)),
      y: runs.map((run) => (run.present / Math.max(1, run.expected)) * 100),
      text: names,
      marker: { color: quiet, opacity: 0.5 },
      yaxis: "y2",
      hovertemplate: t("%{text}<br>%{y:.0f} % came<extra></extra>"),
      textposition: "none",
      width: 4 * 3600_000,
    },
    {
      type: "scatter",
      mode: "markers",
      name: t("Effort, mean of the run"),
      x: felt.map((run) => local(run.startedAtMs)),
      y: felt.map((run) => run.meanEffort),
      text: felt.map((run) => t("{{sessionName}}, {{answers}}", { sessionName: run.sessionName, answers: answersText(run.answers) })),
      marker: { color: spruce, size: 10 },
      hovertemplate: t("%{text}<br>effort %{y:.1f}<extra></extra>"),
    },
    ...(trend
      ? [
          {
            type: "scatter",
            mode: "lines",
            name: t("Trend"),
            x: ends.map((run) => local(run.startedAtMs)),
            y: ends.map((run) => trend.intercept + (trend.slope * run.startedAtMs) / 86_400_000),
            line: { color: warm, width: 3, dash: "dash" },
            hoverinfo: "skip",
          } as Data,
        ]
      : []),
  ];
}

function layoutOf(colours: PlotColours): Partial<Layout> {
  const axis = plotAxis(colours);
  return {
    legend: { orientation: "h", x: 1, xanchor: "right", y: 1.06, yanchor: "bottom" },
    xaxis: { ...axis, type: "date", tickformat: DAY_TICKS },
    yaxis: { ...axis, title: { text: t("Effort") }, domain: [0.36, 1], range: [0, 10], dtick: 2 },
    yaxis2: { ...axis, title: { text: t("Came, %") }, domain: [0, 0.24], range: [0, 100], dtick: 50 },
  };
}
