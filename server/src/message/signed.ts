/** The signature of what goes to a message gateway, so that it takes nothing from anybody else (docs/formats/message-gateway.md). */
import { createHmac } from "node:crypto";

/**
 * @param atSec when it is sent, seconds since 1970 @param id the idempotency key @param body as it is sent
 * @returns `t=…,v1=…`: HMAC-SHA-256 in hexadecimal digits over time, key and body with points between them
 */
export function signatureOf(secret: string, atSec: number, id: string, body: string): string {
  return `t=${atSec},v1=${createHmac("sha256", secret).update(`${atSec}.${id}.${body}`).digest("hex")}`;
}
