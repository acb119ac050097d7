/** Leave, hold or basket; then how sure. Nothing is final before the second. */
import { VERDICTS, type Verdict } from "@jittery-cap/core";
import { Choices } from "../specimen/choices.tsx";
import { VERDICT_WORDS } from "../standing/verdict-words.ts";
import { HowSure } from "./how-sure.tsx";

interface WholeAnswerProps {
  readonly verdict: Verdict | undefined;
  readonly onVerdict: (verdict: Verdict) => void;
  readonly onSure: (tenths: number) => void;
}

export function WholeAnswer({ verdict, onVerdict, onSure }: WholeAnswerProps) {
  return (
    <div className="practice-answer">
      <Choices label="What becomes of it?" className="practice-verdicts">
        {VERDICTS.map((one) => (
          <button
            key={one}
            type="button"
            data-say={one}
            aria-pressed={one === verdict}
            className="practice-verdict"
            onClick={() => onVerdict(one)}
          >
            {VERDICT_WORDS[one]}
          </button>
        ))}
      </Choices>
      {verdict !== undefined && <HowSure onSure={onSure} />}
    </div>
  );
}
