/** The bench: what each key, touch and test does where the person is. */
import {
  bodyLike,
  type Change,
  type CharacterId,
  definitionOf,
  type Find,
  nextBodyId,
  type PlannedTest,
  sameAsModel,
  TOUCHES,
  touchesOf,
} from "@jittery-cap/core";
import { useCallback, useState } from "react";
import { useNavigate } from "react-router";
import { findPath } from "../addresses.ts";
import { useFind, useSession } from "../session/session-context.tsx";
import { blockId } from "../specimen/block-id.ts";
import { useObserver } from "../specimen/observer.ts";
import { CANNOT_TELL, chooseState, couldNot, REASONS, turnSureness } from "../specimen/observing.ts";
import { placeOfTest } from "../specimen/place-of-test.ts";
import { stationOfItem } from "../specimen/stations.ts";
import { useStopwatch } from "../specimen/stopwatch.ts";
import { questionOf } from "./going-on.ts";
import type { KeyAction } from "./use-keys.ts";
import { usePlace } from "./use-place.ts";

/** Touches the nth answer of a told question, or goes into its field. */
function clickNth(item: string, index: number): void {
  const block = document.getElementById(blockId(item));
  const choice = block?.querySelectorAll<HTMLElement>("[data-state], input")[index];
  if (choice instanceof HTMLInputElement) choice.focus();
  else choice?.click();
}

export function useBench(find: Find) {
  const { id } = find;
  const navigate = useNavigate();
  const { change, changeTogether, undo, redo, checkAgainst, store } = useSession();
  const answer = useFind((state) => state.answer);
  const against = useFind((state) => state.against);
  const observer = useObserver();
  const [help, setHelp] = useState(false);
  const stopwatch = useStopwatch();
  const place = usePlace(find);
  const { body, character, current, setBodyId, goTo } = place;

  const add = useCallback(
    (isLike: boolean) => {
      const next = nextBodyId(find);
      change({ kind: "add-body", body: isLike ? bodyLike(body, next) : { id: next, lifted: "standing" } });
      // whether it goes along is asked first: one that is only looked at keeps nothing back
      goTo({ station: "bodies", item: isLike ? "age" : "keep", body: next });
    },
    [find, body, change, goTo],
  );

  const goToTest = (test: PlannedTest) => {
    const to = placeOfTest(find, test);
    if (to === undefined) add(false);
    else goTo(to);
  };

  /** Takes the last touch back, and shows what it had answered. */
  const undoHere = () => {
    const [first] = store.getState().done.at(-1)?.changes ?? [];
    const question = first === undefined ? undefined : questionOf(first);
    const station = question === undefined ? undefined : stationOfItem(question.item)?.id;
    undo();
    if (question !== undefined && station !== undefined) goTo({ station, item: question.item, body: question.body });
  };

  /** Records the next open touch of the quick look as it is on a body that shows it. */
  const sameForNextTouch = () => {
    const open = find.bodies
      .filter((model) => model.id !== body.id)
      .flatMap((model) => touchesOf(find, body, model))
      .filter((touch) => !touch.done && touch.model.length > 0)
      .sort((one, other) => TOUCHES.indexOf(one.touch) - TOUCHES.indexOf(other.touch))[0];
    if (open !== undefined) changeTogether(sameAsModel(body, open));
  };

  const make = (made: Change | undefined) => {
    if (made !== undefined) change(made);
  };
  /** A change of the character in question, where it is one of the body. */
  const ofBody = (changeOf: (character: CharacterId) => Change | undefined) =>
    make(character !== undefined && definitionOf(character).of === "body" ? changeOf(character) : undefined);

  const answerWith = (index: number) => {
    if (current === undefined) return;
    if (character === undefined) return clickNth(current, index);
    const state = definitionOf(character).states[index];
    make(state === undefined ? undefined : chooseState(find, body, character, state, observer));
  };

  const onAction = (action: KeyAction): unknown => {
    switch (action.kind) {
      case "digit":
        return answerWith(action.index);
      case "move":
        return place.move(action.by);
      case "station":
        return place.moveStation(action.by);
      case "none":
        return character !== undefined && definitionOf(character).states.includes("none")
          ? make(chooseState(find, body, character, "none", observer))
          : undefined;
      case "cannot-tell":
        return ofBody((asked) => couldNot(body, asked, CANNOT_TELL, observer));
      case "could-not":
        return ofBody((asked) => couldNot(body, asked, REASONS[0] ?? CANNOT_TELL, observer));
      case "unsure":
        return ofBody((asked) => turnSureness(body, asked, observer));
      case "next-body":
        return setBodyId(
          find.bodies[(find.bodies.findIndex((one) => one.id === body.id) + 1) % find.bodies.length]?.id ?? body.id,
        );
      case "add-body":
        return add(false);
      case "add-like":
        return add(true);
      case "same":
        return sameForNextTouch();
      case "also":
        return place.setAlsoOpen(!place.alsoOpen);
      case "stopwatch":
        return stopwatch.turn();
      case "hands-free":
        return void navigate(findPath(id, "run"));
      case "against":
        return void checkAgainst(against === undefined ? answer?.dangers[0]?.sheet : undefined);
      case "undo":
        return undo();
      case "redo":
        return redo();
      case "help":
        return setHelp(true);
    }
  };

  return {
    ...place,
    help,
    stopwatch,
    setHelp,
    addBody: useCallback(() => add(false), [add]),
    addLike: useCallback(() => add(true), [add]),
    goToTest,
    undoHere,
    onAction,
  };
}
