/** How long the solver may think: for the best in all, and for each alternative; and how near to the best each has to come. */
export const BEST = { timeLimitSec: 4.5, gap: 0.01 } as const;
export const ALTERNATIVE = { timeLimitSec: 2, gap: 0.03 } as const;
