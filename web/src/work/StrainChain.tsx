/**
 * The index of one effort as a chain of its five factors: the thicker a link, the more it multiplies. The link whose change would
 * help most stands out.
 */
import { Box } from "@mui/material";
import type { Factor, StrainIndex } from "@kind-grip/core/strain";
import { RAISED_STRAIN } from "@kind-grip/core/strain";
import { fixedText, numberText } from "../base/measures";
import { t } from "../base/words";
import { strainText } from "./strain-text";

const NAMES: Readonly<Record<Factor, string>> = {
  effort: t("how hard"),
  rate: t("how often"),
  duration: t("how long"),
  posture: t("wrist"),
  hours: t("hours"),
};

export function givenText(factor: Factor, given: number): string {
  const figure = numberText(given, 1);
  switch (factor) {
    case "effort":
      return t("{{figure}} of 10", { figure });
    case "rate":
      return t("{{figure}} a min", { figure });
    case "duration":
      return `${figure} s`;
    case "posture":
      return given === 0 ? t("straight") : given > 0 ? t("{{given}}° bent", { given }) : t("{{given}}° back", { given: -given });
    case "hours":
      return `${figure} h`;
  }
}

const LINK = { width: 112, height: 92 };
const OVERLAP = 14;
/** Thicker, a ring would close over its figures. */
const THICKEST = 16;

interface StrainChainProps {
  strain: StrainIndex;
  /** The factor to change first. */
  weakest?: Factor;
  side: "left" | "right" | "both";
}

export function StrainChain({ strain, weakest, side }: StrainChainProps) {
  const step = LINK.width - OVERLAP;
  const width = step * strain.chain.length + 118;
  const raised = strain.value > RAISED_STRAIN;
  const told = strain.chain.map(({ factor, given, multiplier }) =>
    t("{{names}} {{factor}} times {{multiplier}}", {
      names: NAMES[factor],
      factor: givenText(factor, given),
      multiplier: fixedText(multiplier, 2),
    }),
  );
  return (
    <Box
      component="svg"
      viewBox={`0 0 ${width} ${LINK.height + 26}`}
      role="img"
      aria-label={t("Strain index {{strain}}: {{told}}", { strain: strainText(strain.value), told: told.join(", ") })}
      sx={{ width: "100%", maxWidth: 660, display: "block", fontFamily: "inherit", overflow: "visible" }}
    >
      {strain.chain.map(({ factor, given, multiplier }, i) => {
        const x = i * step;
        const chosen = factor === weakest;
        const thick = Math.min(THICKEST, 2.5 + 4.2 * Math.log2(1 + multiplier));
        return (
          <g key={factor}>
            <Box
              component="rect"
              x={x + 9}
              y={14}
              width={LINK.width - 18}
              height={LINK.height - 22}
              rx={(LINK.height - 22) / 2}
              sx={{
                fill: "none",
                stroke: (theme) => (chosen ? theme.vars!.palette.warm.main : theme.vars!.palette.hand[side]),
                strokeWidth: thick,
                opacity: chosen ? 1 : 0.75,
              }}
            />
            <Text x={x + LINK.width / 2} y={46} size={17} weight={750}>
              {givenText(factor, given)}
            </Text>
            <Text x={x + LINK.width / 2} y={66} size={15}>
              × {fixedText(multiplier, 2)}
            </Text>
            <Text x={x + LINK.width / 2} y={LINK.height + 18} size={15} weight={chosen ? 750 : 500} warm={chosen}>
              {NAMES[factor]}
            </Text>
          </g>
        );
      })}
      <Text x={step * strain.chain.length + 66} y={64} size={strain.value < 1000 ? 36 : 26} weight={800} warm={raised}>
        {strainText(strain.value)}
      </Text>
      <Text x={step * strain.chain.length + 66} y={LINK.height + 18} size={15} weight={650} warm={raised}>
        {raised ? t("raised") : t("below 10")}
      </Text>
    </Box>
  );
}

function Text({
  x,
  y,
  size,
  weight = 500,
  warm = false,
  children,
}: {
  x: number;
  y: number;
  size: number;
  weight?: number;
  warm?: boolean;
  children: React.ReactNode;
}) {
  return (
    <Box
      component="text"
      x={x}
      y={y}
      textAnchor="middle"
      sx={{
        fontSize: size,
        fontWeight: weight,
        fill: (theme) => (warm ? theme.vars!.palette.warm.dark : theme.vars!.palette.text.primary),
      }}
    >
      {children}
    </Box>
  );
}
