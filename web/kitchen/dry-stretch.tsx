/** From when to when nobody at the table drinks, as a line with the meal on it. */
import { theKind } from "@jittery-cap/core";
import { timeWords } from "./meal-plan.ts";

const DAY = { weekday: "short", day: "numeric", month: "short" } as const;

export function DryStretchLine({
  name,
  from,
  to,
  servedAt,
}: {
  readonly name: string;
  readonly from: number;
  readonly to: number;
  readonly servedAt: number;
}) {
  const words = (moment: number) => `${new Date(moment).toLocaleDateString([], DAY)}, ${timeWords(moment)}`;
  return (
    <div className="above-2" data-testid="dry">
      <p className="strong">
        No alcohol with {theKind(name)}, for everybody at the table: {words(from)} to {words(to)}.
      </p>
      <div className="dry-line" aria-hidden="true">
        <i style={{ left: 0, right: 0 }} />
        <em style={{ left: `${((servedAt - from) / (to - from)) * 100}%` }} />
      </div>
    </div>
  );
}
