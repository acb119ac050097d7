/** The whole application as a print card: the light half holds what was seen, the dark half what still stands. */
import type { ReactNode } from "react";

interface SplitCardProps {
  readonly light: ReactNode;
  readonly dark: ReactNode;
  /** How much of a wide screen is dark. It belongs to the view, and never moves with the answer. */
  readonly width?: "narrow" | "middle" | "wide";
  /** On a phone the dark half is a band at the top; left out where the view puts it below. */
  readonly darkFirst?: boolean;
  /** On a phone the band keeps one height, whatever the answer. */
  readonly isHeld?: boolean;
  /** On a phone the band is no more than an edge of the view: what is read is on the light half. */
  readonly isLow?: boolean;
}

export function SplitCard({
  light,
  dark,
  width = "middle",
  darkFirst = true,
  isHeld = false,
  isLow = false,
}: SplitCardProps) {
  const parts = [
    "split",
    `split-${width}`,
    darkFirst ? "split-first" : "",
    isHeld ? "split-held" : "",
    isLow ? "split-low" : "",
  ];
  return (
    <div className={parts.join(" ")}>
      <main data-half="light" className="split-light">
        {light}
      </main>
      <aside data-half="dark" aria-label="What still stands" className="split-dark">
        {dark}
      </aside>
    </div>
  );
}
