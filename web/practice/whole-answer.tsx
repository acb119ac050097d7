/** Leave, hold or basket; then how sure. Nothing is final before the second. */
import { VERDICTS, type Verdict } from "@jittery-cap/core";
import { Choices } from "../specimen/choices.tsx";
import { VERDICT_WORDS } from "../standing/verdict-words.ts";
import { HowSure } from "./how-sure.tsx";
import { useDigits } from "./use-digits.ts";

interface WholeAnswerProps {
  readonly verdict: Verdict | undefined;
  readonly onVerdict: (verdict: Verdict) => void;
  readonly onSure: (tenths: number) => void;
}

export function WholeAnswer({ verdict, onVerdict, onSure }: WholeAnswerProps) {
  useDigits((digit) => {
    const chosen = VERDICTS[digit - 1];
    if (verdict !== undefined) onSure(digit);
    else if (chosen !== undefined) onVerdict(chosen);
  });
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
