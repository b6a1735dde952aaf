/** What a person reads about mobility: short, second person, one action a line. */
import type { MovementWords } from "../../words";

export const mobility = {
  "wrist-nod": {
    name: "Wrist nod",
    steps: ["Make a soft fist.", "Let the wrist sink all the way.", "Lift it all the way.", "Stay a moment at each end."],
    feel: "Gentle movement on top and underneath the wrist.",
    watch: ["The forearm does not roll.", "The fist stays soft."],
    care: [],
    forms: {
      supported: "Other hand holds the forearm",
      free: "Free arm",
    },
  },
  "wrist-tilt": {
    name: "Wrist tilt",
    steps: ["Turn the thumb up.", "Tilt the hand to the thumb side.", "Tilt it to the little-finger side.", "Keep it slow and even."],
    feel: "The two edges of the wrist.",
    watch: ["The elbow does not travel.", "No bending forward or back."],
    care: ["Smaller towards a sore thumb."],
    forms: {
      supported: "Forearm supported",
      free: "Free arm",
    },
  },
  "wrist-circle": {
    name: "Wrist circle",
    steps: ["Draw the slowest, largest circle your wrist can make.", "First round one way, second round the other."],
    feel: "Every edge of the wrist in turn.",
    watch: ["Reach each edge; do not cut the corners.", "The forearm stays still."],
    care: ["Painless clicks are fine."],
    forms: {
      "supported-slow": "Forearm held, slow",
      free: "Free arm",
    },
  },
  "clasped-eight": {
    name: "Clasped eight",
    steps: ["Lace your fingers, heels of the hands close.", "Draw a lying figure eight.", "Change direction halfway."],
    feel: "Wrists and forearms turning together.",
    watch: ["Shoulders low.", "The heels of the hands stay close."],
    care: [],
    forms: {
      small: "Small eight",
      full: "Full eight",
    },
  },
  "palm-turn": {
    name: "Palm turn",
    steps: ["Elbow at your side, bent square.", "Turn the palm all the way down.", "Turn it all the way up."],
    feel: "The forearm turning along its length.",
    watch: ["The elbow stays at the side.", "The wrist stays straight."],
    care: [],
    forms: {
      "elbow-resting": "Elbow resting",
      free: "Elbow free",
    },
  },
  "finger-wave": {
    name: "Finger wave",
    steps: [
      "Open hands.",
      "Fold in from the little finger, one finger after the other.",
      "The thumb wraps last.",
      "Open again: thumb first, or from the little finger, as the form says.",
    ],
    feel: "Each finger on its own.",
    watch: ["One at a time, no bunching.", "Wrists straight."],
    care: [],
    forms: {
      slow: "Slow",
      quick: "Quicker",
      "from-little": "Opens again from the little finger",
    },
  },
  "thumb-to-tips": {
    name: "Thumb to tips",
    steps: ["Bring the thumb to the fingertip: a round O.", "Open and stretch that finger long.", "Next finger, to the little one."],
    feel: "The pad of the thumb working.",
    watch: ["The O stays round; no joint collapses."],
    care: ["A sore thumb stops at the ring finger."],
    forms: {
      tip: "To the tips",
      "base-of-finger": "To the base of each finger",
    },
  },
  "curl-in-extension": {
    name: "Curl with the wrist back",
    steps: ["Arm forward, wrist bent all the way back.", "Curl the fingers without letting the wrist drop.", "Straighten them again."],
    feel: "Underside of the forearm.",
    watch: ["The wrist wants to drop: keep it back."],
    care: ["Cramp near the fifth is common: shake out and go on."],
    forms: {
      "elbow-soft": "Elbow soft",
      "elbow-straight": "Elbow straight",
      "hand-held": "Other hand holds the wrist back",
    },
  },
  "fold-and-turn": {
    name: "Fold and turn",
    steps: [
      "Make soft fists, arms long, palms up.",
      "Bend the elbows and turn the palms down as you go.",
      "Straighten and turn the palms up.",
    ],
    feel: "Elbows and forearms through their whole length.",
    watch: ["Go all the way at both ends."],
    care: ["Stop short of a pinch at the elbow."],
    forms: {
      standard: "As described",
    },
  },
  "finger-lift": {
    name: "Finger lift",
    steps: ["Lay your palm flat on the table.", "Lift one finger, the others stay down.", "Lower it and go on to the next."],
    feel: "The back of the hand.",
    watch: ["The palm stays flat; only one finger lifts."],
    care: ["A small lift is enough."],
    forms: {
      "no-push": "On its own",
      push: "Other hand adds a small push",
    },
  },
  "wrist-slide": {
    name: "Wrist slide",
    steps: ["Reach forward with a soft fist.", "Glide the hand up and down.", "Then side to side, as if wiping."],
    feel: "The wrist moving, the arm quiet.",
    watch: ["Move from the wrist, not from the knuckles."],
    care: ["Bend the elbow if it pulls."],
    forms: {
      "elbow-bent": "Elbow bent",
      locked: "Elbow straight",
    },
  },
  "curl-in-flexion": {
    name: "Curl with the wrist down",
    steps: [
      "Reach forward, palm down, wrist bent all the way down.",
      "Scrunch the fingers without letting the hand lift.",
      "Straighten them again.",
    ],
    feel: "The back of the forearm.",
    watch: ["The hand wants to lift; keep it down."],
    care: ["Cramp is common: rest, then go on."],
    forms: {
      "elbow-soft": "Elbow soft",
      "elbow-straight": "Elbow straight",
      "hand-held": "Other hand holds the wrist down",
    },
  },
  "curl-palm-up": {
    name: "Curl, palm up",
    steps: ["Reach forward, palm up, wrist curled in.", "Scrunch the fingers.", "Open them while the wrist stays curled."],
    feel: "The front of the forearm and the palm.",
    watch: ["The elbow wants to bend; leave it long."],
    care: ["Cramp is common: rest, then go on."],
    forms: {
      "elbow-soft": "Elbow soft",
      "elbow-straight": "Elbow straight",
      "hand-held": "Other hand keeps the wrist curled",
    },
  },
  "reach-lift-turn-close": {
    name: "Reach, lift, turn, close",
    steps: [
      "Reach both arms forward, palms down.",
      "Let the hands drop.",
      "Lift the hands, fingers up.",
      "Lead with the little fingers: turn the palms up.",
      "Close soft fists.",
      "Open, turn back, palms down.",
    ],
    feel: "Wrists, forearms and fingers, one after the other.",
    watch: ["Shoulders stay low.", "Each place is reached before the next."],
    care: ["Arms lower with a sore shoulder."],
    forms: {
      low: "Arms low",
      "shoulder-height": "Arms at shoulder height",
    },
  },
} satisfies Record<string, MovementWords>;
