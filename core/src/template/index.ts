/** Templates: programs kept for another crew or another block, and what of one does not fit where it is brought. */
export { copyOf, type CopyTo } from "./copy";
export { answered, suggestedAnswer, unfitting, type FitAnswer, type Unfitting } from "./unfitting";
export { SHIPPED_TEMPLATES, shippedProgram, type ShippedTemplate, type ShippedTemplateId } from "./shipped";
