/** Answers that are files to keep. */
import type { Response } from "express";

export function sendFile(response: Response, name: string, type: string, content: string | Buffer): void {
  response
    .attachment(name.replace(/[^\p{L}\p{N}. _-]+/gu, "-"))
    .type(type)
    .send(content);
}
