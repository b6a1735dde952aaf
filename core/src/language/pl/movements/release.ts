/** What a person reads about release: short, second person, one action a line. */
import type { MovementWords } from "../../words";

export const release = {
  "forearm-roll": {
    name: "Rolowanie przedramienia",
    steps: ["Przedramię luźno na wałku.", "Roluj powoli od nadgarstka do łokcia i z powrotem.", "Obróć trochę rękę i rób dalej."],
    feel: "Nacisk, najwyżej lekko przykry.",
    watch: ["Dłoń pozostaje luźna."],
    care: [
      "Drętwieje lub mrowi? Od razu zdejmij.",
      "Z dala od rowka po wewnętrznej stronie łokcia, od wystających kości i od przodu nadgarstka.",
      "Nie po uszkodzonej skórze ani guzkach.",
    ],
    forms: { roll: "Rolowanie", "press-and-move": "Naciśnij i ruszaj nadgarstkiem" },
  },
  "forearm-knead": {
    name: "Ugniatanie przedramienia",
    steps: [
      "Opuść jedną dłoń.",
      "Ugniataj to przedramię drugą dłonią, od łokcia do nadgarstka.",
      "Zakończ dwoma luźnymi kołami nadgarstka.",
    ],
    feel: "Mięsień ustępuje pod dłonią.",
    watch: ["Ugniatana dłoń luźno zwisa.", "Całą dłonią, nie czubkiem kciuka."],
    care: ["Nie po uszkodzonej skórze ani guzkach."],
    forms: { light: "Lekko", deep: "Głębiej" },
  },
  "palm-knuckle-circles": {
    name: "Kółka kostką po dłoni",
    steps: ["Oprzyj jedną kostkę o drugą dłoń.", "Kręć kółka w miejscu.", "Przesuwaj się po dłoni; najdłużej na poduszce kciuka."],
    feel: "Dłoń się rozgrzewa.",
    watch: ["Dłoń pozostaje otwarta i luźna.", "Nie ślizgaj po suchej skórze."],
    care: [],
    forms: { light: "Lekko", deep: "Głębiej" },
  },
  "edge-sweep": {
    name: "Przeciąganie krawędzią",
    steps: ["Oprzyj przedramię, dłoń do góry.", "Przeciągaj krawędź wzdłuż mięśnia, płasko do skóry.", "Około pół minuty, potem dalej."],
    feel: "Ciepło wzdłuż mięśnia.",
    watch: ["Krawędź pod kątem mniejszym niż 45 stopni do skóry."],
    care: [
      "Najpierw olejek lub krem; bez siniaków.",
      "Z dala od rowka po wewnętrznej stronie łokcia, od wystających kości i od przodu nadgarstka.",
      "Nie po uszkodzonej skórze, guzkach ani zdrętwiałych miejscach.",
      "Leki rozrzedzające krew lub delikatna skóra: najpierw zapytaj specjalistę medycznego.",
    ],
    forms: { light: "Lekko", firmer: "Mocniej" },
  },
  "neck-corner-press": {
    name: "Nacisk w kącie szyi",
    steps: ["Sięgnij na skos tam, gdzie szyja przechodzi w bark.", "Naciśnij i trzymaj.", "Oddychaj, puść powoli."],
    feel: "Dobre pobolewanie, które ustępuje.",
    watch: ["Naciskaj na mięsień, nie na kręgosłup."],
    care: ["Nigdy na gardło."],
    forms: { hand: "Palcami", ball: "Piłką przy ścianie" },
  },
  "chest-rub": {
    name: "Rozcieranie klatki",
    steps: ["Połóż opuszki pod obojczykiem.", "Rozcieraj małymi kółkami na zewnątrz.", "Zakończ przy barku."],
    feel: "Przód klatki mięknie.",
    watch: ["Pod kością, z dala od gardła."],
    care: ["Lekko na bolących miejscach."],
    forms: { hand: "Palcami", ball: "Piłką" },
  },
  "thumb-support-tape": {
    name: "Plaster wspierający kciuk",
    steps: [
      "Dzień wcześniej sprawdź mały kawałek; skóra czysta i sucha.",
      "Połóż pasek wzdłuż grzbietu kciuka, bez naciągania.",
      "Umocuj raz wokół nadgarstka.",
    ],
    feel: "Oparcie, bez ucisku.",
    watch: ["Opuszki pozostają ciepłe i różowe."],
    care: [
      "Zdejmij, gdy swędzi, bieleje lub mrowi.",
      "Zdejmij najpóźniej po trzech dniach.",
      "Reakcje skóry: najpierw zapytaj specjalistę medycznego.",
    ],
    forms: { standard: "Jak w opisie" },
  },
} satisfies Record<string, MovementWords>;
