/** A font of the web as a font of paper: the same tables, unpacked once instead of in every document. */
import { inflateSync } from "node:zlib";

const WOFF = 0x774f4646;
const HEAD = { woff: 44, entry: 20, sfnt: 12, sfntEntry: 16 };

/** @param woff version 1 @returns the OpenType font that was packed in it @throws when it is none */
export function unpackWoff(woff: Buffer): Buffer {
  if (woff.readUInt32BE(0) !== WOFF) throw new Error("is no WOFF 1 font");
  const count = woff.readUInt16BE(12);
  const tables = Array.from({ length: count }, (_, i) => {
    const at = HEAD.woff + i * HEAD.entry;
    const [offset, packed, length] = [4, 8, 12].map((field) => woff.readUInt32BE(at + field)) as [number, number, number];
    const data = woff.subarray(offset, offset + packed);
    return { tag: woff.subarray(at, at + 4), checksum: woff.subarray(at + 16, at + 20), data: packed < length ? inflateSync(data) : data };
  });
  const head = Buffer.alloc(HEAD.sfnt + count * HEAD.sfntEntry);
  woff.copy(head, 0, 4, 8);
  head.writeUInt16BE(count, 4);
  const power = Math.floor(Math.log2(count));
  head.writeUInt16BE(2 ** power * 16, 6);
  head.writeUInt16BE(power, 8);
  head.writeUInt16BE(count * 16 - 2 ** power * 16, 10);
  const parts: Buffer[] = [head];
  let end = head.length;
  for (const [i, { tag, checksum, data }] of tables.entries()) {
    const at = HEAD.sfnt + i * HEAD.sfntEntry;
    tag.copy(head, at);
    checksum.copy(head, at + 4);
    head.writeUInt32BE(end, at + 8);
    head.writeUInt32BE(data.length, at + 12);
    const padding = Buffer.alloc((4 - (data.length % 4)) % 4);
    parts.push(data, padding);
    end += data.length + padding.length;
  }
  return Buffer.concat(parts);
}
