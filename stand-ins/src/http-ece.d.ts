/** What is used of `http_ece`, which has no types of its own. */
declare module "http_ece" {
  import type { ECDH } from "node:crypto";
  interface Opening {
    version: "aes128gcm";
    privateKey: ECDH;
    /** In base64url. */
    authSecret: string;
  }
  export function decrypt(body: Buffer, how: Opening): Buffer;
}
