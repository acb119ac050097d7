/** What the judge says of a find to a question of one view; an answer to an older record is never shown. */
import type { Find } from "@jittery-cap/core";
import { useEffect, useState } from "react";

/** @param ask the same function at every drawing @returns undefined while it is worked out; failed where it could not be */
export function useAsked<Reply>(find: Find, ask: (find: Find) => Promise<Reply>): Reply | "failed" | undefined {
  const [reply, setReply] = useState<{ readonly to: Find; readonly said: Reply | "failed" }>();
  useEffect(() => {
    let overtaken = false;
    const hear = (said: Reply | "failed") => overtaken || setReply({ to: find, said });
    ask(find).then(hear, () => hear("failed"));
    return () => {
      overtaken = true;
    };
  }, [find, ask]);
  return reply?.to === find ? reply.said : undefined;
}
