/** What is to be expected of it, by own weights of the same kind and the rule of ten to one. */
import { dryingFactor, kindKey } from "@jittery-cap/core/kitchen";
import type { PotLine } from "./pot-lines.ts";
import type { Kitchen } from "./use-kitchen.ts";

export function ExpectedDry({ going, kitchen }: { readonly going: readonly PotLine[]; readonly kitchen: Kitchen }) {
  const kind = kindKey(going[0]?.handling?.kinds ?? []);
  const own = kitchen.batches.flatMap(({ content: { kinds, way, gramsIn, gramsOut } }) =>
    kindKey(kinds) === kind && (way === "dried" || way === "powder") && gramsOut !== undefined
      ? [{ gramsIn, gramsOut }]
      : [],
  );
  const { ratio, low, high, weighings } = dryingFactor(own);
  const grams = going.reduce((sum, { item }) => sum + (item?.grams ?? 0), 0);
  return (
    <p data-testid="expected">
      {Math.round(grams)} g fresh, about <b>{Math.round(grams / ratio)} g</b> dry ({Math.round(grams / high)} to{" "}
      {Math.round(grams / low)}, nine times of ten; by the rule of ten to one
      {weighings === 0 ? "" : ` and ${weighings} of your own weighings`}).
    </p>
  );
}
