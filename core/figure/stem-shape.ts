/** How broad a stem is along its height, and where its ring sits. */
import type { BodyView } from "./view.ts";

/** Where a ring sits, as a share of the stem's height. */
export const RING_HEIGHT: Readonly<Record<string, number>> = { high: 0.82, middle: 0.55, low: 0.3 };

/** Half the stem's width at a share of its height: a little wider towards the foot. */
export const widthAt = (view: BodyView, share: number): number => view.stemHalf * (1.1 - 0.16 * share);
