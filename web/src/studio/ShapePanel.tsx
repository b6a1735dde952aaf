/** Shaping one pose: which hand, its joints, its fingers, what it holds or touches, and how the whole is looked at. */
import { Box, MenuItem, TextField, Typography } from "@mui/material";
import { useState } from "react";
import {
  armPose,
  FOCUSES,
  handContacts,
  NECK_RANGES,
  PROP_KINDS,
  TRUNK_RANGES,
  VIEW_NAMES,
  type ArmInput,
  type Figure,
  type Pose,
  type PropKind,
  type SideName,
} from "@kind-grip/core/figure";
import type { CustomMovement } from "@kind-grip/core/library";
import { t } from "../base/words";
import { Choice } from "../parts/Choice";
import { Toggle } from "../parts/Toggle";
import { JointSlider, JointSliders } from "./JointSliders";
import { withArm, withFigure, withPose } from "./change-pose";

interface ShapePanelProps {
  custom: CustomMovement;
  at: number;
  onChange(what: string, custom: CustomMovement): void;
}

type Tab = "arm" | "hand" | "body" | "view";
const TABS = [
  { value: "arm", label: t("Arm") },
  { value: "hand", label: t("Hand") },
  { value: "body", label: t("Body") },
  { value: "view", label: t("Picture") },
] as const;

/** The recurring contacts by name; each lays the chosen hand where it belongs. */
const CONTACTS: readonly { value: string; label: string; make: (() => ArmInput) | null }[] = [
  { value: "none", label: t("Nothing: free in the air"), make: null },
  { value: "drawsFingersBack", label: t("The other fingers, drawing them back"), make: () => handContacts.drawsFingersBack() },
  { value: "pressesBackOfHand", label: t("The back of the other hand"), make: () => handContacts.pressesBackOfHand() },
  { value: "holdsForearm", label: t("The other forearm"), make: () => handContacts.holdsForearm() },
  { value: "takesHand", label: t("The other hand, as in a handshake"), make: () => handContacts.takesHand() },
  { value: "palmsPressed", label: t("The middle, palms together"), make: () => handContacts.palmsPressed(-110, 190) },
  { value: "flatOnTable", label: t("A table, flat"), make: () => handContacts.flatOnTable(150, -420, 300) },
  { value: "onBackOfHead", label: t("The back of the head"), make: () => handContacts.onBackOfHead() },
];

const PROP_LABELS: Readonly<Record<PropKind, string>> = {
  table: "Table",
  thigh: t("Thigh"),
  wall: t("Wall"),
  towel: t("Rolled towel"),
  dumbbell: t("Dumbbell"),
  dumbbellEnd: t("Dumbbell, held at the end"),
  hammer: t("Hammer"),
  dowel: t("Dowel"),
  bottle: t("Bottle"),
  bandRound: t("Band round the fingers"),
  bandPull: t("Band to the floor"),
  ball: t("Ball in the hand"),
  ballOnTable: t("Ball under the forearm"),
  bigBall: t("Big ball"),
  plate: t("Plate"),
  bar: t("Bar"),
  roller: t("Roller on the forearm"),
  edge: t("Edge tool"),
  tape: t("Tape on the thumb"),
};

export function ShapePanel({ custom, at, onChange }: ShapePanelProps) {
  const [tab, setTab] = useState<Tab>("arm");
  const [side, setSide] = useState<SideName>("right");
  const { figure } = custom;
  const pose = figure.poses[at]!;
  const worked = figure.both ? "right" : side;
  const arm = pose[worked];
  const contact = arm?.touch
    ? (CONTACTS.find(({ make }) => make?.().touch?.part === arm.touch?.part && make?.().touch?.with === arm.touch?.with)?.value ?? "kept")
    : "none";

  const setContact = (value: string) => {
    const made = CONTACTS.find((each) => each.value === value)?.make?.();
    const next = made
      ? armPose({ hand: made.hand, girdleProtraction: made.girdleProtraction ?? 0, touch: made.touch })
      : armPose({ elbow: 90 });
    onChange("", withPose(custom, at, { ...pose, [worked]: next, ...(figure.both && { left: next }) }));
  };
  const setPresent = (present: boolean) => {
    const { [side]: gone, ...rest } = pose;
    const next: Pose = present ? { ...pose, [side]: gone ?? armPose(handContacts.holdsForearm()) } : rest;
    onChange("", withPose(custom, at, next));
  };

  return (
    <Box sx={{ display: "grid", gap: 2, alignContent: "start" }}>
      <Choice label={t("What to shape")} options={TABS} value={tab} onChange={(value) => setTab(value as Tab)} />
      {(tab === "arm" || tab === "hand") && (
        <>
          {!figure.both && (
            <Choice
              label={t("Which hand")}
              options={[
                { value: "right", label: t("Working hand") },
                { value: "left", label: t("Other hand") },
              ]}
              value={side}
              onChange={(value) => setSide(value as SideName)}
            />
          )}
          {side === "left" && !figure.both && (
            <Box>
              <Toggle label={t("The other hand is in the picture")} pressed={pose.left !== undefined} onChange={setPresent} />
            </Box>
          )}
          {arm && tab === "arm" && (
            <TextField select label={t("This hand touches")} value={contact} onChange={(event) => setContact(event.target.value)}>
              {CONTACTS.filter(({ make }) => figure.both || side === "left" || !make?.().touch?.part.startsWith("other")).map(
                ({ value, label }) => (
                  <MenuItem key={value} value={value}>
                    {label}
                  </MenuItem>
                ),
              )}
              {contact === "kept" && <MenuItem value="kept">{t("Where it was placed")}</MenuItem>}
            </TextField>
          )}
          {arm && (
            <JointSliders
              arm={arm}
              part={tab}
              onChange={(joint, change) => onChange(`${at}-${worked}-${joint}`, withArm(custom, at, worked, change))}
            />
          )}
        </>
      )}
      {tab === "body" && <BodySliders pose={pose} onChange={(what, next) => onChange(`${at}-${what}`, withPose(custom, at, next))} />}
      {tab === "view" && <ViewFields figure={figure} onChange={(change) => onChange("", withFigure(custom, change))} />}
    </Box>
  );
}

function BodySliders({ pose, onChange }: { pose: Pose; onChange(what: string, pose: Pose): void }) {
  const neck = (["tilt", "turn", "nod"] as const).map(
    (joint) => [joint, { tilt: t("Head tilted"), turn: t("Head turned"), nod: t("Head nodded") }[joint]] as const,
  );
  const trunk = (["lean", "turn", "bend"] as const).map(
    (joint) => [joint, { lean: t("Trunk leaning forward"), turn: t("Trunk turned"), bend: t("Trunk bent sideways") }[joint]] as const,
  );
  return (
    <Box sx={{ display: "grid", gap: 0.5 }}>
      {neck.map(([joint, label]) => (
        <JointSlider
          key={joint}
          label={label}
          range={NECK_RANGES[joint]}
          value={pose.neck[joint]}
          onChange={(degrees) => onChange(`neck-${joint}`, { ...pose, neck: { ...pose.neck, [joint]: degrees } })}
        />
      ))}
      {trunk.map(([joint, label]) => (
        <JointSlider
          key={joint}
          label={label}
          range={TRUNK_RANGES[joint]}
          value={pose.trunk[joint]}
          onChange={(degrees) => onChange(`trunk-${joint}`, { ...pose, trunk: { ...pose.trunk, [joint]: degrees } })}
        />
      ))}
      <Typography sx={{ color: "text.secondary" }}>{t("Plus is to the working side.")}</Typography>
    </Box>
  );
}

function ViewFields({ figure, onChange }: { figure: Figure; onChange(change: Partial<Figure>): void }) {
  const select = (label: string, value: string, options: readonly (readonly [string, string])[], set: (value: string) => void) => (
    <TextField select label={label} value={value} onChange={(event) => set(event.target.value)}>
      {options.map(([key, name]) => (
        <MenuItem key={key} value={key}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
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
            upper: t("The upper body"),
            whole: t("The whole person"),
          }[focus],
        ]),
        (focus) => onChange({ focus: focus as Figure["focus"] }),
      )}
      {select(
        t("Seen from"),
        figure.view,
        VIEW_NAMES.map((view) => [
          view,
          {
            front: t("The front"),
            frontRight: t("The front, right"),
            frontLeft: t("The front, left"),
            right: t("The right"),
            left: t("The left"),
            above: t("Above"),
          }[view],
        ]),
        (view) => onChange({ view: view as Figure["view"] }),
      )}
      {select(
        t("Goes"),
        figure.way,
        [
          ["thereAndBack", t("There and back")],
          ["round", t("Round and round")],
          ["steps", t("From step to step")],
        ],
        (way) => onChange({ way: way as Figure["way"] }),
      )}
      {select(
        "Arrow along",
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
        ],
        (arc) => onChange({ arc: arc === "none" ? undefined : (arc as Figure["arc"]) }),
      )}
      {select(
        t("With"),
        figure.props[0]?.kind ?? "none",
        [["none", t("Nothing")], ...PROP_KINDS.map((kind): [string, string] => [kind, PROP_LABELS[kind]])],
        (kind) => onChange({ props: kind === "none" ? [] : [{ kind: kind as PropKind, hand: figure.both ? "both" : "worked" }] }),
      )}
      <Box>
        <Toggle label={t("Enlarge the hand in a corner")} pressed={figure.inset} onChange={(inset) => onChange({ inset })} />
      </Box>
    </Box>
  );
}
