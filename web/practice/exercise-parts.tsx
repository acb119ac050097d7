/** What an exercise is given, and what stands at its end. */
import type { Today } from "@jittery-cap/core/trainer";
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import type { ReactNode } from "react";
import { Link } from "react-router";
import { useDigits } from "./use-digits.ts";
import type { ShownItem } from "./use-item.ts";

export interface ExerciseParts {
  readonly today: Today | undefined;
  readonly keep: ShownItem["keep"];
  readonly onNext: () => void;
  readonly refusal: string | undefined;
}

const NO_DIGIT = () => undefined;

/** How it stands today, and the way on, by touch or by Enter. */
export function GoOn({ today, onNext, refusal }: Pick<ExerciseParts, "today" | "onNext" | "refusal">) {
  useDigits(NO_DIGIT, onNext);
  return (
    <div className="practice-on">
      {refusal !== undefined && <Alert severity="error">{refusal}</Alert>}
      <Button variant="contained" size="large" onClick={onNext}>
        Next
      </Button>
      {today?.isEnough === true && (
        <p>
          <b>That is enough for today.</b>{" "}
          <span className="soft">
            {Math.max(1, Math.round(today.minutes))} minutes. What went wrong comes back by itself.
          </span>{" "}
          <Link to="/practice/today">Leave off here</Link>
        </p>
      )}
    </div>
  );
}

/** What was right, in words and with a mark that is no colour. */
export function Told({ isRight, children }: { readonly isRight: boolean; readonly children: ReactNode }) {
  return (
    <p className="said" role="status" data-right={isRight}>
      <span className={isRight ? "" : "danger-ink"}>{isRight ? "Right: " : "No: "}</span>
      {children}
    </p>
  );
}
