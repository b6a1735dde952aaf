/** The numbers of a custom movement's usual dose. */
import type { Dose } from "@kind-grip/core/session";
import { t } from "../base/words";
import { Stepper } from "../parts/Stepper";

export function DoseSteppers({ dose, onChange }: { dose: Dose; onChange(dose: Dose): void }) {
  switch (dose.kind) {
    case "holds":
      return (
        <>
          <Stepper label={t("Holds")} value={dose.reps} min={1} max={30} onChange={(reps) => onChange({ ...dose, reps })} />
          <Stepper
            label={t("Each")}
            unit="s"
            value={dose.holdSec}
            min={1}
            max={180}
            onChange={(holdSec) => onChange({ ...dose, holdSec })}
          />
          <Stepper
            label={t("Rest")}
            unit="s"
            value={dose.restSec}
            min={0}
            max={300}
            onChange={(restSec) => onChange({ ...dose, restSec })}
          />
        </>
      );
    case "reps":
      return (
        <>
          <Stepper label={t("Repetitions")} value={dose.reps} min={1} max={60} onChange={(reps) => onChange({ ...dose, reps })} />
          <Stepper
            label={t("Out")}
            unit="s"
            value={dose.tempo.outSec}
            min={1}
            max={15}
            onChange={(outSec) => onChange({ ...dose, tempo: { ...dose.tempo, outSec } })}
          />
          <Stepper
            label={t("Stay")}
            unit="s"
            value={dose.tempo.endPauseSec}
            min={0}
            max={15}
            onChange={(endPauseSec) => onChange({ ...dose, tempo: { ...dose.tempo, endPauseSec } })}
          />
          <Stepper
            label={t("Back")}
            unit="s"
            value={dose.tempo.backSec}
            min={1}
            max={15}
            onChange={(backSec) => onChange({ ...dose, tempo: { ...dose.tempo, backSec } })}
          />
        </>
      );
    case "timed":
      return (
        <Stepper
          label={t("Work")}
          unit="s"
          value={dose.workSec}
          min={5}
          max={600}
          step={5}
          onChange={(workSec) => onChange({ ...dose, workSec })}
        />
      );
    case "steps":
      return <Stepper label={t("Rounds")} value={dose.rounds} min={1} max={10} onChange={(rounds) => onChange({ ...dose, rounds })} />;
  }
}
