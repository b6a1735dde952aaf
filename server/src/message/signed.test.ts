import { TimeoutError } from "es-toolkit";
import { createHmac, timingSafeEqual } from "node:crypto";
import { createServer, type IncomingHttpHeaders } from "node:http";
import type { AddressInfo } from "node:net";
import { signatureOf } from "./signed";
import { bounded, gatewayWay } from "./ways";

const SECRET = "between us";

it("is that of the worked example in docs/formats/message-gateway.md", () => {
  expect(signatureOf("secret", 1774512000, "0190a3b4-0000-7000-8000-000000000001", '{"to":"A","text":"B"}')).toBe(
    "t=1774512000,v1=768395eb38ec9c17e095f9f0839302e18592e17373dc514c18bc40bbce0cf76a",
  );
});

/** A gateway as its maker would write it from the page. */
async function takes(secret: string | undefined, check: (headers: IncomingHttpHeaders, body: string) => boolean): Promise<boolean> {
  const server = createServer((request, response) => {
    let body = "";
    request.on("data", (part) => (body += part));
    request.on("end", () => response.writeHead(check(request.headers, body) ? 202 : 401).end());
  }).listen(0, "127.0.0.1");
  await new Promise((done) => server.once("listening", done));
  const { port } = server.address() as AddressInfo;
  const { taken } = await gatewayWay(
    `http://127.0.0.1:${port}`,
    secret,
  )({ id: "key-1", why: () => Promise.resolve(""), to: "Ada", text: "Ridge break at 12:15", goodForSec: 60 });
  await new Promise((done) => server.close(done));
  return taken;
}
const isGood = (headers: IncomingHttpHeaders, body: string, secret = SECRET): boolean => {
  const [, time, given] = /^t=(\d+),v1=([0-9a-f]{64})$/.exec(String(headers["x-kind-grip-signature"])) ?? [];
  if (!time || !given || Math.abs(Date.now() / 1000 - Number(time)) > 300) return false;
  const own = createHmac("sha256", secret)
    .update(`${time}.${String(headers["idempotency-key"])}.${body}`)
    .digest();
  return timingSafeEqual(own, Buffer.from(given, "hex"));
};

it("is taken by whoever knows the secret, over the very body that is sent", async () => {
  expect(await takes(SECRET, isGood)).toBe(true);
});
it("is not taken with another secret, another body or another key", async () => {
  expect(await takes("another", isGood)).toBe(false);
  expect(await takes(SECRET, (headers, body) => isGood(headers, `${body} `))).toBe(false);
  expect(await takes(SECRET, (headers, body) => isGood({ ...headers, "idempotency-key": "key-2" }, body))).toBe(false);
});
it("without a secret nothing is signed", async () => {
  expect(await takes(undefined, (headers) => headers["x-kind-grip-signature"] === undefined)).toBe(true);
});

it("a way that takes however long step by step is given up, so that nobody else sends the same meanwhile", async () => {
  const message = { id: "key-1", to: "Ada", text: "Ridge break", why: () => Promise.resolve(""), goodForSec: 60 };
  await expect(bounded(() => new Promise(() => undefined), 20)(message)).rejects.toBeInstanceOf(TimeoutError);
  expect(await bounded(async () => ({ taken: true }), 20)(message)).toEqual({ taken: true });
});
