/** What a camera sees while a sign-in card is held before it, as a file that Chromium takes for a camera. */
import { writeFileSync } from "node:fs";
import QRCode from "qrcode";

const WIDTH = 640;
const HEIGHT = 480;
const FRAMES = 4;
const PAPER = 235;
const INK = 16;

/** @param text what the square says @param file to be written, uncompressed YUV 4:2:0 */
export function writeCardVideo(text: string, file: string): void {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: "M" });
  const cell = Math.floor((HEIGHT * 0.8) / modules.size);
  const [left, top] = [WIDTH, HEIGHT].map((whole) => Math.floor((whole - cell * modules.size) / 2)) as [number, number];
  const luma = Buffer.alloc(WIDTH * HEIGHT, PAPER);
  for (let row = 0; row < modules.size; row++)
    for (let column = 0; column < modules.size; column++) {
      if (!modules.get(row, column)) continue;
      for (let y = 0; y < cell; y++) {
        const start = (top + row * cell + y) * WIDTH + left + column * cell;
        luma.fill(INK, start, start + cell);
      }
    }
  const frame = Buffer.concat([Buffer.from("FRAME\n"), luma, Buffer.alloc((WIDTH * HEIGHT) / 2, 128)]);
  writeFileSync(
    file,
    Buffer.concat([Buffer.from(`YUV4MPEG2 W${WIDTH} H${HEIGHT} F5:1 Ip A1:1 C420jpeg\n`), ...Array<Buffer>(FRAMES).fill(frame)]),
  );
}
