/** Which conditions of a find other people and books fulfil, asked of the judge; nothing where it cannot be had. */
import { type ConditionCode, conditionsMet, type Find } from "@jittery-cap/core";
import { useLiveQuery } from "dexie-react-hooks";
import { useEffect, useState } from "react";
import { device } from "../documents/device.ts";
import { opinionsOf } from "../documents/opinions.ts";
import { askUntilAnswered } from "../worker/ask-again.ts";
import { askEvidence, askJudge } from "../worker/judge.ts";

const NONE: ReadonlyMap<string, ReadonlySet<ConditionCode>> = new Map();

async function metOf(find: Find): Promise<ReadonlySet<ConditionCode>> {
  const [answer, evidence, opinions] = await Promise.all([askJudge(find), askEvidence(find), opinionsOf(find.id)]);
  return conditionsMet(find, { bodies: answer.bodies, restsOn: answer.restsOn, ...evidence }, opinions);
}

/** By find. Until it is known of these very records and opinions, and where it cannot be, nothing is fulfilled. */
export function useMet(finds: readonly Find[]): ReadonlyMap<string, ReadonlySet<ConditionCode>> {
  const [met, setMet] = useState<{ readonly about: string; readonly told: typeof NONE }>();
  const opinions = useLiveQuery(async () =>
    (await device.documents.where("kind").equals("opinion").toArray())
      .map(({ id, revision }) => `${id} ${revision}`)
      .join(),
  );
  const about = `${opinions} ${JSON.stringify(finds)}`;
  // biome-ignore lint/correctness/useExhaustiveDependencies: the finds are new at each drawing; what they hold is not
  useEffect(() => {
    const ask = async () => {
      const told = new Map<string, ReadonlySet<ConditionCode>>();
      let isWhole = true;
      const none = (): ReadonlySet<ConditionCode> => {
        isWhole = false;
        return new Set();
      };
      // one after another: each is a judgement with all its evidence
      for (const find of finds) told.set(find.id, await metOf(find).catch(none));
      return { told, isWhole };
    };
    let last: Awaited<ReturnType<typeof ask>> | undefined;
    return askUntilAnswered({
      ask: async () => {
        last = await ask();
        if (!last.isWhole) throw new Error("the judge could not be had for some of them");
        return last;
      },
      onReply: ({ told }) => setMet({ about, told }),
      onFailure: () => last !== undefined && setMet({ about, told: last.told }),
    }).stop;
  }, [about]);
  return met?.about === about ? met.told : NONE;
}
