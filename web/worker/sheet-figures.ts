/** Drawings of a sheet: fetched when a sheet is opened, since no answer needs them. */
import { type Figure, figureOf, type Sheet, typicalFind } from "@jittery-cap/core";

/** A typical body of each age that is drawn, the youngest first. */
export function figuresOf(sheet: Sheet): Figure[] {
  const find = typicalFind(sheet);
  return find.bodies.map((body) => figureOf(find, body, 0));
}
