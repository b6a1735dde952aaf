/** Asks for one address so many times at once, from a process of its own; prints the milliseconds until each answer was there. */
import { performance } from "node:perf_hooks";

const [address, cookie, times] = process.argv.slice(2) as [string, string, string];
const start = performance.now();
const took = await Promise.all(
  Array.from({ length: Number(times) }, async () => {
    const answer = await fetch(address, { headers: { cookie } });
    if (!answer.ok) throw new Error(`${address}: ${answer.status}`);
    await answer.arrayBuffer();
    return performance.now() - start;
  }),
);
process.stdout.write(JSON.stringify(took));
