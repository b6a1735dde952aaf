/**
 * A push service and the phones behind it (RFC 8030), which delivers nothing: it makes addresses as a browser would be given them, takes
 * messages for them, looks whether they are signed as they should be (RFC 8292), opens them as the phone would (RFC 8291), and shows
 * them on a page. Options: --port N. Ends with whoever started it.
 *
 * `POST /subscriptions` with `{ key }` (the server's) → `{ endpoint, keys }` · `DELETE /subscriptions/ID`: the phone is gone ·
 * `GET /messages` → what was taken.
 */
import { createECDH, createPublicKey, randomBytes, randomUUID, verify, type ECDH } from "node:crypto";
import { createServer, type IncomingMessage, type ServerResponse } from "node:http";
import { parseArgs } from "node:util";
import { decrypt } from "http_ece";
import { endWithStarter } from "./starter";
import { answer, showPage, tablePage } from "./page";

const { values } = parseArgs({ options: { port: { type: "string", default: "4106" } } });
const address = `http://127.0.0.1:${values.port}`;

interface Phone {
  /** Of the server that may send to it, in base64url. */
  serverKey: string;
  keys: ECDH;
  secret: Buffer;
}
interface Taken {
  phone: string;
  payload: unknown;
  ttl: number;
  urgency: string;
  topic: string;
  at: string;
}

const phones = new Map<string, Phone>();
const messages: Taken[] = [];

const MOST_BYTES = 4096;

async function bodyOf(request: IncomingMessage): Promise<Buffer> {
  const parts: Buffer[] = [];
  for await (const part of request) parts.push(part as Buffer);
  return Buffer.concat(parts);
}

async function subscribe(request: IncomingMessage, response: ServerResponse): Promise<void> {
  const { key } = JSON.parse((await bodyOf(request)).toString()) as { key: string };
  const id = randomUUID();
  const keys = createECDH("prime256v1");
  const p256dh = keys.generateKeys().toString("base64url");
  const secret = randomBytes(16);
  phones.set(id, { serverKey: key, keys, secret });
  answer(response, 201, { endpoint: `${address}/push/${id}`, keys: { p256dh, auth: secret.toString("base64url") } });
}

async function take(id: string, request: IncomingMessage, response: ServerResponse): Promise<void> {
  const phone = phones.get(id);
  const body = await bodyOf(request);
  if (!phone) return answer(response, 410, { problem: "this phone is gone" });
  if (body.length > MOST_BYTES) return answer(response, 413, { problem: `more than ${MOST_BYTES} bytes` });
  const { authorization = "", ttl, urgency = "normal", topic = "" } = request.headers as Record<string, string | undefined>;
  if (!ttl || !/^\d+$/.test(ttl)) return answer(response, 400, { problem: "needs a TTL" });
  const problem = signatureProblem(authorization, phone.serverKey);
  if (problem) return answer(response, 403, { problem });
  const opened = decrypt(body, { version: "aes128gcm", privateKey: phone.keys, authSecret: phone.secret.toString("base64url") });
  const same = messages.findIndex((each) => topic !== "" && each.phone === id && each.topic === topic);
  if (same >= 0) messages.splice(same, 1);
  messages.push({ phone: id, payload: JSON.parse(opened.toString()), ttl: Number(ttl), urgency, topic, at: new Date().toISOString() });
  response.writeHead(201, { location: `${address}/messages` }).end();
}

/** `vapid t=<JSON web token>, k=<the server's key>`. @returns what is wrong with it */
function signatureProblem(authorization: string, serverKey: string): string | undefined {
  const [, token = "", key = ""] = /^vapid t=([\w.-]+), ?k=([\w-]+)$/i.exec(authorization) ?? [];
  if (key !== serverKey) return "signed with another key than the phone was told";
  const [head, claims, signature] = token.split(".");
  const point = Buffer.from(key, "base64url");
  const half = (from: number) => point.subarray(from, from + 32).toString("base64url");
  const publicKey = createPublicKey({ key: { kty: "EC", crv: "P-256", x: half(1), y: half(33) }, format: "jwk" });
  const isSigned = verify(
    "sha256",
    Buffer.from(`${head}.${claims}`),
    { key: publicKey, dsaEncoding: "ieee-p1363" },
    Buffer.from(signature ?? "", "base64url"),
  );
  if (!isSigned) return "the signature is not good";
  const { aud, exp, sub } = JSON.parse(Buffer.from(claims!, "base64url").toString()) as { aud: string; exp: number; sub: string };
  if (aud !== address) return `meant for ${aud}`;
  if (exp * 1000 < Date.now()) return "ran out";
  return /^(mailto:|https:)/.test(sub) ? undefined : "says nobody who can be asked";
}

function page(): string {
  const rows = [...messages].reverse().map(({ phone, payload, ttl, at }) => [phone.slice(0, 8), JSON.stringify(payload), `${ttl} s`, at]);
  return tablePage({
    title: "Push service stand-in",
    heading: `Messages to phones: ${messages.length}`,
    about: "This service delivers nothing. It stands in for those of the browsers, and opens what it took as the phone would.",
    head: ["Phone", "Message", "Good for", "Taken at"],
    rows,
  });
}

const server = createServer((request, response) => {
  const failed = () => answer(response, 400, { problem: "that was not understood" });
  const [, place, id = ""] = (request.url ?? "").split("/");
  if (request.method === "POST" && place === "subscriptions") return void subscribe(request, response).catch(failed);
  if (request.method === "DELETE" && place === "subscriptions") {
    phones.delete(id);
    return void response.writeHead(204).end();
  }
  if (request.method === "POST" && place === "push") return void take(id, request, response).catch(failed);
  if (request.method === "GET" && request.url === "/messages") return answer(response, 200, { messages });
  if (request.method === "GET" && request.url === "/") return showPage(response, page());
  return answer(response, 404, { problem: "nothing here" });
});
server.on("error", (error: NodeJS.ErrnoException) => {
  process.stderr.write(`The push service stand-in could not start: ${error.code ?? error.message}\n`);
  process.exit(1);
});
server.listen(Number(values.port), "127.0.0.1");
endWithStarter();
