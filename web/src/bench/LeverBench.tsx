/** Any rod, hammer, bar, bottle or dumbbell: its torque on the tool drawn to scale, the next step up and down, what could stand in for it. */
import { Box, MenuItem, TextField, Typography } from "@mui/material";
import { useState } from "react";
import {
  HAND_HALF_M,
  loadLadder,
  stepDown,
  stepUp,
  weeklyStep,
  substitutesFor,
  torqueNm as torqueOfTool,
  type Load,
  type LoadUse,
  type Step,
  type Tool,
} from "@kind-grip/core/load";
import { holdingForm } from "@kind-grip/core/library";
import type { Item } from "@kind-grip/core/session";
import { lengthText, massText, torqueText } from "../base/measures";
import { t } from "../base/words";
import { crewApi } from "../crew/api";
import { useLibrary } from "../base/library";
import { Choice } from "../parts/Choice";
import { QuantityStepper } from "../parts/QuantityStepper";
import { Stepper } from "../parts/Stepper";
import { Why } from "../parts/Why";
import { SendToProgram } from "./SendToProgram";
import { ToolDrawing } from "./ToolDrawing";
import { toolFrom, USUAL_TOOLS } from "./tools";

type UseName = "lift" | "tilt" | "turn";

/** What a load is for: loads are compared within one of these only. */
const USES: Readonly<Record<UseName, LoadUse & { label: string; about: string }>> = {
  lift: { label: t("Lift"), axis: "bend", handling: "palm", about: t("about the wrist crease, held in the palm") },
  tilt: { label: t("Tilt"), axis: "tilt", handling: "along", about: t("about the wrist crease, tool along the forearm") },
  turn: { label: t("Turn"), axis: "turn", handling: "across", about: t("about the length of the forearm, tool across the palm") },
};

export function LeverBench() {
  const library = useLibrary();
  const formWithLoad = ({ movementId, formId }: Item) => {
    const movement = library.find(movementId);
    return movement?.phase === "strengthen" ? holdingForm(movement, formId) : undefined;
  };
  const { data: crews } = crewApi.useCrewsQuery();
  const [crewId, setCrewId] = useState("");
  const [tool, setTool] = useState<Tool>(USUAL_TOOLS[0]!);
  const [useName, setUseName] = useState<UseName>("turn");
  const use = USES[useName];
  const [grip, setGrip] = useState(0.05);
  const [palmMm, setPalmMm] = useState(80);
  const reachM = palmMm / 1000;
  const kit = crews?.find(({ id }) => id === crewId)?.kit.flatMap(({ kind, massKg }) => toolFrom(kind, massKg) ?? []) ?? USUAL_TOOLS;
  const gripM = tool.kind === "lever" ? Math.min(Math.max(grip, HAND_HALF_M), tool.lengthM - HAND_HALF_M) : 0;
  const heldAt = tool.kind === "lever" ? gripM : null;
  const torqueNm = Math.max(0, torqueOfTool(tool, use, heldAt, reachM));
  const besideNm = use.axis === "turn" ? torqueOfTool(tool, { axis: "bend", handling: "across" }, heldAt, reachM) : null;
  const ladder = loadLadder(kit, use, reachM);
  const massKg = Math.round((tool.kind === "lever" ? tool.massKg + tool.headKg : tool.massKg) * 100) / 100;
  const choose = (load: Load) => {
    setTool(load.tool);
    if (load.gripM !== null) setGrip(load.gripM);
  };
  const shape = (change: Partial<Extract<Tool, { kind: "lever" }>>) => tool.kind === "lever" && setTool({ ...tool, ...change });
  return (
    <Box sx={{ display: "grid", gap: 3 }}>
      <Box sx={{ display: "flex", gap: 2, flexWrap: "wrap", alignItems: "center" }}>
        <Choice
          label={t("Tool")}
          value={USUAL_TOOLS.some(({ name }) => name === tool.name) ? tool.name : null}
          onChange={(name) => setTool(USUAL_TOOLS.find((each) => each.name === name)!)}
          options={USUAL_TOOLS.map(({ name }) => ({ value: name, label: name }))}
        />
        <Choice<UseName>
          label={t("What it loads")}
          value={useName}
          onChange={setUseName}
          options={(Object.keys(USES) as UseName[]).map((value) => ({ value, label: USES[value].label }))}
        />
        <TextField
          select
          label={t("Kit of")}
          value={crewId}
          onChange={(event) => setCrewId(event.target.value)}
          sx={{ width: 260, ml: "auto" }}
          slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
        >
          <MenuItem value="">{t("these five tools")}</MenuItem>
          {crews?.map((crew) => (
            <MenuItem key={crew.id} value={crew.id}>
              {crew.name}
            </MenuItem>
          ))}
        </TextField>
      </Box>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "minmax(0, 1.5fr) minmax(0, 1fr)" },
          columnGap: 5,
          rowGap: 3,
          alignItems: "start",
        }}
      >
        <Box>
          <ToolDrawing tool={tool} use={use} reachM={reachM} gripM={gripM} onGrip={setGrip} />
          <Box sx={{ display: "flex", gap: 2, flexWrap: "wrap", mt: 2 }}>
            {tool.kind === "lever" ? (
              <>
                <QuantityStepper
                  label={t("Length")}
                  quantity="length"
                  value={tool.lengthM}
                  min={0.15}
                  max={2}
                  step={1}
                  onChange={(lengthM) => shape({ lengthM })}
                />
                <QuantityStepper
                  label={t("Mass of the shaft")}
                  quantity="mass"
                  value={tool.massKg}
                  min={0}
                  max={10}
                  step={0.05}
                  onChange={(massKg) => shape({ massKg })}
                />
                <QuantityStepper
                  label={t("Mass at the end")}
                  quantity="mass"
                  value={tool.headKg}
                  min={0}
                  max={10}
                  step={0.05}
                  onChange={(headKg) => shape({ headKg })}
                />
                <QuantityStepper
                  label={t("Hand at")}
                  quantity="length"
                  value={gripM}
                  min={0.04}
                  max={tool.lengthM - 0.04}
                  step={0.5}
                  onChange={setGrip}
                />
              </>
            ) : (
              <>
                <QuantityStepper
                  label={t("Mass")}
                  quantity="mass"
                  value={tool.massKg}
                  min={0}
                  max={20}
                  step={0.25}
                  onChange={(massKg) => setTool({ ...tool, massKg })}
                />
                <Stepper label={t("Wrist to mid palm")} unit="mm" value={palmMm} min={50} max={140} onChange={setPalmMm} />
              </>
            )}
          </Box>
        </Box>
        <Box>
          <Typography component="p" role="status" sx={{ fontSize: "3.4rem", fontWeight: 800, lineHeight: 1 }}>
            {torqueText(torqueNm)}
          </Typography>
          <Typography sx={{ color: "text.secondary", mb: 2 }}>
            {t("{{about}}, held level", { about: use.about })}
            {tool.kind === "lever" && t(", hand at the mark of {{mark}}", { mark: lengthText(gripM) })}
          </Typography>
          {besideNm !== null && besideNm > 0 && (
            <Typography sx={{ mb: 2 }}>
              {t("Besides, it bends the wrist by {{besideNm}} about the crease.", { besideNm: torqueText(besideNm) })}
            </Typography>
          )}
          {torqueNm <= 0 && (
            <Typography sx={{ mb: 2 }}>{t("Held like this it loads nothing on that axis: it stands in for nothing there.")}</Typography>
          )}
          {torqueNm > 0 && (
            <>
              <StepLine
                label={t("A week's step")}
                step={weeklyStep(ladder, torqueNm)}
                none={t("Nothing heavier in this kit.")}
                onChoose={choose}
              />
              <StepLine
                label={t("Next mark up")}
                step={stepUp(ladder, torqueNm)}
                none={t("Nothing heavier in this kit.")}
                onChoose={choose}
              />
              <StepLine
                label={t("Next mark down")}
                step={stepDown(ladder, torqueNm)}
                none={t("Nothing lighter in this kit.")}
                onChoose={choose}
              />
              <Typography variant="h3" sx={{ mt: 2 }}>
                {t("The same from")}
              </Typography>
              <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
                {substitutesFor(kit, use, torqueNm, reachM)
                  .filter((each) => each.tool.name !== tool.name)
                  .map((each, i) => (
                    <li key={i}>
                      {loadText(each)}
                      {each.offShare > 0.005 && t(", {{offShare}} % off", { offShare: Math.round(each.offShare * 100) })}
                    </li>
                  ))}
              </Box>
              {substitutesFor(kit, use, torqueNm, reachM).every((each) => each.tool.name === tool.name) && (
                <Typography>{t("Nothing else in this kit comes within 10 %.")}</Typography>
              )}
            </>
          )}
          {massKg >= 0.1 && (
            <Box sx={{ my: 1.5 }}>
              <SendToProgram
                what={massText(massKg)}
                fits={(item) => formWithLoad(item) !== undefined}
                change={(item) => ({
                  ...item,
                  formId: formWithLoad(item)!.id,
                  loadKg: massKg,
                  tool: null,
                  gripM: tool.kind === "lever" ? gripM : null,
                })}
              />
            </Box>
          )}
          <Why label={t("How it is worked out")}>
            {t(
              "Loads are compared only where they load the same axis in the same place. A weight in the palm: 9.81 × mass × wrist crease to the middle of the palm, and nothing to a turn. A shaft across the palm turns by 9.81 × (shaft mass × (half the length − where the hand is) + end mass × (length − where the hand is)); along the forearm the same, and all of its mass × crease to mid palm besides. Held level is the worst case: at an angle a turn falls with the cosine of the shaft's angle, lift and tilt with that of the forearm's. The hand's own weight is left out where mass and height are not known. A step should be at most 10 % where the kit allows it; marks are half a centimetre apart for that.",
            )}
          </Why>
        </Box>
      </Box>
    </Box>
  );
}

function loadText({ tool, gripM }: Pick<Load, "tool" | "gripM">): string {
  return gripM === null
    ? `${tool.name}${/\d/.test(tool.name) || tool.kind === "lever" ? "" : ` ${massText(tool.massKg)}`}`
    : t("{{name}}, grip the mark at {{mark}}", { name: tool.name, mark: lengthText(gripM) });
}

function StepLine({ label, step, none, onChoose }: { label: string; step?: Step; none: string; onChoose(load: Load): void }) {
  return (
    <Box
      sx={{
        borderTop: "1px solid",
        borderColor: "line",
        py: 1,
        display: "grid",
        gridTemplateColumns: "minmax(0, 140px) minmax(0, 1fr)",
        alignItems: "baseline",
      }}
    >
      <Typography sx={{ color: "text.secondary" }}>{label}</Typography>
      {step ? (
        <Box
          component="button"
          type="button"
          onClick={() => onChoose(step.load)}
          sx={{
            border: 0,
            bgcolor: "transparent",
            font: "inherit",
            color: "inherit",
            textAlign: "left",
            cursor: "pointer",
            p: 0,
            minHeight: 44,
            "&:hover": { textDecoration: "underline" },
          }}
        >
          <strong>{loadText(step.load)}</strong>: {torqueText(step.load.torqueNm)}, {step.share > 0 ? "+" : "−"}
          {Math.abs(Math.round(step.share * 100))} %
          {step.large && (
            <Box component="span" sx={{ color: "warm.dark", fontWeight: 700 }}>
              {" "}
              {t("more than 10 %")}
            </Box>
          )}
        </Box>
      ) : (
        <Typography>{none}</Typography>
      )}
    </Box>
  );
}
