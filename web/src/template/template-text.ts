/** What the templates that ship are called, for whom they are, and why they are as they are. */
import type { ShippedTemplateId } from "@kind-grip/core/template";
import { t } from "../base/words";

interface TemplateText {
  name: string;
  why: string;
}

export const SHIPPED_TEMPLATE_TEXTS: Readonly<Record<ShippedTemplateId, TemplateText>> = {
  pruning: {
    name: t("Pruning and picking"),
    why: t(
      "The hand closes thousands of times round shears with the wrist bent, so everything opens it and turns it the other way before work and in the break. After work a short hold and a pull keep the grip strong without adding to the closing, and the forearms are kneaded.",
    ),
  },
  knifeLine: {
    name: t("Knife line"),
    why: t(
      "Cold hands and a handle held tight ask for a long warm-up from the shoulders to the fingertips; the break lets the bent wrist drop and the tendons slide. Strength comes after the shift in short holds, when the fingers are warm, with a nerve glide for the arm that reached all day.",
    ),
  },
  raisedArms: {
    name: t("Hair and instruments"),
    why: t(
      "Raised arms, a bent head and a pinching thumb: the warm-up opens the chest, turns the neck and frees the thumb. Two minutes fit between two clients, and what is trained after work is what holds the arms up.",
    ),
  },
  sewing: {
    name: t("Sewing floor"),
    why: t(
      "Seated with the head down, fingertips guiding cloth: neck and finger openers come first, a table carries the forearms for the finger lifts. The break brings head and thumb back; after work the small muscles of the hand work against little, because they have worked all day.",
    ),
  },
  pressing: {
    name: t("Dough and clay"),
    why: t(
      "Body weight goes through a wrist that is bent back and a palm that faces down, so the opposite is wanted: bending, turning up, letting hang. Nothing leans on the hands in any session; strength is pulling and holding, not pressing.",
    ),
  },
  assembly: {
    name: t("Screwing and assembling"),
    why: t(
      "Drivers turn one way with the palm down for hours, so every session turns the forearm the other way, first free, then to the end. After the shift the grip is held shortly and pulled apart, which loads the muscles that the tool did not.",
    ),
  },
};
