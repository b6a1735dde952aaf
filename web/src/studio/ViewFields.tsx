/** How the picture is taken: what is shown, from where, what is enlarged, which arrows say what a still cannot. */
import { Box, MenuItem, TextField } from "@mui/material";
import { FOCUSES, PROP_KINDS, VIEW_NAMES, type Figure, type PropKind, type Sign, type ViewName } from "@kind-grip/core/figure";
import { t } from "../base/words";
import { VIEW_LABEL } from "../figure/view-names";
import { Toggle } from "../parts/Toggle";

const PROP_LABELS: Readonly<Record<PropKind, string>> = {
  table: "Table",
  thigh: t("Thigh"),
  wall: t("Wall"),
  towel: t("Rolled towel"),
  towelTwist: t("Rolled towel in both hands"),
  dumbbell: t("Dumbbell"),
  dumbbellEnd: t("Dumbbell, held at the end"),
  hammer: t("Hammer"),
  dowel: t("Dowel"),
  bottle: t("Bottle"),
  bandRound: t("Band round the fingers"),
  bandPinch: t("Band round thumb and first finger"),
  paper: t("Sheet of paper between two fingers"),
  bandPull: t("Band to the floor"),
  ball: t("Ball in the hand"),
  ballOnTable: t("Ball under the forearm"),
  bigBall: t("Big ball"),
  plate: t("Plate"),
  bar: t("Bar"),
  roller: t("Roller on the forearm"),
  edge: t("Edge tool"),
  phone: t("Phone"),
  tape: t("Tape on the thumb"),
};

type Enlarged = "none" | "worked" | "helping" | "both" | "each";
const ENLARGED: readonly (readonly [Enlarged, string])[] = [
  ["none", t("Nothing")],
  ["worked", t("The working hand")],
  ["helping", t("The other hand")],
  ["both", t("Both hands in one circle")],
  ["each", t("Each hand in its own circle")],
];
const TURNS: readonly (readonly [string, string])[] = [
  ["none", t("Nothing")],
  ["forearm", t("The forearm")],
  ["head", t("The head")],
  ["trunk", t("The trunk")],
];
/** Forces a picture can show, with the way they go as seen on the right side. */
const FORCES: readonly { value: string; label: string; sign: Sign | null }[] = [
  { value: "none", label: t("None"), sign: null },
  { value: "pullAway", label: t("The hand is drawn forward"), sign: { kind: "pull", hand: "worked", at: "fingertips", way: [0, 0, 1] } },
  { value: "pressDown", label: t("The hand presses down"), sign: { kind: "press", hand: "worked", at: "knuckles", way: [0, -1, 0] } },
  {
    value: "helperDown",
    label: t("The other hand presses down"),
    sign: { kind: "press", hand: "helping", at: "knuckles", way: [0, -1, 0] },
  },
  { value: "helperUp", label: t("The other hand lifts"), sign: { kind: "press", hand: "helping", at: "fingertips", way: [0, 1, 0] } },
  {
    value: "helperBack",
    label: t("The other hand draws back"),
    sign: { kind: "pull", hand: "helping", at: "backOfHand", way: [0, 0, -1] },
  },
  { value: "apart", label: t("The hands pull apart"), sign: { kind: "pull", hand: "both", at: "wrist", way: [-1, 0, 0] } },
];
const sameForce = (a: Sign, b: Sign | null) =>
  b !== null && a.kind !== "turn" && b.kind !== "turn" && a.kind === b.kind && a.hand === b.hand && a.at === b.at;

export function ViewFields({ figure, onChange }: { figure: Figure; onChange(change: Partial<Figure>): void }) {
  const select = (label: string, value: string, options: readonly (readonly [string, string])[], set: (value: string) => void) => (
    <TextField select label={label} value={value} onChange={(event) => set(event.target.value)}>
      {options.map(([key, name]) => (
        <MenuItem key={key} value={key}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
  const turn = figure.signs?.find((sign) => sign.kind === "turn");
  const force = figure.signs?.find((sign) => sign.kind !== "turn");
  const setSign = (which: "turn" | "force", sign: Sign | null) => {
    const others = (figure.signs ?? []).filter((each) => (each.kind === "turn") !== (which === "turn"));
    onChange({ signs: sign ? [...others, sign] : others });
  };
  return (
    <Box sx={{ display: "grid", gap: 2 }}>
      <Box>
        <Toggle
          label={t("Both hands do the same")}
          pressed={figure.both}
          onChange={(both) =>
            onChange({
              both,
              poses: both
                ? figure.poses.map((pose) => ({ ...pose, left: pose.right ?? pose.left, right: pose.right ?? pose.left }))
                : figure.poses,
            })
          }
        />
      </Box>
      {select(
        t("Shown"),
        figure.focus,
        FOCUSES.map((focus) => [
          focus,
          {
            hand: t("The hand"),
            forearm: t("Hand and forearm"),
            arm: t("The whole arm"),
            bust: t("Head and shoulders"),
            upper: t("The upper body"),
            whole: t("The whole person"),
          }[focus],
        ]),
        (focus) => onChange({ focus: focus as Figure["focus"] }),
      )}
      {select(
        t("Seen from"),
        figure.view,
        VIEW_NAMES.map((view) => [view, VIEW_LABEL[view]]),
        (view) => onChange({ view: view as ViewName }),
      )}
      {select(t("Enlarged in a circle"), figure.inset ? (figure.enlargement?.of ?? "worked") : "none", ENLARGED, (of) =>
        onChange(
          of === "none"
            ? { inset: false }
            : { inset: true, enlargement: { size: 0.4, ...figure.enlargement, of: of as Exclude<Enlarged, "none"> } },
        ),
      )}
      {figure.inset &&
        select(
          t("The circle is seen from"),
          figure.enlargement?.view ?? figure.view,
          VIEW_NAMES.map((view) => [view, VIEW_LABEL[view]]),
          (view) => onChange({ enlargement: { of: "worked", size: 0.4, ...figure.enlargement, view: view as ViewName } }),
        )}
      {select(
        t("Goes"),
        figure.way,
        [
          ["thereAndBack", t("There and back")],
          ["halves", t("Two ways, half of the count each")],
          ["round", t("Round and round")],
          ["steps", t("From step to step")],
        ],
        (way) => onChange({ way: way as Figure["way"] }),
      )}
      {select(
        t("Arrow along"),
        figure.arc ?? "none",
        [
          ["none", t("No arrow")],
          ["knuckles", t("The knuckles")],
          ["fingertips", t("The fingertips")],
          ["thumbTip", t("The thumb")],
          ["wrist", t("The wrist")],
          ["elbow", t("The elbow")],
          ["shoulder", t("The shoulder")],
          ["head", t("The head")],
          ["nose", t("The face")],
          ["clasp", t("Both hands together")],
        ],
        (arc) => onChange({ arc: arc === "none" ? undefined : (arc as Figure["arc"]) }),
      )}
      {select(
        t("With"),
        figure.props[0]?.kind ?? "none",
        [["none", t("Nothing")], ...PROP_KINDS.map((kind): [string, string] => [kind, PROP_LABELS[kind]])],
        (kind) => onChange({ props: kind === "none" ? [] : [{ kind: kind as PropKind, hand: figure.both ? "both" : "worked" }] }),
      )}
      {select(t("Turning arrow round"), turn?.kind === "turn" ? turn.about : "none", TURNS, (about) =>
        setSign("turn", about === "none" ? null : { kind: "turn", about: about as "forearm" | "head" | "trunk" }),
      )}
      {select(
        t("Force"),
        force ? (FORCES.find(({ sign }) => sameForce(force, sign))?.value ?? "none") : "none",
        FORCES.map(({ value, label }) => [value, label]),
        (value) => setSign("force", FORCES.find((each) => each.value === value)?.sign ?? null),
      )}
      <Box>
        <Toggle
          label={t("Start and end side by side")}
          pressed={figure.strip !== undefined}
          onChange={(on) => onChange({ strip: on ? "whole" : undefined })}
        />
      </Box>
    </Box>
  );
}
