/** A question to the shelf of sheets, asked again when what it is about changes. */
import type { Remote } from "comlink";
import { useEffect, useState } from "react";
import { askShelf } from "../worker/judge.ts";
import type { JudgeWorker } from "../worker/judge.worker.ts";

/** What came of it: still asking, an answer, or none to be had. */
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
    let overtaken = false;
    setAsked({ state: "asking" });
    askShelf(question).then(
      (reply) => overtaken || setAsked({ state: "told", reply }),
      () => overtaken || setAsked({ state: "failed" }),
    );
    return () => {
      overtaken = true;
    };
  }, [about]);
  return asked;
}
