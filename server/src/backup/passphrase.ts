/** Files under a passphrase, as age writes them (age-encryption.org/v1): its own program opens them too. */
import { Decrypter, Encrypter } from "age-encryption";
import { Readable } from "node:stream";
import type { ReadableStream } from "node:stream/web";

const toWeb = (stream: Readable) => Readable.toWeb(stream) as unknown as globalThis.ReadableStream<Uint8Array>;
const fromWeb = (stream: globalThis.ReadableStream<Uint8Array>) => Readable.fromWeb(stream as unknown as ReadableStream);

export async function encrypted(stream: Readable, passphrase: string): Promise<Readable> {
  const encrypter = new Encrypter();
  encrypter.setPassphrase(passphrase);
  return fromWeb(await encrypter.encrypt(toWeb(stream)));
}

/** @throws Error in words for another passphrase */
export async function decrypted(stream: Readable, passphrase: string): Promise<Readable> {
  const decrypter = new Decrypter();
  decrypter.addPassphrase(passphrase);
  try {
    return fromWeb(await decrypter.decrypt(toWeb(stream)));
  } catch (error) {
    throw new Error("the passphrase does not open this backup", { cause: error });
  }
}
