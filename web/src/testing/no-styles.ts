/** Component tests look at what is on a page, not at how it looks: no style is computed there, which was a sixth of their time. */
export const serializeStyles = () => ({ name: "unstyled", styles: "", next: undefined });
