/** What a person reads about stretches of trunk, shoulders and neck: short, second person, one action a line. */
import type { MovementWords } from "../../words";

export const upperBody = {
  "side-reach": {
    name: "Seite strecken",
    steps: ["Einen Arm über den Kopf strecken.", "Dich von ihm weg neigen.", "Hochkommen und wechseln."],
    feel: "Die lange Seite von der Hüfte bis zur Hand.",
    watch: ["Gerade zur Seite neigen, nicht nach vorn."],
    care: ["Hand an die Hüfte, wenn der Rücken müde ist."],
    forms: { standard: "Wie beschrieben" },
  },
  "trunk-turn": {
    name: "Rumpf drehen",
    steps: ["Hände auf die Schultern legen.", "Weich zu einer Seite drehen.", "Zurück und zur anderen drehen."],
    feel: "Die Mitte des Rückens.",
    watch: ["Drehen, nicht neigen."],
    care: ["Weich, nie mit Schwung."],
    forms: { standard: "Wie beschrieben" },
  },
  "round-and-hug": {
    name: "Runden und umarmen",
    steps: ["Einen großen Ball umfassen, echt oder gedacht.", "Die Schulterblätter auseinander lassen.", "In den Rücken atmen."],
    feel: "Zwischen den Schulterblättern.",
    watch: ["Den oberen Rücken runden, nicht nur den Nacken."],
    care: [],
    forms: { standard: "Wie beschrieben" },
  },
  "head-press": {
    name: "Kopf drücken",
    steps: ["Hände hinter dem Kopf verschränken.", "In sie hinein groß werden, dann nach hinten drücken.", "Langsam lösen."],
    feel: "Der Nacken arbeitet.",
    watch: ["Schultern tief; die Hände ziehen nicht."],
    care: ["Leicht bis mittel."],
    forms: { standard: "Wie beschrieben" },
  },
  "doorway-chest-stretch": {
    name: "Brustdehnung am Türrahmen",
    steps: [
      "Unterarm und Hand neben dir an den Türrahmen oder die Wandkante legen.",
      "Die Brust langsam von diesem Arm wegdrehen.",
      "Bleiben, zurückkommen, Seite wechseln.",
    ],
    feel: "Vorn an Brust und Schulter.",
    watch: ["Die Schulter bleibt tief und hinten.", "Die Brust dreht sich; der Rücken wird nicht hohl."],
    care: ["Bei schmerzender Schulter den Ellbogen tiefer.", "Kribbeln im Arm? Zurückdrehen."],
    forms: { "elbow-low": "Ellbogen unter der Schulter", "elbow-level": "Ellbogen auf Schulterhöhe" },
  },
  "palms-behind-back": {
    name: "Handflächen hinter dem Rücken",
    steps: ["Beide Hände tief hinter den Rücken nehmen.", "Zusammenbringen, wie die Form sagt.", "Schultern nach hinten ziehen und atmen."],
    feel: "Die Schultern vorn, die Handgelenke.",
    watch: ["Brust offen; der Kopf schiebt sich nicht vor."],
    care: ["Nicht bei schmerzender Schulter: Fäuste zusammen, tief, genügt."],
    forms: { fists: "Lockere Fäuste zusammen", "fingers-down": "Handflächen zusammen, Finger nach unten" },
  },
} satisfies Record<string, MovementWords>;
