/** The folder everything of one installation is kept in: marked as ours, and in use by one server at a time. */
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import path from "node:path";
import { processStartedAt } from "./processes";

const MARK = "kind-grip-data";
const RUNNING = "running";
/** What folders of before the mark hold. */
const SIGNS = ["mariadb", "cookie-secret"];

export interface DataFolder {
  /** Lets the next server have it. */
  release(): void;
}

/**
 * @param reset throws away what was kept
 * @throws Error when another server uses it, or what should be thrown away is not ours
 */
export function openDataFolder(folder: string, { reset = false } = {}): DataFolder {
  const runningFile = path.join(folder, RUNNING);
  refuseWhileRunning(runningFile);
  if (reset) {
    if (!isOurs(folder))
      throw new Error(
        `${folder} was not made by Kind Grip, and --reset throws away only what was; choose another --data, or empty it yourself`,
      );
    rmSync(folder, { recursive: true, force: true });
  }
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  if (readdirSync(folder).length === 0 || isOurs(folder)) writeFileSync(path.join(folder, MARK), "Everything Kind Grip keeps.\n");
  const own = `${process.pid} ${processStartedAt(process.pid) ?? ""}`;
  rmSync(runningFile, { force: true });
  try {
    writeFileSync(runningFile, own, { flag: "wx" });
  } catch {
    // Another start was faster by a hair.
    refuseWhileRunning(runningFile);
    throw new Error(`${runningFile} cannot be written`);
  }
  return {
    release() {
      if (existsSync(runningFile) && readFileSync(runningFile, "utf8") === own) rmSync(runningFile, { force: true });
    },
  };
}

function isOurs(folder: string): boolean {
  if (!existsSync(folder)) return true;
  const inside = readdirSync(folder);
  return inside.length === 0 || inside.includes(MARK) || SIGNS.some((sign) => inside.includes(sign));
}

/** A process number alone is not enough: after a power cut another program may have it. */
function refuseWhileRunning(runningFile: string): void {
  if (!existsSync(runningFile)) return;
  const [pid, startedAt] = readFileSync(runningFile, "utf8").split(" ");
  if (Number(pid) === process.pid || !pid) return;
  const now = processStartedAt(Number(pid));
  if (now !== undefined && (startedAt === "" || now === startedAt))
    throw new Error(`Kind Grip runs on this data already (process ${pid}); stop it, or give this one a folder of its own with --data`);
}
