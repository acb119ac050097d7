/**
 * What a change touches, as paths from the whole to the part, and what it only relies on. Two changes meet where what one
 * touches is, holds or lies in what the other touches or relies on.
 */
export interface Reach {
  readonly touches: readonly string[];
  readonly reliesOn: readonly string[];
}
