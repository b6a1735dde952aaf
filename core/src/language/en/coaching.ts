/** What the coaching cards say: the better way first, then why. */
export const coaching = {
  "straight-wrist": { title: "Straight wrist, set slightly back", why: "A bent wrist gives away grip and drags tendons round a corner." },
  "palm-neutral-or-up": { title: "Palm neutral or up when you lift", why: "Palm down loads the outer elbow most." },
  "elbows-near-the-ribs": { title: "Elbows near the ribs", why: "Arms held out are carried by the neck and shoulders all day." },
  "last-three-fingers-carry": {
    title: "Last three fingers carry, the thumb rides along",
    why: "The strong fingers hold; the thumb only steadies.",
  },
  "handle-size": { title: "Hand about half closed", why: "A grip is strongest there: build a thin handle up." },
  "arched-thumb": { title: "Slight arch, tissue gathered to the thumb", why: "A straight or bent-back thumb presses on its own joint." },
  "double-up-fingers": { title: "Double up fingers", why: "Two softly bent fingers share what one straight one cannot." },
  "stacked-joints": { title: "Force through stacked joints", why: "Forearm behind the hand: bone carries, muscle steers." },
  "forearm-instead": { title: "Forearm, elbow or fist for deep pressure", why: "Keep thumbs for what only thumbs can feel." },
  "change-hands": { title: "Change hands, change tasks", why: "A pause of seconds, often, beats a long one late." },
  "warm-hands": { title: "Warm hands first", why: "Cold fingers grip harder and feel less." },
} as const;
