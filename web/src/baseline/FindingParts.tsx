/** The parts of the findings: in words, range as fans, grip, and what changed since an earlier round. */
import { Box, Typography } from "@mui/material";
import { Check, Circle } from "lucide-react";
import {
  canBeCompared,
  changesBetween,
  expectedGripKg,
  gripOf,
  gripOfPeopleLike,
  MOTIONS,
  type BaselineRecord,
  type Finding,
  type MainHand,
} from "@kind-grip/core/baseline";
import { HAND_SIDES, type HandSide } from "@kind-grip/core/units";
import { massText } from "../base/measures";
import { t } from "../base/words";
import { useWords } from "../base/library";
import { SideMark } from "../parts/SideMark";
import { Why } from "../parts/Why";
import { SEX_NAMES } from "./LikeThemFields";
import { HeldAgainst } from "./HeldAgainst";
import { useNoise } from "./use-noise";
import { RangeFan } from "./RangeFan";
import { changeText, findingText, FUNCTION_TEST_NAMES, measureName, MOTION_NAMES } from "./finding-text";

export function Words({ findings }: { findings: Finding[] }) {
  const words = useWords();
  const counted = findings.filter(({ kind }) => kind !== "noise");
  const noise = findings.filter(({ kind }) => kind === "noise");
  const text = (finding: Finding) => findingText(finding, (region) => words.label("region", region));
  return (
    <Box component="section" aria-label={t("Findings")}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        {counted.length === 0
          ? t("Nothing stands out")
          : t("{{count}} things stand out", { count: counted.length, defaultValue_one: "1 thing stands out" })}
      </Typography>
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {counted.map((finding, i) => (
          <Box
            component="li"
            key={i}
            sx={{
              display: "grid",
              gridTemplateColumns: "34px 1fr",
              py: 0.75,
              borderTop: "1px solid",
              borderColor: "line",
              fontSize: "1.05rem",
            }}
          >
            <Box sx={{ pt: 0.25 }}>{"side" in finding && <SideMark side={finding.side} size={24} />}</Box>
            {text(finding)
              .replace(/^(Left|Right):? /, "")
              .replace(/^./, (letter) => letter.toUpperCase())}
          </Box>
        ))}
      </Box>
      {noise.length > 0 && (
        <Why
          label={t("{{count}} differences are only noise", { count: noise.length, defaultValue_one: "{{count}} difference is only noise" })}
        >
          {noise.map((finding, i) => (
            <Box key={i}>{text(finding)}</Box>
          ))}
        </Why>
      )}
    </Box>
  );
}

export function Fans({ record, before }: { record: BaselineRecord; before?: BaselineRecord }) {
  return (
    <Box
      component="section"
      aria-label={t("Range")}
      sx={{ display: "grid", gridTemplateColumns: "repeat(2, minmax(0, 1fr))", columnGap: 3, rowGap: 2 }}
    >
      {MOTIONS.map((motion) => {
        const angles = record.range[motion];
        return (
          <Box key={motion} sx={{ textAlign: "center" }}>
            <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: "2px" }}>
              {HAND_SIDES.map((side) => (
                <Box key={side}>
                  <Box sx={{ display: "flex", justifyContent: side === "left" ? "flex-end" : "flex-start" }}>
                    <RangeFan motion={motion} side={side} {...angles[side]} before={before?.range[motion][side].active} />
                  </Box>
                  <Typography sx={{ fontWeight: 750 }}>
                    {angles[side].active === null ? "–" : `${side === "left" ? "L" : "R"} ${angles[side].active}°`}
                  </Typography>
                </Box>
              ))}
            </Box>
            <Typography sx={{ fontSize: "0.95rem", lineHeight: 1.1 }}>{MOTION_NAMES[motion]}</Typography>
          </Box>
        );
      })}
      <Typography sx={{ fontSize: "0.9rem", color: "text.secondary", alignSelf: "center", textAlign: "left" }}>
        {t("Full colour: by oneself. Pale: with help. Dashed: full range. Warm tick: {{what}}.", {
          what: before ? t("the other round") : t("another round, when one is chosen"),
        })}
      </Typography>
    </Box>
  );
}

export function Grip({ record, before, mainHand }: { record: BaselineRecord; before?: BaselineRecord; mainHand: MainHand }) {
  const hands = HAND_SIDES.map((side) => ({
    side,
    grip: gripOf(record.grip[side].map(({ kg }) => kg)),
    last: before && gripOf(before.grip[side].map(({ kg }) => kg)),
  }));
  const like = canBeCompared(mainHand) ? record.likeThem : null;
  const spreads = like && { left: gripOfPeopleLike(like, "left"), right: gripOfPeopleLike(like, "right") };
  const most = Math.max(
    spreads ? spreads.right.meanKg + spreads.right.sdKg : 20,
    ...hands.flatMap(({ grip, last }) => [grip?.bestKg ?? 0, last?.meanKg ?? 0]),
  );
  const { test, left, right } = record.functionTest;
  if (hands.every(({ grip }) => !grip) && !test) return null;
  return (
    <Box
      component="section"
      aria-label={t("Grip and function")}
      sx={{
        borderTop: "2px solid",
        borderColor: "line",
        pt: 2,
        display: "grid",
        gridTemplateColumns: "1fr",
        columnGap: 5,
        rowGap: 2,
      }}
    >
      <Box>
        <Typography variant="h2" sx={{ mb: 1 }}>
          {t("Grip")}
        </Typography>
        {hands.map(({ side, grip, last }) => (
          <Box key={side} sx={{ display: "grid", gridTemplateColumns: "34px 1fr 150px", columnGap: 1.5, alignItems: "center", mb: 0.75 }}>
            <SideMark side={side} size={30} />
            <Box sx={{ position: "relative", height: 30 }}>
              {grip && (
                <Box
                  className="keeps-colour"
                  sx={{ width: `${(grip.meanKg / most) * 100}%`, height: "100%", bgcolor: `hand.${side}`, borderRadius: 1 }}
                />
              )}
              {spreads && (
                <Box
                  aria-hidden
                  className="keeps-colour"
                  sx={{
                    position: "absolute",
                    left: `${((spreads[side].meanKg - spreads[side].sdKg) / most) * 100}%`,
                    width: `${((2 * spreads[side].sdKg) / most) * 100}%`,
                    bottom: -5,
                    height: 6,
                    borderRadius: 1,
                    bgcolor: "text.primary",
                  }}
                />
              )}
              {last && (
                <Box
                  aria-hidden
                  sx={{
                    position: "absolute",
                    left: `${(last.meanKg / most) * 100}%`,
                    top: -4,
                    bottom: -4,
                    borderLeft: "4px solid",
                    borderColor: "warm.main",
                  }}
                />
              )}
            </Box>
            <Typography>
              <strong>{grip ? massText(grip.meanKg, 1) : t("not measured")}</strong>
              {grip && t(", spread {{spread}} %", { spread: Math.round(grip.spread * 100) })}
            </Typography>
          </Box>
        ))}
        <ByMainHand hands={hands} mainHand={mainHand} />
        {like && spreads && (
          <Typography sx={{ color: "text.secondary", mt: 0.5 }}>
            {t(
              "Dark line: where about two of three {{who}} of {{age}} lie, right {{rightLow}} to {{rightHigh}}, left {{leftLow}} to {{leftHigh}} (Mathiowetz and others 1985). To look at, no verdict.",
              {
                who: SEX_NAMES[like.sex].toLowerCase(),
                age: like.age,
                rightLow: massText(spreads.right.meanKg - spreads.right.sdKg, 0),
                rightHigh: massText(spreads.right.meanKg + spreads.right.sdKg, 0),
                leftLow: massText(spreads.left.meanKg - spreads.left.sdKg, 0),
                leftHigh: massText(spreads.left.meanKg + spreads.left.sdKg, 0),
              },
            )}
          </Typography>
        )}
      </Box>
      {test && (
        <Box>
          <Typography variant="h2" sx={{ mb: 1 }}>
            {FUNCTION_TEST_NAMES[test]}
          </Typography>
          <Typography sx={{ display: "flex", gap: 1.5, alignItems: "center", fontSize: "1.2rem" }}>
            <SideMark side="left" size={30} /> <strong>{left ?? "–"}</strong> {t("of 10")} <SideMark side="right" size={30} />{" "}
            <strong>{right ?? "–"}</strong> {t("of 10")}
          </Typography>
        </Box>
      )}
    </Box>
  );
}

interface ByMainHandProps {
  hands: readonly { side: HandSide; grip?: { meanKg: number } }[];
  mainHand: MainHand;
}

/** What the one hand lets expect of the other, always told: hands are no two of a kind. */
function ByMainHand({ hands, mainHand }: ByMainHandProps) {
  const [left, right] = hands.map(({ grip }) => grip?.meanKg);
  if (left === undefined || right === undefined) return null;
  return (
    <Typography sx={{ mt: 1 }}>
      {mainHand === "right"
        ? t("Right-handed people have about a tenth more in the right: {{right}} right lets expect {{expected}} left.", {
            right: massText(right, 1),
            expected: massText(expectedGripKg("left", right, mainHand), 1),
          })
        : mainHand === null
          ? t("The main hand is not known: both hands are expected about equal.")
          : t("Of people who are not right-handed both hands are about equal.")}
    </Typography>
  );
}

export function Changes({ before, after }: { before: BaselineRecord; after: BaselineRecord }) {
  const changes = changesBetween(before, after, useNoise());
  if (changes.length === 0) return null;
  const real = changes.filter(({ verdict }) => verdict !== "noise");
  const line = (change: (typeof changes)[number]) => (
    <Box
      component="li"
      key={`${change.measure} ${change.side}`}
      sx={{
        display: "grid",
        gridTemplateColumns: "26px 24px minmax(0, 1fr) minmax(0, 1.2fr)",
        columnGap: 1.25,
        alignItems: "center",
        py: 0.5,
        borderTop: "1px solid",
        borderColor: "line",
      }}
    >
      {change.verdict === "better" ? <Check size={19} aria-hidden /> : <Circle size={15} aria-hidden />}
      <SideMark side={change.side} size={24} />
      <span>{measureName(change.measure)}</span>
      <Box
        component="span"
        sx={{
          fontWeight: change.verdict === "noise" ? 500 : 700,
          color: change.verdict === "worse" ? "warm.dark" : change.verdict === "better" ? "primary.main" : "text.secondary",
        }}
      >
        {changeText(change)}
      </Box>
    </Box>
  );
  return (
    <Box component="section" aria-label={t("Compared")} sx={{ borderTop: "2px solid", borderColor: "line", pt: 2 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        {real.length === 0
          ? t("No change beyond noise")
          : t("{{real}} of {{changes}} changed beyond noise", { real: real.length, changes: changes.length })}
      </Typography>
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0, maxWidth: 820 }}>
        {real.map(line)}
      </Box>
      {real.length < changes.length && (
        <Why label={t("{{changes}} within noise", { changes: changes.length - real.length })}>
          <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
            {changes.filter(({ verdict }) => verdict === "noise").map(line)}
          </Box>
        </Why>
      )}
      <HeldAgainst />
    </Box>
  );
}
