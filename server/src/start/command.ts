/** What the commands in bin/ share. */
import path from "node:path";
import { DataKeys } from "../db/data-keys";
import { startPrivateServer, type PrivateServer } from "../db/private-server";
import { setting, wholeSetting } from "./settings";

/** Prints what a command has to say, or why it could not, and ends with 1 then. */
export function runCommand(main: () => Promise<string[]>): void {
  main().then(
    (lines) => process.stdout.write(lines.map((line) => `${line}\n`).join("")),
    (error: Error) => {
      process.stderr.write(`${error.message}\n`);
      process.exitCode = 1;
    },
  );
}

/** The private database of a data folder. */
export const startOwnDatabase = (data: string): Promise<PrivateServer> =>
  startPrivateServer({ dataDir: path.join(data, "mariadb"), keepsLogDays: wholeSetting("BINARY_LOG_DAYS", { most: 99 }) });

export const keysFileIn = (data: string): string => path.join(data, "data-keys");
/** From DATA_KEYS, else of the data folder's file, which is made with a first key where it is not there. */
export const dataKeysOf = (data: string): DataKeys =>
  setting("DATA_KEYS") ? DataKeys.read(setting("DATA_KEYS")) : DataKeys.inFile(keysFileIn(data));
