/** The safety questions as they are asked, their short names, and what is said after a yes. */
export const safety = {
  freshInjury: { ask: "Świeży uraz dłoni, nadgarstka lub ręki albo coś, co wygląda na przemieszczone?", short: "Świeży uraz" },
  hotJoint: { ask: "Gorący, czerwony lub opuchnięty staw, z gorączką lub złym samopoczuciem?", short: "Gorący lub opuchnięty staw" },
  paleHand: { ask: "Dłoń lub palec, który blednie, sinieje lub marznie?", short: "Blada, sina lub zimna dłoń" },
  growingWeakness: { ask: "Coraz większa słabość albo wypadanie rzeczy z rąk?", short: "Narastająca słabość" },
  lastingNumbness: { ask: "Drętwienie, które nie mija albo wciąż budzi?", short: "Stałe drętwienie" },
  bothArmsUnsteady: { ask: "Objawy w obu rękach razem z niepewnym chodem?", short: "Obie ręce, niepewny chód" },
  chestPain: { ask: "Objawy w ręce z bólem w klatce piersiowej lub dusznością?", short: "Ból w klatce lub duszność" },
  surgeryOrFracture: {
    ask: "Operacja lub złamanie w tym miejscu, bez zgody specjalisty medycznego od tego czasu?",
    short: "Operacja lub złamanie",
  },
  pregnancyNumbness: { ask: "Ciąża, z nowym drętwieniem rąk?", short: "Ciąża z nowym drętwieniem" },
  inflammatoryJoints: { ask: "Zapalna choroba stawów?", short: "Zapalna choroba stawów" },
  knownEntrapment: { ask: "Znany ucisk nerwu w ręce lub dłoni?", short: "Znany ucisk nerwu" },
  neckInjury: { ask: "Uraz szyi, świeży lub dawny?", short: "Uraz szyi" },
  anticoagulants: {
    ask: "Leki rozrzedzające krew albo skóra, która łatwo sinieje lub pęka?",
    short: "Leki rozrzedzające krew lub delikatna skóra",
  },
  tapeReaction: { ask: "Reakcja skóry na taśmę lub plastry?", short: "Reakcja skóry na taśmę" },
  sharpPain: { ask: "Ostry ból, zgłoszony lub zauważony?", short: "Ostry ból" },
  other: { ask: "Coś innego?", short: "Coś innego" },
  hypermobility: { ask: "Bardzo ruchome stawy: kciuk do przedramienia, łokcie zginają się do tyłu?", short: "Bardzo ruchome stawy" },
} as const;

/** What stands on a referral note, and what is said when somebody is held out. */
export const referral = {
  title: "Proszę to obejrzeć",
  opening: "{{name}} bierze w pracy udział w programie profilaktyki dłoni i przedramion. Dnia {{date}} podano te odpowiedzi:",
  felt: "Gdzie coś jest odczuwane",
  answeredYes: "{{question}} Tak.",
  feltThere: "{{side}}, {{place}}: {{kind}}, {{level}} z 10",
  feltSince: "od {{day}}",
  constant: "cały czas",
  request:
    "Dopóki nie obejrzy tego specjalista medyczny, {{name}} nie wykonuje: {{items}}. Prosimy napisać, co {{name}} może robić i do kiedy.",
  everything: "wszystkich ćwiczeń programu",
  someItems: "ćwiczeń, których to dotyczy",
  answer: "Wypełnia specjalista medyczny",
  mayDo: "Może robić: rozgrzewka / ruchomość / rozciąganie / ślizgi nerwów i ścięgien / wzmacnianie / automasaż",
  until: "Od ____________  do ____________",
  signed: "Imię i nazwisko, zawód, podpis",
  notDiagnosis: "To pismo opisuje, co powiedziano i zmierzono. Nie jest diagnozą.",
  emergency: "Ból w klatce piersiowej lub duszność: zadzwoń teraz na miejscowy numer alarmowy.",
  stopNow: "Przerwać i skierować: żadnych ćwiczeń, dopóki specjalista medyczny nie pozwoli.",
} as const;

export const symptom = {
  kind: {
    ache: "Pobolewanie",
    sharpPain: "Ostry ból",
    stiffness: "Sztywność",
    tingling: "Mrowienie",
    numbness: "Drętwienie",
    weakness: "Słabość",
    swelling: "Opuchlizna",
  },
  nights: { never: "Nigdy w nocy", sometimes: "W niektóre noce", mostNights: "W większość nocy" },
} as const;
