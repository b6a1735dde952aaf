/** Answers that many get as they are: put into words, and packed, once. */
import { promisify } from "node:util";
import { gzip } from "node:zlib";
import type { Request, Response } from "express";
import { GZIP_LEVEL, PACKED_FROM_BYTES } from "./packed";

const packed = promisify(gzip);

export class WrittenAnswer<Answer> {
  private plain?: Buffer;
  private short?: Promise<Buffer>;

  constructor(readonly answer: Answer) {}

  async send(request: Request, response: Response): Promise<void> {
    this.plain ??= Buffer.from(JSON.stringify(this.answer));
    response.type("json").vary("Accept-Encoding");
    const takesPacked = this.plain.length >= PACKED_FROM_BYTES && request.acceptsEncodings("gzip");
    if (takesPacked) {
      this.short ??= packed(this.plain, { level: GZIP_LEVEL });
      response.setHeader("Content-Encoding", "gzip");
    }
    const body = takesPacked ? await this.short! : this.plain;
    response.setHeader("Content-Length", body.length);
    response.end(body);
  }
}
