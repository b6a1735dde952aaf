/** Shaping one pose: which hand, its joints, its fingers, what it holds or touches, and how the whole is looked at. */
import { Box, MenuItem, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { armPose, handContacts, NECK_RANGES, TRUNK_RANGES, type ArmInput, type Pose, type SideName } from "@kind-grip/core/figure";
import type { CustomMovement } from "@kind-grip/core/library";
import { t } from "../base/words";
import { Choice } from "../parts/Choice";
import { Toggle } from "../parts/Toggle";
import { JointSlider, JointSliders } from "./JointSliders";
import { ViewFields } from "./ViewFields";
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
  const neck = (["tilt", "turn", "nod", "forward"] as const).map(
    (joint) =>
      [
        joint,
        { tilt: t("Head tilted"), turn: t("Head turned"), nod: t("Head nodded"), forward: t("Head carried forward, mm") }[joint],
      ] as const,
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
          value={pose.neck[joint] ?? 0}
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
