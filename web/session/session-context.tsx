/** The session of the find that the address names, for all views of it: one per find, begun and ended with the route. */
import type { Find } from "@jittery-cap/core";
import { createContext, type ReactNode, startTransition, useContext, useEffect, useState } from "react";
import { useStore } from "zustand";
import { useSharedFind } from "../circles/use-shared.ts";
import { usePreferences } from "../device/preferences.ts";
import { ME } from "../people/here.ts";
import { byNose } from "../specimen/nose.ts";
import { ObserverContext } from "../specimen/observer.ts";
import { type FindSession, type FindState, findSession } from "./find-session.ts";

const SessionContext = createContext<FindSession | undefined>(undefined);

/** Opens a find for what stands below. A find with another id is another session: give it the id as its key. */
export function SessionProvider({ id, children }: { readonly id: string; readonly children: ReactNode }) {
  const [session] = useState(() => findSession(id, (change) => byNose(change, usePreferences.getState().smellsKnown)));
  const chosen = useStore(session.store, (state) => state.observer);
  // in another's find everybody looks under their own name
  const observer = useSharedFind(id) === undefined ? chosen : ME;
  useEffect(() => {
    void session.open();
    return session.close;
  }, [session]);
  return (
    <SessionContext value={session}>
      <ObserverContext value={observer}>{children}</ObserverContext>
    </SessionContext>
  );
}

/** The session of the find that is open here. @throws outside the routes of a find */
export function useSession(): FindSession {
  const session = useContext(SessionContext);
  if (session === undefined) throw new Error("no find is open here");
  return session;
}

/** A part of what is shown of the find that is open. */
export function useFind<Part>(part: (state: FindState) => Part): Part {
  return useStore(useSession().store, part);
}

/**
 * A part of what is shown that may follow. Whoever takes it so is not drawn with the answer, which is on the dark half first,
 * but once that is done.
 * @param part the same function each time
 */
export function useFindLater<Part>(part: (state: FindState) => Part): Part {
  const { store } = useSession();
  const [shown, setShown] = useState(() => part(store.getState()));
  useEffect(() => {
    const follow = () => startTransition(() => setShown(() => part(store.getState())));
    follow();
    return store.subscribe((now, before) => {
      if (part(now) !== part(before)) follow();
    });
  }, [store, part]);
  return shown;
}

/** The find that is open. Views below the routes of a find are shown only while there is one. @throws elsewhere */
export function useOpenFind(): Find {
  const find = useFind((state) => state.find);
  if (find === undefined) throw new Error("no find is open here");
  return find;
}
