/** What a view of sheets shows while it has none: fetching, none of that name, or a shelf that cannot be read. */
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Link } from "react-router";
import { SplitCard } from "../card/split-card.tsx";
import { Trail } from "../card/trail.tsx";
import { tone } from "../theme/tokens.ts";

const WORDS = {
  asking: "Fetching the sheet",
  told: "There is no such sheet",
  failed: "The shelf cannot be read on this device",
} as const;

export function ShelfState({ state }: { readonly state: keyof typeof WORDS }) {
  return (
    <SplitCard
      darkShare={0.8}
      darkFirst={false}
      light={
        <>
          <Trail view="sheets" />
          <Box sx={{ p: { xs: 2.5, md: 3.5 } }}>
            <Typography variant="h2" component="h1">
              {WORDS[state]}
            </Typography>
            {state !== "asking" && (
              <Typography sx={{ pt: 1 }}>
                <Link to="/sheets" style={{ color: tone.ink }}>
                  All sheets
                </Link>
              </Typography>
            )}
          </Box>
        </>
      }
      dark={<Box sx={{ minHeight: 55 }} />}
    />
  );
}
