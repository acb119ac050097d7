/** Pictures as numbers: from a file, or from the camera's stand-in. They stay on this device. */
import { DEPOSITS, drawSetting, type Raster, syntheticPicture } from "@jittery-cap/core";

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

/** A picture by the camera's stand-in: a deposit of a name under warm light. */
export function simulatedRaster(name: string): Raster {
  const chance = { next: Math.random };
  const setting = { ...drawSetting(name, chance), kelvin: 2900, balanced: 0.3, exposure: 0.6, noise: 2 };
  return syntheticPicture(setting, chance).raster;
}

/** What the stand-in can show. */
export const SIMULATED: readonly string[] = Object.keys(DEPOSITS);
