/** Day by day: how many were tried and how many of them were right, latest first. */
import { EXERCISE_WORDS, type Try } from "@jittery-cap/core/trainer";
import { dayOf, dayWords } from "../season/local-day.ts";

const MOST_DAYS = 30;

export function History({ tries }: { readonly tries: readonly Try[] }) {
  const days = new Map<string, Try[]>();
  for (const one of tries) {
    const day = dayOf(new Date(one.at));
    days.set(day, [...(days.get(day) ?? []), one]);
  }
  const latest = [...days].sort(([one], [other]) => (one < other ? 1 : -1)).slice(0, MOST_DAYS);
  return (
    <section className="section" aria-labelledby="history">
      <h2 id="history" className="section-title">
        Day by day
      </h2>
      <table className="figures">
        <thead>
          <tr>
            <th scope="col">Day</th>
            <th scope="col">Exercises</th>
            <th scope="col" className="amount">
              Right
            </th>
            <th scope="col" className="amount">
              Let through
            </th>
          </tr>
        </thead>
        <tbody>
          {latest.map(([day, all]) => (
            <tr key={day}>
              <th scope="row">{dayWords(day)}</th>
              <td className="soft">{[...new Set(all.map((one) => EXERCISE_WORDS[one.exercise]))].join(", ")}</td>
              <td className="amount">
                {all.filter((one) => one.isRight).length} of {all.length}
              </td>
              <td className="amount">{all.filter((one) => one.isLetThrough === true).length}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
