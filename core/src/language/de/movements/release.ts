/** What a person reads about release: short, second person, one action a line. */
import type { MovementWords } from "../../words";

export const release = {
  "forearm-roll": {
    name: "Unterarm rollen",
    steps: [
      "Unterarm locker auf den Roller.",
      "Langsam vom Handgelenk zum Ellbogen rollen und zurück.",
      "Den Arm etwas drehen und weiter.",
    ],
    feel: "Druck, der höchstens etwas unangenehm ist.",
    watch: ["Die Hand bleibt locker."],
    care: [
      "Taub oder Kribbeln? Sofort abheben.",
      "Weg von der Rinne innen am Ellbogen, von Knochenspitzen und von der Vorderseite des Handgelenks.",
      "Nicht über verletzte Haut oder Knoten.",
    ],
    forms: { roll: "Rollen", "press-and-move": "Drücken und das Handgelenk bewegen" },
  },
  "forearm-knead": {
    name: "Unterarm kneten",
    steps: [
      "Eine Hand hängen lassen.",
      "Diesen Unterarm mit der anderen Hand kneten, vom Ellbogen zum Handgelenk.",
      "Mit zwei lockeren Handgelenkkreisen enden.",
    ],
    feel: "Muskel, der unter der Hand nachgibt.",
    watch: ["Die geknetete Hand hängt locker.", "Mit der ganzen Hand, nicht mit der Daumenspitze."],
    care: ["Nicht über verletzte Haut oder Knoten."],
    forms: { light: "Leicht", deep: "Tiefer" },
  },
  "palm-knuckle-circles": {
    name: "Knöchelkreise in der Handfläche",
    steps: [
      "Einen Knöchel in die andere Handfläche setzen.",
      "Auf der Stelle kreisen.",
      "Über die Handfläche weiter; am längsten auf dem Daumenballen.",
    ],
    feel: "Die Handfläche wird durchwärmt.",
    watch: ["Die Handfläche bleibt offen und locker.", "Nicht auf trockener Haut rutschen."],
    care: [],
    forms: { light: "Leicht", deep: "Tiefer" },
  },
  "edge-sweep": {
    name: "Mit der Kante streichen",
    steps: [
      "Unterarm auflegen, Handfläche nach oben.",
      "Die Kante am Muskel entlang streichen, flach zur Haut.",
      "Etwa eine halbe Minute, dann weiter.",
    ],
    feel: "Wärme am Muskel entlang.",
    watch: ["Die Kante unter 45 Grad zur Haut."],
    care: [
      "Erst Öl oder Creme; keine blauen Flecken.",
      "Weg von der Rinne innen am Ellbogen, von Knochenspitzen und von der Vorderseite des Handgelenks.",
      "Nicht über verletzte Haut, Knoten oder taube Stellen.",
      "Blutverdünner oder empfindliche Haut: erst medizinisch fragen.",
    ],
    forms: { light: "Leicht", firmer: "Fester" },
  },
  "neck-corner-press": {
    name: "Druck in der Nackenecke",
    steps: ["Hinübergreifen, wo der Nacken in die Schulter übergeht.", "Drücken und halten.", "Atmen, langsam lösen."],
    feel: "Ein gutes Ziehen, das nachlässt.",
    watch: ["Auf den Muskel drücken, nicht auf die Wirbelsäule."],
    care: ["Nie am Hals vorn."],
    forms: { hand: "Mit den Fingern", ball: "Mit einem Ball an der Wand" },
  },
  "chest-rub": {
    name: "Brust reiben",
    steps: ["Fingerspitzen unter das Schlüsselbein legen.", "Kleine Kreise nach außen reiben.", "An der Schulter enden."],
    feel: "Die Brust vorn wird weicher.",
    watch: ["Unter dem Knochen bleiben, weg vom Hals."],
    care: ["Leicht über schmerzenden Stellen."],
    forms: { hand: "Mit den Fingern", ball: "Mit einem Ball" },
  },
  "thumb-support-tape": {
    name: "Stütztape am Daumen",
    steps: [
      "Am Tag vorher ein kleines Stück testen; Haut sauber und trocken.",
      "Den Streifen ohne Zug über den Daumenrücken legen.",
      "Einmal um das Handgelenk befestigen.",
    ],
    feel: "Halt, kein Drücken.",
    watch: ["Die Fingerspitzen bleiben warm und rosig."],
    care: ["Ab bei Jucken, Weißwerden oder Kribbeln.", "Spätestens nach drei Tagen ab.", "Hautreaktionen: erst medizinisch fragen."],
    forms: { standard: "Wie beschrieben" },
  },
} satisfies Record<string, MovementWords>;
