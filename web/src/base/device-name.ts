import { t } from "./words";

/** Browsers by what only they say, those first that also say what another one does. */
const BROWSERS = [
  ["Edg", "Edge"],
  ["OPR", "Opera"],
  ["Firefox", "Firefox"],
  ["FxiOS", "Firefox"],
  ["Chrome", "Chrome"],
  ["CriOS", "Chrome"],
  ["Safari", "Safari"],
] as const;
const SYSTEMS = [
  ["iPhone", "iPhone"],
  ["iPad", "iPad"],
  ["Android", "Android"],
  ["Windows", "Windows"],
  ["CrOS", "ChromeOS"],
  ["Mac OS", "macOS"],
  ["Linux", "Linux"],
] as const;

/** What a browser says of itself, as a person would say it: "Firefox on Windows". */
/** A browser and what it runs on by their own names, which are the same in every language: "Firefox, Android". Empty for one that does not say. */
export function browserAndSystem(userAgent: string): string {
  return namesIn(userAgent).filter(Boolean).join(", ");
}

function namesIn(userAgent: string): [browser?: string, system?: string] {
  return [BROWSERS.find(([sign]) => userAgent.includes(`${sign}/`))?.[1], SYSTEMS.find(([sign]) => userAgent.includes(sign))?.[1]];
}

export function deviceName(userAgent: string): { name: string; isPhone: boolean } {
  const [browser, system] = namesIn(userAgent);
  const isPhone = /iPhone|Android.*Mobile/.test(userAgent);
  if (browser && system) return { name: t("{{browser}} on {{system}}", { browser, system }), isPhone };
  return { name: browser ?? system ?? t("a browser that does not say what it is"), isPhone };
}
