/** For those who listen, and nobody else: takes no room. */
export const UNSEEN = { position: "absolute", width: "1px", height: "1px", m: 0, overflow: "hidden", clipPath: "inset(50%)" } as const;
