import { paneRatio } from "./use-pane-ratio";

it.each([
  [{ width: 600, height: 540 }, 0.9],
  // A step up, never down: no stripe of sheet is left where the drawing ends.
  [{ width: 602, height: 542 }, 0.92],
  [{ width: 390, height: 280 }, 0.72],
  [{ width: 1000, height: 200 }, 0.5],
  [{ width: 300, height: 900 }, 1.4],
  // Not laid out yet.
  [{ width: 0, height: 0 }, 0.9],
])("a pane of %j is drawn for at %d", (pane, ratio) => expect(paneRatio(pane)).toBe(ratio));

it("what stands over a pane is less than the margin round a figure, 34 of 600 on either side", () => {
  for (let height = 320; height < 860; height++) {
    const over = paneRatio({ width: 640, height }) * 640 - height;
    expect(over).toBeGreaterThanOrEqual(-0.01);
    expect(over / 2).toBeLessThan((34 / 600) * 640);
  }
});
