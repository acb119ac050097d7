/** What all exercises share: the light half asks, the dark one is covered until something was said. */
import Alert from "@mui/material/Alert";
import type { ReactNode } from "react";
import { ScrollRegion } from "../layout/scroll-region.tsx";
import { SplitCard } from "../layout/split-card.tsx";
import { Trail } from "../layout/trail.tsx";
import "./practice.css";

interface PracticeFrameProps {
  readonly label: string;
  readonly light: ReactNode;
  readonly dark: ReactNode;
  /** On a phone the dark half is only an edge. */
  readonly isLow?: boolean;
}

export function PracticeFrame({ label, light, dark, isLow = false }: PracticeFrameProps) {
  return (
    <SplitCard
      darkFirst={false}
      isLow={isLow}
      light={
        <>
          <Trail />
          <ScrollRegion label={label} className="page">
            {light}
          </ScrollRegion>
        </>
      }
      dark={
        <ScrollRegion label="Covered until you have said it" className="dark-page">
          {dark}
        </ScrollRegion>
      }
    />
  );
}

interface CoveredProps {
  readonly children: ReactNode;
  /** What has to happen before it is uncovered. */
  readonly until?: string;
}

/** What stands on the dark half before anything was said. */
export function Covered({ children, until = "you have said it" }: CoveredProps) {
  return (
    <div className="practice-covered-half">
      <p className="soft">Covered until {until}</p>
      {children}
      <div aria-hidden="true" className="practice-cover" />
    </div>
  );
}

/** While there is no exercise to show. */
export function NoExercise({ state }: { readonly state: "looking" | "failed" | "none" }) {
  if (state === "failed")
    return <Alert severity="error">The sheets cannot be had just now, so nothing can be practised.</Alert>;
  return <p className="soft">{state === "none" ? "There is nothing of this to practise." : "Making one."}</p>;
}
