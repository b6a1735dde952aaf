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
import { torqueText } from "@kind-grip/core/units";
import { crewApi } from "../crew/api";
import { useLibrary } from "../base/library";
import { Choice } from "../parts/Choice";
import { Stepper } from "../parts/Stepper";
import { Why } from "../parts/Why";
import { SendToProgram } from "./SendToProgram";
import { ToolDrawing } from "./ToolDrawing";
import { toolFrom, USUAL_TOOLS } from "./tools";

type UseName = "lift" | "tilt" | "turn";

/** What a load is for: loads are compared within one of these only. */
const USES: Readonly<Record<UseName, LoadUse & { label: string; about: string }>> = {
  lift: { label: "Lift", axis: "bend", handling: "palm", about: "about the wrist crease, held in the palm" },
  tilt: { label: "Tilt", axis: "tilt", handling: "along", about: "about the wrist crease, tool along the forearm" },
  turn: { label: "Turn", axis: "turn", handling: "across", about: "about the length of the forearm, tool across the palm" },
};

export function LeverBench() {
  const library = useLibrary();
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
          label="Tool"
          value={USUAL_TOOLS.some(({ name }) => name === tool.name) ? tool.name : null}
          onChange={(name) => setTool(USUAL_TOOLS.find((each) => each.name === name)!)}
          options={USUAL_TOOLS.map(({ name }) => ({ value: name, label: name }))}
        />
        <Choice<UseName>
          label="What it loads"
          value={useName}
          onChange={setUseName}
          options={(Object.keys(USES) as UseName[]).map((value) => ({ value, label: USES[value].label }))}
        />
        <TextField
          select
          label="Kit of"
          value={crewId}
          onChange={(event) => setCrewId(event.target.value)}
          sx={{ width: 260, ml: "auto" }}
          slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
        >
          <MenuItem value="">these five tools</MenuItem>
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
          gridTemplateColumns: { md: "minmax(0, 1.5fr) minmax(0, 1fr)" },
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
                <Stepper
                  label="Length"
                  unit="cm"
                  value={Math.round(tool.lengthM * 100)}
                  min={15}
                  max={200}
                  onChange={(cm) => shape({ lengthM: cm / 100 })}
                />
                <Stepper
                  label="Mass of the shaft"
                  unit="kg"
                  value={tool.massKg}
                  min={0}
                  max={10}
                  step={0.05}
                  onChange={(massKg) => shape({ massKg: Math.round(massKg * 100) / 100 })}
                />
                <Stepper
                  label="Mass at the end"
                  unit="kg"
                  value={tool.headKg}
                  min={0}
                  max={10}
                  step={0.05}
                  onChange={(headKg) => shape({ headKg: Math.round(headKg * 100) / 100 })}
                />
                <Stepper
                  label="Hand at"
                  unit="cm"
                  value={Math.round(gripM * 1000) / 10}
                  min={4}
                  max={Math.round(tool.lengthM * 100) - 4}
                  step={0.5}
                  onChange={(cm) => setGrip(cm / 100)}
                />
              </>
            ) : (
              <>
                <Stepper
                  label="Mass"
                  unit="kg"
                  value={tool.massKg}
                  min={0}
                  max={20}
                  step={0.25}
                  onChange={(massKg) => setTool({ ...tool, massKg })}
                />
                <Stepper label="Wrist to mid palm" unit="mm" value={palmMm} min={50} max={140} onChange={setPalmMm} />
              </>
            )}
          </Box>
        </Box>
        <Box>
          <Typography component="p" role="status" sx={{ fontSize: "3.4rem", fontWeight: 800, lineHeight: 1 }}>
            {torqueText(torqueNm)}
          </Typography>
          <Typography sx={{ color: "text.secondary", mb: 2 }}>
            {use.about}, held level{tool.kind === "lever" && `, hand at the mark of ${cmText(gripM)} cm`}
          </Typography>
          {besideNm !== null && besideNm > 0 && (
            <Typography sx={{ mb: 2 }}>Besides, it bends the wrist by {torqueText(besideNm)} about the crease.</Typography>
          )}
          {torqueNm <= 0 && (
            <Typography sx={{ mb: 2 }}>Held like this it loads nothing on that axis: it stands in for nothing there.</Typography>
          )}
          {torqueNm > 0 && (
            <>
              <StepLine label="A week's step" step={weeklyStep(ladder, torqueNm)} none="Nothing heavier in this kit." onChoose={choose} />
              <StepLine label="Next mark up" step={stepUp(ladder, torqueNm)} none="Nothing heavier in this kit." onChoose={choose} />
              <StepLine label="Next mark down" step={stepDown(ladder, torqueNm)} none="Nothing lighter in this kit." onChoose={choose} />
              <Typography variant="h3" sx={{ mt: 2 }}>
                The same from
              </Typography>
              <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
                {substitutesFor(kit, use, torqueNm, reachM)
                  .filter((each) => each.tool.name !== tool.name)
                  .map((each, i) => (
                    <li key={i}>
                      {loadText(each)}
                      {each.offShare > 0.005 && `, ${Math.round(each.offShare * 100)} % off`}
                    </li>
                  ))}
              </Box>
              {substitutesFor(kit, use, torqueNm, reachM).every((each) => each.tool.name === tool.name) && (
                <Typography>Nothing else in this kit comes within 10 %.</Typography>
              )}
            </>
          )}
          {massKg >= 0.1 && (
            <Box sx={{ my: 1.5 }}>
              <SendToProgram
                what={`${massKg} kg`}
                fits={(item) => item.loadKg !== null || library.find(item.movementId)?.phase === "strengthen"}
                change={(item) => ({ ...item, loadKg: massKg, tool: null, gripM: tool.kind === "lever" ? gripM : null })}
              />
            </Box>
          )}
          <Why label="How it is worked out">
            Loads are compared only where they load the same axis in the same place. A weight in the palm: 9.81 × mass × wrist crease to the
            middle of the palm, and nothing to a turn. A shaft across the palm turns by 9.81 × (shaft mass × (half the length − where the
            hand is) + end mass × (length − where the hand is)); along the forearm the same, and all of its mass × crease to mid palm
            besides. Held level is the worst case: at an angle a turn falls with the cosine of the shaft&apos;s angle, lift and tilt with
            that of the forearm&apos;s. The hand&apos;s own weight is left out where mass and height are not known. A step should be at most
            10 % where the kit allows it; marks are half a centimetre apart for that.
          </Why>
        </Box>
      </Box>
    </Box>
  );
}

function cmText(gripM: number): string {
  return String(Math.round(gripM * 1000) / 10);
}

function loadText({ tool, gripM }: Pick<Load, "tool" | "gripM">): string {
  return gripM === null
    ? `${tool.name}${/\d/.test(tool.name) || tool.kind === "lever" ? "" : ` ${tool.massKg} kg`}`
    : `${tool.name}, grip the mark at ${cmText(gripM)} cm`;
}

function StepLine({ label, step, none, onChoose }: { label: string; step?: Step; none: string; onChoose(load: Load): void }) {
  return (
    <Box
      sx={{ borderTop: "1px solid", borderColor: "line", py: 1, display: "grid", gridTemplateColumns: "140px 1fr", alignItems: "baseline" }}
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
              more than 10 %
            </Box>
          )}
        </Box>
      ) : (
        <Typography>{none}</Typography>
      )}
    </Box>
  );
}
