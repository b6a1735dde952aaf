/** A mass or a length to nudge or type, in the unit of whoever looks; given and taken in kilograms or metres. */
import { FIELD_UNITS } from "../base/measures";
import { onStep, Stepper } from "./Stepper";

interface QuantityStepperProps {
  label: string;
  quantity: keyof typeof FIELD_UNITS;
  /** Kilograms or metres, like the ends of the range. */
  value: number;
  min: number;
  max: number;
  /** In the unit that is shown. */
  step: number;
  onChange(value: number): void;
}

export function QuantityStepper({ label, quantity, value, min, max, step, onChange }: QuantityStepperProps) {
  const { unit, shown, stored } = FIELD_UNITS[quantity];
  return (
    <Stepper
      label={label}
      unit={unit}
      value={Math.round(shown(value) * 100) / 100}
      min={onStep(shown(min), step)}
      max={onStep(shown(max), step)}
      step={step}
      onChange={(next) => onChange(stored(next))}
    />
  );
}
