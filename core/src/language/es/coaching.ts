/** What the coaching cards say: the better way first, then why. */
export const coaching = {
  "straight-wrist": {
    title: "Muñeca recta, un poco hacia atrás",
    why: "Una muñeca doblada quita fuerza al agarre y arrastra los tendones por una esquina.",
  },
  "palm-neutral-or-up": {
    title: "Palma de canto o hacia arriba al levantar",
    why: "Con la palma hacia abajo se carga más el codo por fuera.",
  },
  "elbows-near-the-ribs": {
    title: "Codos cerca de las costillas",
    why: "El cuello y los hombros cargan todo el día con los brazos separados.",
  },
  "last-three-fingers-carry": {
    title: "Cargan los tres últimos dedos, el pulgar acompaña",
    why: "Sujetan los dedos fuertes; el pulgar solo da estabilidad.",
  },
  "handle-size": { title: "Mano medio cerrada", why: "Así el agarre es más fuerte: engrosa un mango fino." },
  "arched-thumb": {
    title: "Pulgar algo arqueado, la piel recogida hacia él",
    why: "Un pulgar recto o doblado hacia atrás presiona su propia articulación.",
  },
  "double-up-fingers": { title: "Los dedos, de dos en dos", why: "Dos dedos algo flexionados se reparten lo que uno recto no puede." },
  "stacked-joints": {
    title: "La fuerza, por articulaciones alineadas",
    why: "El antebrazo detrás de la mano: el hueso carga, el músculo guía.",
  },
  "forearm-instead": {
    title: "Antebrazo, codo o puño para la presión profunda",
    why: "Guarda los pulgares para lo que solo ellos pueden notar.",
  },
  "change-hands": { title: "Cambia de mano, cambia de tarea", why: "Una pausa de segundos, a menudo, vale más que una larga y tarde." },
  "warm-hands": { title: "Primero, manos calientes", why: "Los dedos fríos aprietan más y notan menos." },
} as const;
