/** What all views of the season share. */
import Alert from "@mui/material/Alert";
import type { ReactNode } from "react";
import { useSync } from "../documents/sync.ts";
import { ScrollRegion } from "../layout/scroll-region.tsx";
import { SplitCard } from "../layout/split-card.tsx";
import { Trail } from "../layout/trail.tsx";
import { type Season, useSeason } from "./use-season.ts";
import "./season.css";

interface SeasonFrameProps {
  readonly title: string;
  readonly light: (season: Season) => ReactNode;
  readonly dark: (season: Season) => ReactNode;
  readonly width?: "narrow" | "middle" | "wide";
}

export function SeasonFrame({ title, light, dark, width = "middle" }: SeasonFrameProps) {
  const season = useSeason();
  const isAway = useSync((state) => state.state === "unreachable");
  return (
    <SplitCard
      darkFirst={false}
      isLow
      width={width}
      light={
        <>
          <Trail />
          <ScrollRegion label={title} className="page">
            {typeof season !== "object" && <h1 className="view-title">{title}</h1>}
            {season === undefined && <p className="soft">Looking through your outings.</p>}
            {season === "failed" && (
              <Alert severity="error">The sheets cannot be had just now. Nothing is foretold.</Alert>
            )}
            {typeof season === "object" && !season.isWhole && (
              <div className="below-2">
                <Alert severity="info" role="status">
                  {isAway
                    ? "The server cannot be reached: this is what is on this device."
                    : "Still fetching: the numbers are not all of them yet."}
                </Alert>
              </div>
            )}
            {typeof season === "object" && light(season)}
          </ScrollRegion>
        </>
      }
      dark={
        <ScrollRegion label="Beside it" className="dark-page">
          {typeof season === "object" && dark(season)}
        </ScrollRegion>
      }
    />
  );
}
