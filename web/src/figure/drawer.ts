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

export function stillOf(key: string, draw: () => Promise<string>): Promise<string> {
  const known = drawn.get(key);
  if (known) return known;
  const picture = draw();
  drawn.set(key, picture);
  picture.catch(() => drawn.delete(key));
  if (drawn.size > KEPT) drawn.delete(drawn.keys().next().value!);
  return picture;
}
