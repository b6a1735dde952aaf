/** Colours of the drawing. Several natural skins, so that the library shows different people. */
import type { Tone } from "./solid";

export const SKINS = ["sand", "honey", "umber", "cocoa"] as const;
export type Skin = (typeof SKINS)[number];

interface SkinTones {
  skin: string;
  nail: string;
  hair: string;
}
const SKIN_TONES: Readonly<Record<Skin, SkinTones>> = {
  sand: { skin: "#f1c6a3", nail: "#fbe4d6", hair: "#6b4a35" },
  honey: { skin: "#dfa878", nail: "#f3d2b6", hair: "#3a2a22" },
  umber: { skin: "#b87d55", nail: "#dcae8e", hair: "#2b211d" },
  cocoa: { skin: "#8f5d41", nail: "#c1937a", hair: "#231b19" },
};

/** Dark spruce ink, as on the rest of the paper. */
export const INK = "#1D2B2A";
export const ACCENT = "#17594F";
export const FELT = "#C8362B";
/** Strokes over the felt mark: dark on pale skins, pale on dark ones. */
export const hatchOf = (skin: Skin): string => (skin === "umber" || skin === "cocoa" ? "#FFE7DC" : "#7E1710");

export function colourOf(tone: Tone, skin: Skin): string {
  switch (tone) {
    case "helper":
      return SKIN_TONES[skin].skin;
    case "skin":
    case "nail":
    case "hair":
      return SKIN_TONES[skin][tone];
    case "shirt":
      return "#7d9c93";
    case "lining":
      return "#56706a";
    case "trousers":
      return "#8b8373";
    case "cuffLeft":
      return "#3F5E9C";
    case "cuffRight":
      return "#B4552D";
    case "wood":
      return "#e3cfae";
    case "woodSide":
      return "#c9b08a";
    case "metal":
      return "#a9b2b1";
    case "rubber":
      return "#5b6f86";
    case "cloth":
      return "#c9bfa6";
    case "tape":
      return "#e7d9b4";
  }
}
