/** Kinds of treatment of those who work by bookings: how long, how deep, what the hands do in it, what else it is called. */
import { Box, Button, TextField, Typography } from "@mui/material";
import { Plus, Trash2 } from "lucide-react";
import { harderHand, MAX_TREATMENTS, RAISED_STRAIN, type Treatment, type Work } from "@kind-grip/core/strain";
import { v7 as uuid } from "uuid";
import { t } from "../base/words";
import { Stepper } from "../parts/Stepper";
import { Toggle } from "../parts/Toggle";
import { PartList } from "./PartList";
import { strainText } from "./strain-text";
import type { EditedWork } from "./use-work";

const USUAL_MIN = 60;

export function Treatments({ edited }: { edited: EditedWork }) {
  const work = edited.value;
  const list = work.treatments ?? [];
  const set = (treatments: Treatment[], gesture?: string) => edited.change({ ...work, treatments }, gesture);
  const add = () =>
    set([
      ...list,
      { id: uuid(), name: t("Treatment {{number}}", { number: list.length + 1 }), lengthMin: USUAL_MIN, deep: false, parts: [], words: [] },
    ]);
  return (
    <Box sx={{ display: "grid", gap: 4 }}>
      {list.length === 0 && (
        <Typography sx={{ maxWidth: 680 }}>
          {t(
            "Say what is booked here, and what the hands do in it. Strain, need and the resets between treatments follow from the bookings.",
          )}
        </Typography>
      )}
      {list.map((treatment, i) => (
        <Kind
          key={treatment.id}
          work={work}
          treatment={treatment}
          problem={edited.problemAt(`treatments.${i}.parts`)}
          onChange={(next, gesture) =>
            set(
              list.map((each) => (each.id === next.id ? next : each)),
              gesture && `${next.id} ${gesture}`,
            )
          }
          onRemove={() => set(list.filter(({ id }) => id !== treatment.id))}
        />
      ))}
      <Box>
        <Button
          startIcon={<Plus size={18} />}
          variant={list.length === 0 ? "contained" : "outlined"}
          onClick={add}
          disabled={work.tasks.length === 0 || list.length >= MAX_TREATMENTS}
        >
          {t("Add a kind of treatment")}
        </Button>
      </Box>
    </Box>
  );
}

interface KindProps {
  work: Work;
  treatment: Treatment;
  problem?: string;
  onChange(treatment: Treatment, gesture?: string): void;
  onRemove(): void;
}

function Kind({ work, treatment, problem, onChange, onRemove }: KindProps) {
  const { name, lengthMin, deep, parts, words } = treatment;
  const handMin = parts.reduce((sum, { minutes }) => sum + minutes, 0);
  const { side, value } = harderHand(work, { id: "-", name: "-", parts, personIds: [] });
  return (
    <Box component="section" aria-label={name} sx={{ borderTop: "2px solid", borderColor: "line", pt: 2 }}>
      <Box sx={{ display: "flex", gap: 2, alignItems: "flex-end", mb: 1.5, flexWrap: "wrap" }}>
        <TextField
          label={t("Name")}
          value={name}
          onChange={({ target }) => onChange({ ...treatment, name: target.value }, "name")}
          sx={{ width: 260 }}
        />
        <Stepper
          label={t("Length")}
          unit={t("min")}
          value={lengthMin}
          min={5}
          max={480}
          step={5}
          onChange={(min) => onChange({ ...treatment, lengthMin: min }, "length")}
        />
        <Box sx={{ pb: 0.5 }}>
          <Toggle label={t("Deep: a reset follows it")} pressed={deep} onChange={(on) => onChange({ ...treatment, deep: on })} />
        </Box>
        <Button startIcon={<Trash2 size={18} />} onClick={onRemove} sx={{ ml: "auto" }}>
          {t("Remove")}
        </Button>
      </Box>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "minmax(0, 1fr) minmax(0, 1fr)" },
          columnGap: 5,
          rowGap: 2,
        }}
      >
        <Box>
          <PartList
            work={work}
            parts={parts}
            roomMin={lengthMin}
            onChange={(next, gesture) =>
              onChange(
                { ...treatment, parts: next.flatMap(({ taskId, minutes }) => (taskId === null ? [] : [{ taskId, minutes }])) },
                gesture,
              )
            }
          />
        </Box>
        <Box sx={{ display: "grid", gap: 1.5, alignContent: "start" }}>
          <Typography
            role={problem ? "alert" : undefined}
            sx={{ color: problem ? "error.main" : "text.secondary", fontWeight: problem ? 650 : 500 }}
          >
            {problem
              ? t("The parts {{problem}}.", { problem })
              : t("The hands work {{handMin}} of {{lengthMin}} min.", { handMin, lengthMin })}
          </Typography>
          {handMin > 0 && (
            <Typography>
              {t("One of it strains the {{side}} hand by", { side: side === "left" ? t("left") : t("right") })}{" "}
              <strong>{strainText(value)}</strong>
              {value > RAISED_STRAIN && ` (${t("raised")})`}
            </Typography>
          )}
          <OtherWords words={words} onChange={(next) => onChange({ ...treatment, words: next }, "words")} />
        </Box>
      </Box>
    </Box>
  );
}

/** As typed: a comma that was just set is not taken away from under the keys. */
function OtherWords({ words, onChange }: { words: readonly string[]; onChange(words: string[]): void }) {
  const wordsIn = (text: string) =>
    text
      .split(",")
      .map((word) => word.trim())
      .filter(Boolean);
  return (
    <TextField
      label={t("What else it is called in bookings")}
      defaultValue={words.join(", ")}
      onChange={({ target }) => onChange(wordsIn(target.value))}
      helperText={t("Parted by commas. Bookings from calendars and files are known by these and by the name.")}
    />
  );
}
