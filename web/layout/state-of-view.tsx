/** What a view shows while it has no find or no answer: loading, none by that address, or why that is not known. */
import Link from "@mui/material/Link";
import Skeleton from "@mui/material/Skeleton";
import Typography from "@mui/material/Typography";
import { Link as RouterLink } from "react-router";
import { SplitCard } from "./split-card.tsx";
import { Trail } from "./trail.tsx";

/**
 * none, loading: not yet; open: there, its answer not yet; missing: neither here nor on the server; unreachable: not here, and
 * the server cannot be asked; unreadable: there, and this program cannot read it.
 */
export type FindStatus = "none" | "loading" | "open" | "missing" | "unreachable" | "unreadable";

interface StateOfViewProps {
  readonly status: FindStatus;
  /** Whether the judge was asked and could not be had. */
  readonly isFailed?: boolean;
}

const TITLES: Readonly<Record<FindStatus, string>> = {
  none: "Fetching the find",
  loading: "Fetching the find",
  open: "Working out the answer",
  missing: "There is no such find here",
  unreachable: "This find is not known here",
  unreadable: "This find cannot be read",
};
const ABOUT: Readonly<Partial<Record<FindStatus, string>>> = {
  missing: "It is neither on this device nor on the server, or it was put away.",
  unreachable: "It is not on this device, and the server cannot be asked just now.",
  unreadable: "It is kept as it is, but this program cannot make sense of it. A newer one may.",
};

export function StateOfView({ status, isFailed = false }: StateOfViewProps) {
  const about = isFailed ? "The judge cannot be had. Open the page again, or leave what you found." : ABOUT[status];
  return (
    <SplitCard
      isHeld
      light={
        <>
          <Trail />
          <div className="page">
            <Typography variant="h2" component="h1">
              {isFailed ? "There is no answer" : TITLES[status]}
            </Typography>
            {about === undefined ? (
              <Skeleton height={120} sx={{ mt: 2 }} />
            ) : (
              <Typography sx={{ pt: 1 }}>
                {about}{" "}
                <Link component={RouterLink} to="/finds">
                  Back to the finds
                </Link>
              </Typography>
            )}
          </div>
        </>
      }
      dark={
        <>
          <div className="standing-count" />
          <p className="standing-verdict" data-verdict="hold" data-state={isFailed ? "failed" : "working"}>
            Hold
          </p>
          <p className="standing-sentence" data-urgent="true">
            Until there is an answer, this is held.
          </p>
        </>
      }
    />
  );
}
