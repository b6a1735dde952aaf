import { DataKeys } from "../db/data-keys";

/** The same for every test: a database outlives the files of tests that use it. */
export const TEST_KEYS = DataKeys.read(Buffer.alloc(32, "for tests only").toString("base64"));
