/** A question to the shelf of sheets, asked again when what it is about changes. */
import type { Remote } from "comlink";
import { useEffect, useState } from "react";
import { askUntilAnswered } from "../worker/ask-again.ts";
import { askShelf } from "../worker/judge.ts";
import type { JudgeWorker } from "../worker/judge.worker.ts";

/** What came of it: still asking, an answer, or none to be had for now; it is asked again then. */
export type Asked<Reply> =
  | { readonly state: "asking" }
  | { readonly state: "told"; readonly reply: Reply }
  | { readonly state: "failed" };

/** @param about what the question is about; another value asks anew */
export function useShelf<Reply>(
  about: string,
  question: (remote: Remote<JudgeWorker>) => Promise<Reply>,
): Asked<Reply> {
  const [asked, setAsked] = useState<Asked<Reply>>({ state: "asking" });
  // biome-ignore lint/correctness/useExhaustiveDependencies: the question is new at each drawing; what it is about is not
  useEffect(() => {
    setAsked({ state: "asking" });
    return askUntilAnswered({
      ask: () => askShelf(question),
      onReply: (reply) => setAsked({ state: "told", reply }),
      onFailure: () => setAsked({ state: "failed" }),
    }).stop;
  }, [about]);
  return asked;
}
