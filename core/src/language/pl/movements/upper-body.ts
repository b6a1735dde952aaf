/** What a person reads about stretches of trunk, shoulders and neck: short, second person, one action a line. */
import type { MovementWords } from "../../words";

export const upperBody = {
  "side-reach": {
    name: "Sięganie bokiem",
    steps: ["Wyciągnij jedną rękę nad głowę.", "Pochyl się w stronę przeciwną.", "Wróć i zmień."],
    feel: "Długi bok od biodra do dłoni.",
    watch: ["Pochylaj się prosto w bok, nie do przodu."],
    care: ["Dłoń na biodrze, jeśli plecy są zmęczone."],
    forms: { standard: "Jak w opisie" },
  },
  "trunk-turn": {
    name: "Obrót tułowia",
    steps: ["Połóż dłonie na barkach.", "Obróć się miękko w jedną stronę.", "Wróć i obróć w drugą."],
    feel: "Środek pleców.",
    watch: ["Obracaj, nie pochylaj."],
    care: ["Miękko, nigdy z rozmachem."],
    forms: { standard: "Jak w opisie" },
  },
  "round-and-hug": {
    name: "Zaokrąglij i obejmij",
    steps: ["Obejmij dużą piłkę, prawdziwą lub wyobrażoną.", "Pozwól łopatkom się rozejść.", "Oddychaj w plecy."],
    feel: "Między łopatkami.",
    watch: ["Zaokrąglij górę pleców, nie samą szyję."],
    care: [],
    forms: { standard: "Jak w opisie" },
  },
  "head-press": {
    name: "Nacisk głową",
    steps: ["Spleć dłonie za głową.", "Wydłuż się w nie, potem naciśnij do tyłu.", "Puść powoli."],
    feel: "Pracuje kark.",
    watch: ["Barki nisko; dłonie nie ciągną."],
    care: ["Lekko do średnio."],
    forms: { standard: "Jak w opisie" },
  },
  "doorway-chest-stretch": {
    name: "Rozciąganie klatki w drzwiach",
    steps: [
      "Połóż przedramię i dłoń na futrynie lub krawędzi ściany obok siebie.",
      "Powoli obróć klatkę od tej ręki.",
      "Zostań, wróć, zmień stronę.",
    ],
    feel: "Przód klatki i barku.",
    watch: ["Bark pozostaje nisko i z tyłu.", "Obraca się klatka; plecy się nie wyginają."],
    care: ["Przy bolącym barku łokieć niżej.", "Mrowi ręka? Cofnij obrót."],
    forms: { "elbow-low": "Łokieć poniżej barku", "elbow-level": "Łokieć na wysokości barku" },
  },
  "palms-behind-back": {
    name: "Dłonie razem za plecami",
    steps: ["Weź obie dłonie nisko za plecy.", "Złącz je, jak mówi forma.", "Cofnij barki i oddychaj."],
    feel: "Przód barków, nadgarstki.",
    watch: ["Klatka otwarta; głowa nie wysuwa się do przodu."],
    care: ["Nie przy bolącym barku: wystarczą pięści razem, nisko."],
    forms: { fists: "Luźne pięści razem", "fingers-down": "Dłonie razem, palce w dół" },
  },
} satisfies Record<string, MovementWords>;
