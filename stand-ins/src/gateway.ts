/**
 * A message gateway that delivers nothing (docs/formats/message-gateway.md): it takes messages, keeps them, and shows them on a page.
 * Options: --port N, --keep FILE (JSON lines, so that a repeated message is known after a restart), --refuse SHARE (0 to 1, for trying
 * out retries). Ends with whoever started it.
 */
import { appendFileSync, existsSync, readFileSync } from "node:fs";
import { createServer, type IncomingMessage, type ServerResponse } from "node:http";
import { parseArgs } from "node:util";
import { answer, showPage, tablePage } from "./page";
import { endWithStarter } from "./starter";

const { values } = parseArgs({
  options: {
    port: { type: "string", default: "4102" },
    keep: { type: "string", default: "" },
    refuse: { type: "string", default: "0" },
  },
});

interface Taken {
  id: string;
  to: string;
  text: string;
  at: string;
}

const inbox = new Map<string, Taken>();
if (values.keep && existsSync(values.keep))
  for (const line of readFileSync(values.keep, "utf8").split("\n").filter(Boolean)) {
    const taken = JSON.parse(line) as Taken;
    inbox.set(taken.id, taken);
  }

async function take(request: IncomingMessage, response: ServerResponse): Promise<void> {
  const id = request.headers["idempotency-key"];
  let body = "";
  for await (const part of request) body += String(part);
  if (typeof id !== "string" || body.length > 4000) return answer(response, 400, { problem: "needs an idempotency-key and a short body" });
  if (Math.random() < Number(values.refuse)) return answer(response, 503, { problem: "busy" });
  if (!inbox.has(id)) {
    const { to, text } = JSON.parse(body) as { to: string; text: string };
    const taken = { id, to: String(to), text: String(text), at: new Date().toISOString() };
    inbox.set(id, taken);
    if (values.keep) appendFileSync(values.keep, `${JSON.stringify(taken)}\n`);
  }
  answer(response, 202, { id });
}

function page(): string {
  return tablePage({
    title: "Message gateway stand-in",
    heading: `Messages taken: ${inbox.size}`,
    about: "This gateway delivers nothing. It stands in for a real one.",
    head: ["To", "Message", "Taken at"],
    rows: [...inbox.values()].reverse().map(({ to, text, at }) => [to, text, at]),
  });
}

const server = createServer((request, response) => {
  if (request.method === "POST" && request.url === "/messages")
    return void take(request, response).catch(() => answer(response, 400, { problem: "that was not understood" }));
  if (request.method === "GET" && request.url === "/messages") return answer(response, 200, { messages: [...inbox.values()] });
  if (request.method === "GET" && request.url === "/") return showPage(response, page());
  return answer(response, 404, { problem: "nothing here" });
});
server.on("error", (error: NodeJS.ErrnoException) => {
  process.stderr.write(`The message gateway stand-in could not start: ${error.code ?? error.message}\n`);
  process.exit(1);
});
server.listen(Number(values.port), "127.0.0.1");
endWithStarter();
