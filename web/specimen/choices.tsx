/** Answers that belong together, under one name. */
import type { ReactNode } from "react";

interface ChoicesProps {
  /** Read out before the answers; the id of what names them in the view, or the name itself. */
  readonly label?: string;
  readonly labelledBy?: string;
  readonly className?: string;
  readonly children: ReactNode;
}

export function Choices({ label, labelledBy, className = "choices", children }: ChoicesProps) {
  return (
    // biome-ignore lint/a11y/useSemanticElements: a fieldset would be drawn with a frame, and read its legend with each answer
    <div role="group" aria-label={label} aria-labelledby={labelledBy} className={className}>
      {children}
    </div>
  );
}
