/** The safety questions as they are asked, their short names, and what is said after a yes. */
export const safety = {
  freshInjury: {
    ask: "Eine frische Verletzung an Hand, Handgelenk oder Arm, oder etwas, das verschoben aussieht?",
    short: "Frische Verletzung",
  },
  hotJoint: {
    ask: "Ein heißes, rotes oder geschwollenes Gelenk, mit Fieber oder Krankheitsgefühl?",
    short: "Heißes oder geschwollenes Gelenk",
  },
  paleHand: { ask: "Eine Hand oder ein Finger, der blass, blau oder kalt wird?", short: "Blasse, blaue oder kalte Hand" },
  growingWeakness: { ask: "Schwäche, die zunimmt, oder fallen Dinge aus der Hand?", short: "Zunehmende Schwäche" },
  lastingNumbness: { ask: "Taubheit, die nicht weggeht oder immer wieder weckt?", short: "Bleibende Taubheit" },
  bothArmsUnsteady: { ask: "Beschwerden in beiden Armen zusammen mit unsicherem Gehen?", short: "Beide Arme, unsicheres Gehen" },
  chestPain: { ask: "Beschwerden im Arm mit Schmerz in der Brust oder Atemnot?", short: "Brustschmerz oder Atemnot" },
  surgeryOrFracture: { ask: "Eine Operation oder ein Bruch dort, ohne medizinische Freigabe seitdem?", short: "Operation oder Bruch" },
  pregnancyNumbness: { ask: "Schwanger, mit neuer Taubheit der Hände?", short: "Schwangerschaft mit neuer Taubheit" },
  inflammatoryJoints: { ask: "Eine entzündliche Gelenkerkrankung?", short: "Entzündliche Gelenkerkrankung" },
  knownEntrapment: { ask: "Ein bekannter eingeklemmter Nerv in Arm oder Hand?", short: "Bekannter eingeklemmter Nerv" },
  neckInjury: { ask: "Eine Verletzung am Nacken, frisch oder alt?", short: "Nackenverletzung" },
  anticoagulants: { ask: "Blutverdünner, oder Haut, die leicht blau wird oder reißt?", short: "Blutverdünner oder empfindliche Haut" },
  tapeReaction: { ask: "Eine Hautreaktion auf Tape oder Pflaster?", short: "Hautreaktion auf Tape" },
  sharpPain: { ask: "Stechender Schmerz, erzählt oder gesehen?", short: "Stechender Schmerz" },
  other: { ask: "Etwas anderes?", short: "Etwas anderes" },
  hypermobility: { ask: "Sehr bewegliche Gelenke: Daumen zum Unterarm, Ellbogen überstrecken?", short: "Sehr bewegliche Gelenke" },
} as const;

/** What stands on a referral note, and what is said when somebody is held out. */
export const referral = {
  title: "Bitte ansehen",
  opening: "{{name}} nimmt bei der Arbeit an einem Vorbeugeprogramm für Hände und Unterarme teil. Am {{date}} wurde geantwortet:",
  felt: "Wo etwas gespürt wird",
  answeredYes: "{{question}} Ja.",
  feltThere: "{{side}}, {{place}}: {{kind}}, {{level}} von 10",
  feltSince: "seit {{day}}",
  constant: "die ganze Zeit",
  request:
    "Bis das medizinisch angesehen wurde, nimmt {{name}} nicht teil an: {{items}}. Bitte schreiben Sie auf, was {{name}} darf und bis wann.",
  everything: "allen Übungen des Programms",
  someItems: "den betroffenen Übungen",
  answer: "Von der Fachperson auszufüllen",
  mayDo: "Erlaubt: Aufwärmen / Beweglichkeit / Dehnen / Nerven- und Sehnengleiten / Kräftigen / Selbstmassage",
  until: "Von ____________  bis ____________",
  signed: "Name, Beruf, Unterschrift",
  notDiagnosis: "Dieses Schreiben gibt wieder, was gesagt und gemessen wurde. Es ist keine Diagnose.",
  emergency: "Brustschmerz oder Atemnot: jetzt den örtlichen Notruf wählen.",
  stopNow: "Aufhören und überweisen: keine Übung, bis es medizinisch freigegeben ist.",
} as const;

export const symptom = {
  kind: {
    ache: "Ziehen",
    sharpPain: "Stechender Schmerz",
    stiffness: "Steifheit",
    tingling: "Kribbeln",
    numbness: "Taubheit",
    weakness: "Schwäche",
    swelling: "Schwellung",
  },
  nights: { never: "Nie nachts", sometimes: "Manche Nächte", mostNights: "Die meisten Nächte" },
} as const;
