/** What the coaching cards say: the better way first, then why. */
export const coaching = {
  "straight-wrist": {
    title: "Nadgarstek prosto, lekko do tyłu",
    why: "Zgięty nadgarstek odbiera siłę chwytu i ciągnie ścięgna za róg.",
  },
  "palm-neutral-or-up": {
    title: "Dłoń bokiem lub do góry przy podnoszeniu",
    why: "Dłoń w dół najbardziej obciąża łokieć od zewnątrz.",
  },
  "elbows-near-the-ribs": { title: "Łokcie blisko żeber", why: "Odsunięte ręce przez cały dzień niosą szyja i barki." },
  "last-three-fingers-carry": {
    title: "Niosą trzy ostatnie palce, kciuk tylko towarzyszy",
    why: "Trzymają mocne palce; kciuk tylko stabilizuje.",
  },
  "handle-size": { title: "Dłoń mniej więcej w połowie zamknięta", why: "Wtedy chwyt jest najmocniejszy: pogrub cienki trzonek." },
  "arched-thumb": {
    title: "Kciuk lekko wygięty w łuk, tkanka zebrana do kciuka",
    why: "Prosty lub przegięty kciuk naciska na własny staw.",
  },
  "double-up-fingers": { title: "Palce parami", why: "Dwa lekko zgięte palce dzielą to, czego jeden prosty nie udźwignie." },
  "stacked-joints": { title: "Siła przez stawy w jednej linii", why: "Przedramię za dłonią: kość niesie, mięsień kieruje." },
  "forearm-instead": {
    title: "Przedramię, łokieć lub pięść do głębokiego nacisku",
    why: "Zachowaj kciuki na to, co tylko kciuki wyczują.",
  },
  "change-hands": { title: "Zmień rękę, zmień zadanie", why: "Przerwa kilku sekund, często, jest lepsza niż długa za późno." },
  "warm-hands": { title: "Najpierw ciepłe ręce", why: "Zimne palce ściskają mocniej i czują mniej." },
} as const;
