/** One find, and all that is done with it: a session of its own for as long as its address is open. */
import { Navigate, Outlet, useMatch, useParams } from "react-router";
import { findPath, OTHERS_PAGES } from "../addresses.ts";
import { useRecordAlong } from "../circles/use-record-along.ts";
import { useSharedFind } from "../circles/use-shared.ts";
import { StateOfView } from "../layout/state-of-view.tsx";
import { SessionProvider, useFind, useSession } from "./session-context.tsx";

export function OneFind() {
  const { id = "" } = useParams();
  return (
    <SessionProvider key={id} id={id}>
      <WhileOpen />
    </SessionProvider>
  );
}

function WhileOpen() {
  const session = useSession();
  useRecordAlong(session);
  const status = useFind((state) => state.status);
  const isAnothers = useSharedFind(session.id) !== undefined;
  const page = useMatch("/finds/:id/:page/*")?.params.page;
  if (status !== "open") return <StateOfView status={status} />;
  // what becomes of another's find is its finder's to say
  if (isAnothers && page !== undefined && !OTHERS_PAGES.some((one) => one.page === page))
    return <Navigate to={findPath(session.id)} replace />;
  return <Outlet />;
}
