/** Where the camera stands: everything that is to be seen is in the picture, and nothing of it behind a round window. */
import fc from "fast-check";
import { framing, framingBeside, project, type Camera } from "./camera";

const front = { yaw: 0, pitch: 0 };
const ball = fc.record({
  at: fc.tuple(fc.double({ min: -900, max: 900, noNaN: true }), fc.double({ min: -900, max: 900, noNaN: true }), fc.constant(0)),
  radius: fc.double({ min: 5, max: 90, noNaN: true }),
});
const balls = fc.array(ball, { minLength: 1, maxLength: 12 });
const size = fc.record({ width: fc.integer({ min: 90, max: 800 }), height: fc.integer({ min: 90, max: 800 }) });
type Balls = readonly { at: [number, number, number]; radius: number }[];
const discs = (camera: Camera, seen: Balls) =>
  seen.map(({ at, radius }) => {
    const [x, y] = project(camera, at);
    return { x, y, radius: radius * camera.scale };
  });
const windowIn = ({ width, height }: { width: number; height: number }, corner: "left" | "right") => {
  const radius = Math.min(width, height) * 0.2;
  return { x: corner === "right" ? width - radius - 10 : radius + 10, y: radius + 10, radius };
};
const inside = (camera: Camera, seen: Balls, margin: number) =>
  discs(camera, seen).every(
    ({ x, y, radius }) =>
      x - radius >= margin - 1e-6 &&
      y - radius >= margin - 1e-6 &&
      x + radius <= camera.width - margin + 1e-6 &&
      y + radius <= camera.height - margin + 1e-6,
  );

describe("a camera that frames", () => {
  it("has all balls in the picture, within the margin", () => {
    fc.assert(fc.property(balls, size, (seen, picture) => inside(framing(front, seen, picture, 12), seen, 12)));
  });

  it("enlarges no more than it may", () => {
    expect(framing(front, [{ at: [0, 0, 0], radius: 1 }], { width: 600, height: 450 }, 20, 2).scale).toBe(2);
  });
});

describe("a camera that frames beside a round window", () => {
  const beside = (seen: Balls, picture: { width: number; height: number }, corner: "left" | "right") =>
    framingBeside(front, seen, picture, 12, Infinity, windowIn(picture, corner));

  it("has all balls in the picture and none behind the window, at any size and in both corners", () => {
    fc.assert(
      fc.property(balls, size, fc.constantFrom("left" as const, "right" as const), (seen, picture, corner) => {
        const camera = beside(seen, picture, corner);
        const window = windowIn(picture, corner);
        return (
          camera.scale > 0 &&
          inside(camera, seen, 12) &&
          discs(camera, seen).every(({ x, y, radius }) => Math.hypot(x - window.x, y - window.y) >= radius + window.radius)
        );
      }),
    );
  });

  it("shows them as large as if there were no window, where they leave its corner free", () => {
    const picture = { width: 600, height: 450 };
    const low: Balls = [
      { at: [-400, -300, 0], radius: 20 },
      { at: [400, -300, 0], radius: 20 },
    ];
    expect(beside(low, picture, "right").scale).toBe(framing(front, low, picture, 12).scale);
  });

  it("shows them smaller, where one of them would be behind it", () => {
    const picture = { width: 600, height: 450 };
    const corners: Balls = [
      { at: [-400, -300, 0], radius: 20 },
      { at: [400, 300, 0], radius: 20 },
    ];
    expect(beside(corners, picture, "right").scale).toBeLessThan(framing(front, corners, picture, 12).scale);
    expect(beside(corners, picture, "left").scale).toBe(framing(front, corners, picture, 12).scale);
  });

  it("goes no further from the middle than it must", () => {
    const picture = { width: 600, height: 450 };
    const tall: Balls = [
      { at: [0, 300, 0], radius: 30 },
      { at: [0, -300, 0], radius: 30 },
    ];
    expect(discs(beside(tall, picture, "right"), tall)[0]!.x).toBeCloseTo(300, 6);
  });
});
