/** Every angle of an arm, in clinical degrees, as sliders within the joint's range; typed numbers beyond it are named, not bent. */
import { Box, InputBase, Slider, TextField, Typography, MenuItem } from "@mui/material";
import {
  ARM_RANGES,
  FINGER_RANGES,
  HAND_SHAPES,
  HAND_SHAPE_NAMES,
  nearestShape,
  THUMB_RANGES,
  type ArmPose,
  type HandShapeName,
  type Range,
} from "@kind-grip/core/figure";
import { t } from "../base/words";
import { useWords } from "../base/library";

type FingerName = "index" | "middle" | "ring" | "little";
const FINGERS: readonly FingerName[] = ["index", "middle", "ring", "little"];

const ARM_LABELS: readonly (readonly [keyof typeof ARM_RANGES, string, string, string])[] = [
  ["shoulderFlexion", t("Shoulder"), "back", "forward"],
  ["shoulderAbduction", t("Upper arm"), "across", "out"],
  ["shoulderRotation", t("Upper arm rolled"), "in", "out"],
  ["girdleRaise", t("Shoulder girdle"), "down", "up"],
  ["girdleProtraction", t("Shoulder blade"), "back", "forward"],
  ["elbow", t("Elbow"), "straight", "bent"],
  ["pronation", t("Palm"), "up", "down"],
  ["wristFlexion", t("Wrist"), t("bent back"), "bent"],
  ["deviation", t("Wrist tilt"), t("thumb side"), t("little-finger side")],
];
const THUMB_LABELS: readonly (readonly [keyof typeof THUMB_RANGES, string])[] = [
  ["radial", t("Thumb out")],
  ["palmar", t("Thumb forward")],
  ["opposition", t("Thumb turned in")],
  ["middle", t("Thumb base joint")],
  ["end", t("Thumb end joint")],
];
const FINGER_LABELS: readonly (readonly [keyof typeof FINGER_RANGES, string])[] = [
  ["base", t("base joint")],
  ["middle", t("middle joint")],
  ["end", t("end joint")],
  ["spread", "spread"],
];

interface JointSlidersProps {
  arm: ArmPose;
  /** Which part of the arm. */
  part: "arm" | "hand";
  onChange(joint: string, change: Partial<ArmPose>): void;
}

export function JointSliders({ arm, part, onChange }: JointSlidersProps) {
  const words = useWords();
  if (part === "arm") {
    const solved = arm.touch !== undefined;
    return (
      <Box sx={{ display: "grid", gap: 0.5 }}>
        {solved && (
          <Typography sx={{ color: "text.secondary" }}>{t("This hand is held in contact; its elbow and wrist are worked out.")}</Typography>
        )}
        {ARM_LABELS.filter(([joint]) => !solved || joint.startsWith("girdle")).map(([joint, label, least, most]) => (
          <JointSlider
            key={joint}
            label={label}
            ends={[least, most]}
            range={ARM_RANGES[joint]}
            value={arm[joint]}
            onChange={(degrees) => onChange(joint, { [joint]: degrees })}
          />
        ))}
      </Box>
    );
  }
  const { hand } = arm;
  return (
    <Box sx={{ display: "grid", gap: 0.5 }}>
      <TextField
        select
        label={t("Hand shape")}
        value={nearestShape(hand)}
        onChange={(event) => onChange("hand", { hand: HAND_SHAPES[event.target.value as HandShapeName] })}
        sx={{ mb: 1 }}
      >
        {HAND_SHAPE_NAMES.map((name) => (
          <MenuItem key={name} value={name}>
            {words.handShape(name)}
          </MenuItem>
        ))}
      </TextField>
      {THUMB_LABELS.map(([joint, label]) => (
        <JointSlider
          key={joint}
          label={label}
          range={THUMB_RANGES[joint]}
          value={hand.thumb[joint]}
          onChange={(degrees) => onChange(`thumb-${joint}`, { hand: { ...hand, thumb: { ...hand.thumb, [joint]: degrees } } })}
        />
      ))}
      {FINGERS.flatMap((finger) =>
        FINGER_LABELS.map(([joint, label]) => (
          <JointSlider
            key={`${finger}-${joint}`}
            label={`${finger[0]!.toUpperCase()}${finger.slice(1)}, ${label}`}
            range={FINGER_RANGES[joint]}
            value={hand[finger][joint]}
            onChange={(degrees) => onChange(`${finger}-${joint}`, { hand: { ...hand, [finger]: { ...hand[finger], [joint]: degrees } } })}
          />
        )),
      )}
    </Box>
  );
}

interface JointSliderProps {
  label: string;
  ends?: readonly [string, string];
  range: Range;
  value: number;
  onChange(degrees: number): void;
}

export function JointSlider({ label, ends, range, value, onChange }: JointSliderProps) {
  const beyond = value < range.least - 0.5 || value > range.most + 0.5;
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0, 1fr) 64px", columnGap: 1.5, alignItems: "center" }}>
      <Box>
        <Box sx={{ display: "flex", justifyContent: "space-between", fontSize: "0.9375rem" }}>
          <span>{label}</span>
          {ends && <Box component="span" sx={{ color: "text.secondary", fontSize: "0.8125rem" }}>{`${ends[0]} – ${ends[1]}`}</Box>}
        </Box>
        <Slider
          size="small"
          aria-label={label}
          getAriaValueText={(degrees) => t("{{degrees}} degrees", { degrees })}
          min={range.least}
          max={range.most}
          value={Math.max(range.least, Math.min(range.most, value))}
          onChange={(_, degrees) => onChange(degrees as number)}
          sx={{ py: 1, display: "block" }}
        />
      </Box>
      <Box
        sx={{
          display: "flex",
          alignItems: "center",
          border: "2px solid",
          borderColor: beyond ? "error.main" : "line",
          borderRadius: 1,
          px: 0.5,
          height: 40,
        }}
      >
        <InputBase
          value={Math.round(value)}
          inputProps={{ "aria-label": t("{{label}}, degrees", { label }), inputMode: "numeric", "aria-invalid": beyond }}
          onChange={(event) => {
            const degrees = Number(event.target.value.replace(/[^\d-]/g, ""));
            if (Number.isFinite(degrees) && Math.abs(degrees) <= 360) onChange(degrees);
          }}
          sx={{ "& input": { textAlign: "right", p: 0 } }}
        />
        °
      </Box>
    </Box>
  );
}
