/** Advice on a task in a few words, to stand after "helps most". */
import type { Advice, Grip } from "@kind-grip/core/strain";
import { t } from "../base/words";

/** Less force, by what the hand does with and without a tool. */
const LESS_FORCE: Readonly<Record<Grip, { tool: string; bare: string }>> = {
  power: {
    tool: t("a sharper or lighter tool, a bigger or softer handle"),
    bare: t("less at a time, a softer and wider hold, something that holds or grips for you"),
  },
  pinch: { tool: t("a wider, softer grip on the tool"), bare: t("a tool instead of fingertips, a wider hold") },
  thumbPress: {
    tool: t("a tool with a handle presses, not the thumb"),
    bare: t("the thumb slightly bent and backed by the hand, or an elbow or fist instead"),
  },
  palmPush: { tool: t("a longer handle, body weight behind it"), bare: t("body weight through a straight arm, forearm behind the hand") },
  hook: { tool: t("a strap or trolley"), bare: t("lighter lots, a better handle, a trolley") },
};
const SHORTER: Readonly<Record<Grip, string>> = {
  power: t("a clamp or stand that holds, let go between"),
  pinch: t("a clamp that holds, let go between"),
  thumbPress: t("shorter presses, move on between"),
  palmPush: t("shorter pushes, let go between"),
  hook: t("put it down between, shorter ways"),
};

/** What only holds the piece while the other hand works on it. */
const HOLDING = t("a clamp, rest or stand that holds it");

export function adviceText(advice: Advice): string {
  switch (advice.factor) {
    case "hours":
      return t("fewer hours of it: swap tasks through the shift");
    case "rate":
      return t("fewer efforts a minute: batch, alternate with another task, pause");
    case "lighterMoreOften":
      return t("lighter lots, and more of them");
    case "fewerLonger":
      return t("fewer efforts, each of them longer");
    case "effort": {
      const way = advice.with === "hold" ? HOLDING : LESS_FORCE[advice.grip][advice.with];
      return advice.otherHandHelps ? t("less force: {{way}}, the other hand helping", { way }) : t("less force: {{way}}", { way });
    }
    case "duration":
      return t("shorter efforts: {{way}}", { way: advice.holds ? HOLDING : SHORTER[advice.grip] });
    case "posture":
      return advice.bent === "forward"
        ? t("a straighter wrist: raise the work or turn it to you")
        : t("a straighter wrist: lower the work, or stand higher");
  }
}
