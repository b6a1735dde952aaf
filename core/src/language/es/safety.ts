/** The safety questions as they are asked, their short names, and what is said after a yes. */
export const safety = {
  freshInjury: { ask: "¿Una lesión reciente de mano, muñeca o brazo, o algo que parece fuera de su sitio?", short: "Lesión reciente" },
  hotJoint: { ask: "¿Una articulación caliente, roja o hinchada, con fiebre o malestar?", short: "Articulación caliente o hinchada" },
  paleHand: { ask: "¿Una mano o un dedo que se pone pálido, azul o frío?", short: "Mano pálida, azul o fría" },
  growingWeakness: { ask: "¿Falta de fuerza que va a más, o se te caen las cosas?", short: "Falta de fuerza que crece" },
  lastingNumbness: {
    ask: "¿Una mano o un dedo dormido que no se pasa, o que te despierta una y otra vez?",
    short: "Mano dormida que no se pasa",
  },
  bothArmsUnsteady: { ask: "¿Síntomas en los dos brazos junto con un andar inseguro?", short: "Dos brazos, andar inseguro" },
  chestPain: { ask: "¿Síntomas en el brazo con dolor en el pecho o falta de aire?", short: "Dolor en el pecho o falta de aire" },
  surgeryOrFracture: {
    ask: "¿Una operación o fractura ahí, sin el visto bueno de un profesional sanitario desde entonces?",
    short: "Operación o fractura",
  },
  pregnancyNumbness: { ask: "¿Embarazo, con manos dormidas que es algo nuevo?", short: "Embarazo con manos dormidas" },
  inflammatoryJoints: { ask: "¿Una enfermedad inflamatoria de las articulaciones?", short: "Enfermedad inflamatoria articular" },
  knownEntrapment: { ask: "¿Un nervio atrapado ya conocido en brazo o mano?", short: "Nervio atrapado conocido" },
  neckInjury: { ask: "¿Una lesión de cuello, reciente o antigua?", short: "Lesión de cuello" },
  anticoagulants: { ask: "¿Anticoagulantes, o piel que se amorata o se rompe con facilidad?", short: "Anticoagulantes o piel frágil" },
  tapeReaction: { ask: "¿Una reacción de la piel al vendaje adhesivo o a las tiritas?", short: "Reacción al vendaje adhesivo" },
  sharpPain: { ask: "¿Dolor agudo, contado o visto?", short: "Dolor agudo" },
  other: { ask: "¿Otra cosa?", short: "Otra cosa" },
  hypermobility: {
    ask: "¿Articulaciones muy móviles: el pulgar llega al antebrazo, los codos se doblan hacia atrás?",
    short: "Articulaciones muy móviles",
  },
} as const;

/** What stands on a referral note, and what is said when somebody is held out. */
export const referral = {
  title: "Por favor, examine esto",
  opening: "{{name}} participa en el trabajo en un programa de prevención para manos y antebrazos. El {{date}} dio estas respuestas:",
  felt: "Dónde se nota algo",
  answeredYes: "{{question}} Sí.",
  feltThere: "{{side}}, {{place}}: {{kind}}, {{level}} sobre 10",
  feltSince: "desde el {{day}}",
  constant: "todo el tiempo",
  request:
    "Hasta que un profesional sanitario lo haya visto, {{name}} queda fuera de {{items}}. Por favor, indique por escrito qué puede hacer {{name}} y hasta cuándo.",
  everything: "todos los ejercicios del programa",
  someItems: "los ejercicios a los que afecta",
  answer: "A rellenar por el profesional sanitario",
  mayDo: "Puede hacer: calentamiento / movilidad / estiramientos / deslizamientos de nervios y tendones / fuerza / automasaje",
  until: "Desde ____________  hasta ____________",
  signed: "Nombre, profesión, firma",
  notDiagnosis: "Esta nota describe lo que se dijo y se midió. No es un diagnóstico.",
  emergency: "Dolor en el pecho o falta de aire: llame ahora al número local de emergencias.",
  stopNow: "Parar y derivar: ningún ejercicio hasta que un profesional sanitario lo autorice.",
} as const;

export const symptom = {
  kind: {
    ache: "Molestia",
    sharpPain: "Dolor agudo",
    stiffness: "Rigidez",
    tingling: "Hormigueo",
    numbness: "Dormido",
    weakness: "Falta de fuerza",
    swelling: "Hinchazón",
  },
  nights: { never: "Nunca de noche", sometimes: "Algunas noches", mostNights: "Casi todas las noches" },
} as const;
