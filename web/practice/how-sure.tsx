/** How sure: of ten. What is said here is set beside how often it was right. */
import { Choices } from "../specimen/choices.tsx";

const TEN = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10] as const;
export const TENTHS = TEN.length;

interface HowSureProps {
  readonly onSure: (tenths: number) => void;
  readonly said?: number | undefined;
}

export function HowSure({ onSure, said }: HowSureProps) {
  return (
    <div className="practice-sure">
      <span id="how-sure">
        How sure are you? <span className="soft">Of ten such answers so many would be right:</span>
      </span>
      <Choices labelledBy="how-sure" className="practice-tenths">
        {TEN.map((tenths) => (
          <button
            key={tenths}
            type="button"
            data-sure={tenths}
            aria-pressed={said === tenths}
            aria-label={`${tenths} of ten`}
            className="practice-tenth"
            onClick={() => onSure(tenths)}
          >
            {tenths}
          </button>
        ))}
      </Choices>
    </div>
  );
}
