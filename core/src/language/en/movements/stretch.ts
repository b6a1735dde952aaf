/** What a person reads about stretches: short, second person, one action a line. */
import type { MovementWords } from "../../words";

export const stretch = {
  "palm-away": {
    name: "Palm-away stretch",
    steps: [
      "Arm forward, palm away from you, fingers up.",
      "Other hand takes all four fingers.",
      "Draw them back until you feel a mild pull.",
    ],
    feel: "Underside of the forearm, into the palm.",
    watch: ["All four fingers together.", "The wrist does not go past square.", "Shoulder low."],
    care: ["With a sore shoulder, hold the arm at 45°.", "Let go slowly; never let it snap back."],
    forms: {
      "elbow-90": "Elbow bent square",
      "elbow-soft": "Elbow soft",
      "elbow-straight": "Elbow straight",
      "blade-back": "Straight, shoulder blade drawn down",
    },
  },
  "palm-up-draw": {
    name: "Palm-up draw",
    steps: [
      "Arm forward, palm up, fingers towards the floor.",
      "Other hand draws the fingers back to you.",
      "Stay where the pull is mild.",
    ],
    feel: "Underside of the forearm, near the elbow.",
    watch: ["The palm keeps facing forward; the elbow crease looks up."],
    care: ["Let go slowly."],
    forms: {
      "elbow-90": "Elbow bent square",
      "elbow-soft": "Elbow soft",
      "elbow-straight": "Elbow straight",
      "blade-back": "Straight, shoulder blade drawn down",
    },
  },
  "hand-drop": {
    name: "Hand drop",
    steps: ["Arm forward, back of the hand up.", "Let the hand drop.", "Other hand presses gently on the back of it."],
    feel: "Top of the forearm.",
    watch: ["Press on the hand, not on the fingers.", "The forearm stays level."],
    care: ["A fist adds a lot: it is a form of its own."],
    forms: {
      "open-hand": "Open hand",
      "soft-fist": "Soft fist",
      "full-fist": "Full fist, forearm turned in",
    },
  },
  "thumb-wrap-tilt": {
    name: "Thumb-wrap tilt",
    steps: [
      "Close a soft fist; the thumb lies on the outside or inside, as the form says.",
      "Thumb side up, tilt the wrist towards the little finger.",
      "Stop at the first pull.",
    ],
    feel: "Thumb side of the wrist.",
    watch: ["Tilt only; the wrist does not bend."],
    care: ["These tendons flare easily: stay at 2 of 10.", "Two holds of 20 seconds at most in the first weeks."],
    forms: {
      "thumb-outside": "Thumb on the outside of the fist",
      "own-weight": "Thumb inside, own weight",
      assisted: "Thumb inside, other hand helps",
    },
  },
  "palm-out-turn": {
    name: "Palm-out turn",
    steps: ["Elbow bent, palm turning up.", "Other hand takes the forearm just above the wrist.", "Add a gentle turn at the end."],
    feel: "Inside of the forearm.",
    watch: ["Push on the forearm bones, not on the hand.", "The elbow stays at the side."],
    care: [],
    forms: {
      "elbow-bent": "Elbow bent",
      "elbow-straight": "Elbow straight",
    },
  },
  "palms-together-drop": {
    name: "Palms-together drop",
    steps: ["Palms together before the chest.", "Sink the hands until the heels want to part.", "Stay there."],
    feel: "Both palms and the underside of the forearms.",
    watch: ["The heels of the hands stay together.", "Shoulders low."],
    care: ["Come up a little if the wrist pinches on top."],
    forms: {
      "high-hands": "Hands high",
      "low-hands": "Hands low",
    },
  },
  "clasp-and-press": {
    name: "Clasp and press",
    steps: ["Lace your fingers.", "Turn the palms away and lengthen the arms.", "Breathe."],
    feel: "Palms, forearms, between the shoulder blades.",
    watch: ["Ribs stay down."],
    care: ["Release slowly."],
    forms: {
      bent: "Arms bent",
      long: "Arms long",
      overhead: "Overhead",
    },
  },
  "table-plant": {
    name: "Table plant",
    steps: [
      "Hands on the table, fingers evenly spread.",
      "Bring your shoulders over your wrists, touch light.",
      "Stay where the pull is mild.",
    ],
    feel: "Palms and underside of the forearms.",
    watch: ["No hanging weight.", "Even gaps between the fingers."],
    care: ["Only after a clean week without weight on the hands.", "Clean table, rings off."],
    forms: {
      "heels-off": "Heels of the hands off",
      flat: "Hands flat",
      "with-lift": "Flat, then lift and lower",
    },
  },
  "web-split": {
    name: "Web split",
    steps: ["Take two neighbouring fingers near the knuckle.", "Part them gently.", "Go on to the next pair; thumb and first finger last."],
    feel: "The web between the fingers.",
    watch: ["Hold near the knuckle, never at the tips."],
    care: ["Rings off."],
    forms: {
      standard: "As described",
    },
  },
  "handshake-down": {
    name: "Handshake, down and up",
    steps: ["Hold the hand out as for a handshake, thumb up.", "Tilt it down to the little-finger side.", "Tilt it up to the thumb side."],
    feel: "Along the thumb side of the wrist.",
    watch: ["Thumb stays up; the forearm does not roll."],
    care: ["Small range with a sore thumb."],
    forms: {
      active: "On its own",
      assisted: "Other hand draws it",
    },
  },
  "palm-in-turn": {
    name: "Palm-in turn",
    steps: ["Bend the elbow, turn the palm down.", "Take the forearm just above the wrist.", "Add a gentle turn at the end."],
    feel: "The outer forearm near the elbow.",
    watch: ["Push on the forearm, not on the hand; the elbow stays in."],
    care: ["Elbow straight works at the shoulder: go slower."],
    forms: {
      "elbow-bent": "Elbow bent",
      "elbow-straight": "Elbow straight",
    },
  },
  "guided-turn": {
    name: "Guided turn",
    steps: [
      "Bring the hand to your chest; the other hand guides it.",
      "Bent and turned in.",
      "Bent and turned out.",
      "Bent back, fingers down.",
      "Bent back, fingers up.",
    ],
    feel: "Space at the front of the wrist.",
    watch: ["Lift the hand away as you guide; do not jam it."],
    care: ["Two seconds a place is enough."],
    forms: {
      small: "Small",
      full: "Full",
    },
  },
  "palms-together-push": {
    name: "Palms together, push over",
    steps: ["Press your palms together before the chest.", "One hand pushes the other over.", "Come back and push the other way."],
    feel: "The front of the wrist that bends back.",
    watch: ["The heels of the hands stay together; the trunk stays still."],
    care: ["Slow at the end."],
    forms: {
      standard: "As described",
    },
  },
  "hand-lean": {
    name: "Hand lean",
    steps: ["Set your hands flat, fingers even.", "Lean over them slowly.", "Stay where the pull is mild."],
    feel: "The front of the wrists and forearms.",
    watch: ["Elbows soft, shoulders away from the ears."],
    care: ["Press through pads and knuckles, not only the heel.", "Weight only after a clean week without."],
    forms: {
      "fingers-forward": "Fingers forward",
      "to-the-side": "Fingers to the side",
      "back-to-you": "Fingers back to you",
      "on-the-floor": "On hands and knees, fingers forward",
    },
  },
  "back-of-hand-lean": {
    name: "Back-of-hand lean",
    steps: ["Turn the backs of your hands to the table, fingers to you.", "Lean a very little.", "Come off slowly."],
    feel: "The back of the wrists.",
    watch: ["Touch, do not hang; elbows soft."],
    care: ["Needs the most care of all.", "Weight only after a clean week without."],
    forms: {
      hovering: "Hovering",
      light: "Light touch",
      lean: "Lean",
      "on-the-floor": "On hands and knees, backs of the hands down",
    },
  },
  "under-foot-press": {
    name: "Under-foot press",
    steps: [
      "At home, shoes off: fold forward, knees soft.",
      "Slide your hands under the balls of the feet, palms up.",
      "Breathe and stay.",
    ],
    feel: "The back of the wrists, the back of the legs.",
    watch: ["Knees stay soft; the neck hangs."],
    care: ["Not on a work floor.", "Come up slowly."],
    forms: {
      home: "At home",
    },
  },
  "wrist-traction": {
    name: "Wrist traction",
    steps: ["Rest the forearm.", "Take the hand and draw it straight away.", "Ease off slowly."],
    feel: "Space in the wrist.",
    watch: ["Straight, never twisted."],
    care: ["Not with a loose or sore joint."],
    forms: {
      standard: "As described",
    },
  },
  "finger-draw": {
    name: "Finger draw",
    steps: ["Take one finger near its base.", "Draw it gently long.", "Go on finger by finger, in the same order."],
    feel: "Length in each finger.",
    watch: ["Draw only; do not turn the finger."],
    care: ["No pulling on a swollen joint."],
    forms: {
      standard: "As described",
    },
  },
  "knuckle-open": {
    name: "Knuckle opening",
    steps: ["Make a hook: end joints bent.", "Other hand takes the fingers.", "Bend the knuckles back while the ends stay bent."],
    feel: "Deep in the palm, between the bones.",
    watch: ["End joints stay bent."],
    care: ["Mild pull only."],
    forms: {
      standard: "As described",
    },
  },
  "spread-and-clasp": {
    name: "Spread and clasp",
    steps: ["Spread both hands wide.", "Bring them together, fingers into the webs.", "Open again."],
    feel: "Between the fingers.",
    watch: ["Reach wide before you clasp."],
    care: ["Rings off."],
    forms: {
      standard: "As described",
    },
  },
  "hanging-fists": {
    name: "Hanging fists",
    steps: ["Make soft fists, elbows in.", "Let the wrists hang.", "Roll them gently."],
    feel: "The back of the wrists, loose.",
    watch: ["Let them hang; do not pull them down."],
    care: [],
    forms: {
      standard: "As described",
    },
  },
} satisfies Record<string, MovementWords>;
