/** Whether there is room to keep anything: asked of the disk, not found out by a database that waits for space for ever. */
import type { RequestHandler } from "express";
import { statfs } from "node:fs/promises";
import { Problem } from "./problem";

/** Below that nothing new is taken: the database needs some of it to bring what it has into order. */
export const LEAST_FREE_BYTES = 64 * 1024 * 1024;
const LOOK_EVERY_MS = 2000;

export type FreeBytes = () => Promise<number>;

/** Free bytes on the disk of a folder, looked at every few seconds. */
export function freeBytesOf(folder: string): FreeBytes {
  let known: { atMs: number; free: Promise<number> } | undefined;
  return () => {
    const now = Date.now();
    if (!known || now - known.atMs > LOOK_EVERY_MS)
      known = { atMs: now, free: statfs(folder).then(({ bavail, bsize }) => Number(bavail) * Number(bsize)) };
    return known.free;
  };
}

export const diskFull = () =>
  new Problem(503, "diskFull", "The server's disk is full. Nothing new can be kept until there is room; what is kept already is safe.");

/** Refuses changes while there is no room; looking goes on. */
export function refuseWithoutRoom(freeBytes: FreeBytes): RequestHandler {
  return async (request, _response, next) => {
    if (!["GET", "HEAD", "OPTIONS"].includes(request.method) && (await freeBytes()) < LEAST_FREE_BYTES) throw diskFull();
    next();
  };
}
