/** What a person reads about stretches of trunk, shoulders and neck: short, second person, one action a line. */
import type { MovementWords } from "../../words";

export const upperBody = {
  "side-reach": {
    name: "Alcance lateral",
    steps: ["Alarga un brazo por encima de la cabeza.", "Inclínate hacia el lado contrario.", "Sube y cambia."],
    feel: "El lado largo, de la cadera a la mano.",
    watch: ["Inclínate recto a un lado, no hacia delante."],
    care: ["La mano en la cadera si la espalda está cansada."],
    forms: { standard: "Como se describe" },
  },
  "trunk-turn": {
    name: "Giro de tronco",
    steps: ["Pon las manos en los hombros.", "Gira suave a un lado.", "Vuelve y gira al otro."],
    feel: "La mitad de la espalda.",
    watch: ["Gira, no te inclines."],
    care: ["Suave, nunca con impulso."],
    forms: { standard: "Como se describe" },
  },
  "round-and-hug": {
    name: "Redondea y abraza",
    steps: ["Rodea con los brazos una pelota grande, real o pensada.", "Deja que se separen los omóplatos.", "Respira hacia la espalda."],
    feel: "Entre los omóplatos.",
    watch: ["Redondea la parte alta de la espalda, no solo el cuello."],
    care: [],
    forms: { standard: "Como se describe" },
  },
  "head-press": {
    name: "Presión de cabeza",
    steps: ["Entrelaza las manos detrás de la cabeza.", "Crece hacia ellas y luego presiona atrás.", "Suelta despacio."],
    feel: "La nuca que trabaja.",
    watch: ["Hombros bajos; las manos no tiran."],
    care: ["De ligero a moderado."],
    forms: { standard: "Como se describe" },
  },
  "doorway-chest-stretch": {
    name: "Estirar el pecho en la puerta",
    steps: [
      "Apoya antebrazo y mano en el marco de la puerta o en el borde de una pared, a tu lado.",
      "Gira el pecho despacio, alejándolo de ese brazo.",
      "Quédate, vuelve, cambia de lado.",
    ],
    feel: "Por delante del pecho y del hombro.",
    watch: ["El hombro queda bajo y atrás.", "Gira el pecho; la espalda no se arquea."],
    care: ["Con un hombro dolorido, el codo más bajo.", "¿Hormigueo por el brazo? Gira de vuelta."],
    forms: { "elbow-low": "Codo por debajo del hombro", "elbow-level": "Codo a la altura del hombro" },
  },
  "palms-behind-back": {
    name: "Palmas juntas a la espalda",
    steps: ["Lleva las dos manos a la espalda, abajo.", "Júntalas según la forma.", "Lleva los hombros atrás y respira."],
    feel: "Los hombros por delante, las muñecas.",
    watch: ["Pecho abierto; la cabeza no sale hacia delante."],
    care: ["No con un hombro dolorido: basta con los puños juntos, abajo."],
    forms: { fists: "Puños suaves juntos", "fingers-down": "Palmas juntas, dedos abajo" },
  },
} satisfies Record<string, MovementWords>;
