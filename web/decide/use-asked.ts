/** What the judge says of a find to a question of one view; an answer to an older record is never shown. */
import type { Find } from "@jittery-cap/core";
import { useEffect, useState } from "react";
import { askUntilAnswered } from "../worker/ask-again.ts";

/** @param ask the same function at every drawing @returns undefined while it is worked out; failed where it could not be, until it can */
export function useAsked<Reply>(find: Find, ask: (find: Find) => Promise<Reply>): Reply | "failed" | undefined {
  const [reply, setReply] = useState<{ readonly to: Find; readonly said: Reply | "failed" }>();
  useEffect(() => {
    const hear = (said: Reply | "failed") => setReply({ to: find, said });
    return askUntilAnswered({ ask: () => ask(find), onReply: hear, onFailure: () => hear("failed") }).stop;
  }, [find, ask]);
  return reply?.to === find ? reply.said : undefined;
}
