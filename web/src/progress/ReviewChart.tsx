/** A block day by day on one time axis: hand work of the job above, the exercise under it, how mornings and efforts went. */
import type { Data, Layout } from "plotly.js-basic-dist-min";
import { useCallback } from "react";
import type { ReviewAnswer } from "@kind-grip/core/followup";
import { DAY_TICKS } from "../base/dates";
import { answersText } from "../base/amounts";
import { t } from "../base/words";
import { Plot, plotAxis, type PlotColours } from "../parts/Plot";

interface ReviewChartProps {
  days: ReviewAnswer["days"];
  /** Day → strain index of the job's work in the harder hand; empty while the work is not described. */
  strain: ReadonlyMap<string, number>;
}

export function ReviewChart({ days, strain }: ReviewChartProps) {
  const draw = useCallback(
    (colours: PlotColours) => ({ data: dataOf(days, strain, colours), layout: layoutOf(strain.size > 0, colours) }),
    [days, strain],
  );
  return (
    <Plot
      label={t("Day by day: strain of the work, minutes of exercise a person, mean effort and mean morning level on {{count}} days.", {
        count: days.length,
        defaultValue_one: "Strain of the work, minutes of exercise a person, mean effort and mean morning level on {{count}} day.",
      })}
      height={420}
      draw={draw}
    />
  );
}

function dataOf(days: ReviewAnswer["days"], strain: ReadonlyMap<string, number>, { quiet, spruce, warm, ink }: PlotColours): Data[] {
  const x = days.map(({ day }) => day);
  return [
    {
      type: "bar",
      name: t("Strain of the work"),
      x: [...strain.keys()],
      y: [...strain.values()],
      yaxis: "y3",
      marker: { color: quiet, opacity: 0.5 },
      hovertemplate: t("%{x|%a %-d %b}<br>strain index %{y:.1f}<extra></extra>"),
    },
    {
      type: "bar",
      name: t("Exercise, min a person"),
      x,
      y: days.map(({ minPerPerson }) => minPerPerson),
      yaxis: "y2",
      marker: { color: spruce },
      hovertemplate: t("%{x|%a %-d %b}<br>%{y:.1f} min a person<extra></extra>"),
    },
    {
      type: "scatter",
      mode: "lines+markers",
      name: t("Effort, mean"),
      x,
      y: days.map(({ meanEffort }) => meanEffort),
      line: { color: ink, width: 2 },
      marker: { size: 6 },
      hovertemplate: t("%{x|%a %-d %b}<br>effort %{y:.1f}<extra></extra>"),
    },
    {
      type: "scatter",
      mode: "lines+markers",
      name: t("Morning, mean"),
      x: days.filter(({ mornings }) => mornings > 0).map(({ day }) => day),
      y: days.filter(({ mornings }) => mornings > 0).map(({ meanMorning }) => meanMorning),
      text: days.filter(({ mornings }) => mornings > 0).map(({ mornings }) => answersText(mornings)),
      line: { color: warm, width: 3 },
      marker: { size: 7 },
      hovertemplate: t("%{x|%a %-d %b}<br>morning %{y:.1f}, %{text}<extra></extra>"),
    },
  ];
}

function layoutOf(withWork: boolean, colours: PlotColours): Partial<Layout> {
  const axis = plotAxis(colours);
  const tops = withWork
    ? { work: [0.76, 1], exercise: [0.44, 0.68], felt: [0, 0.36] }
    : { work: [0.99, 1], exercise: [0.58, 0.94], felt: [0, 0.46] };
  return {
    legend: { orientation: "h", x: 1, xanchor: "right", y: 1.04, yanchor: "bottom" },
    xaxis: { ...axis, type: "date", tickformat: DAY_TICKS },
    yaxis: { ...axis, title: { text: "0–10" }, domain: tops.felt, range: [0, 6], dtick: 2 },
    yaxis2: { ...axis, title: { text: t("min") }, domain: tops.exercise, rangemode: "tozero" },
    yaxis3: { ...axis, title: { text: t("index") }, domain: tops.work, rangemode: "tozero", visible: withWork },
    bargap: 0.25,
  };
}
