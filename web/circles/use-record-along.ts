/** Whoever adds looks to another's find does so under their own name, and is made one of its observers first. */
import { useEffect } from "react";
import type { FindSession } from "../session/find-session.ts";
import { useSharedFind } from "./use-shared.ts";

export function useRecordAlong(session: FindSession): void {
  const shared = useSharedFind(session.id);
  const mayRecord = shared?.mayRecord === true;
  useEffect(() => {
    if (!mayRecord) return;
    void import("./shared.ts").then(({ recordAlong }) => recordAlong(session.id));
  }, [mayRecord, session]);
}
