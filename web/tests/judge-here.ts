/** A worker that is none: the same judge, asked over the same protocol, in the thread of the tests. */
import { type AnswerSummary, type Find, summarise } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";
import { expose } from "comlink";

const knowledge = readKnowledge();
export const EDITION = knowledge.edition;

/** What is asked of the judge here, counted. */
export const judged = { summaries: 0, broken: false };

const judge = {
  edition: () => EDITION,
  summarise: (find: Find): AnswerSummary => {
    if (judged.broken) throw new Error("the judge is away");
    judged.summaries += 1;
    return summarise(find, knowledge);
  },
};

/** Puts the judge in the place of every worker that is made from now on. Returns how to take it away. */
export function judgeHere(): () => void {
  const before = globalThis.Worker;
  const ports: MessagePort[] = [];
  const worker = function worker() {
    const { port1, port2 } = new MessageChannel();
    expose(judge, port2 as never);
    ports.push(port1, port2);
    return Object.assign(port1, { terminate: () => port1.close() });
  };
  globalThis.Worker = worker as never;
  return () => {
    globalThis.Worker = before;
    // an open port would keep the process from ending
    for (const port of ports) port.close();
  };
}
