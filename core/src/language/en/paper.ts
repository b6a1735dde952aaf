/** What stands on hand-outs. */
export const paper = {
  prevention: "This is prevention, not treatment. Follow site rules, local law and the advice of licensed professionals.",
  mildPull: "Mild pull, never pain. Breathe. Let go slowly.",
  stop: "Stop and tell your trainer: sharp pain, tingling or numbness that stays, a hand that turns pale, blue or cold.",
  effort: "Stay under {{cap}} of 10",
  watch: "Watch for",
  care: "Care",
  feel: "You feel it",
  easier: "Easier form",
  total: "{{time}} in all",
  page: "Page {{page}} of {{pages}}",
} as const;
