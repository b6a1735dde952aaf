/** Reads squares off the camera while they are held before it. */
import { prepareSquareReader, readSquare } from "./read-square";

/** Often enough for a card that is held up for a second; the screen that leads has other work to do. */
const LOOK_EVERY_MS = 300;
/** A card fills a quarter of the picture or more: more dots than this only cost time. */
const LONG_SIDE = 960;

/**
 * @param video shows what the camera sees
 * @param found is told the text of every square that is read, again and again while it stays there
 * @returns what ends it and gives the camera back; throws where the camera may not be used
 */
export async function watchForSquares(video: HTMLVideoElement, found: (text: string) => void): Promise<() => void> {
  prepareSquareReader();
  const stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: { ideal: "environment" } } });
  let timer: ReturnType<typeof setTimeout> | undefined;
  let ended = false;
  const end = () => {
    ended = true;
    clearTimeout(timer);
    stream.getTracks().forEach((track) => track.stop());
    video.srcObject = null;
  };
  const canvas = document.createElement("canvas");
  const pen = canvas.getContext("2d", { willReadFrequently: true })!;
  const look = async () => {
    const longSide = Math.max(video.videoWidth, video.videoHeight);
    if (longSide > 0) {
      const scale = Math.min(1, LONG_SIDE / longSide);
      canvas.width = Math.round(video.videoWidth * scale);
      canvas.height = Math.round(video.videoHeight * scale);
      pen.drawImage(video, 0, 0, canvas.width, canvas.height);
      const text = await readSquare(pen.getImageData(0, 0, canvas.width, canvas.height));
      if (text !== null && !ended) found(text);
    }
    if (!ended) timer = setTimeout(() => void look(), LOOK_EVERY_MS);
  };
  try {
    video.srcObject = stream;
    await video.play();
  } catch (error) {
    end();
    throw error;
  }
  void look();
  return end;
}
