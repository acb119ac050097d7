/** A body that was decided, drawn from its record. */
import { figureOf } from "@jittery-cap/core";
import type { ShownDecision } from "../documents/decisions.ts";
import { Drawing } from "../specimen/drawing.tsx";

const PICTURE = 56;

interface BodyPictureProps {
  readonly decision: ShownDecision | undefined;
  readonly body: string;
  /** Broad and high, px. */
  readonly size?: number;
}

export function BodyPicture({ decision, body, size = PICTURE }: BodyPictureProps) {
  const decided = decision?.current ?? decision?.find;
  // one that is gone from the record is drawn as it was decided
  const record = [...(decided?.bodies ?? []), ...(decision?.find.bodies ?? [])].find((one) => one.id === body);
  const figure = decided === undefined || record === undefined ? undefined : figureOf(decided, record, 0);
  return (
    <span className="framed carried-picture" style={{ width: size }}>
      {figure !== undefined && (
        <Drawing
          figure={figure}
          scale={Math.min(size / (figure.top - figure.bottom), size / (figure.right - figure.left))}
        />
      )}
    </span>
  );
}
