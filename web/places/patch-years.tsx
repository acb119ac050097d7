/** What a patch brought year by year, with the line through the years. */
import { bedLine, LEAST_YEARS } from "@jittery-cap/core/season";
import { dayWords } from "../season/local-day.ts";
import type { PatchYear } from "./patch-years.ts";

const whole = (amount: number): string =>
  amount >= 100 ? String(Math.round(amount / 10) * 10) : String(Math.round(amount));

export function PatchYears({ years }: { readonly years: readonly PatchYear[] }) {
  const most = Math.max(1, ...years.map(({ amount }) => amount));
  const line = bedLine(years);
  return (
    <table className="figures patch-years">
      <caption>
        {line === undefined
          ? `A line through the years wants ${LEAST_YEARS} of them.`
          : `Each year about ${line.factor.toFixed(1)} times as much (${line.low.toFixed(1)} to ${line.high.toFixed(1)} in 90 of 100)${line.doublesIn === undefined ? "" : `, twice as much in ${line.doublesIn.toFixed(1)} years`}. ${line.next.year} may bring ${whole(line.next.low)} to ${whole(line.next.high)} ${years[0]?.unit}; no promise.`}
      </caption>
      <tbody>
        {years.map(({ year, amount, unit, first, last }) => (
          <tr key={year}>
            <th>{year}</th>
            <td className="soft">{first === last ? dayWords(first) : `${dayWords(first)} to ${dayWords(last)}`}</td>
            <td className="amount">{amount === 0 ? "nothing" : `${whole(amount)} ${unit}`}</td>
            <td className="patch-bar">
              <span className="table-bar" style={{ width: `${(amount / most) * 100}%` }} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
