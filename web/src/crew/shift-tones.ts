/** The colours of kinds of shift, by their place in a shift pattern. */
export const SHIFT_TONES = ["primary.main", "hand.left", "warm.dark", "text.secondary", "hand.right", "text.primary"];
