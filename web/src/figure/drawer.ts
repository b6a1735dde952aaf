/** The workers that draw: some for still pictures, one for what moves, so that a page of thumbnails never makes a hand stutter. */
import type { Remote } from "comlink";
import { startWorker, type StartedWorker } from "../parts/worker";
import type { FigureDrawer } from "./figure.worker";

const start = (name: string, onBroken: () => void): StartedWorker<FigureDrawer> =>
  startWorker(new Worker(new URL("./figure.worker.ts", import.meta.url), { type: "module", name }), onBroken);

let motion: StartedWorker<FigureDrawer> | undefined;
/** Draws what moves and what is shaped; never busy with a page of stills. One that broke is replaced when it is asked again. */
export const motionDrawer = (): Remote<FigureDrawer> => (motion ??= start("figures-motion", () => (motion = undefined))).remote;

/** One core is left for the page; more than three draw no faster than they are asked. */
const MOST_WORKERS = 3;
const workersFor = (cores: number): number => Math.max(1, Math.min(MOST_WORKERS, cores - 1));

/** Pictures already drawn, the oldest forgotten first. */
const KEPT = 300;
const drawn = new Map<string, Promise<string>>();
const waiting: ((drawer: StartedWorker<FigureDrawer>) => Promise<void>)[] = [];
const idle: StartedWorker<FigureDrawer>[] = [];
let startedCount = 0;

/**
 * The picture of a key; drawn when it is first asked for. What was asked for last is drawn first: that is where the eye is.
 * @param still its file among those that came with the build; drawn all the same where that is not to be had
 */
export function stillOf(key: string, draw: (drawer: Remote<FigureDrawer>) => Promise<string>, still?: string): Promise<string> {
  const known = drawn.get(key);
  if (known) return known;
  const picture = still && STILLS ? builtStill(still).catch(() => drawnInTurn(draw)) : drawnInTurn(draw);
  drawn.set(key, picture);
  picture.catch(() => drawn.delete(key));
  if (drawn.size > KEPT) drawn.delete(drawn.keys().next().value!);
  return picture;
}

/** Where the build put the stills (vite.config.ts); nowhere while it is being worked on, and in tests. */
declare const STILLS_FOLDER: string | undefined;
const STILLS = typeof STILLS_FOLDER === "undefined" ? undefined : STILLS_FOLDER;

async function builtStill(file: string): Promise<string> {
  const answer = await fetch(`${STILLS}/${file}`);
  // A server that has newer ones answers with its page.
  if (!answer.ok || !answer.headers.get("content-type")?.startsWith("image/svg")) throw new Error("there is no such still");
  return answer.text();
}

function drawnInTurn(draw: (drawer: Remote<FigureDrawer>) => Promise<string>): Promise<string> {
  const picture = new Promise<string>((done, failed) => {
    waiting.push(({ remote, unlessBroken }) => unlessBroken(draw(remote)).then(done, failed));
  });
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
      if (!broken.has(drawer)) idle.push(drawer);
      drawWaiting();
    });
  }
}

const broken = new WeakSet<StartedWorker<FigureDrawer>>();

function oneMore(): StartedWorker<FigureDrawer> | undefined {
  if (startedCount >= workersFor(navigator.hardwareConcurrency)) return undefined;
  startedCount += 1;
  const drawer: StartedWorker<FigureDrawer> = start(`figures-stills-${startedCount}`, () => {
    broken.add(drawer);
    startedCount -= 1;
    if (idle.includes(drawer)) idle.splice(idle.indexOf(drawer), 1);
  });
  return drawer;
}
