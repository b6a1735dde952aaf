/** The workers that draw: one for still pictures, one for what moves, so that a page of thumbnails never makes a hand stutter. */
import { wrap, type Remote } from "comlink";
import type { FigureDrawer } from "./figure.worker";

const started = new Map<"stills" | "motion", Remote<FigureDrawer>>();

export function drawerFor(kind: "stills" | "motion"): Remote<FigureDrawer> {
  const known = started.get(kind);
  if (known) return known;
  const made = wrap<FigureDrawer>(new Worker(new URL("./figure.worker.ts", import.meta.url), { type: "module", name: `figures-${kind}` }));
  started.set(kind, made);
  return made;
}

/** Pictures already drawn, the oldest forgotten first. */
const KEPT = 300;
const drawn = new Map<string, Promise<string>>();
const waiting: (() => Promise<void>)[] = [];
let busy = false;

/** The picture of a key; drawn when it is first asked for. What was asked for last is drawn first: that is where the eye is. */
export function stillOf(key: string, draw: () => Promise<string>): Promise<string> {
  const known = drawn.get(key);
  if (known) return known;
  const picture = new Promise<string>((done, failed) => {
    waiting.push(() => draw().then(done, failed));
  });
  drawn.set(key, picture);
  picture.catch(() => drawn.delete(key));
  if (drawn.size > KEPT) drawn.delete(drawn.keys().next().value!);
  if (!busy) void drawWaiting();
  return picture;
}

async function drawWaiting(): Promise<void> {
  busy = true;
  // One tick for all that comes into view at once, then the first of them first.
  await Promise.resolve();
  for (let next = waiting.pop(); next; next = waiting.pop()) await next();
  busy = false;
}
