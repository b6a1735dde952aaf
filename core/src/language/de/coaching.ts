/** What the coaching cards say: the better way first, then why. */
export const coaching = {
  "straight-wrist": {
    title: "Handgelenk gerade, leicht nach hinten",
    why: "Ein gebeugtes Handgelenk kostet Griffkraft und zieht Sehnen um die Ecke.",
  },
  "palm-neutral-or-up": {
    title: "Handfläche seitlich oder nach oben beim Heben",
    why: "Handfläche nach unten belastet den äußeren Ellbogen am meisten.",
  },
  "elbows-near-the-ribs": {
    title: "Ellbogen nah an die Rippen",
    why: "Abgespreizte Arme tragen Nacken und Schultern den ganzen Tag.",
  },
  "last-three-fingers-carry": {
    title: "Die letzten drei Finger tragen, der Daumen geht mit",
    why: "Die starken Finger halten; der Daumen gibt nur Halt.",
  },
  "handle-size": { title: "Hand etwa halb geschlossen", why: "So ist ein Griff am stärksten: Mach einen dünnen Stiel dicker." },
  "arched-thumb": {
    title: "Daumen leicht gebogen, Gewebe zum Daumen gesammelt",
    why: "Ein gerader oder überstreckter Daumen drückt auf sein eigenes Gelenk.",
  },
  "double-up-fingers": { title: "Finger verdoppeln", why: "Zwei leicht gebeugte Finger teilen sich, was ein gerader nicht kann." },
  "stacked-joints": {
    title: "Kraft durch gestapelte Gelenke",
    why: "Der Unterarm hinter der Hand: Knochen tragen, Muskeln lenken.",
  },
  "forearm-instead": {
    title: "Unterarm, Ellbogen oder Faust für tiefen Druck",
    why: "Spar die Daumen für das, was nur Daumen fühlen.",
  },
  "change-hands": {
    title: "Hand wechseln, Aufgabe wechseln",
    why: "Eine Pause von Sekunden, oft, ist besser als eine lange zu spät.",
  },
  "warm-hands": { title: "Erst warme Hände", why: "Kalte Finger greifen fester und fühlen weniger." },
} as const;
