/** Dangers at one distance, folded into one row: how many, and the first of their names; all of them at a touch. */
import { memo, useState } from "react";
import { isDrawnAlike } from "./danger-groups.ts";
import { DangerRow } from "./danger-row.tsx";
import { distanceWords } from "./distance-words.ts";
import type { ShownDanger } from "./shown-answer.ts";

interface DangerFoldProps {
  readonly mistakes: number;
  readonly dangers: readonly ShownDanger[];
  readonly far: boolean;
}

const GAP = 7;
/** So many strokes are drawn; a distance beyond them is written. */
const MOST_STROKES = 7;

const looksSame = (one: DangerFoldProps, other: DangerFoldProps): boolean =>
  one.mistakes === other.mistakes &&
  one.far === other.far &&
  one.dangers.length === other.dangers.length &&
  one.dangers.every((danger, index) => {
    const there = other.dangers[index];
    return there !== undefined && isDrawnAlike(danger, there);
  });

export const DangerFold = memo(function DangerFold({ mistakes, dangers, far }: DangerFoldProps) {
  const [open, setOpen] = useState(false);
  return (
    <li data-fold={mistakes} className={far ? "fold fold-far" : "fold"}>
      <button type="button" aria-expanded={open} onClick={() => setOpen(!open)} className="fold-head">
        <Strokes count={mistakes} />
        <span className="fold-words">
          <b>{foldWords(dangers.length, mistakes, far)}</b>
          {!open && <span className="fold-names">{dangers.map((danger) => danger.name).join(", ")}</span>}
        </span>
        <span aria-hidden="true" className="fold-sign">
          {open ? "−" : "+"}
        </span>
      </button>
      {open && (
        <ul className="rows">
          {dangers.map((danger) => (
            <DangerRow key={danger.sheet} danger={danger} compact far={far} />
          ))}
        </ul>
      )}
    </li>
  );
}, looksSame);

/** As many strokes as mistakes; beyond seven, seven and a plus sign. */
function Strokes({ count }: { readonly count: number }) {
  const drawn = Math.min(count, MOST_STROKES);
  return (
    <svg width={(MOST_STROKES + 1) * GAP} height={18} aria-hidden="true" className="strokes">
      {Array.from({ length: drawn }, (_unused, index) => (
        <line
          // biome-ignore lint/suspicious/noArrayIndexKey: strokes have no names of their own, only their places
          key={index}
          x1={index * GAP + 3}
          x2={index * GAP + 3}
          y1={1}
          y2={17}
          className="stroke-hard"
          strokeWidth={2.5}
        />
      ))}
      {count > MOST_STROKES && (
        <path d={`M${MOST_STROKES * GAP - 1} 9h8m-4 -4v8`} className="stroke-hard" strokeWidth={2} />
      )}
    </svg>
  );
}

/** "4 more stand 1 mistake away", "12 more touch this find"; of those ruled out, which stand no more, "1 is 2 mistakes away". */
function foldWords(count: number, mistakes: number, far: boolean): string {
  const isOne = count === 1;
  if (mistakes === 0) return `${count}${far ? "" : " more"} touch${isOne ? "es" : ""} this find`;
  if (far) return `${count} ${isOne ? "is" : "are"} ${distanceWords(mistakes)}`;
  return `${count} more stand${isOne ? "s" : ""} ${distanceWords(mistakes)}`;
}
