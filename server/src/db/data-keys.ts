/**
 * The keys health answers are encrypted with (AES-256-GCM). They are not in the database and in no backup: in DATA_KEYS, or in a file of
 * the data folder beside it. The newest encrypts; the others still open what they encrypted.
 */
import { createCipheriv, createDecipheriv, createHash, randomBytes } from "node:crypto";
import { existsSync, readFileSync, writeFileSync } from "node:fs";

const KEY_BYTES = 32;
const NONCE_BYTES = 12;
const TAG_BYTES = 16;
const ALGORITHM = "aes-256-gcm";

interface DataKey {
  /** Told from the key itself: eight digits of its hash. */
  id: string;
  key: Buffer;
}

export class DataKeys {
  private readonly byId: ReadonlyMap<string, DataKey>;

  private constructor(private readonly ring: readonly DataKey[]) {
    this.byId = new Map(ring.map((each) => [each.id, each]));
  }

  /** For what neither reads nor writes anything encrypted. */
  static none = (): DataKeys => new DataKeys([]);

  /** @param text keys of 32 bytes in base64, parted by commas or lines, the newest last; lines with # are passed over @throws Error */
  static read(text: string): DataKeys {
    const words = text
      .split("\n")
      .filter((line) => !line.trim().startsWith("#"))
      .flatMap((line) => line.split(","))
      .map((word) => word.trim())
      .filter((word) => word !== "");
    return new DataKeys(
      words.map((word) => {
        const key = Buffer.from(word, "base64");
        if (key.length !== KEY_BYTES) throw new Error(`a data key has ${KEY_BYTES} bytes in base64, this one has ${key.length}`);
        return { id: createHash("sha256").update(key).digest("hex").slice(0, 8), key };
      }),
    );
  }

  /** Of a file, which is made with a first key where it is not there. */
  static inFile(file: string): DataKeys {
    if (!existsSync(file)) writeFileSync(file, `${FILE_SAYS}\n${newKey()}\n`, { mode: 0o600 });
    return DataKeys.read(readFileSync(file, "utf8"));
  }

  get ids(): string[] {
    return this.ring.map(({ id }) => id);
  }

  /** Undefined where there is none. */
  get currentId(): string | undefined {
    return this.ring.at(-1)?.id;
  }

  /** As it is handed to another thread or process of this server. */
  toText(): string {
    return this.ring.map(({ key }) => key.toString("base64")).join(",");
  }

  /** @param place where it stands: text of another place does not open here */
  encrypt(place: string, plain: Buffer): string {
    const { id, key } = this.ring.at(-1) ?? missing("any");
    const nonce = randomBytes(NONCE_BYTES);
    const cipher = createCipheriv(ALGORITHM, key, nonce).setAAD(Buffer.from(place));
    return `${id}.${Buffer.concat([nonce, cipher.update(plain), cipher.final(), cipher.getAuthTag()]).toString("base64")}`;
  }

  /** @throws Error for a key that is not here, and for what was changed or moved */
  decrypt(place: string, text: string): Buffer {
    const id = text.slice(0, text.indexOf("."));
    const { key } = this.byId.get(id) ?? missing(id);
    const bytes = Buffer.from(text.slice(id.length + 1), "base64");
    const decipher = createDecipheriv(ALGORITHM, key, bytes.subarray(0, NONCE_BYTES), { authTagLength: TAG_BYTES })
      .setAAD(Buffer.from(place))
      .setAuthTag(bytes.subarray(-TAG_BYTES));
    return Buffer.concat([decipher.update(bytes.subarray(NONCE_BYTES, -TAG_BYTES)), decipher.final()]);
  }
}

export const newKey = (): string => randomBytes(KEY_BYTES).toString("base64");

const FILE_SAYS =
  "# What people answered about their health can be read with these keys alone. Keep a copy apart from the backups; newest last.";

function missing(id: string): never {
  throw new Error(`the data key ${id} is not here`);
}
