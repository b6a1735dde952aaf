/** A Plotly chart in the application's own ink; the library is loaded only where a chart is. */
import { Box } from "@mui/material";
import { useColorScheme } from "@mui/material/styles";
import type { Data, Layout } from "plotly.js-basic-dist-min";
import { useEffect, useRef } from "react";
import { MEASURES } from "../base/measures";

export interface PlotColours {
  ink: string;
  quiet: string;
  line: string;
  spruce: string;
  warm: string;
}

interface PlotProps {
  /** The chart in a sentence, for whoever cannot see it. */
  label: string;
  height: number;
  /** Has to be the same function as long as nothing changed. */
  draw(colours: PlotColours): { data: Data[]; layout: Partial<Layout> };
}

export function Plot({ label, height, draw }: PlotProps) {
  const place = useRef<HTMLDivElement>(null);
  const { mode } = useColorScheme();
  useEffect(() => {
    const node = place.current!;
    let gone = false;
    void import("plotly.js-basic-dist-min").then(({ default: plotly }) => {
      if (gone) return;
      const colours = coloursOf(node);
      const { data, layout } = draw(colours);
      void plotly.react(node, data, { ...base(colours), ...layout }, { displayModeBar: false, responsive: true });
    });
    return () => {
      gone = true;
    };
  }, [draw, mode]);
  useEffect(() => {
    const node = place.current!;
    return () => void import("plotly.js-basic-dist-min").then(({ default: plotly }) => plotly.purge(node));
  }, []);
  return <Box ref={place} role="img" aria-label={label} sx={{ height, width: "100%" }} />;
}

/** What every axis has in common. */
export function plotAxis({ quiet, line }: PlotColours): Partial<Layout["xaxis"]> {
  return { gridcolor: line, linecolor: line, zeroline: false, tickfont: { color: quiet }, fixedrange: true };
}

function coloursOf(node: HTMLElement): PlotColours {
  const style = getComputedStyle(node);
  const of = (name: string) => style.getPropertyValue(`--mui-palette-${name}`).trim();
  return { ink: of("text-primary"), quiet: of("text-secondary"), line: of("line"), spruce: of("primary-main"), warm: of("warm-main") };
}

function base({ ink }: PlotColours): Partial<Layout> {
  return {
    font: { family: '"Atkinson Hyperlegible Next Variable", sans-serif', size: 15, color: ink },
    paper_bgcolor: "rgba(0,0,0,0)",
    plot_bgcolor: "rgba(0,0,0,0)",
    margin: { l: 64, r: 16, t: 8, b: 36 },
    hovermode: "closest",
    separators: MEASURES.decimal === "comma" ? ",." : ".,",
  };
}
