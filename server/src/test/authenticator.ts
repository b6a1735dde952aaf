/** A passkey device for tests: makes keys and answers questions as a browser with one would (Web Authentication, ES256, no attestation). */
import { createHash, generateKeyPairSync, randomBytes, sign, type KeyObject } from "node:crypto";

const base64 = (bytes: Uint8Array) => Buffer.from(bytes).toString("base64url");
const sha256 = (bytes: string | Uint8Array) => createHash("sha256").update(bytes).digest();

/** As much of CBOR as a new key needs. */
function cbor(value: unknown): Buffer {
  const head = (major: number, length: number) =>
    length < 24
      ? Buffer.from([(major << 5) | length])
      : length < 256
        ? Buffer.from([(major << 5) | 24, length])
        : Buffer.from([(major << 5) | 25, length >> 8, length & 255]);
  if (typeof value === "number") return value >= 0 ? head(0, value) : head(1, -1 - value);
  if (typeof value === "string") return Buffer.concat([head(3, value.length), Buffer.from(value)]);
  if (value instanceof Uint8Array) return Buffer.concat([head(2, value.length), value]);
  const entries = [...(value as Map<unknown, unknown>)];
  return Buffer.concat([head(5, entries.length), ...entries.flatMap(([key, each]) => [cbor(key), cbor(each)])]);
}

const PRESENT = 0x01;
const VERIFIED = 0x04;
const WITH_KEY = 0x40;

export class Authenticator {
  private readonly id = randomBytes(16);
  private key: KeyObject | undefined;
  private signed = 0;

  constructor(
    private readonly origin: string,
    /** Whether its owner unlocked it. */
    public unlocked = true,
  ) {}

  private get rpId(): string {
    return new URL(this.origin).hostname;
  }

  register({ challenge }: { challenge: string }, origin = this.origin) {
    const { privateKey, publicKey } = generateKeyPairSync("ec", { namedCurve: "P-256" });
    this.key = privateKey;
    const { x, y } = publicKey.export({ format: "jwk" });
    const cose = cbor(
      new Map<number, unknown>([
        [1, 2],
        [3, -7],
        [-1, 1],
        [-2, Buffer.from(x!, "base64url")],
        [-3, Buffer.from(y!, "base64url")],
      ]),
    );
    const length = Buffer.alloc(2);
    length.writeUInt16BE(this.id.length);
    const authData = Buffer.concat([this.authData(WITH_KEY), Buffer.alloc(16), length, this.id, cose]);
    const attestation = cbor(
      new Map<string, unknown>([
        ["fmt", "none"],
        ["attStmt", new Map()],
        ["authData", authData],
      ]),
    );
    return this.answer({
      clientDataJSON: this.clientData("webauthn.create", challenge, origin),
      attestationObject: base64(attestation),
      transports: ["internal"],
    });
  }

  assert({ challenge }: { challenge: string }, origin = this.origin) {
    this.signed++;
    const authData = this.authData(0);
    const clientDataJSON = this.clientData("webauthn.get", challenge, origin);
    const signature = sign("sha256", Buffer.concat([authData, sha256(Buffer.from(clientDataJSON, "base64url"))]), this.key!);
    return this.answer({ clientDataJSON, authenticatorData: base64(authData), signature: base64(signature) });
  }

  /** As if the key had been copied before it signed so often. */
  forget(signs: number): void {
    this.signed -= signs;
  }

  private answer(response: object) {
    return { id: base64(this.id), rawId: base64(this.id), type: "public-key", response, clientExtensionResults: {} };
  }

  private clientData(type: string, challenge: string, origin: string): string {
    return base64(Buffer.from(JSON.stringify({ type, challenge, origin, crossOrigin: false })));
  }

  private authData(more: number): Buffer {
    const count = Buffer.alloc(4);
    count.writeUInt32BE(this.signed);
    return Buffer.concat([sha256(this.rpId), Buffer.from([PRESENT | (this.unlocked ? VERIFIED : 0) | more]), count]);
  }
}
