/** The bench: what each key, touch and test does where the person is. */
import { bodyLike, type Find, nextBodyId, type PlannedTest, sameAsModel, TOUCHES, touchesOf } from "@jittery-cap/core";
import { useCallback, useState } from "react";
import { useNavigate } from "react-router";
import { findPath } from "../addresses.ts";
import { useSession } from "../session/session-context.tsx";
import { useObserver } from "../specimen/observer.ts";
import { placeOfTest } from "../specimen/place-of-test.ts";
import { stationOfItem } from "../specimen/stations.ts";
import { useStopwatch } from "../specimen/stopwatch.ts";
import { act } from "./bench-actions.ts";
import { questionOf } from "./going-on.ts";
import type { KeyAction } from "./use-keys.ts";
import { usePlace } from "./use-place.ts";

export function useBench(find: Find) {
  const { id } = find;
  const navigate = useNavigate();
  const { change, changeTogether, undo, redo, checkAgainst, store } = useSession();
  const observer = useObserver();
  const [help, setHelp] = useState(false);
  const stopwatch = useStopwatch();
  const place = usePlace(find);
  const { body, goTo } = place;

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

  return {
    ...place,
    help,
    stopwatch,
    setHelp,
    addBody: useCallback(() => add(false), [add]),
    addLike: useCallback(() => add(true), [add]),
    goToTest,
    undoHere,
    onAction: (action: KeyAction) =>
      act(action, {
        find,
        place,
        observer,
        change,
        add,
        same: sameForNextTouch,
        turnStopwatch: stopwatch.turn,
        goHandsFree: () => void navigate(findPath(id, "run")),
        turnAgainst: () => {
          const { against, answer } = store.getState();
          void checkAgainst(against === undefined ? answer?.dangers[0]?.sheet : undefined);
        },
        undo,
        redo,
        showKeys: () => setHelp(true),
      }),
  };
}
