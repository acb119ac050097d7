/** Goes on by itself once the judge has answered to what was just told. */
import type { Change } from "@jittery-cap/core";
import { useEffect, useRef } from "react";
import { usePreferences } from "../device/preferences.ts";
import { useSession } from "../session/session-context.tsx";
import type { PlaceOfTest } from "../specimen/place-of-test.ts";
import type { StationId } from "../specimen/stations.ts";
import { nextPlace, questionOf } from "./going-on.ts";

interface Here {
  readonly station: StationId;
  readonly body: string;
  /** The question on the screen. */
  readonly item: string | undefined;
}

/** What a person does who goes on by themselves; each comes before the answer that it may make. */
const ELSEWHERE = ["pointerdown", "keydown", "click"] as const;

/**
 * @param here where the person is; undefined where nothing goes on by itself: on a desk, and where several states are told
 * @returns records a change, and goes on where it answers the question on the screen
 */
export function useGoingOn(here: Here | undefined, goTo: (place: PlaceOfTest) => void): (change: Change) => void {
  const { change, store } = useSession();
  const goesOn = usePreferences((state) => state.goesOn);
  const waiting = useRef<Here>(undefined);
  const isLeading = here !== undefined;
  useEffect(() => {
    // a state that is held down turns to several: then the person stays as well
    if (!isLeading) waiting.current = undefined;
  }, [isLeading]);
  useEffect(() => {
    let drawn: ReturnType<typeof setTimeout> | undefined;
    const lead = () => {
      const from = waiting.current;
      const { answer, answerState, find } = store.getState();
      if (answerState !== "fresh" || from === undefined || answer === undefined || find === undefined) return;
      waiting.current = undefined;
      const next = nextPlace(find, answer, from.station, from.body);
      if (next !== undefined && next.item !== from.item) goTo(next);
    };
    const stop = store.subscribe((now, before) => {
      if (now.answerState === before.answerState) return;
      if (now.answerState === "failed") waiting.current = undefined;
      // the answer is on the dark half before the light half goes on
      clearTimeout(drawn);
      drawn = setTimeout(lead, 0);
    });
    return () => {
      stop();
      clearTimeout(drawn);
    };
  }, [store, goTo]);
  useEffect(() => {
    // whoever touches anything else before the judge has answered has chosen where to be: nothing leads them off
    const stay = () => {
      waiting.current = undefined;
    };
    for (const kind of ELSEWHERE) document.addEventListener(kind, stay, true);
    return () => {
      for (const kind of ELSEWHERE) document.removeEventListener(kind, stay, true);
    };
  }, []);
  return (made) => {
    const { find } = store.getState();
    change(made);
    const isTaken = store.getState().find !== find;
    const isAnswer = questionOf(made)?.item === here?.item && made.kind !== "unsee";
    waiting.current = goesOn && isTaken && isAnswer ? here : undefined;
  };
}
