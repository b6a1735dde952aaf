/** Every card can be read off a still picture: near and far, turned, in poor light. One that cannot is never read, however long it is held. */
import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import fc from "fast-check";
import QRCode from "qrcode";
import { prepareSquareReader, readSquare } from "./read-square";

jest.mock("zxing-wasm/reader/zxing_reader.wasm?url", () => "no-file", { virtual: true });

const [WIDTH, HEIGHT] = [640, 480];

interface Held {
  /** Of the picture's height that the square takes. */
  share: number;
  turnDeg: number;
  ink: number;
  paper: number;
}

/** What the camera sees, grey. */
function pictureOf(text: string, { share, turnDeg, ink, paper }: Held): ImageData {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: "M" });
  const perDot = modules.size / (HEIGHT * share);
  const [cos, sin] = [Math.cos((turnDeg * Math.PI) / 180), Math.sin((turnDeg * Math.PI) / 180)];
  const dots = new Uint32Array(WIDTH * HEIGHT);
  const [dark, pale] = [ink, paper].map((grey) => (0xff000000 | (grey * 0x010101)) >>> 0) as [number, number];
  for (let y = 0, at = 0; y < HEIGHT; y++)
    for (let x = 0; x < WIDTH; x++, at++) {
      const [across, down] = [(x - WIDTH / 2) * perDot, (y - HEIGHT / 2) * perDot];
      const column = Math.floor(across * cos + down * sin + modules.size / 2);
      const row = Math.floor(down * cos - across * sin + modules.size / 2);
      const within = row >= 0 && column >= 0 && row < modules.size && column < modules.size;
      dots[at] = within && modules.data[row * modules.size + column] ? dark : pale;
    }
  return { width: WIDTH, height: HEIGHT, data: new Uint8ClampedArray(dots.buffer), colorSpace: "srgb" } as ImageData;
}

beforeAll(() => {
  const file = createRequire(__filename).resolve("zxing-wasm/reader/zxing_reader.wasm");
  const { buffer, byteOffset, byteLength } = readFileSync(file);
  prepareSquareReader(buffer.slice(byteOffset, byteOffset + byteLength) as ArrayBuffer);
});

const token = fc.string({ unit: fc.constantFrom(..."ABCXYZabcxyz0123456789-_"), minLength: 32, maxLength: 32 });
const held = fc.record({
  share: fc.double({ min: 0.4, max: 0.68, noNaN: true }),
  turnDeg: fc.double({ min: 0, max: 360, noNaN: true }),
  ink: fc.integer({ min: 10, max: 80 }),
  paper: fc.integer({ min: 150, max: 240 }),
});

it("any card, held any way", async () => {
  await fc.assert(
    fc.asyncProperty(token, held, async (secret, way) => {
      const text = `https://hands.example/me/sign-in#card=${secret}`;
      expect(await readSquare(pictureOf(text, way))).toBe(text);
    }),
    { numRuns: 60 },
  );
});

it("upright and still, as on a screen", async () => {
  await fc.assert(
    fc.asyncProperty(token, async (secret) => {
      const text = `http://127.0.0.1:4197/me/sign-in#card=${secret}`;
      expect(await readSquare(pictureOf(text, { share: 0.8, turnDeg: 0, ink: 16, paper: 235 }))).toBe(text);
    }),
    { numRuns: 60 },
  );
});

it("nothing is read where there is no square", async () => {
  const way = { share: 0.6, turnDeg: 0, ink: 200, paper: 200 };
  expect(await readSquare(pictureOf("https://hands.example/", way))).toBeNull();
});
