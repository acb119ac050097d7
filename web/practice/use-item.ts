/** The exercise that is shown, and the next one. */
import type { Exercise, Try } from "@jittery-cap/core/trainer";
import { useCallback, useEffect, useRef, useState } from "react";
import { useSearchParams } from "react-router";
import { uuidv7 } from "uuidv7";
import { askUntilAnswered } from "../worker/ask-again.ts";
import type { Item } from "../worker/practice-room.ts";
import { askPractice } from "./ask-practice.ts";
import { keepTry, type Practice } from "./use-practice.ts";

export interface ShownItem {
  readonly item: Item | undefined;
  readonly state: "looking" | "failed" | "none" | "ready";
  /** Takes the next one. */
  readonly next: () => void;
  /** Keeps what came of the one that is shown. */
  readonly keep: (one: Omit<Try, "id" | "at" | "edition" | "seed" | "exercise" | "skill">) => void;
  /** What could not be kept, in words. */
  readonly refusal: string | undefined;
}

/** @param asked the exercise; left out, whatever comes next */
export function useItem(practice: Practice | undefined, asked: Exercise | undefined): ShownItem {
  const [item, setItem] = useState<Item>();
  const [state, setState] = useState<ShownItem["state"]>("looking");
  const [turn, setTurn] = useState(0);
  const [refusal, setRefusal] = useState<string>();
  // a word in the address makes the first one: whoever has the link and has practised as much gets the same
  const word = useSearchParams()[0].get("seed");
  // what was tried meanwhile weighs when the next one is asked for, and does not change the one that is shown
  const latest = useRef(practice);
  latest.current = practice;
  const isReady = practice !== undefined;
  // biome-ignore lint/correctness/useExhaustiveDependencies: a turn asks anew, whatever it is the number of
  useEffect(() => {
    setItem(undefined);
    setState("looking");
    const learning = latest.current?.learning();
    if (learning === undefined) return;
    const seed = turn === 0 && word !== null ? word : uuidv7();
    return askUntilAnswered({
      ask: () => askPractice("next", learning, seed, asked),
      onReply: (made) => {
        setItem(made);
        setState(made === undefined ? "none" : "ready");
      },
      onFailure: () => setState("failed"),
    }).stop;
  }, [isReady, asked, turn]);
  const next = useCallback(() => setTurn((now) => now + 1), []);
  const keep: ShownItem["keep"] = (one) => {
    if (item === undefined) return;
    const { skill, seed, kind, edition } = item;
    keepTry({ ...one, exercise: kind, ...(skill === undefined ? {} : { skill }), seed, edition }).then(setRefusal, () =>
      setRefusal("This device could not keep it: it does not count."),
    );
  };
  return { item, state: practice?.isFailed === true && item === undefined ? "failed" : state, next, keep, refusal };
}
