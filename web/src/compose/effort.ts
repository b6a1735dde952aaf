/**
 * How long the solver may think: for the best in all, and for each alternative; and how near to the best each has to come. An alternative
 * takes 0.5 to 2 s on a quick machine and nobody waits for it; a slow one, with other work besides, finds it too.
 */
export const BEST = { timeLimitSec: 4.5, gap: 0.01 } as const;
export const ALTERNATIVE = { timeLimitSec: 6, gap: 0.03 } as const;
