/** What a person reads about strengthening: short, second person, one action a line. */
import type { MovementWords } from "../../words";

export const strengthen = {
  "lift-palm-down": {
    name: "Lift, palm down",
    steps: [
      "Forearm on the table, hand over the edge, palm down.",
      "Lift the back of the hand to the count.",
      "Lower it to the same count.",
    ],
    feel: "Top of the forearm.",
    watch: ["The hand moves as one piece.", "No dropping at the end."],
    care: ["No load before the unloaded lift is clean."],
    forms: {
      unloaded: "No load",
      band: "Against a band",
      load: "With a weight",
    },
  },
  "lift-palm-up": {
    name: "Lift, palm up",
    steps: ["Forearm on the table, hand over the edge, palm up.", "Lift the palm towards you to the count.", "Lower it to the same count."],
    feel: "Underside of the forearm.",
    watch: ["The forearm stays down.", "No dropping at the end."],
    care: ["No load before the unloaded lift is clean."],
    forms: {
      unloaded: "No load",
      band: "Against a band",
      load: "With a weight",
    },
  },
  "thumb-side-lift": {
    name: "Thumb-side lift",
    steps: ["Thumb up, tool in the hand.", "Lower the far end slowly.", "Lift it back to level and a little above."],
    feel: "Thumb side of the forearm.",
    watch: ["The elbow stays bent at the side.", "The wrist tilts; it does not bend."],
    care: ["Hold nearer the middle to make it lighter."],
    forms: {
      "held-middle": "Held in the middle",
      "held-end": "Held at the end",
    },
  },
  "loaded-palm-turn": {
    name: "Loaded palm turn",
    steps: ["Elbow square at the side, tool upright.", "Let it fall slowly outward.", "Bring it over and let it fall inward."],
    feel: "Both sides of the forearm, near the elbow.",
    watch: ["You lead the tool; it never pulls you.", "The elbow stays at the side."],
    care: ["Shorten your hold on the tool to make it lighter."],
    forms: {
      "short-lever": "Short lever",
      "long-lever": "Long lever",
    },
  },
  "helped-up-slow-down": {
    name: "Helped up, slow down",
    steps: [
      "Forearm on the table, palm down, weight in hand.",
      "Other hand lifts it to the top.",
      "Take that hand right away.",
      "Lower slowly to the count.",
    ],
    feel: "Top of the forearm, near the elbow.",
    watch: ["No drop in the last third."],
    care: ["Some discomfort up to the cap is allowed; stabbing is not."],
    forms: {
      light: "Light",
      heavier: "One step heavier",
    },
  },
  squeeze: {
    name: "Slow squeeze",
    steps: ["Ball or rolled towel in the hand, where the form says.", "Squeeze slowly.", "Stay for two.", "Let go just as slowly."],
    feel: "Palm and underside of the forearm.",
    watch: ["All fingers share it.", "The wrist stays straight."],
    care: ["Light to moderate; never as hard as you can."],
    forms: {
      soft: "In the palm, soft",
      pads: "Under the pads of the middle joints",
      fingertips: "Under the fingertips",
      "palm-down": "In the palm, palm down as at work",
      firm: "In the palm, firm",
    },
  },
  "hook-pull-apart": {
    name: "Hook and pull apart",
    steps: ["Hook the fingers of both hands before the chest.", "Pull apart for two.", "Let go, change the top hand."],
    feel: "Fingers, and between the shoulder blades.",
    watch: ["Shoulders low.", "Wrists straight."],
    care: ["Rings off."],
    forms: {
      light: "Light pull",
      firm: "Firm pull",
    },
  },
  "finger-open-band": {
    name: "Finger opening with a band",
    steps: ["Band round all five fingers, near the tips.", "Open against it.", "Stay a moment.", "Close slowly."],
    feel: "Back of the hand and forearm.",
    watch: ["The thumb opens too.", "The band does the closing; you slow it."],
    care: ["Check the band for cracks."],
    forms: {
      "light-band": "Light band",
      "strong-band": "Strong band",
    },
  },
  "little-finger-side-lift": {
    name: "Little-finger-side lift",
    steps: ["Stand, arm straight down, tool end behind you.", "Raise the end backwards.", "Lower it slowly."],
    feel: "The little-finger side of the forearm.",
    watch: ["The elbow stays straight; only the wrist works."],
    care: ["Short lever first."],
    forms: {
      "short-lever": "Short lever",
      "long-lever": "Long lever",
    },
  },
  "slow-lever-lower": {
    name: "Slow lever lower",
    steps: ["Elbow at your side, rod upright.", "Lower it outward for four to five.", "The other hand brings it back up."],
    feel: "The inner elbow working.",
    watch: ["The elbow stays in; the rod never falls."],
    care: ["Discomfort within the cap is fine, stabbing is not."],
    forms: {
      "near-middle": "Grip near the middle",
      "near-end": "Grip near the end",
    },
  },
  "curl-turn-lower": {
    name: "Curl, turn, lower",
    steps: ["Weights in both hands, palms up.", "Curl them up.", "Turn the palms down at the top.", "Lower slowly."],
    feel: "Upper arm going up, outer forearm coming down.",
    watch: ["Elbows stay at the sides; no leaning back."],
    care: ["Heavier than wrist items, lighter than you think."],
    forms: {
      light: "Light",
      heavier: "One step heavier",
    },
  },
  "plate-hold": {
    name: "Plate hold",
    steps: ["Pinch the plate, arm hanging.", "Hold it still.", "Carry: walk slowly with it."],
    feel: "Thumb and fingers holding.",
    watch: ["Shoulder low, wrist straight."],
    care: ["Keep your toes clear."],
    forms: {
      hold: "Hold",
      carry: "Carry",
    },
  },
  "bar-hang": {
    name: "Bar hang",
    steps: ["Take the bar, hands apart.", "Draw the shoulders down from the ears.", "Hang quietly."],
    feel: "Hands, forearms, the length of the sides.",
    watch: ["Shoulders active: no sinking into the joints."],
    care: ["Only by choice, not with shoulder trouble.", "Rings off; a bar that was tested.", "Step up to it, never jump."],
    forms: {
      "feet-on-floor": "Feet on the floor",
      "feet-off": "Feet off",
    },
  },
  "flat-to-hook-press": {
    name: "Flat to hook press",
    steps: ["Lay both hands flat on a towel.", "Draw the fingers into a hook.", "Press lightly for two, lengthen again."],
    feel: "The small muscles of the hand.",
    watch: ["The knuckles stay low; wrists straight."],
    care: ["Towel under hard table tops."],
    forms: {
      "no-press": "No press",
      press: "Light press",
    },
  },
  "fist-clench-hold": {
    name: "Fist clench hold",
    steps: ["Arms forward, knuckles level.", "Close both fists.", "Hold, then open slowly."],
    feel: "Forearms all round.",
    watch: ["Wrists straight, knuckles level."],
    care: ["Full effort only after a clean week."],
    forms: {
      moderate: "Moderate",
      "full-effort": "Full effort",
    },
  },
  "towel-twist": {
    name: "Towel twist",
    steps: [
      "Hold a rolled towel in both fists, level.",
      "Twist as if wringing: one wrist bends, the other bends back.",
      "Let go slowly, then twist the other way.",
    ],
    feel: "Both sides of both forearms.",
    watch: ["The wrists do it; elbows stay at the sides.", "As far one way as the other."],
    care: ["Light to moderate; not with a sore thumb base."],
    forms: {
      light: "Light twist",
      firm: "Firm twist",
    },
  },
  "thumb-index-band": {
    name: "Thumb and first finger against a band",
    steps: [
      "Band round thumb and first finger, near the last joints.",
      "Palm still: take both away from the hand.",
      "Stay a moment.",
      "Come back slowly.",
    ],
    feel: "Between thumb and first finger, back of the hand.",
    watch: ["The thumb joints keep a slight bend.", "The wrist stays still."],
    care: ["Check the band for cracks."],
    forms: {
      "light-band": "Light band",
      "strong-band": "Strong band",
    },
  },
  "finger-squeeze": {
    name: "Fingers together",
    steps: ["Hold the fingers long and a little apart.", "Press them side against side.", "Stay for three, open again."],
    feel: "Deep in the hand, between the bones.",
    watch: ["Fingers stay long; they do not curl.", "The thumb rests."],
    care: [],
    forms: {
      free: "Finger against finger",
      paper: "Holding a sheet of paper",
    },
  },
  "arm-raise-push": {
    name: "Raised arm, light push",
    steps: [
      "Raise the arm as the form says, below shoulder height.",
      "Other hand presses down lightly on the forearm.",
      "Do not let the arm move.",
      "Let go slowly.",
    ],
    feel: "The shoulder holding.",
    watch: ["The shoulder stays away from the ear.", "Stand tall; no leaning."],
    care: ["A push of two fingers is enough.", "Lower the arm if the shoulder pinches."],
    forms: {
      "forty-five": "Half to the side, thumb up",
      front: "To the front, palm up",
      side: "To the side, palm down",
    },
  },
} satisfies Record<string, MovementWords>;
