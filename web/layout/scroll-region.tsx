/** A part of a half that scrolls by itself; since it scrolls, it can be reached by keyboard. */
import type { ReactNode } from "react";

interface ScrollRegionProps {
  readonly label: string;
  readonly className?: string;
  readonly children: ReactNode;
}

export function ScrollRegion({ label, className = "", children }: ScrollRegionProps) {
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls can be reached by keyboard
    <section aria-label={label} tabIndex={0} className={`scroll ${className}`}>
      {children}
    </section>
  );
}
