/** What a person reads about release: short, second person, one action a line. */
import type { MovementWords } from "../../words";

export const release = {
  "forearm-roll": {
    name: "Forearm roll",
    steps: ["Forearm relaxed on the roller.", "Roll slowly from wrist to elbow and back.", "Turn the arm a little and go on."],
    feel: "Pressure that is sore at most.",
    watch: ["The hand stays loose."],
    care: [
      "Numb or tingling? Lift off at once.",
      "Off the groove inside the elbow, bony points and the front of the wrist.",
      "Not over broken skin or lumps.",
    ],
    forms: {
      roll: "Roll",
      "press-and-move": "Press and move the wrist",
    },
  },
  "forearm-knead": {
    name: "Forearm knead",
    steps: ["Let one hand hang.", "Knead that forearm with the other hand, elbow to wrist.", "End with two loose wrist circles."],
    feel: "Muscle giving way under the hand.",
    watch: ["The kneaded hand hangs loose.", "Use the whole hand, not the thumb tip."],
    care: ["Not over broken skin or lumps."],
    forms: {
      light: "Light",
      deep: "Deeper",
    },
  },
  "palm-knuckle-circles": {
    name: "Palm knuckle circles",
    steps: ["Rest one knuckle in the other palm.", "Circle on the spot.", "Move on across the palm; stay longest on the thumb pad."],
    feel: "The palm warming through.",
    watch: ["The palm stays open and loose.", "No sliding on dry skin."],
    care: [],
    forms: {
      light: "Light",
      deep: "Deeper",
    },
  },
  "edge-sweep": {
    name: "Edge sweep",
    steps: ["Rest the forearm, palm up.", "Sweep the edge along the muscle, flat to the skin.", "About half a minute, then move on."],
    feel: "Warmth along the muscle.",
    watch: ["Edge at less than 45 degrees to the skin."],
    care: [
      "Oil or lotion first; no bruises.",
      "Off the groove inside the elbow, bony points and the front of the wrist.",
      "Not over broken skin, lumps or numb areas.",
      "Blood thinners or fragile skin: ask a clinician first.",
    ],
    forms: {
      light: "Light",
      firmer: "Firmer",
    },
  },
  "neck-corner-press": {
    name: "Neck-corner press",
    steps: ["Reach across to where the neck meets the shoulder.", "Press and hold.", "Breathe, let go slowly."],
    feel: "A good ache that eases.",
    watch: ["Press on muscle, not on the spine."],
    care: ["Never on the throat."],
    forms: {
      hand: "With the fingers",
      ball: "With a ball at the wall",
    },
  },
  "chest-rub": {
    name: "Chest rub",
    steps: ["Lay the fingertips under the collarbone.", "Rub small circles outward.", "Finish at the shoulder."],
    feel: "The front of the chest softening.",
    watch: ["Stay under the bone, off the throat."],
    care: ["Light over sore spots."],
    forms: {
      hand: "With the fingers",
      ball: "With a ball",
    },
  },
  "thumb-support-tape": {
    name: "Thumb-support tape",
    steps: [
      "Try a small patch the day before; clean, dry skin.",
      "Lay the strip along the back of the thumb, no pull.",
      "Anchor it once round the wrist.",
    ],
    feel: "Support, no squeeze.",
    watch: ["Fingertips stay warm and pink."],
    care: ["Off at itching, whitening or tingling.", "Off after three days at the latest.", "Skin reactions: ask a clinician first."],
    forms: {
      standard: "As described",
    },
  },
} satisfies Record<string, MovementWords>;
