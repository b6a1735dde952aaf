/** Processes beside this one: how they begin, and what the system says of them. */
import { readFileSync } from "node:fs";
import { threadFile } from "../built";

/** What Node is told to begin one. @param source as of {@link threadFile} */
export function processWords(source: string): string[] {
  const { filename, execArgv } = threadFile(source);
  return [...execArgv, filename];
}

/** When it was started, in the system's own count; undefined when there is no such process, empty where the system does not say. */
export function processStartedAt(pid: number): string | undefined {
  if (!isAlive(pid)) return undefined;
  try {
    // The name of the program stands in brackets and may hold anything; the count is the 20th word after it.
    const [state, ...rest] = readFileSync(`/proc/${pid}/stat`, "utf8")
      .replace(/^.*\) /s, "")
      .split(" ");
    return state === "Z" ? undefined : (rest[18] ?? "");
  } catch {
    return "";
  }
}

/** What it was started with; empty where the system does not say. */
export function commandLineOf(pid: number): string {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, "utf8").replaceAll("\0", " ").trim();
  } catch {
    return "";
  }
}

export function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === "EPERM";
  }
}
