/** First ideas that were wrong: which kind was taken for which. */
import { firstIdeas } from "@jittery-cap/core/season";
import { Link } from "react-router";
import { comparePath, theseFinds } from "../addresses.ts";
import { Section } from "../layout/section.tsx";
import type { Season } from "../season/use-season.ts";

export function FirstIdeas({ season }: { readonly season: Season }) {
  const { tried, wrong } = firstIdeas(season.finds);
  if (tried === 0) return null;
  const count = wrong.reduce((sum, one) => sum + one.finds.length, 0);
  return (
    <Section
      title="First ideas"
      about={`Of ${tried} that were named in the end, ${count} had been taken for something else at first.`}
    >
      <ul className="lines">
        {wrong.map(({ takenFor, named, finds }) => (
          <li key={`${takenFor} ${named}`} className="open-line">
            <span className="grow">
              {season.nameOf(named)}, taken for {season.nameOf(takenFor)}:{" "}
              <Link to={theseFinds(finds)}>{finds.length === 1 ? "once" : `${finds.length} times`}</Link>
            </span>
            <Link to={comparePath(takenFor, named)}>what tells them apart</Link>
          </li>
        ))}
      </ul>
    </Section>
  );
}
