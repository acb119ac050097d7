/** Pictures as numbers, from a file. They stay on this device. */
import type { Raster } from "@jittery-cap/core";

/** Longest side that is measured on, px: more says no more of a colour. */
const LONGEST_SIDE = 1400;

/** The pixels of a picture file, upright. Rejects where it is none. */
export async function rasterOfFile(file: Blob): Promise<Raster> {
  const bitmap = await createImageBitmap(file, { imageOrientation: "from-image", colorSpaceConversion: "default" });
  const scale = Math.min(1, LONGEST_SIDE / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement("canvas");
  canvas.width = Math.max(1, Math.round(bitmap.width * scale));
  canvas.height = Math.max(1, Math.round(bitmap.height * scale));
  const pen = canvas.getContext("2d", { willReadFrequently: true });
  if (pen === null) throw new Error("this browser cannot draw");
  pen.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  return pen.getImageData(0, 0, canvas.width, canvas.height);
}
