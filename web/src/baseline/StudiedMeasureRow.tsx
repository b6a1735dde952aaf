/** One measure of a repeat study: each hand of each person a mark where the second reading lies from the first, and what counts. */
import { Box, Typography } from "@mui/material";
import type { MeasuringEntry } from "@kind-grip/core/api";
import { countsFrom, LEAST_PEOPLE, USUAL_NOISE, type Measure, type OwnNoise } from "@kind-grip/core/baseline";
import { HAND_SIDES } from "@kind-grip/core/units";
import { numberText } from "../base/measures";
import { peopleText } from "../base/amounts";
import { sideWord, t } from "../base/words";
import { PictureRow } from "../parts/PictureRow";
import { measureName, valueText } from "./finding-text";

type Studied = MeasuringEntry["found"][number];

interface StudiedMeasureRowProps {
  measure: Measure;
  /** Undefined while nobody has it in both sittings. */
  studied?: Studied;
  /** Of the practice, where it was chosen. */
  used?: OwnNoise;
}

/** Of the drawing, in its own units. */
const [WIDTH, HEIGHT] = [420, 76];
const MIDDLE = WIDTH / 2;
const LANES = { left: 24, right: 50 } as const;

/** @param value may be a share of a step: two digits of a degree say more than there is */
const fine = (measure: Measure, value: number) =>
  measure === "grip" ? valueText(measure, value) : `${numberText(value, 1)}${measure === "function" ? "" : "°"}`;

export function StudiedMeasureRow({ measure, studied, used }: StudiedMeasureRowProps) {
  const typical = studied ? middleOf(studied) : 0;
  const usual = countsFrom(USUAL_NOISE, measure, typical);
  const own = studied?.own;
  return (
    <PictureRow
      name={<Typography variant="h3">{measureName(measure)}</Typography>}
      about={
        studied
          ? own
            ? peopleText(studied.people)
            : t("{{people}} of {{least}} people", { people: studied.people, least: LEAST_PEOPLE })
          : t("nobody twice")
      }
      picture={studied && <Differences studied={studied} usual={usual} own={own && countsFrom({ [measure]: own }, measure, typical)} />}
    >
      <Typography sx={{ fontWeight: 700 }}>
        {used
          ? t("Counts from {{own}}, your own noise", { own: fine(measure, countsFrom({ [measure]: used }, measure, typical)) })
          : t("Counts from {{usual}}, the usual rule", { usual: fine(measure, usual) })}
      </Typography>
      {own && (
        <Typography>
          {t("A reading is {{error}} off as a rule ({{low}} to {{high}}).", {
            error: fine(measure, own.standardError),
            low: fine(measure, own.low),
            high: fine(measure, own.high),
          })}
          {!used &&
            ` ${t("By your own noise it would count from {{counts}}.", { counts: fine(measure, countsFrom({ [measure]: own }, measure, typical)) })}`}
        </Typography>
      )}
      {studied?.isShifted && (
        <Typography sx={{ color: "warm.dark" }}>
          {studied.shift > 0
            ? t("The second sitting reads {{shift}} higher, more than chance: were they measured the same way?", {
                shift: fine(measure, studied.shift),
              })
            : t("The second sitting reads {{shift}} lower, more than chance: were they measured the same way?", {
                shift: fine(measure, -studied.shift),
              })}
        </Typography>
      )}
    </PictureRow>
  );
}

/** The mean of all first readings: what a share of the value is told of. */
function middleOf({ values }: Studied): number {
  return values.reduce((sum, { first }) => sum + first, 0) / values.length;
}

interface DifferencesProps {
  studied: Studied;
  usual: number;
  own?: number;
}

/** Left hands above, right hands below; the band is what does not count by the own noise, the dashed lines by the usual rule. */
function Differences({ studied: { measure, values }, usual, own }: DifferencesProps) {
  const widest = Math.max(usual, own ?? 0, ...values.map(({ first, second }) => Math.abs(second - first))) * 1.12;
  const x = (difference: number) => MIDDLE + (difference / widest) * (MIDDLE - 10);
  const beyond = values.filter(({ first, second }) => Math.abs(second - first) >= (own ?? usual)).length;
  const said = t("{{measure}}: {{count}} readings taken twice, {{beyond}} of them apart by {{counts}} or more.", {
    measure: measureName(measure),
    count: values.length,
    defaultValue_one: "{{measure}}: {{count}} reading taken twice, {{beyond}} apart by {{counts}} or more.",
    beyond,
    counts: fine(measure, own ?? usual),
  });
  return (
    <Box component="svg" viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={said} sx={{ width: "100%", display: "block" }}>
      <title>{said}</title>
      {own !== undefined && (
        <Box
          component="rect"
          className="keeps-colour"
          x={x(-own)}
          y={8}
          width={x(own) - x(-own)}
          height={56}
          rx={6}
          sx={{ fill: (theme) => theme.vars!.palette.primary.light }}
        />
      )}
      {[-usual, usual].map((at) => (
        <Box
          component="line"
          key={at}
          x1={x(at)}
          x2={x(at)}
          y1={4}
          y2={68}
          sx={{ stroke: (theme) => theme.vars!.palette.edge, strokeWidth: 2, strokeDasharray: "4 4" }}
        />
      ))}
      <Box
        component="line"
        x1={MIDDLE}
        x2={MIDDLE}
        y1={4}
        y2={68}
        sx={{ stroke: (theme) => theme.vars!.palette.text.primary, strokeWidth: 1.5 }}
      />
      {HAND_SIDES.map((side) => (
        <Box component="g" key={side} className="keeps-colour" sx={{ color: `hand.${side}` }}>
          {values
            .filter((value) => value.side === side)
            .map(({ person, first, second }) => (
              <circle
                key={person}
                cx={x(second - first)}
                // Marks of one value stand beside each other, not on each other.
                cy={LANES[side] + ((person % 5) - 2) * 3.2}
                r={4.2}
                fill={side === "right" ? "currentColor" : "none"}
                stroke="currentColor"
                strokeWidth={2}
              >
                <title>{`${sideWord(side)}: ${fine(measure, first)} → ${fine(measure, second)}`}</title>
              </circle>
            ))}
        </Box>
      ))}
    </Box>
  );
}
