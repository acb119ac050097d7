/** The latest decision of every find, asked anew whenever anything that is carried could have changed, here or elsewhere. */
import { useLiveQuery } from "dexie-react-hooks";
import { useEffect, useState } from "react";
import { latestDecisions, type ShownDecision } from "../documents/decisions.ts";
import { device } from "../documents/device.ts";
import { useSync } from "../documents/sync.ts";
import { touchesKept } from "../documents/under-way.ts";

/** Undefined while they are looked for. */
export function useLatestDecisions(): readonly ShownDecision[] | "failed" | undefined {
  const [known, setKnown] = useState<{
    readonly of: boolean;
    readonly decisions: readonly ShownDecision[] | "failed";
  }>();
  const sync = useSync((state) => state.state);
  const hasPulled = useSync((state) => state.hasPulled);
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
        (all) => overtaken || setKnown({ of: hasPulled, decisions: all }),
        () => overtaken || setKnown({ of: hasPulled, decisions: "failed" }),
      );
    return () => {
      overtaken = true;
    };
  }, [changed, sync, hasPulled]);
  // none at all was said before the server was heard: that is not known any more
  const isOld = known !== undefined && known.decisions.length === 0 && known.of !== hasPulled;
  return isOld ? undefined : known?.decisions;
}
