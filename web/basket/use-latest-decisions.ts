/** The latest decision of every find, asked anew whenever anything that is carried could have changed, here or elsewhere. */
import { useLiveQuery } from "dexie-react-hooks";
import { useEffect, useState } from "react";
import { latestDecisions, type ShownDecision } from "../documents/decisions.ts";
import { device } from "../documents/device.ts";
import { useSync } from "../documents/sync.ts";
import { touchesKept } from "../documents/under-way.ts";

/** Undefined while they are looked for. */
export function useLatestDecisions(): readonly ShownDecision[] | "failed" | undefined {
  const [decisions, setDecisions] = useState<readonly ShownDecision[] | "failed">();
  const sync = useSync((state) => state.state);
  const changed = useLiveQuery(async () => [
    await device.documents.where("kind").anyOf("decision", "find").toArray(),
    await device.troubles.count(),
  ]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: what changed is what is asked about
  useEffect(() => {
    let overtaken = false;
    touchesKept()
      .then(latestDecisions)
      .then(
        (all) => overtaken || setDecisions(all),
        () => overtaken || setDecisions("failed"),
      );
    return () => {
      overtaken = true;
    };
  }, [changed, sync]);
  return decisions;
}
