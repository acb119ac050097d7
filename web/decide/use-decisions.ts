/** The decisions of a find, asked anew with every change of the record, and when the server has heard of one. */
import type { Find } from "@jittery-cap/core";
import { useLiveQuery } from "dexie-react-hooks";
import { useEffect, useState } from "react";
import { decisionsOf, type ShownDecision } from "../documents/decisions.ts";
import { device } from "../documents/device.ts";

/** Latest first; undefined while they are looked for. */
export function useDecisions(find: Find): readonly ShownDecision[] | undefined {
  const [decisions, setDecisions] = useState<readonly ShownDecision[]>();
  const heard = useLiveQuery(() => device.documents.where("about").equals(find.id).toArray(), [find.id]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: what was heard and the record are what is asked about
  useEffect(() => {
    let overtaken = false;
    void decisionsOf(find.id).then((found) => overtaken || setDecisions(found));
    return () => {
      overtaken = true;
    };
  }, [find, heard]);
  return decisions;
}
