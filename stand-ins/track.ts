/** A walk that nobody took: positions along an invented path, with the accuracy a phone under trees might have. */

/** A position as a receiver gives it. */
export interface SimulatedPosition {
  readonly lat: number;
  readonly lon: number;
  readonly accuracyM: number;
  readonly elevationM: number;
  readonly simulated: true;
}

/**
 * Corners of the walk, along the north side of an invented bog and round it: far out on a sea, so that no patch of anybody is
 * pointed at.
 */
const CORNERS: readonly (readonly [lat: number, lon: number])[] = [
  [61.9242, 19.5628],
  [61.9262, 19.5669],
  [61.9257, 19.5738],
  [61.9251, 19.5796],
  [61.9243, 19.5704],
];
/** Minutes for one round. */
const ROUND_MINUTES = 40;

/** Where the walk is at a moment: the same moment, the same place. */
export function trackAt(at: Date): SimulatedPosition {
  const minutes = (at.getTime() / 60_000) % ROUND_MINUTES;
  const along = (minutes / ROUND_MINUTES) * CORNERS.length;
  const from = CORNERS[Math.floor(along) % CORNERS.length] ?? [0, 0];
  const to = CORNERS[(Math.floor(along) + 1) % CORNERS.length] ?? [0, 0];
  const share = along - Math.floor(along);
  const mix = (one: number, other: number) => Number((one + (other - one) * share).toFixed(6));
  return {
    lat: mix(from[0], to[0]),
    lon: mix(from[1], to[1]),
    accuracyM: 5 + Math.round(9 * Math.abs(Math.sin(minutes))),
    elevationM: 120 + Math.round(15 * Math.sin(along)),
    simulated: true,
  };
}
