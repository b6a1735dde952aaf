/** What a person reads about release: short, second person, one action a line. */
import type { MovementWords } from "../../words";

export const release = {
  "forearm-roll": {
    name: "Rodillo en el antebrazo",
    steps: ["Antebrazo relajado sobre el rodillo.", "Rueda despacio de la muñeca al codo y vuelta.", "Gira un poco el brazo y sigue."],
    feel: "Una presión que, como mucho, molesta.",
    watch: ["La mano queda suelta."],
    care: [
      "¿Dormido u hormigueo? Quítalo enseguida.",
      "Fuera del surco por dentro del codo, de los huesos que sobresalen y de la muñeca por delante.",
      "No sobre piel rota ni bultos.",
    ],
    forms: { roll: "Rodar", "press-and-move": "Presionar y mover la muñeca" },
  },
  "forearm-knead": {
    name: "Amasar el antebrazo",
    steps: [
      "Deja colgar una mano.",
      "Amasa ese antebrazo con la otra, del codo a la muñeca.",
      "Termina con dos círculos de muñeca sueltos.",
    ],
    feel: "El músculo que cede bajo la mano.",
    watch: ["La mano amasada cuelga suelta.", "Usa toda la mano, no la punta del pulgar."],
    care: ["No sobre piel rota ni bultos."],
    forms: { light: "Ligero", deep: "Más hondo" },
  },
  "palm-knuckle-circles": {
    name: "Círculos de nudillo en la palma",
    steps: [
      "Apoya un nudillo en la otra palma.",
      "Haz círculos en el sitio.",
      "Avanza por la palma; quédate más en la almohadilla del pulgar.",
    ],
    feel: "La palma que se calienta.",
    watch: ["La palma queda abierta y suelta.", "Sin resbalar sobre piel seca."],
    care: [],
    forms: { light: "Ligero", deep: "Más hondo" },
  },
  "edge-sweep": {
    name: "Pasar el canto",
    steps: [
      "Apoya el antebrazo, palma arriba.",
      "Pasa el canto a lo largo del músculo, pegado a la piel.",
      "Medio minuto más o menos, luego sigue.",
    ],
    feel: "Calor a lo largo del músculo.",
    watch: ["El canto, a menos de 45 grados de la piel."],
    care: [
      "Antes, aceite o crema; sin moratones.",
      "Fuera del surco por dentro del codo, de los huesos que sobresalen y de la muñeca por delante.",
      "No sobre piel rota, bultos ni zonas dormidas.",
      "Anticoagulantes o piel frágil: pregunta antes a un profesional sanitario.",
    ],
    forms: { light: "Ligero", firmer: "Más firme" },
  },
  "neck-corner-press": {
    name: "Presión en la esquina del cuello",
    steps: ["Cruza la mano hasta donde el cuello se une al hombro.", "Presiona y mantén.", "Respira, suelta despacio."],
    feel: "Una molestia buena que afloja.",
    watch: ["Presiona en el músculo, no en la columna."],
    care: ["Nunca en la garganta."],
    forms: { hand: "Con los dedos", ball: "Con una pelota en la pared" },
  },
  "chest-rub": {
    name: "Frotar el pecho",
    steps: ["Pon las yemas bajo la clavícula.", "Frota círculos pequeños hacia fuera.", "Termina en el hombro."],
    feel: "El pecho por delante que se ablanda.",
    watch: ["Quédate bajo el hueso, lejos de la garganta."],
    care: ["Ligero en los puntos doloridos."],
    forms: { hand: "Con los dedos", ball: "Con una pelota" },
  },
  "thumb-support-tape": {
    name: "Vendaje de apoyo del pulgar",
    steps: [
      "Prueba un trozo pequeño el día antes; piel limpia y seca.",
      "Pon la tira por el dorso del pulgar, sin tirar.",
      "Fíjala una vez alrededor de la muñeca.",
    ],
    feel: "Apoyo, sin apretar.",
    watch: ["Las yemas siguen calientes y rosadas."],
    care: [
      "Quítalo si pica, blanquea u hormiguea.",
      "Quítalo a los tres días como muy tarde.",
      "Reacciones de la piel: pregunta antes a un profesional sanitario.",
    ],
    forms: { standard: "Como se describe" },
  },
} satisfies Record<string, MovementWords>;
