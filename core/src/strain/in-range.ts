/** Guards the formulas: a value outside their range is a fault of the caller, not a result. */
export function inRange(name: string, value: number, least: number, most: number): void {
  if (!(value >= least && value <= most)) throw new RangeError(`${name} must be ${least} to ${most}, not ${value}`);
}
