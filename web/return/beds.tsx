/** Beds from year to year, and what the next may bring. */
import { bedLine } from "@jittery-cap/core/season";
import { Link } from "react-router";
import { placePath } from "../addresses.ts";
import { Section } from "../layout/section.tsx";
import { yearsOf } from "../places/patch-years.ts";
import type { Season } from "../season/use-season.ts";

export function Beds({ season }: { readonly season: Season }) {
  const beds = season.places.flatMap(({ id, content }) =>
    content.patches.flatMap((patch) => {
      const line = bedLine(yearsOf(patch));
      return line === undefined ? [] : [{ place: id, patch, line, unit: yearsOf(patch)[0]?.unit ?? "g" }];
    }),
  );
  if (beds.length === 0) return null;
  return (
    <Section title="Beds">
      {beds.map(({ place, patch, line, unit }) => (
        <p key={patch.id}>
          <Link to={placePath(place)}>{patch.name}</Link>: about {line.factor.toFixed(1)} times as much each year (
          {line.low.toFixed(1)} to {line.high.toFixed(1)} in 90 of 100, from {line.years} years). {line.next.year} may
          bring {Math.round(line.next.low)} to {Math.round(line.next.high)} {unit}; no promise.
        </p>
      ))}
    </Section>
  );
}
