/** What all views of the kitchen share: until everything is known nothing is cooked, and that is said. */
import Alert from "@mui/material/Alert";
import type { ReactNode } from "react";
import { ScrollRegion } from "../layout/scroll-region.tsx";
import { SplitCard } from "../layout/split-card.tsx";
import { Trail } from "../layout/trail.tsx";
import { KitchenTroubles } from "./kitchen-troubles.tsx";
import { RecallNotes } from "./recall-notes.tsx";
import type { Kitchen } from "./use-kitchen.ts";
import "./kitchen.css";

interface KitchenFrameProps {
  readonly kitchen: Kitchen | "failed" | undefined;
  readonly title: string;
  readonly light: (kitchen: Kitchen) => ReactNode;
  readonly dark: (kitchen: Kitchen) => ReactNode;
}

export function KitchenFrame({ kitchen, title, light, dark }: KitchenFrameProps) {
  return (
    <SplitCard
      darkFirst={false}
      light={
        <>
          <Trail />
          <ScrollRegion label={title} className="page">
            {kitchen === undefined && <h1 className="view-title">{title}</h1>}
            {kitchen === "failed" && <Alert severity="error">What may be cooked is not known now. Hold it all.</Alert>}
            {typeof kitchen === "object" && (
              <>
                {kitchen.unreadable > 0 && (
                  <div className="below-2">
                    <Alert severity="error">
                      {kitchen.unreadable} of the kitchen's documents cannot be read here, and may be a jar or a meal.
                    </Alert>
                  </div>
                )}
                <KitchenTroubles />
                <RecallNotes kitchen={kitchen} />
                {light(kitchen)}
              </>
            )}
          </ScrollRegion>
        </>
      }
      dark={
        <ScrollRegion label="Before anybody eats" className="dark-page">
          {typeof kitchen === "object" ? (
            dark(kitchen)
          ) : (
            <p className="said">{kitchen === "failed" ? "Not known: hold" : "Looking"}</p>
          )}
        </ScrollRegion>
      }
    />
  );
}
