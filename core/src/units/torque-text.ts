/** Torque as shown on screen: two decimals are finer than any tool in a kit. */
export function torqueText(torqueNm: number): string {
  return `${torqueNm.toFixed(2)} N·m`;
}
