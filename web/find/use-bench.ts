/** What the person at the bench is at: station, body, question; and what each key does there. */
import {
  bodyLike,
  type Change,
  type CharacterId,
  definitionOf,
  isCharacterId,
  nextBodyId,
  type PlannedTest,
  sameAsModel,
  TOUCHES,
  touchesOf,
} from "@jittery-cap/core";
import { useCallback, useState } from "react";
import { useNavigate, useParams } from "react-router";
import { useShallow } from "zustand/react/shallow";
import { useFind } from "../state/find-state.ts";
import { CANNOT_TELL, chooseState, couldNot, REASONS, turnSureness } from "./observing.ts";
import { characterOfTest, itemOf, type Question, STATIONS, stationOf, stationOfCharacter } from "./stations.ts";
import { useStopwatch } from "./stopwatch.ts";
import type { KeyAction } from "./use-keys.ts";
import { useStationOrder } from "./use-station-order.ts";

/** The block of a question on the screen. */
export const blockId = (item: string): string => `block-${item}`;

function clickNth(item: string, index: number): void {
  const block = document.getElementById(blockId(item));
  const choice = block?.querySelectorAll<HTMLElement>("[data-state], input")[index];
  if (choice instanceof HTMLInputElement) choice.focus();
  else choice?.click();
}

export function useBench() {
  const { id = "", station: word } = useParams();
  const navigate = useNavigate();
  const { find, answer, against, observer, change, changeTogether, undo, redo, checkAgainst } = useFind(
    useShallow(({ find, answer, against, observer, change, changeTogether, undo, redo, checkAgainst }) => ({
      find,
      answer,
      against,
      observer,
      change,
      changeTogether,
      undo,
      redo,
      checkAgainst,
    })),
  );
  const station = stationOf(word);
  const [bodyId, setBodyId] = useState("A");
  const [active, setActive] = useState<string>();
  const [alsoOpen, setAlsoOpen] = useState(false);
  const [help, setHelp] = useState(false);
  const stopwatch = useStopwatch();

  const body = find?.bodies.find((one) => one.id === bodyId) ?? find?.bodies[0];
  const order = useStationOrder(station, find, body, answer, against?.characters);
  const shown: readonly Question[] = alsoOpen ? [...order.first, ...order.also] : order.first;
  const items = shown.map(itemOf);
  const current = active !== undefined && items.includes(active) ? active : items[0];
  const character: CharacterId | undefined = current !== undefined && isCharacterId(current) ? current : undefined;

  const goTo = useCallback(
    (item: string, stationId: string = station.id) => {
      setActive(item);
      setAlsoOpen(true);
      navigate(`/find/${id}/${stationId}`, { replace: true });
      // the block is drawn with the next frame
      requestAnimationFrame(() => document.getElementById(blockId(item))?.scrollIntoView({ block: "nearest" }));
    },
    [id, navigate, station.id],
  );

  const add = useCallback(
    (isLike: boolean) => {
      if (find === undefined || body === undefined) return;
      const next = nextBodyId(find);
      change({ kind: "add-body", body: isLike ? bodyLike(body, next) : { id: next, lifted: "standing" } });
      setBodyId(next);
      navigate(`/find/${find.id}/bodies`, { replace: true });
    },
    [find, body, change, navigate],
  );

  const addBody = useCallback(() => add(false), [add]);
  const addLike = useCallback(() => add(true), [add]);

  const goToTest = (test: PlannedTest) => {
    if (test.body !== undefined) setBodyId(test.body);
    if (test.test === "tell-the-age") return goTo("age", "bodies");
    if (test.test === "measure") return goTo("measures", "bodies");
    if (test.test === "find-an-older-one") return add(false);
    const looksAt = characterOfTest(test);
    if (looksAt !== undefined) goTo(looksAt, stationOfCharacter(looksAt)?.id);
  };

  /** Records the next open touch of the quick look as it is on a body that shows it. */
  const sameForNextTouch = () => {
    if (find === undefined || body === undefined) return;
    const open = find.bodies
      .filter((model) => model.id !== body.id)
      .flatMap((model) => touchesOf(find, body, model))
      .filter((touch) => !touch.done && touch.model.length > 0)
      .sort((one, other) => TOUCHES.indexOf(one.touch) - TOUCHES.indexOf(other.touch))[0];
    if (open !== undefined) changeTogether(sameAsModel(body, open));
  };

  const moveStation = (by: 1 | -1) => {
    const next = STATIONS[(STATIONS.indexOf(station) + by + STATIONS.length) % STATIONS.length];
    if (next === undefined) return;
    setActive(undefined);
    setAlsoOpen(false);
    navigate(`/find/${id}/${next.id}`, { replace: true });
  };

  const onAction = (action: KeyAction): unknown => {
    if (find === undefined || body === undefined) return undefined;
    const make = (made: Change | undefined) => {
      if (made !== undefined) change(made);
    };
    const isBodys = character !== undefined && definitionOf(character).of === "body";
    switch (action.kind) {
      case "digit": {
        if (current === undefined) return undefined;
        if (character === undefined) return clickNth(current, action.index);
        const state = definitionOf(character).states[action.index];
        return make(state === undefined ? undefined : chooseState(find, body, character, state, observer));
      }
      case "move": {
        const next = items[(current === undefined ? -1 : items.indexOf(current)) + action.by];
        if (next === undefined) return moveStation(action.by);
        setActive(next);
        requestAnimationFrame(() => document.getElementById(blockId(next))?.scrollIntoView({ block: "nearest" }));
        return undefined;
      }
      case "station":
        return moveStation(action.by);
      case "none":
        return make(
          character !== undefined && definitionOf(character).states.includes("none")
            ? chooseState(find, body, character, "none", observer)
            : undefined,
        );
      case "cannot-tell":
        return make(isBodys ? couldNot(body, character, CANNOT_TELL, observer) : undefined);
      case "could-not":
        return make(isBodys ? couldNot(body, character, REASONS[0] ?? CANNOT_TELL, observer) : undefined);
      case "unsure":
        return make(isBodys ? turnSureness(body, character, observer) : undefined);
      case "next-body": {
        const place = find.bodies.findIndex((one) => one.id === body.id);
        return setBodyId(find.bodies[(place + 1) % find.bodies.length]?.id ?? "A");
      }
      case "add-body":
        return add(false);
      case "add-like":
        return add(true);
      case "same":
        return sameForNextTouch();
      case "also":
        return setAlsoOpen(!alsoOpen);
      case "stopwatch":
        return stopwatch.turn();
      case "hands-free":
        return void navigate(`/find/${id}/run`);
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
    station,
    body,
    order,
    alsoOpen,
    current,
    help,
    stopwatch,
    setHelp,
    setBodyId,
    setActive,
    setAlsoOpen,
    addBody,
    addLike,
    goToTest,
    onAction,
  };
}
