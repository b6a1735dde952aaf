/** What a QR square says that is somewhere in a picture. The reader is WebAssembly that ships with the app. */
import { prepareZXingModule, readBarcodes } from "zxing-wasm/reader";
import wasm from "zxing-wasm/reader/zxing_reader.wasm?url";

/** Only the square is looked for; it may be turned, pale on dark, or small. */
const SQUARES = { formats: ["QRCode" as const], tryHarder: true, maxNumberOfSymbols: 1 };

/** @param reader the WebAssembly itself, where there is no address to fetch it from */
export function prepareSquareReader(reader?: ArrayBuffer): void {
  prepareZXingModule({ overrides: reader ? { wasmBinary: reader } : { locateFile: () => wasm } });
}

/** @returns the text of the square; null when none can be read */
export async function readSquare(picture: ImageData): Promise<string | null> {
  const [square] = await readBarcodes(picture, SQUARES);
  return square?.isValid ? square.text : null;
}
