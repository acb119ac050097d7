/** What a view shows while it has no find: loading, or none by that address. */
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Link } from "react-router";
import { tone } from "../theme/tokens.ts";
import { SplitCard } from "./split-card.tsx";
import { Trail, type View } from "./trail.tsx";

interface StateOfViewProps {
  readonly view: View;
  readonly status: "none" | "loading" | "open" | "missing";
}

export function StateOfView({ view, status }: StateOfViewProps) {
  const missing = status === "missing";
  return (
    <SplitCard
      darkShare={1}
      light={
        <>
          <Trail view={view} />
          <Box sx={{ p: { xs: 2.5, md: 3.5 } }}>
            <Typography variant="h2" component="h1">
              {missing
                ? "There is no such find here"
                : status === "open"
                  ? "Working out the answer"
                  : "Fetching the find"}
            </Typography>
            {missing && (
              <Typography sx={{ pt: 1 }}>
                It is neither on this device nor on the server.{" "}
                <Link to="/log" style={{ color: tone.ink }}>
                  Back to the log
                </Link>
              </Typography>
            )}
          </Box>
        </>
      }
      dark={
        <Box sx={{ p: { xs: 2.5, md: 3.25 } }}>
          <Typography variant="h1" component="p" data-verdict="hold">
            Hold
          </Typography>
          <Typography sx={{ color: tone.onDarkSoft, pt: 1 }}>Until there is an answer, this is held.</Typography>
        </Box>
      }
    />
  );
}
