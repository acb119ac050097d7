/** What a view of sheets shows while it has none: fetching, none of that name, or a shelf that cannot be read. */
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Link } from "react-router";
import { SplitCard } from "../layout/split-card.tsx";
import { Trail } from "../layout/trail.tsx";

const WORDS = {
  asking: "Fetching the sheet",
  told: "There is no such sheet",
  failed: "The shelf cannot be read on this device",
} as const;

export function ShelfState({ state }: { readonly state: keyof typeof WORDS }) {
  return (
    <SplitCard
      darkFirst={false}
      light={
        <>
          <Trail />
          <div className="page">
            <Typography variant="h2" component="h1">
              {WORDS[state]}
            </Typography>
            {state !== "asking" && (
              <Typography className="above">
                <Link to="/sheets">All sheets</Link>
              </Typography>
            )}
          </div>
        </>
      }
      dark={<Box sx={{ minHeight: 55 }} />}
    />
  );
}
