/** The numbers of a row of steps, drawn as strokes: a picture carries no fonts. */
import { ACCENT } from "../flesh/tones";
import { number } from "../surface/svg-path";

/** Strokes of the digits on a 10 × 12 field. */
const DIGITS = [
  "M5 0A4 6 0 0 1 5 12A4 6 0 0 1 5 0",
  "M2 3L6 0V12",
  "M1.5 3A3.6 3.6 0 0 1 8.5 3.4C8.5 6 4 8.5 1.5 12H9",
  "M2 0H8.5L5 4.6A3.7 3.7 0 1 1 1.3 9.6",
  "M7 12V0L1 8.4H9.4",
  "M8.4 0H2.6L2 5.4A3.8 3.8 0 1 1 1.4 9.8",
  "M8 .6C4.4 .4 1.6 4 1.7 8A3.6 3.6 0 1 0 5 4.8C3.4 4.8 2 6 1.7 8",
  "M1.4 0H9L4 12",
  "M5 5.6A2.8 2.8 0 1 1 5.1 5.6A3.2 3.2 0 1 1 5 5.6",
  "M8.3 4A3.6 3.6 0 1 1 5 .4C7 .4 8.4 2 8.3 4C8.4 8 6 11.6 2 11.4",
] as const;

const TO_AND_FRO = "M-1 6H11M2 2.6L-1.4 6L2 9.4M8 2.6L11.4 6L8 9.4";

/** A step's number in a round badge with its middle at (x, y), or an arrow to and fro. @param step 1 to 9 */
export function badge(step: number | "toAndFro", x: number, y: number, pen: number): string {
  const k = pen * 1.05;
  return (
    `<circle cx="${number(x)}" cy="${number(y)}" r="${number(13 * pen)}" fill="${ACCENT}"/>` +
    `<path class="step" transform="translate(${number(x - 5 * k)} ${number(y - 6 * k)}) scale(${k.toFixed(2)})" d="${step === "toAndFro" ? TO_AND_FRO : DIGITS[step % 10]!}" fill="none" stroke="#FFFDF8" stroke-width="2.2" stroke-linecap="round" stroke-linejoin="round"/>`
  );
}
