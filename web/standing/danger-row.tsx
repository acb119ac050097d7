/** One danger in the dark half: it stands off the edge by its strokes; with none it touches the find. */
import { memo } from "react";
import { isDrawnAlike } from "./danger-groups.ts";
import { DistanceStrokes } from "./distance-strokes.tsx";
import { distanceWords } from "./distance-words.ts";
import type { ShownDanger } from "./shown-answer.ts";

interface DangerRowProps {
  readonly danger: ShownDanger;
  readonly compact?: boolean;
  /** Ruled out: drawn quietly. */
  readonly far?: boolean;
  /** Where a touch on the danger asks for what separates it from the find. */
  readonly onPick?: ((sheet: string) => void) | undefined;
}

const looksSame = (one: DangerRowProps, other: DangerRowProps): boolean =>
  one.compact === other.compact &&
  one.far === other.far &&
  one.onPick === other.onPick &&
  isDrawnAlike(one.danger, other.danger);

export const DangerRow = memo(function DangerRow({ danger, compact = false, far = false, onPick }: DangerRowProps) {
  const touches = danger.mistakes === 0;
  const isShort = compact || far;
  const names = (
    <>
      <span className="danger-common">{danger.name}</span>
      {!isShort && <span className="danger-scientific">{danger.scientific}</span>}
    </>
  );
  return (
    <li
      data-danger={danger.sheet}
      data-mistakes={danger.mistakes}
      data-tier={danger.tier}
      className={`danger ${compact ? "danger-compact" : ""} ${far ? "danger-far" : ""}`}
    >
      {touches && <span aria-hidden="true" className="danger-touch" />}
      <DistanceStrokes danger={danger} />
      {onPick === undefined ? (
        <span className="danger-name">{names}</span>
      ) : (
        <button type="button" className="danger-name" onClick={() => onPick(danger.sheet)}>
          <span className="unseen">Check against </span>
          {names}
        </button>
      )}
      <span className="danger-side">
        <span className="danger-tier">{danger.tier}</span>
        {danger.aside === true ? (
          <span>set aside</span>
        ) : (
          !isShort && <span>{touches ? "touches" : distanceWords(danger.mistakes)}</span>
        )}
      </span>
    </li>
  );
}, looksSame);
