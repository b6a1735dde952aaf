/** A photo made small enough to keep: its long side, and none of what a camera writes beside the picture, its place among it. */
const LONG_SIDE = 1800;
const QUALITY = 0.85;

/** @returns the file itself when it is no picture or cannot be drawn */
export async function shrinkPicture(file: File): Promise<File> {
  if (!file.type.startsWith("image/")) return file;
  try {
    const picture = await createImageBitmap(file);
    const scale = Math.min(1, LONG_SIDE / Math.max(picture.width, picture.height));
    const canvas = document.createElement("canvas");
    canvas.width = Math.max(1, Math.round(picture.width * scale));
    canvas.height = Math.max(1, Math.round(picture.height * scale));
    canvas.getContext("2d")!.drawImage(picture, 0, 0, canvas.width, canvas.height);
    picture.close();
    const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, "image/jpeg", QUALITY));
    return blob ? new File([blob], file.name.replace(/\.\w+$/, "") + ".jpg", { type: "image/jpeg" }) : file;
  } catch {
    return file;
  }
}

export async function base64Of(file: Blob): Promise<string> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  const parts: string[] = [];
  for (let i = 0; i < bytes.length; i += 0x8000) parts.push(String.fromCharCode(...bytes.subarray(i, i + 0x8000)));
  return btoa(parts.join(""));
}
