/** How a find of the log stands: judged when its line comes into sight, one after another. */
import type { Verdict } from "@jittery-cap/core";
import { useEffect, useState } from "react";
import type { Kept } from "../documents/documents.ts";
import { standingSummary } from "../documents/verdicts.ts";
import { type Asking, askUntilAnswered } from "../worker/ask-again.ts";

/** "working" while it is judged, "failed" while the judge cannot be had. */
export type FindStanding = Verdict | "working" | "failed";

let line: Promise<unknown> = Promise.resolve();

/** An answer to an older record is never shown. */
export function useStanding(find: Kept<"find">): FindStanding {
  const [known, setKnown] = useState<{ readonly of: string; readonly standing: FindStanding }>();
  const of = `${find.id} ${find.revision}`;
  // biome-ignore lint/correctness/useExhaustiveDependencies: the id and the revision are the record
  useEffect(() => {
    let isGone = false;
    let asking: Asking | undefined;
    const ask = () => {
      // scrolled past before its turn came: nobody asks any more
      if (isGone) return;
      asking = askUntilAnswered({
        ask: () => standingSummary(find),
        onReply: ({ verdict }) => setKnown({ of, standing: verdict }),
        onFailure: () => setKnown({ of, standing: "failed" }),
      });
      return asking.first;
    };
    line = line.then(ask, ask);
    return () => {
      isGone = true;
      asking?.stop();
    };
  }, [of]);
  return known?.of === of ? known.standing : "working";
}
