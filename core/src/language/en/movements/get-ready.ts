/** What a person reads about getting ready: short, second person, one action a line. */
import type { MovementWords } from "../../words";

export const getReady = {
  "shoulder-circles": {
    name: "Shoulder circles",
    steps: [
      "Stand or sit tall, arms loose.",
      "Lift your shoulders, take them back, let them sink.",
      "Half of the circles back, half forward.",
    ],
    feel: "Warmth around the shoulder blades.",
    watch: ["Neck stays long; the chin does not poke forward."],
    care: ["Make the circle smaller if anything pinches."],
    forms: {
      small: "Small circles",
      large: "Large, elbows lifted",
    },
  },
  "shrug-and-drop": {
    name: "Shrug and drop",
    steps: ["Lift both shoulders to your ears.", "Hold for two.", "Let them fall all at once."],
    feel: "Weight going out of the shoulders.",
    watch: ["Jaw loose, breathe out on the drop."],
    care: [],
    forms: {
      standard: "As described",
    },
  },
  "open-chest": {
    name: "Open chest",
    steps: [
      "Reach both arms forward, thumbs up.",
      "Draw them back until the shoulder blades meet.",
      "Second half of the count: thumbs down.",
    ],
    feel: "Across the front of the chest, between the blades.",
    watch: ["The lower back does not arch.", "Ribs stay down."],
    care: ["Keep the elbows bent with a sore shoulder."],
    forms: {
      "elbows-bent": "Elbows bent",
      "elbows-straight": "Elbows straight",
    },
  },
  "turn-with-the-palms": {
    name: "Turn with the palms",
    steps: ["Arms out to the sides.", "Turn one palm up, the other down.", "Look along the arm whose palm is up.", "Swap."],
    feel: "The forearms turning, the neck loosening.",
    watch: ["The whole arm turns, not only the hand.", "Shoulders stay low."],
    care: ["Dizzy? Stop, and look straight ahead."],
    forms: {
      "arms-low": "Arms low",
      "shoulder-height": "Arms at shoulder height",
    },
  },
  "arm-swings": {
    name: "Arm swings",
    steps: ["Loose arms, soft knees.", "First round: swing side to side across the body.", "Second round: front and back."],
    feel: "Warmth down to the fingers.",
    watch: ["Let them swing; do not throw."],
    care: ["Check that nobody stands in reach."],
    forms: {
      small: "Small swings",
      wide: "Wide swings",
    },
  },
  "fist-and-star": {
    name: "Fist and star",
    steps: ["Close both hands, thumb outside.", "Hold for three.", "Open and spread the fingers as long as they go.", "Hold for three."],
    feel: "Palm and forearm waking up.",
    watch: ["Wrists stay straight.", "Fingers spread evenly, little finger too."],
    care: ["Nails off the palm.", "Never a crushing grip."],
    forms: {
      light: "Light fist",
      "full-effort": "Full effort",
    },
  },
  "shake-out": {
    name: "Shake-out",
    steps: ["Let both hands hang.", "Shake them side to side, then up and down."],
    feel: "Loose, heavy hands.",
    watch: ["Elbows and shoulders stay easy."],
    care: [],
    forms: {
      standard: "As described",
    },
  },
  "palm-flip-reach": {
    name: "Palm-flip reach",
    steps: [
      "Stack your hands before the breastbone.",
      "Turn them over; press one up and one down as you breathe out.",
      "Come back on the in-breath and swap.",
    ],
    feel: "A long line from hip to hand.",
    watch: ["Knees soft.", "The lifted shoulder stays away from the ear."],
    care: ["Put everything down first."],
    forms: {
      "seated-half": "Seated, half reach",
      "standing-full": "Standing, full reach",
    },
  },
  "look-over": {
    name: "Look over",
    steps: ["Sit or stand tall.", "Turn your head and look over your shoulder.", "Stay for two, come back, change side."],
    feel: "A mild pull at the side of the neck.",
    watch: ["Shoulders stay low; the chin stays level."],
    care: ["Never jerk.", "Dizzy? Stop and look straight ahead."],
    forms: {
      "no-hand": "Without the hand",
      hand: "Own hand adds a gentle push",
    },
  },
  "ear-to-shoulder": {
    name: "Ear to shoulder",
    steps: ["Sit or stand tall.", "Tilt your ear towards the shoulder.", "Stay for two, come up, change side."],
    feel: "The long side of the neck.",
    watch: ["The shoulder does not come up to meet the ear."],
    care: ["Never jerk.", "Dizzy? Stop."],
    forms: {
      "no-hand": "Without the hand",
      hand: "Own hand rests on the head",
    },
  },
  "chin-tuck": {
    name: "Chin tuck",
    steps: ["Sit or stand tall, eyes level.", "Slide the chin straight back: make a double chin.", "Stay for three, let it come forward."],
    feel: "A long back of the neck.",
    watch: ["Slide back; the head does not nod or tip.", "Shoulders stay low."],
    care: ["Small and soft.", "Dizzy, or tingling in an arm? Stop."],
    forms: {
      "no-hand": "Without the hand",
      hand: "Fingertips on the chin guide it back",
    },
  },
  "look-down-aside": {
    name: "Look down over the shoulder",
    steps: [
      "Sit or stand tall.",
      "Turn the head half to one side, then look down past the shoulder.",
      "Stay for two, come back, change side.",
    ],
    feel: "The back of the neck, on the far side.",
    watch: ["Only the head goes; the far shoulder stays down."],
    care: ["Never jerk; the hand only rests.", "Dizzy? Stop and look straight ahead."],
    forms: {
      "no-hand": "Without the hand",
      hand: "Own hand adds a light push",
    },
  },
  "look-up-aside": {
    name: "Look up over the shoulder",
    steps: [
      "Sit or stand tall.",
      "Turn the head half to one side, then look up over the shoulder.",
      "Stay for two, come back, change side.",
    ],
    feel: "The front of the neck, on the far side.",
    watch: ["Lift the chin; do not drop the head back."],
    care: ["Small. Never jerk.", "Dizzy? Stop and look straight ahead."],
    forms: {
      "no-hand": "Without the hand",
      hand: "Fingertips at the jaw add a light push",
    },
  },
  "tip-press": {
    name: "Tip press",
    steps: ["Set your fingertips together, palms apart.", "Press lightly until the fingers lean back.", "Let them part again."],
    feel: "Fingers and palms, light.",
    watch: ["Palms stay apart; every finger takes its share."],
    care: ["No pressing through a sore joint."],
    forms: {
      light: "Light",
      deeper: "Deeper, fingers leaning well back",
    },
  },
} satisfies Record<string, MovementWords>;
