/** Thresholds of spacing; the one table for them. Figures are the practice's rules, see docs/safety.md. */
export const SPACING = {
  /** Same kind of work at least this far apart, from the end of one to the start of the next. */
  sameKindMin: 120,
  /** Strengthening the same region: at least this far apart, from the end of one to the start of the next. */
  strengthenSameRegionMin: 20 * 60,
  /** No stretch of hand work longer than this without a break or a session. */
  longestWorkMin: 120,
  /** A stretch break follows at least this much work since the shift began or since hours away. Practice rule. */
  workBeforeBreakMin: 30,
  /** Most sessions a day with glides in them. */
  glidesPerDay: 2,
  /** Most sessions a day with mobility or stretching in them. */
  mobilityPerDay: 3,
  /** Most days a week with strengthening. */
  strengthenDaysPerWeek: 3,
  /** A pre-shift or post-shift session belongs within this distance of its shift. */
  nearShiftMin: 60,
} as const;
