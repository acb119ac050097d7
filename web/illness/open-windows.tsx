/** The syndromes against the clock from the meal on: all of them, always; none is closed because another fits. */
import { standingMeals, WINDOW_WORDS, windowsAt } from "@jittery-cap/core";
import { useNow } from "../field-tests/use-now.ts";
import { useAccount } from "./account-store.ts";
import { momentWords } from "./moments.ts";

/** Hours named along the axis, and where the axis ends. */
const NAMED: readonly (readonly [hours: number, words: string])[] = [
  [0, "meal"],
  [6, "6 h"],
  [24, "1 day"],
  [72, "3 days"],
  [480, "20 days"],
];
const LAST = 480;

/** Where an hour stands, per cent of the axis: hours stand wide, days close. */
const place = (hours: number): number => (Math.log1p(Math.min(Math.max(hours, 0), LAST)) / Math.log1p(LAST)) * 100;

export function OpenWindows() {
  const now = useNow();
  const told = useAccount((state) => state.told);
  const meals = standingMeals(told).map((meal) => new Date(meal.eatenAt));
  const windows = windowsAt(meals, now);
  return (
    <section aria-labelledby="open" data-testid="windows">
      <h2 id="open">Still open, whatever else fits</h2>
      <p>
        {countedFrom(meals)} An outlined bar means that its usual hours are past, and never that it is ruled out. One
        meal may hold several.
      </p>
      <ul className="ill-windows">
        {windows.map(({ id, name, about, usual: [from, to], seenTo, state }) => (
          <li key={id} data-window={id} data-state={state}>
            <div>
              <b>{name}</b> <span>{about}</span>
            </div>
            <div className="ill-bar" aria-hidden="true">
              <i style={{ left: `${place(from)}%`, width: `${place(Math.max(to, seenTo ?? 0)) - place(from)}%` }} />
              {meals.map((eatenAt) => (
                <em key={eatenAt.getTime()} style={{ left: `${place(hoursSince(eatenAt, now))}%` }} />
              ))}
            </div>
            <div>
              {hoursWords(from)} to {hoursWords(to)} after
              {seenTo === undefined ? "" : `, seen up to ${hoursWords(seenTo)}`}
              {meals.length === 0 ? "" : `: ${WINDOW_WORDS[state]}`}
            </div>
          </li>
        ))}
      </ul>
      <div className="ill-axis" aria-hidden="true">
        {NAMED.map(([at, words]) => (
          <span key={words} style={{ left: `${place(at)}%` }}>
            {words}
          </span>
        ))}
      </div>
    </section>
  );
}

const hoursSince = (eatenAt: Date, now: Date): number => (now.getTime() - eatenAt.getTime()) / 3_600_000;

/** From which meals the hours are counted. */
function countedFrom(meals: readonly Date[]): string {
  const [latest, ...others] = meals.map((eatenAt) => momentWords(eatenAt.toISOString()));
  if (latest === undefined) return "Counted from the meal, as soon as its time is written down above.";
  if (others.length === 0) return `Counted from ${latest}. The line is now.`;
  return `Counted from each meal: ${[latest, ...others].join("; ")}. Each line is now, after one of them.`;
}

/** "15 min", "6 h", "3 days". */
export function hoursWords(hours: number): string {
  if (hours < 1) return `${Math.round(hours * 60)} min`;
  return hours > 36 ? `${hours / 24} days` : `${hours} h`;
}
