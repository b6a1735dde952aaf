/** What a person reads about stretches of trunk, shoulders and neck: short, second person, one action a line. */
import type { MovementWords } from "../../words";

export const upperBody = {
  "side-reach": {
    name: "Side reach",
    steps: ["Reach one arm overhead.", "Lean away from it.", "Come up and change."],
    feel: "The long side from hip to hand.",
    watch: ["Lean straight to the side, not forward."],
    care: ["Hand on the hip if the back is tired."],
    forms: {
      standard: "As described",
    },
  },
  "trunk-turn": {
    name: "Trunk turn",
    steps: ["Lay your hands on your shoulders.", "Turn softly to one side.", "Come back and turn to the other."],
    feel: "The middle of the back.",
    watch: ["Turn, do not lean."],
    care: ["Soft, never thrown."],
    forms: {
      standard: "As described",
    },
  },
  "round-and-hug": {
    name: "Round and hug",
    steps: ["Reach round a big ball, real or thought of.", "Let the shoulder blades part.", "Breathe into the back."],
    feel: "Between the shoulder blades.",
    watch: ["Round the upper back, not the neck alone."],
    care: [],
    forms: {
      standard: "As described",
    },
  },
  "head-press": {
    name: "Head press",
    steps: ["Lace your hands behind the head.", "Grow tall into them, then press back.", "Let go slowly."],
    feel: "The back of the neck working.",
    watch: ["Shoulders low; the hands do not pull."],
    care: ["Light to moderate."],
    forms: {
      standard: "As described",
    },
  },
  "doorway-chest-stretch": {
    name: "Doorway chest stretch",
    steps: [
      "Lay forearm and hand on the door frame or the edge of a wall, beside you.",
      "Turn your chest slowly away from that arm.",
      "Stay, come back, change side.",
    ],
    feel: "The front of chest and shoulder.",
    watch: ["The shoulder stays low and back.", "The chest turns; the back does not arch."],
    care: ["Elbow lower with a sore shoulder.", "Tingling down the arm? Turn back."],
    forms: {
      "elbow-low": "Elbow below the shoulder",
      "elbow-level": "Elbow level with the shoulder",
    },
  },
  "palms-behind-back": {
    name: "Palms together behind the back",
    steps: ["Take both hands behind your back, low.", "Bring them together as the form says.", "Draw the shoulders back and breathe."],
    feel: "The front of the shoulders, the wrists.",
    watch: ["Chest open; the head does not poke forward."],
    care: ["Not with a sore shoulder: fists together, low, is enough."],
    forms: {
      fists: "Soft fists together",
      "fingers-down": "Palms together, fingers down",
    },
  },
} satisfies Record<string, MovementWords>;
