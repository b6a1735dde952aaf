/** What a person reads about glides: short, second person, one action a line. */
import type { MovementWords } from "../../words";

export const glide = {
  "median-glide": {
    name: "Median nerve glide",
    steps: [
      "Stand tall, arm hanging, fingers spread.",
      "Take wrist and fingers back.",
      "Turn the shoulder out, elbow straight.",
      "Take the arm out to the side.",
      "Shoulder blade down, head away.",
      "Slide at your last comfortable step: let the wrist go as the head goes away, take it back as the head comes up.",
    ],
    feel: "At most a faint line along the arm.",
    watch: ["Leave out the later steps; never push through."],
    care: ["Tingling or numbness that stays after one step less: stop this one and say so."],
    forms: {
      "steps-2": "Up to step 2",
      "steps-3": "Up to step 3",
      "steps-4": "Up to step 4",
      "steps-5": "All five steps",
    },
  },
  "ulnar-glide": {
    name: "Ulnar nerve glide",
    steps: [
      "Stand tall, arm hanging, fingers spread.",
      "Take wrist and fingers back.",
      "Bend the elbow well.",
      "Upper arm level, rolled out.",
      "Turn the thumb forward.",
      "Shoulder blade down, head away.",
      "Slide at your last comfortable step: one end lets go as the head goes away, and takes up as the head comes back.",
    ],
    feel: "At most a faint line towards the little finger.",
    watch: ["The neck stays easy.", "Never push through."],
    care: ["Tingling or numbness that stays after one step less: stop this one and say so."],
    forms: {
      "steps-2": "Up to step 2",
      "steps-3": "Up to step 3",
      "steps-4": "Up to step 4",
      "steps-6": "All six steps",
    },
  },
  "tendon-glide": {
    name: "Tendon glide",
    steps: [
      "Straight fingers.",
      "Hook: only the end joints bend.",
      "Full fist.",
      "Tabletop: only the knuckles bend.",
      "Straight fist: knuckles and middle joints.",
    ],
    feel: "Tendons sliding through the palm.",
    watch: ["Every shape clear before the next.", "Wrist straight."],
    care: ["Light; never squeeze."],
    forms: {
      resting: "Elbow resting on the table",
      free: "Hand free",
    },
  },
  "hook-to-fist": {
    name: "Hook to fist",
    steps: ["Make a hook: knuckles straight, ends bent.", "Roll on into a full fist.", "Back to the hook."],
    feel: "The palm side of the fingers.",
    watch: ["The thumb stays out of the way.", "No squeezing."],
    care: [],
    forms: {
      resting: "Hand resting on the table",
      free: "Hand free",
    },
  },
  "radial-glide": {
    name: "Radial nerve glide",
    steps: [
      "Let the arm hang, thumb across the palm.",
      "Bend the wrist.",
      "Straighten the elbow, turn the arm in.",
      "Take the arm slightly out.",
      "Shoulder blade down and back.",
      "Tilt the head away.",
      "Slide at your last comfortable step: let the wrist go as the head goes away, bend it as the head comes back.",
    ],
    feel: "A faint pull along the thumb side.",
    watch: ["No shrug, no lean: the trunk stays tall."],
    care: ["First faint feeling is the last step used.", "Tingling that stays: ease one step; if it stays still, stop."],
    forms: {
      "steps-2": "Up to step 2",
      "steps-3": "Up to step 3",
      "steps-4": "Up to step 4",
      "steps-6": "All six steps",
    },
  },
  "arms-wide-floss": {
    name: "Arms-wide floss",
    steps: [
      "Reach both arms wide.",
      "Turn one palm in to you, the other away.",
      "Tilt the head to the arm whose wrist is bent back.",
      "Swap.",
    ],
    feel: "A light pull from neck to palm, side to side.",
    watch: ["The head goes towards the wrist that is bent back, never away from it."],
    care: ["Elbows straight only if it is mild."],
    forms: {
      "elbows-soft": "Elbows soft",
      "elbows-straight": "Elbows straight",
    },
  },
} satisfies Record<string, MovementWords>;
