/** The workers that draw: some for still pictures, one for what moves, so that a page of thumbnails never makes a hand stutter. */
import { wrap, type Remote } from "comlink";
import type { FigureDrawer } from "./figure.worker";

const start = (name: string): Remote<FigureDrawer> =>
  wrap<FigureDrawer>(new Worker(new URL("./figure.worker.ts", import.meta.url), { type: "module", name }));

let motion: Remote<FigureDrawer> | undefined;
/** Draws what moves and what is shaped; never busy with a page of stills. */
export const motionDrawer = (): Remote<FigureDrawer> => (motion ??= start("figures-motion"));

/** One core is left for the page; more than three draw no faster than they are asked. */
const MOST_WORKERS = 3;
const workersFor = (cores: number): number => Math.max(1, Math.min(MOST_WORKERS, cores - 1));

/** Pictures already drawn, the oldest forgotten first. */
const KEPT = 300;
const drawn = new Map<string, Promise<string>>();
const waiting: ((drawer: Remote<FigureDrawer>) => Promise<void>)[] = [];
const idle: Remote<FigureDrawer>[] = [];
let startedCount = 0;

/** The picture of a key; drawn when it is first asked for. What was asked for last is drawn first: that is where the eye is. */
export function stillOf(key: string, draw: (drawer: Remote<FigureDrawer>) => Promise<string>): Promise<string> {
  const known = drawn.get(key);
  if (known) return known;
  const picture = new Promise<string>((done, failed) => {
    waiting.push((drawer) => draw(drawer).then(done, failed));
  });
  drawn.set(key, picture);
  picture.catch(() => drawn.delete(key));
  if (drawn.size > KEPT) drawn.delete(drawn.keys().next().value!);
  // One tick for all that comes into view at once, then the first of them first.
  void Promise.resolve().then(drawWaiting);
  return picture;
}

/** Gives the next picture to a drawer that has nothing to do, starting one more while there may be more. */
function drawWaiting(): void {
  while (waiting.length > 0) {
    const drawer = idle.pop() ?? oneMore();
    if (!drawer) return;
    void waiting.pop()!(drawer).finally(() => {
      idle.push(drawer);
      drawWaiting();
    });
  }
}

function oneMore(): Remote<FigureDrawer> | undefined {
  if (startedCount >= workersFor(navigator.hardwareConcurrency)) return undefined;
  startedCount += 1;
  return start(`figures-stills-${startedCount}`);
}
