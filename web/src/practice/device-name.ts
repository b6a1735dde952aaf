import { t } from "../base/words";

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
export function deviceName(userAgent: string): { name: string; isPhone: boolean } {
  const browser = BROWSERS.find(([sign]) => userAgent.includes(`${sign}/`))?.[1];
  const system = SYSTEMS.find(([sign]) => userAgent.includes(sign))?.[1];
  const isPhone = /iPhone|Android.*Mobile/.test(userAgent);
  if (browser && system) return { name: t("{{browser}} on {{system}}", { browser, system }), isPhone };
  return { name: browser ?? system ?? t("a browser that does not say what it is"), isPhone };
}
