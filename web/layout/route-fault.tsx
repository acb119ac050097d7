/** A part of the application that could not be fetched, or broke, or an address that leads nowhere: said plainly, and held. */
import Typography from "@mui/material/Typography";
import { useEffect } from "react";
import { isRouteErrorResponse, Link, useLocation, useRouteError } from "react-router";
import { reportError } from "../device/report-error.ts";
import { Page } from "./page.tsx";

const wordsOf = (fault: unknown): string =>
  isRouteErrorResponse(fault)
    ? `${fault.status} ${fault.statusText}`
    : fault instanceof Error
      ? fault.message
      : "It was not told why.";

export function RouteFault({ isNowhere = false }: { readonly isNowhere?: boolean }) {
  const fault = useRouteError();
  const { pathname } = useLocation();
  useEffect(() => {
    if (fault !== undefined) reportError("view", fault);
  }, [fault]);
  return (
    <Page isAlert>
      <Typography variant="h1" component="p" data-verdict="hold">
        Hold
      </Typography>
      <Typography variant="h2" component="h1" sx={{ pt: 2 }}>
        {isNowhere ? "Nothing is at this address" : "This part could not be shown"}
      </Typography>
      <Typography sx={{ pt: 1 }}>
        {isNowhere
          ? `There is no view at ${pathname}.`
          : "What you recorded is kept on this device. Until there is an answer again, everything is held."}
      </Typography>
      {!isNowhere && (
        <Typography color="textSecondary" sx={{ pt: 1 }}>
          What failed: {wordsOf(fault)}
        </Typography>
      )}
      <Typography sx={{ pt: 2 }}>
        <Link to="/finds" reloadDocument={!isNowhere}>
          Back to the finds
        </Link>
      </Typography>
    </Page>
  );
}
