/** What is used of it; it brings no types. */
declare module "jstat" {
  const jstat: {
    studentt: { inv(p: number, degreesOfFreedom: number): number };
    beta: { inv(p: number, alpha: number, beta: number): number };
    chisquare: { inv(p: number, degreesOfFreedom: number): number };
  };
  export default jstat;
}
