/** What the movement is called, how it is done in words, how it is dosed, what it works and where it fits. */
import { Box, MenuItem, TextField, Typography } from "@mui/material";
import type { ReactNode } from "react";
import {
  KIT_KINDS,
  PHASE_CAP,
  PHASES,
  REGIONS,
  SETTINGS,
  WORK_POSTURES,
  type CustomMovement,
  type CustomProblem,
  type Phase,
} from "@kind-grip/core/library";
import type { Dose } from "@kind-grip/core/session";
import { t } from "../base/words";
import { useWords } from "../base/library";
import { Choice } from "../parts/Choice";
import { Stepper } from "../parts/Stepper";
import { DoseSteppers } from "./DoseSteppers";
import { FormsEditor } from "./FormsEditor";

interface StudioDetailsProps {
  custom: CustomMovement;
  storedForms: readonly string[];
  problems: readonly CustomProblem[];
  onChange(what: string, custom: CustomMovement): void;
}

const DOSES: Readonly<Record<"holds" | "reps" | "timed", Dose>> = {
  holds: { kind: "holds", reps: 3, holdSec: 10, restSec: 5 },
  reps: { kind: "reps", sets: 1, reps: 8, tempo: { outSec: 2, endPauseSec: 1, backSec: 2, startPauseSec: 0 }, restSec: 0 },
  timed: { kind: "timed", sets: 1, workSec: 30, restSec: 0 },
};

export function StudioDetails({ custom, storedForms, problems, onChange }: StudioDetailsProps) {
  const words = useWords();
  const { movement, words: text } = custom;
  const say = (change: Partial<CustomMovement["words"]>, what: string) => onChange(what, { ...custom, words: { ...text, ...change } });
  const set = (change: Partial<CustomMovement["movement"]>, what = "") =>
    onChange(what, { ...custom, movement: { ...movement, ...change } });
  const problem = (path: string) => problems.find((each) => each.path.startsWith(path))?.message;
  const setPhase = (phase: Phase) => set({ phase, effortCap: Math.min(movement.effortCap, PHASE_CAP[phase]) });
  const lines = (label: string, key: "steps" | "watch" | "care", help: string) => (
    <TextField
      label={label}
      multiline
      minRows={3}
      value={text[key].join("\n")}
      onChange={(event) => say({ [key]: event.target.value.split("\n").slice(0, 8) }, `words-${key}`)}
      error={problem(`words.${key}`) !== undefined}
      helperText={problem(`words.${key}`) ?? help}
    />
  );
  const many = (
    label: string,
    value: readonly string[],
    options: readonly string[],
    list: "region" | "setting" | "kit" | "posture",
    onPick: (next: string[]) => void,
    bad?: string,
  ) => (
    <TextField
      select
      label={label}
      value={value}
      onChange={(event) => onPick(event.target.value as unknown as string[])}
      error={bad !== undefined}
      helperText={bad}
      slotProps={{ select: { multiple: true } }}
    >
      {options.map((each) => (
        <MenuItem key={each} value={each}>
          {words.label(list, each)}
        </MenuItem>
      ))}
    </TextField>
  );
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "1fr 1fr" },
        gap: 4,
        mt: 5,
        borderTop: "2px solid",
        borderColor: "line",
        pt: 3,
      }}
    >
      <Group title={t("In words")}>
        <TextField
          label={t("Name")}
          value={text.name}
          onChange={(event) => say({ name: event.target.value }, "words-name")}
          error={problem("words.name") !== undefined}
          helperText={problem("words.name")}
        />
        {lines(t("Steps"), "steps", t("One action a line, as you would say it."))}
        <TextField
          label={t("Where it is felt")}
          value={text.feel}
          onChange={(event) => say({ feel: event.target.value }, "words-feel")}
          error={problem("words.feel") !== undefined}
          helperText={problem("words.feel")}
        />
        {lines(t("Watch for"), "watch", t("The usual cheats, one a line."))}
        {lines(t("Care"), "care", t("Cautions, one a line."))}
        <FormsEditor custom={custom} storedForms={storedForms} problems={problems} onChange={onChange} />
      </Group>
      <Group title={t("In figures")}>
        <Choice
          label={t("Phase")}
          options={PHASES.map((phase) => ({ value: phase, label: words.label("phase", phase) }))}
          value={movement.phase}
          onChange={setPhase}
        />
        {many(
          t("Works"),
          movement.regions.worked,
          REGIONS,
          "region",
          (worked) => set({ regions: { ...movement.regions, worked: worked as typeof movement.regions.worked } }),
          problem("movement.regions"),
        )}
        {many(t("Stretches"), movement.regions.stretched, REGIONS, "region", (stretched) =>
          set({ regions: { ...movement.regions, stretched: stretched as typeof movement.regions.stretched } }),
        )}
        {many(t("Undoes the posture"), movement.reverses, WORK_POSTURES, "posture", (reverses) =>
          set({ reverses: reverses as typeof movement.reverses }),
        )}
        {many(
          t("Place"),
          movement.settings,
          SETTINGS,
          "setting",
          (settings) => settings.length > 0 && set({ settings: settings as typeof movement.settings }),
        )}
        {many(t("Kit, any one of"), movement.kit, KIT_KINDS, "kit", (kit) => set({ kit: kit as typeof movement.kit }))}
        <Choice
          label={t("Dose")}
          options={[
            { value: "holds", label: t("Holds") },
            { value: "reps", label: t("Repetitions") },
            { value: "timed", label: t("Timed") },
          ]}
          value={movement.doses.usual.kind === "steps" ? "timed" : movement.doses.usual.kind}
          onChange={(kind) => set({ doses: { usual: DOSES[kind as keyof typeof DOSES] } })}
        />
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2 }}>
          <DoseSteppers dose={movement.doses.usual} onChange={(usual) => set({ doses: { ...movement.doses, usual } }, "dose")} />
          <Stepper
            label={t("Effort cap")}
            value={movement.effortCap}
            min={1}
            max={PHASE_CAP[movement.phase]}
            onChange={(effortCap) => set({ effortCap }, "cap")}
          />
          <Stepper
            label={t("Getting ready")}
            unit="s"
            value={movement.readySec}
            min={0}
            max={60}
            onChange={(readySec) => set({ readySec }, "ready")}
          />
          <Stepper
            label={t("Changing sides")}
            unit="s"
            value={movement.switchSec}
            min={0}
            max={30}
            onChange={(switchSec) => set({ switchSec }, "switch")}
          />
        </Box>
        <Choice
          label={t("Sides")}
          options={[
            { value: "inTurn", label: words.label("sides", "inTurn") },
            { value: "together", label: words.label("sides", "together") },
          ]}
          value={movement.sideModes[0] === "together" ? "together" : "inTurn"}
          onChange={(mode) => set({ sideModes: mode === "together" ? ["together"] : ["inTurn", "alternating"] })}
        />
      </Group>
    </Box>
  );
}

function Group({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box component="section" sx={{ display: "grid", gap: 2, alignContent: "start" }}>
      <Typography variant="h2">{title}</Typography>
      {children}
    </Box>
  );
}
