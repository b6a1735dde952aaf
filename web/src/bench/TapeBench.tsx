/** Thumb support tape: strip, strips a roll, rolls a month, and the cut drawn to scale for printing. */
import { Box, Button, Typography } from "@mui/material";
import { Printer } from "lucide-react";
import { useState } from "react";
import { CORNER_MM, HALVES, MOST_WEAR_DAYS, tapePlan, type TapePlan } from "@kind-grip/core/kit";
import { t } from "../base/words";
import { useWords } from "../base/library";
import { Stepper } from "../parts/Stepper";

export function TapeBench() {
  const words = useWords();
  const [thumb, setThumb] = useState(70);
  const [wrist, setWrist] = useState(230);
  const [anchor, setAnchor] = useState(100);
  const [roll, setRoll] = useState(5);
  const [width, setWidth] = useState(50);
  const [hands, setHands] = useState(9);
  const [days, setDays] = useState<number>(MOST_WEAR_DAYS);
  const plan = tapePlan(
    { roundThumbMm: thumb, toAndRoundWristMm: wrist, anchorMm: anchor },
    { lengthM: roll, widthMm: width },
    hands,
    days,
  );
  return (
    <Box sx={{ display: "grid", gap: 3 }}>
      <Box sx={{ display: "flex", gap: 2, flexWrap: "wrap", "@media print": { display: "none" } }}>
        <Stepper label={t("Round the thumb")} unit="mm" value={thumb} min={30} max={140} onChange={setThumb} />
        <Stepper label={t("Thumb base to and round wrist")} unit="mm" value={wrist} min={100} max={400} step={5} onChange={setWrist} />
        <Stepper label={t("Anchor")} unit="mm" value={anchor} min={0} max={300} step={5} onChange={setAnchor} />
        <Stepper label={t("Roll")} unit="m" value={roll} min={1} max={50} step={0.5} onChange={setRoll} />
        <Stepper label={t("Width")} unit="mm" value={width} min={20} max={100} step={5} onChange={setWidth} />
        <Stepper label={t("Hands to tape")} value={hands} min={1} max={200} onChange={setHands} />
        <Stepper label={t("Worn for")} unit="d" value={days} min={1} max={MOST_WEAR_DAYS} onChange={setDays} />
      </Box>
      <Box sx={{ display: "flex", gap: 5, flexWrap: "wrap", alignItems: "baseline" }}>
        <Figure value={plan.stripMm} unit={t("mm of roll a hand")} />
        <Figure value={plan.perRoll} unit={t("hands a roll")} />
        <Figure value={Number.isFinite(plan.rollsPerMonth) ? plan.rollsPerMonth : "–"} unit={t("rolls a month")} />
        <Button
          variant="outlined"
          startIcon={<Printer size={20} />}
          onClick={() => print()}
          sx={{ ml: "auto", "@media print": { display: "none" } }}
        >
          {t("Print the cut to scale")}
        </Button>
      </Box>
      <CutDrawing plan={plan} anchorMm={anchor} widthMm={width} />
      <Typography sx={{ color: "text.secondary", maxWidth: 760 }}>
        {t("Not over broken skin. Off at itching, whitening or tingling, off after {{mostWearDays}} days at the latest. {{paper}}", {
          mostWearDays: MOST_WEAR_DAYS,
          paper: words.paper("prevention"),
        })}
      </Typography>
    </Box>
  );
}

function Figure({ value, unit }: { value: number | string; unit: string }) {
  return (
    <Typography component="p">
      <Box component="span" sx={{ fontSize: "2.8rem", fontWeight: 800, lineHeight: 1 }}>
        {value}
      </Box>{" "}
      {unit}
    </Typography>
  );
}

const GAP = 8;
/** Half of an A4 page's printable length: a longer half is drawn folded there. */
const PAGE_MM = 180;

/** One millimetre on paper is one millimetre of tape. */
function CutDrawing({ plan, anchorMm, widthMm }: { plan: TapePlan; anchorMm: number; widthMm: number }) {
  const pieces = [
    ...Array.from({ length: HALVES }, (_, i) => ({ name: t("half {{i}}", { i: i + 1 }), mm: plan.halfMm, wide: plan.halfWidthMm })),
    ...(anchorMm > 0 ? [{ name: "anchor", mm: anchorMm, wide: widthMm }] : []),
  ];
  const rows = pieces.flatMap((piece) => {
    const parts = Math.ceil(piece.mm / PAGE_MM);
    return Array.from({ length: parts }, (_, part) => ({ ...piece, part, parts, shown: Math.min(PAGE_MM, piece.mm - part * PAGE_MM) }));
  });
  const height = rows.reduce((sum, { wide }) => sum + wide + GAP + 6, 10);
  const tops = rows.map((_, i) => rows.slice(0, i).reduce((sum, { wide }) => sum + wide + GAP + 6, 6));
  return (
    <Box
      component="svg"
      viewBox={`0 0 ${PAGE_MM + 4} ${height}`}
      role="img"
      aria-label={t("Cutting drawing: {{halves}} halves of {{halfMm}} mm by {{halfWidthMm}} mm, anchor {{anchorMm}} mm", {
        halves: HALVES,
        halfMm: plan.halfMm,
        halfWidthMm: plan.halfWidthMm,
        anchorMm,
      })}
      sx={{
        width: { xs: "100%", md: `${(PAGE_MM + 4) * 3.6}px` },
        display: "block",
        bgcolor: "background.paper",
        borderRadius: 2,
        "@media print": { width: `${PAGE_MM + 4}mm`, height: `${height}mm` },
      }}
    >
      {rows.map(({ name, mm, wide, part, parts, shown }, i) => (
        <g key={`${name} ${part}`} transform={`translate(2 ${tops[i]!})`}>
          <rect
            width={shown}
            height={wide}
            rx={part === 0 && parts === 1 ? CORNER_MM : 0}
            fill="none"
            stroke="var(--mui-palette-text-primary)"
            strokeWidth={0.5}
            strokeDasharray={parts > 1 ? "3 1.5" : undefined}
          />
          <text x={3} y={wide / 2 + 2} fontSize={5.5} fill="var(--mui-palette-text-primary)">
            {parts > 1
              ? t("{{name}}: {{mm}} × {{wide}} mm, part {{part}} of {{parts}}, corners round", { name, mm, wide, part: part + 1, parts })
              : t("{{name}}: {{mm}} × {{wide}} mm, corners round", { name, mm, wide })}
          </text>
        </g>
      ))}
    </Box>
  );
}
