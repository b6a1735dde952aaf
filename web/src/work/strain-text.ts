/** A strain index as it is read; absurd answers do not break a drawing. */
export function strainText(index: number): string {
  return index < 1000 ? index.toFixed(1) : "over 999";
}
