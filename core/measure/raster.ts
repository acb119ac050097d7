/** A picture as numbers, and what a disc of it holds. */
import { type Linear, linearOf } from "./colour.ts";

/** Pixels row by row, red, green, blue and a fourth that is not looked at, 0 to 255. */
export interface Raster {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8Array | Uint8ClampedArray;
}

/** A place in a picture, px from its upper left corner. */
export interface Spot {
  readonly x: number;
  readonly y: number;
}

/** What a patch of a picture holds. */
export interface Patch {
  /** Median of each channel as it stands in the picture, 0 to 255. */
  readonly channels: readonly [number, number, number];
  /** The same in linear light. */
  readonly linear: Linear;
  /** Half the spread of the green channel between its 16th and 84th percentile, 0 to 255: noise, and grain. */
  readonly spread: number;
  readonly pixels: number;
}

/** Whether a spot lies in a picture. */
export function isInside({ width, height }: Raster, { x, y }: Spot): boolean {
  return x >= 0 && y >= 0 && x <= width - 1 && y <= height - 1;
}

/**
 * The patch between two radii around a spot; pixels outside the picture are left out.
 * @param inner px; 0 for a whole disc @param sector from and to, degrees, where only a part of the ring is meant
 */
export function patchOf(
  raster: Raster,
  { x, y }: Spot,
  radius: number,
  inner = 0,
  sector: readonly [from: number, to: number] = [0, 360],
): Patch | undefined {
  // a count for each of the 256 values: medians without sorting
  const counts = [new Uint32Array(256), new Uint32Array(256), new Uint32Array(256)] as const;
  const { width, height, data } = raster;
  const isSector = sector[1] - sector[0] < 360;
  let pixels = 0;
  for (let row = Math.max(0, Math.ceil(y - radius)); row <= Math.min(height - 1, y + radius); row++)
    for (let column = Math.max(0, Math.ceil(x - radius)); column <= Math.min(width - 1, x + radius); column++) {
      const far = (column - x) ** 2 + (row - y) ** 2;
      if (far > radius ** 2 || far < inner ** 2) continue;
      if (isSector) {
        const angle = ((Math.atan2(row - y, column - x) * 180) / Math.PI + 360) % 360;
        if (angle < sector[0] || angle >= sector[1]) continue;
      }
      pixels += 1;
      const at = (row * width + column) * 4;
      for (const channel of [0, 1, 2] as const) {
        const value = data[at + channel] ?? 0;
        counts[channel][value] = (counts[channel][value] ?? 0) + 1;
      }
    }
  if (pixels === 0) return undefined;
  const at = (channel: 0 | 1 | 2, share: number): number => {
    let left = Math.floor((pixels - 1) * share);
    for (let value = 0; value < 256; value++) {
      left -= counts[channel][value] ?? 0;
      if (left < 0) return value;
    }
    return 255;
  };
  const channels = [at(0, 0.5), at(1, 0.5), at(2, 0.5)] as const;
  return {
    channels,
    linear: [linearOf(channels[0]), linearOf(channels[1]), linearOf(channels[2])],
    spread: (at(1, 0.84) - at(1, 0.16)) / 2,
    pixels,
  };
}
