/** A row of buttons as one radio group: one stop of the Tab key, arrow keys go round and choose. */
import type { KeyboardEvent } from "react";

const STEP: Readonly<Record<string, number>> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };

/**
 * What the button of each value needs; the element around them is the `radiogroup`.
 * @param value null while nothing is chosen: the first button is the stop then
 */
export function radioProps<T>(values: readonly T[], value: T | null, onChange: (value: T) => void) {
  return (each: T) => {
    const at = values.indexOf(each);
    const chosen = each === value;
    return {
      role: "radio",
      "aria-checked": chosen,
      tabIndex: chosen || (value === null && at === 0) ? 0 : -1,
      ref: (node: HTMLButtonElement | null) => {
        if (chosen && node?.parentElement?.contains(document.activeElement)) node.focus();
      },
      onClick: () => onChange(each),
      onKeyDown: (event: KeyboardEvent) => {
        const step = STEP[event.key];
        if (step === undefined) return;
        event.preventDefault();
        event.stopPropagation();
        onChange(values[(at + step + values.length) % values.length]!);
      },
    } as const;
  };
}
