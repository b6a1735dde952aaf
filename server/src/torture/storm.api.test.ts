/** The small form of `npm run torture`: on a database and two servers of its own. */
import { storm } from "./storm";

it("kills, double sends and bursts lose, double and halve nothing, and nobody is answered with a failure", async () => {
  const result = await storm({ kills: 2, everyMs: [200, 800], writers: 4, crews: 3, bursts: 1 });
  expect(result).toMatchObject({ lost: [], doubled: [], halfSaved: [], wrongSums: [], failed: [], burst: { calls: 50, failed: [] } });
  expect(result.confirmed).toBeGreaterThan(50);
}, 180_000);
