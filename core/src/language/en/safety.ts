/** The safety questions as they are asked, their short names, and what is said after a yes. */
export const safety = {
  freshInjury: { ask: "A fresh injury of hand, wrist or arm, or something that looks out of place?", short: "Fresh injury" },
  hotJoint: { ask: "A hot, red or swollen joint, with fever or feeling ill?", short: "Hot or swollen joint" },
  paleHand: { ask: "A hand or finger that goes pale, blue or cold?", short: "Pale, blue or cold hand" },
  growingWeakness: { ask: "Weakness that is getting worse, or dropping things?", short: "Growing weakness" },
  lastingNumbness: { ask: "Numbness that does not go away, or wakes you again and again?", short: "Lasting numbness" },
  bothArmsUnsteady: { ask: "Symptoms in both arms together with unsteady walking?", short: "Both arms, unsteady walking" },
  chestPain: { ask: "Arm symptoms with chest pain or breathlessness?", short: "Chest pain or breathlessness" },
  surgeryOrFracture: { ask: "Surgery or a fracture there, without a clinician's clearance since?", short: "Surgery or fracture" },
  pregnancyNumbness: { ask: "Pregnant, with numbness of the hands that is new?", short: "Pregnancy with new numbness" },
  inflammatoryJoints: { ask: "An inflammatory joint disease?", short: "Inflammatory joint disease" },
  knownEntrapment: { ask: "A known nerve entrapment in arm or hand?", short: "Known nerve entrapment" },
  neckInjury: { ask: "A neck injury, recent or old?", short: "Neck injury" },
  anticoagulants: { ask: "Blood thinners, or skin that bruises or tears easily?", short: "Blood thinners or fragile skin" },
  tapeReaction: { ask: "A skin reaction to tape or plasters?", short: "Skin reaction to tape" },
  sharpPain: { ask: "Sharp pain, told or seen?", short: "Sharp pain" },
  other: { ask: "Something else?", short: "Something else" },
  hypermobility: { ask: "Very mobile joints: thumb to forearm, elbows bending backward?", short: "Very mobile joints" },
} as const;

/** What stands on a referral note, and what is said when somebody is held out. */
export const referral = {
  title: "Please have this looked at",
  opening: "{{name}} takes part in a hand and forearm prevention program at work. On {{date}} these answers were given:",
  felt: "Where something is felt",
  answeredYes: "{{question}} Yes.",
  feltThere: "{{side}}, {{place}}: {{kind}}, {{level}} of 10",
  feltSince: "since {{day}}",
  constant: "all the time",
  request:
    "Until a clinician has seen this, {{name}} is held out of {{items}}. Please say in writing what {{name}} may do, and until when.",
  everything: "all exercise items of the program",
  someItems: "the items it concerns",
  answer: "To be filled in by the clinician",
  mayDo: "May do: warming up / mobility / stretching / nerve and tendon glides / strengthening / self-release",
  until: "From ____________  until ____________",
  signed: "Name, profession, signature",
  notDiagnosis: "This note describes what was said and measured. It is not a diagnosis.",
  emergency: "Chest pain or breathlessness: call the local emergency number now.",
  stopNow: "Stop and refer: no exercise until a clinician has cleared it.",
} as const;

export const symptom = {
  kind: {
    ache: "Ache",
    sharpPain: "Sharp pain",
    stiffness: "Stiffness",
    tingling: "Tingling",
    numbness: "Numbness",
    weakness: "Weakness",
    swelling: "Swelling",
  },
  nights: { never: "Never at night", sometimes: "Some nights", mostNights: "Most nights" },
} as const;
