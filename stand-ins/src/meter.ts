/** Serves the simulated meters on loopback (docs/formats/meter.md). Options: --port N, --seed N. Ends with whoever started it. */
import { parseArgs } from "node:util";
import { endWithStarter } from "./starter";
import { readMessage, ToMeter, type FromMeter } from "@kind-grip/core/meter";
import { WebSocketServer, type WebSocket } from "ws";
import { READINGS_PER_SEC, SimulatedMeter } from "./simulated-meter";

const { values } = parseArgs({ options: { port: { type: "string", default: "4101" }, seed: { type: "string", default: "" } } });

/** Park and Miller. */
function chanceFrom(seed: number): () => number {
  let state = Math.max(1, seed % 2147483647);
  return () => (state = (state * 16807) % 2147483647) / 2147483647;
}

function serve(socket: WebSocket): void {
  const meter = new SimulatedMeter(values.seed ? chanceFrom(Number(values.seed)) : Math.random);
  let timer: NodeJS.Timeout | undefined;
  let startedMs = 0;
  let taken = 0;
  const atSec = () => (performance.now() - startedMs) / 1000;
  const say = (message: FromMeter) => socket.send(JSON.stringify(message));
  const stop = () => clearInterval(timer);
  say({ type: "hello", name: "Simulated meter", kinds: ["grip", "angle"], settings: meter.settings });
  socket.on("message", (data: Buffer) => {
    const message = readMessage(ToMeter, data.toString("utf8"));
    if (!message) return say({ type: "problem", message: "That was not understood." });
    switch (message.type) {
      case "start":
        stop();
        startedMs = performance.now();
        meter.start(message.kind, message);
        taken = 0;
        // A machine that stalls delays readings, as a buffer in a meter does; it does not lose them.
        timer = setInterval(() => {
          for (; taken / READINGS_PER_SEC <= atSec(); taken++) {
            const reading = meter.readingAt(taken / READINGS_PER_SEC);
            if (reading) say({ type: "reading", atMs: Math.round((taken * 1000) / READINGS_PER_SEC), ...reading });
          }
        }, 1000 / READINGS_PER_SEC);
        break;
      case "squeeze":
        meter.squeeze(atSec());
        break;
      case "set":
        meter.settings = { ...meter.settings, ...message.settings };
        say({ type: "settings", settings: meter.settings });
        break;
      case "stop":
        stop();
        break;
      case "zero":
        break;
    }
  });
  socket.on("close", stop);
  socket.on("error", stop);
}

const server = new WebSocketServer({ host: "127.0.0.1", port: Number(values.port) });
server.on("connection", serve);
server.on("error", (error: NodeJS.ErrnoException) => {
  process.stderr.write(`The simulated meter could not start: ${error.code ?? error.message}\n`);
  process.exit(1);
});
endWithStarter();
