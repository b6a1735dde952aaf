/** All opinions of one task, why they differ, and the change that helps most by all of them. */
import { Box, Typography } from "@mui/material";
import { isEqual } from "es-toolkit";
import { adviceOfAll, opinionsOfTask, verdictAt, whyApart, type Task, type Weighed } from "@kind-grip/core/strain";
import { HAND_SIDES, type HandSide } from "@kind-grip/core/units";
import { listText } from "../base/measures";
import { sideWord, t } from "../base/words";
import { Why } from "../parts/Why";
import { Opinions } from "./Opinions";
import { APART_TEXT, METHOD_NAMES, VERDICT_NAMES } from "./opinion-text";
import { givenText } from "./StrainChain";

export function TaskOpinions({ task, hours }: { task: Task; hours: number }) {
  const hands = HAND_SIDES.map((side) => ({ side, opinions: opinionsOfTask(task, side, hours) })).filter(({ opinions }) =>
    opinions.some(({ of }) => !("silent" in of && of.silent === "noEfforts")),
  );
  const alike =
    hands.length === 2 &&
    isEqual(
      hands[0]!.opinions.map(({ of }) => of),
      hands[1]!.opinions.map(({ of }) => of),
    );
  const told = alike ? hands.slice(0, 1) : hands;
  return (
    <Box
      component="section"
      aria-label={t("Opinions of this task")}
      sx={{ borderTop: "2px solid", borderColor: "line", pt: 2, mb: 2, display: "grid", gap: 1.5 }}
    >
      <Opinions hands={hands} />
      {told.map(({ side }) => (
        <OfHand key={side} task={task} side={side} hours={hours} name={told.length === 1 ? null : sideWord(side)} />
      ))}
    </Box>
  );
}

function OfHand({ task, side, hours, name }: { task: Task; side: HandSide; hours: number; name: string | null }) {
  const apart = whyApart(task, side, hours);
  const advice = adviceOfAll(task, side, hours);
  const others = advice?.byMethod.filter(({ best }) => best !== advice.first) ?? [];
  return (
    <Box sx={{ display: "grid", gap: 0.5 }}>
      {apart.map(({ calmer, stricter, because }) => (
        <Typography key={calmer}>
          {name && <strong>{t("{{name}} hand: ", { name })}</strong>}
          {t("{{stricter}} is stricter than {{calmer}} because of {{because}}.", {
            stricter: METHOD_NAMES[stricter],
            calmer: METHOD_NAMES[calmer],
            because: APART_TEXT[because],
          })}
        </Typography>
      ))}
      {advice && (
        <Typography>
          <strong>{name ? t("Change first, {{name}} hand:", { name }) : t("Change first:")}</strong> {changeText(task, advice.first)}.{" "}
          {effectText(advice.first)}
        </Typography>
      )}
      {others.length > 0 && (
        <Why label={name ? t("What helps most by each method, {{name}} hand", { name }) : t("What helps most by each method")}>
          {others.map(({ methods, best }) => (
            <Box key={methods[0]} component="span" sx={{ display: "block" }}>
              <strong>{listText(methods.map((method) => METHOD_NAMES[method]))}</strong>: {changeText(task, best)}. {effectText(best)}
            </Box>
          ))}
        </Why>
      )}
    </Box>
  );
}

function changeText(task: Task, { change }: Weighed): string {
  const effort = task.efforts.find(({ id }) => id === change.effortId);
  const of = effort && task.efforts.length > 1 ? ` (${effort.name})` : "";
  const { factor } = change;
  if (factor === "fewerLonger") return t("half as many efforts, each twice as long{{of}}", { of });
  const given = factor === "lighterMoreOften" ? "effort" : factor;
  return t("{{what}}{{of}}: {{from}} → {{to}}", {
    what: CHANGES[factor],
    of,
    from: givenText(given, change.from),
    to: givenText(given, change.to),
  });
}

const CHANGES = {
  effort: t("one point less effort"),
  rate: t("a quarter fewer efforts"),
  duration: t("a quarter shorter efforts"),
  posture: t("a straight wrist"),
  hours: t("a quarter fewer hours"),
  lighterMoreOften: t("the same work lighter and more often"),
} as const;

/** Less on the shared scale is no effect worth a word. */
const NOTICED = 0.02;

/** What a change does to each opinion: better, worse, or nothing. */
function effectText({ places }: Weighed): string {
  const of = (list: typeof places) =>
    listText(
      list.map(({ method, before, after }) => {
        const [was, is] = [verdictAt(before), verdictAt(after)];
        return was === is ? METHOD_NAMES[method] : `${METHOD_NAMES[method]} (${VERDICT_NAMES[was]} → ${VERDICT_NAMES[is]})`;
      }),
    );
  const helped = places.filter(({ before, after }) => before - after > NOTICED);
  const hurt = places.filter(({ before, after }) => after - before > NOTICED);
  return [helped.length > 0 && t("Helps {{list}}.", { list: of(helped) }), hurt.length > 0 && t("It costs {{list}}.", { list: of(hurt) })]
    .filter(Boolean)
    .join(" ");
}
