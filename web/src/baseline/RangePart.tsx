/** Active and assisted range, left and right side by side: big steppers, or the angle meter. */
import { Alert, Box, Button, Typography } from "@mui/material";
import { Gauge } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { MOTION_FACTS, MOTIONS, OVER_REFERENCE_DEG, type BaselineRecord, type Motion } from "@kind-grip/core/baseline";
import { canMeasure, steadyAngle, type Reading } from "@kind-grip/core/meter";
import { HAND_SIDES, type HandSide } from "@kind-grip/core/units";
import { t } from "../base/words";
import { FigurePicture } from "../figure/FigurePicture";
import { PhoneHold } from "../meter/PhoneHold";
import type { Meter } from "../meter/use-meter";
import { useStopOnLeaving } from "../meter/use-stop-on-leaving";
import { SideMark } from "../parts/SideMark";
import { Toggle } from "../parts/Toggle";
import { BigStepper } from "./BigStepper";
import { MOTION_PICTURES, PHONE_PICTURES } from "./motion-pictures";
import { RangeFan } from "./RangeFan";
import type { EditedRecord } from "./use-record";
import { MOTION_NAMES } from "./finding-text";

/** A joint has to have left its start before a still reading counts as its end. */
const LEAST_MOVED_DEG = 6;

interface Target {
  motion: Motion;
  side: HandSide;
  kind: "active" | "assisted";
}

export function RangePart({ edited, before, meter }: { edited: EditedRecord; before?: BaselineRecord; meter: Meter }) {
  const record = edited.value;
  const [withHelp, setWithHelp] = useState(() =>
    MOTIONS.some((motion) => record.range[motion].left.assisted !== null || record.range[motion].right.assisted !== null),
  );
  const [target, setTarget] = useState<Target | null>(null);
  const fields = useRef(new Map<string, HTMLButtonElement>());
  const set = ({ motion, side, kind }: Target, deg: number | null) => {
    const angles = { ...record.range[motion][side], [kind]: deg };
    // Help never takes away: a lower figure with help means the other one was written down wrong.
    if (kind === "active" && deg !== null && angles.assisted !== null && angles.assisted < deg) angles.assisted = deg;
    if (kind === "assisted" && deg !== null && angles.active !== null && deg < angles.active) angles.assisted = angles.active;
    edited.change(
      { ...record, range: { ...record.range, [motion]: { ...record.range[motion], [side]: angles } } },
      `range ${motion} ${side} ${kind}`,
    );
  };
  const unmeasured = MOTIONS.flatMap((motion) =>
    HAND_SIDES.filter((side) => record.range[motion][side].active === null).map((side) => ({ motion, side })),
  );
  /** What was looked at and is as it should be, in one act; only what differs is then measured. */
  const fillFull = () => {
    const range = { ...record.range };
    for (const { motion, side } of unmeasured)
      range[motion] = { ...range[motion], [side]: { ...range[motion][side], active: MOTION_FACTS[motion].referenceDeg } };
    edited.change({ ...record, range });
  };
  const isOff = meter.isPhone && meter.calibration !== null && !canMeasure(meter.calibration);
  const canRead = meter.state === "on" && meter.kinds.includes("angle") && !isOff;
  // A meter that went away reads nothing any more: the field shows what is on record again.
  if (target && !canRead) setTarget(null);
  useStopOnLeaving(meter, target !== null);
  const angle = target ? meter.readings.at(-1)?.value : undefined;
  const finish = (at: Target, deg: number) => {
    meter.stop();
    // Both sides in one going: the other hand is next, at a press of its own once the meter is there.
    const side = at.side === "left" ? "right" : "left";
    if (record.range[at.motion][side][at.kind] === null) fields.current.get(keyOf({ ...at, side }))?.focus();
    set(at, Math.min(Math.max(0, deg), MOTION_FACTS[at.motion].referenceDeg + OVER_REFERENCE_DEG));
    setTarget(null);
  };
  const latest = useRef(finish);
  useEffect(() => {
    latest.current = finish;
  });
  const read = (next: Target) => {
    setTarget(next);
    const about = { fullDeg: MOTION_FACTS[next.motion].referenceDeg, assisted: next.kind === "assisted" };
    meter.start(
      "angle",
      (list) => {
        const deg = endOf(list);
        if (deg !== undefined) latest.current(next, deg);
      },
      about,
    );
  };
  return (
    <Box>
      <Box sx={{ display: "flex", gap: 2, alignItems: "center", mb: 1, flexWrap: "wrap" }}>
        <Typography sx={{ color: "text.secondary", flex: 1, minWidth: 260 }}>
          {t("From straight to the end of the person's own movement. With help: a gentle push of the other hand at the end.")}
        </Typography>
        {unmeasured.length > 0 && (
          <Button variant="outlined" onClick={fillFull}>
            {unmeasured.length === MOTIONS.length * 2 ? t("Full both sides") : t("The rest is full")}
          </Button>
        )}
        <Toggle label={t("With help too")} pressed={withHelp} onChange={setWithHelp} />
      </Box>
      {isOff && (
        <Alert severity="warning" variant="outlined" sx={{ mb: 1 }}>
          {t("This phone is too far off a right angle to be measured with. Check it again, or type the figures in.")}
        </Alert>
      )}
      {target && meter.isUnseen && (
        <Alert severity="warning" variant="outlined" sx={{ mb: 1, position: "sticky", top: 8, zIndex: 1 }}>
          {t("The phone turns in the level plane, where gravity cannot see it. Lay the forearm as it says below the motion.")}
        </Alert>
      )}
      {MOTIONS.map((motion) => (
        <Box
          key={motion}
          role="group"
          aria-label={MOTION_NAMES[motion]}
          sx={{
            display: "grid",
            gridTemplateColumns: { xs: "minmax(0, 1fr)", sm: "minmax(0, 1fr) 136px minmax(0, 1fr)" },
            columnGap: 2,
            rowGap: 1,
            alignItems: "center",
            py: 1.25,
            borderTop: "1px solid",
            borderColor: "line",
          }}
        >
          {(["left", "picture", "right"] as const).map((column) =>
            column === "picture" ? (
              <Box key={column} sx={{ textAlign: "center", order: { xs: -1, sm: 0 }, justifySelf: "center", maxWidth: 136 }}>
                <FigurePicture request={(canRead && meter.isPhone ? PHONE_PICTURES : MOTION_PICTURES)[motion]} silent />
                <Typography sx={{ fontWeight: 700, lineHeight: 1.15, mt: 0.5 }}>{MOTION_NAMES[motion]}</Typography>
                <Typography sx={{ color: "text.secondary", fontSize: "0.9rem" }}>
                  {t("full {{referenceDeg}}°", { referenceDeg: MOTION_FACTS[motion].referenceDeg })}
                </Typography>
              </Box>
            ) : (
              <Box
                key={column}
                sx={{
                  display: "flex",
                  flexDirection: { xs: "row", sm: column === "left" ? "row-reverse" : "row" },
                  gap: 2,
                  alignItems: "center",
                  justifyContent: { xs: "center", sm: "flex-end" },
                }}
              >
                <Box sx={{ width: 128, flexShrink: 0, display: { xs: "none", sm: "block" } }}>
                  <RangeFan motion={motion} side={column} {...record.range[motion][column]} before={before?.range[motion][column].active} />
                </Box>
                <Box
                  sx={{ display: "grid", gap: 1, mr: { sm: column === "right" ? "auto" : 0 }, ml: { sm: column === "left" ? "auto" : 0 } }}
                >
                  {(withHelp ? (["active", "assisted"] as const) : (["active"] as const)).map((kind) => {
                    const here = target?.motion === motion && target.side === column && target.kind === kind;
                    const name = `${column === "left" ? t("Left") : t("Right")} ${MOTION_NAMES[motion].toLowerCase()}${kind === "assisted" ? t(", with help") : ""}`;
                    return (
                      <Box key={kind} sx={{ display: "flex", gap: 1, alignItems: "center" }}>
                        {kind === "active" ? (
                          <SideMark side={column} />
                        ) : (
                          <Typography sx={{ width: 26, fontSize: "0.8rem", lineHeight: 1, color: "text.secondary" }}>
                            {t("with help")}
                          </Typography>
                        )}
                        <BigStepper
                          label={name}
                          unit="°"
                          value={here ? Math.round(angle ?? 0) : record.range[motion][column][kind]}
                          start={before?.range[motion][column][kind] ?? MOTION_FACTS[motion].referenceDeg}
                          min={0}
                          max={MOTION_FACTS[motion].referenceDeg + OVER_REFERENCE_DEG}
                          onChange={(deg) => set({ motion, side: column, kind }, deg)}
                        />
                        {canRead && (
                          <Button
                            variant={here ? "contained" : "outlined"}
                            color={here ? "warm" : "primary"}
                            ref={(button) => {
                              if (button) fields.current.set(keyOf({ motion, side: column, kind }), button);
                            }}
                            aria-label={here ? t("Stop reading {{name}}", { name }) : t("Read {{name}} from the meter", { name })}
                            onClick={() => {
                              if (here) {
                                meter.stop();
                                setTarget(null);
                              } else read({ motion, side: column, kind });
                            }}
                            sx={{ minWidth: 52, px: 1, height: 52 }}
                          >
                            <Gauge size={22} />
                          </Button>
                        )}
                      </Box>
                    );
                  })}
                </Box>
              </Box>
            ),
          )}
          {canRead && meter.isPhone && <PhoneHold motion={motion} fullDeg={MOTION_FACTS[motion].referenceDeg} meter={meter} />}
        </Box>
      ))}
    </Box>
  );
}

const keyOf = ({ motion, side, kind }: Target): string => `${motion} ${side} ${kind}`;

/** The angle a stream came to rest at, once it stands still away from its start. */
function endOf(list: readonly Reading[]): number | undefined {
  const moved = list.length > 0 && Math.max(...list.map(({ value }) => value)) - list[0]!.value >= LEAST_MOVED_DEG;
  return moved ? steadyAngle(list) : undefined;
}
