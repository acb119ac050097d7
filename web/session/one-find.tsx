/** One find, and all that is done with it: a session of its own for as long as its address is open. */
import { Outlet, useParams } from "react-router";
import { useRecordAlong } from "../circles/use-record-along.ts";
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
  useRecordAlong(useSession());
  const status = useFind((state) => state.status);
  return status === "open" ? <Outlet /> : <StateOfView status={status} />;
}
