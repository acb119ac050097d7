/** All that practice stands on: the tries of all sittings, who learns, and how it stands today. */
import type { Find } from "@jittery-cap/core";
import { dayOfYear, firstIdeas } from "@jittery-cap/core/season";
import { type Learner, MOST_TRIES, type Today, type Tried, type Try } from "@jittery-cap/core/trainer";
import { useLiveQuery } from "dexie-react-hooks";
import { useEffect, useMemo, useState } from "react";
import { uuidv7 } from "uuidv7";
import { usePreferences } from "../device/preferences.ts";
import { device } from "../documents/device.ts";
import { isReadable, type Kept, listKept, readRow } from "../documents/documents.ts";
import { make, setFields } from "../documents/keep-fields.ts";
import { countedOf, decidedOf } from "../season/counted.ts";
import { dayOf } from "../season/local-day.ts";
import { askUntilAnswered } from "../worker/ask-again.ts";
import type { Learning } from "../worker/practice-room.ts";
import { askPractice } from "./ask-practice.ts";

/** The sittings of this device, oldest first. */
export async function sittings(): Promise<readonly Kept<"sitting">[]> {
  const kept = await listKept("sitting", Number.POSITIVE_INFINITY);
  return kept.filter(isReadable).reverse();
}

const midnight = (now: Date): number => new Date(now.getFullYear(), now.getMonth(), now.getDate()).getTime();

/** The sitting of today to which a try belongs: of the day, or of one test. */
async function sittingFor(now: Date, test: string | undefined): Promise<Kept<"sitting"> | undefined> {
  return (await sittings()).findLast(
    ({ content }) =>
      content.test === test &&
      content.tries.length < MOST_TRIES &&
      (test !== undefined || Date.parse(content.begunAt) >= midnight(now)),
  );
}

let line: Promise<unknown> = Promise.resolve();

/** Keeps a try, one after another, so that none writes over the one before. @returns what is wrong, where anything is */
export function keepTry(one: Omit<Try, "id" | "at">, test?: string): Promise<string | undefined> {
  const kept = line.then(async () => {
    const now = new Date();
    const whole: Try = { ...one, id: uuidv7(), at: now.toISOString() };
    const sitting = await sittingFor(now, test);
    if (sitting !== undefined) return setFields("sitting", sitting.id, { tries: [...sitting.content.tries, whole] });
    await make("sitting", { begunAt: now.toISOString(), ...(test === undefined ? {} : { test }), tries: [whole] });
    return undefined;
  });
  line = kept.catch(() => undefined);
  return kept;
}

const triedOf = (tries: readonly Try[]): readonly Tried[] =>
  tries.flatMap(({ skill, at, isRight, sure }) =>
    skill === undefined ? [] : [{ skill, at: Date.parse(at), isRight, sure }],
  );

/** The finds of the log, with what they were first taken for and what others said of them. */
async function ownLog() {
  const rowsOf = (kind: string) =>
    device.documents.where("[kind+archived+listedAt]").between([kind, 0, ""], [kind, 0, "\uffff"]).toArray();
  const [finds, decisions, opinions] = await Promise.all([rowsOf("find"), rowsOf("decision"), rowsOf("opinion")]);
  const decided = decidedOf(decisions.map(({ content }) => content));
  return {
    finds: finds.map((row) => readRow("find", row)).flatMap((one): Find[] => (isReadable(one) ? [one.content] : [])),
    wrongIdeas: firstIdeas(finds.flatMap(({ content }) => countedOf(content, decided, []) ?? [])).wrong,
    opinions: opinions.map((row) => readRow("opinion", row)).flatMap((one) => (isReadable(one) ? [one.content] : [])),
  };
}

export interface Practice {
  readonly tries: readonly Try[];
  readonly learning: () => Learning;
  readonly today: Today | undefined;
  /** The trainer cannot be had. */
  readonly isFailed: boolean;
}

/** Undefined while it is looked for. */
export function usePractice(): Practice | undefined {
  const kept = useLiveQuery(async () => (await sittings()).flatMap(({ content }) => content.tries));
  const region = usePreferences((state) => state.region);
  const learnedIn = usePreferences((state) => state.learnedIn);
  const [weak, setWeak] = useState<{ readonly ids: readonly string[]; readonly sought: readonly string[] }>();
  const [today, setToday] = useState<Today>();
  const [isFailed, setFailed] = useState(false);
  useEffect(() => {
    const ask = async () => {
      const log = await ownLog();
      const ids = await askPractice("weakInLog", log);
      return { ids, sought: [...new Set(log.finds.flatMap(({ takenFor }) => takenFor ?? []))] };
    };
    const onReply = (told: Awaited<ReturnType<typeof ask>>) => {
      setFailed(false);
      setWeak(told);
    };
    return askUntilAnswered({ ask, onReply, onFailure: () => setFailed(true) }).stop;
  }, []);
  const learning = useMemo(() => {
    if (kept === undefined || weak === undefined) return undefined;
    const tries = triedOf(kept);
    return (): Learning => {
      const now = new Date();
      const learner: Learner = {
        region: region ?? undefined,
        learnedIn: learnedIn ?? undefined,
        ofYear: dayOfYear(dayOf(now)),
        sought: weak.sought,
        wrongInLog: weak.ids,
      };
      return { tries, learner, now: now.getTime(), dayBegan: midnight(now) };
    };
  }, [kept, weak, region, learnedIn]);
  useEffect(() => {
    if (learning === undefined) return;
    const onReply = (told: Today) => {
      setFailed(false);
      setToday(told);
    };
    return askUntilAnswered({
      ask: () => askPractice("today", learning()),
      onReply,
      onFailure: () => setFailed(true),
    }).stop;
  }, [learning]);
  if (isFailed) return { tries: kept ?? [], learning: learning ?? NOBODY, today, isFailed };
  return kept === undefined || learning === undefined ? undefined : { tries: kept, learning, today, isFailed };
}

const NOBODY = (): Learning => {
  const now = Date.now();
  return { tries: [], learner: { ofYear: 0, sought: [], wrongInLog: [] }, now, dayBegan: now };
};
