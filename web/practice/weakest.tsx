/** What somebody is weakest at, on the dark half: dangers let through, pairs taken for each other. */
import { dangersFare, type Try } from "@jittery-cap/core/trainer";
import type { Confusion } from "../worker/practice-room.ts";
import { shareWords } from "./practice-words.ts";
import { useSheetLines } from "./use-sheet-lines.ts";

const MOST = 6;

interface WeakestProps {
  readonly tries: readonly Try[];
  /** The confusions that come first; told where nothing was let through. */
  readonly ahead?: readonly Confusion[] | undefined;
}

export function Weakest({ tries, ahead = [] }: WeakestProps) {
  const { nameOf, isDanger, isKnown } = useSheetLines();
  const fares = isKnown ? dangersFare(tries, isDanger) : [];
  const weak = fares.filter((one) => one.letThrough.some + one.confused.some > 0).slice(0, MOST);
  if (weak.length === 0)
    return (
      <>
        <p className="said">Learn the deadly first</p>
        <p className="soft">
          {tries.length === 0
            ? "Here stands what you let through, until you let it through no more."
            : `Nothing was let through in ${tries.length} ${tries.length === 1 ? "try" : "tries"}.`}
        </p>
        {ahead.length > 0 && (
          <>
            <h2 className="section-title above-3">These come first</h2>
            <ul className="lines">
              {ahead.map(({ danger, sought }) => (
                <li key={danger.id} className="line practice-weak">
                  <b>{danger.common}</b>
                  <span className="soft">taken for {sought.common}</span>
                </li>
              ))}
            </ul>
          </>
        )}
      </>
    );
  return (
    <>
      <p className="said">
        {weak.some((one) => one.letThrough.some > 0) ? "You let these through" : "You took these for others"}
      </p>
      <ul className="lines">
        {weak.map(({ sheet, letThrough, confused }) => (
          <li key={sheet} className="line practice-weak">
            <b>{nameOf(sheet)}</b>
            {letThrough.some > 0 && <span>in the basket: {shareWords(letThrough)}</span>}
            {confused.some > 0 && <span className="soft">taken for another: {shareWords(confused)}</span>}
          </li>
        ))}
      </ul>
      <p className="soft above-2">They come again until they do not.</p>
    </>
  );
}
