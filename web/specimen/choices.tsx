/** Answers that belong together, under one name. */
import type { DOMAttributes, ReactNode } from "react";

interface ChoicesProps {
  /** Read out before the answers; the id of what names them in the view, or the name itself. */
  readonly label?: string;
  readonly labelledBy?: string;
  readonly className?: string;
  readonly children: ReactNode;
  /** Handlers of a gesture on any of them. */
  readonly hold?: DOMAttributes<HTMLElement> | undefined;
}

export function Choices({ label, labelledBy, className = "choices", children, hold }: ChoicesProps) {
  return (
    // biome-ignore lint/a11y/useSemanticElements: a fieldset would be drawn with a frame, and read its legend with each answer
    <div {...hold} role="group" aria-label={label} aria-labelledby={labelledBy} className={className}>
      {children}
    </div>
  );
}
