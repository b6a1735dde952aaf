/** The hand-out carries figures as vectors: the heaviest ones at full size must stay light. */
import { gzipSync } from "node:zlib";
import { SHIPPED_LIBRARY, stage } from "@kind-grip/core/library";

it.each(["forearm-roll", "edge-sweep", "palm-away", "median-glide", "table-plant", "curl-turn-lower", "fist-and-star"])(
  "%s is under 90 kB at full size, and under 25 kB packed: a strip holds several pictures",
  (id) => {
    const svg = stage(SHIPPED_LIBRARY, id).still();
    expect(svg.length).toBeLessThan(90_000);
    expect(gzipSync(svg).length).toBeLessThan(25_000);
  },
);
