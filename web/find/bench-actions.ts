/** What each key of the bench does, where the person is. */
import { type Change, type CharacterId, definitionOf, type Find } from "@jittery-cap/core";
import { blockId } from "../specimen/block-id.ts";
import { CANNOT_TELL, chooseState, couldNot, REASONS, turnSureness } from "../specimen/observing.ts";
import type { KeyAction } from "./use-keys.ts";
import type { usePlace } from "./use-place.ts";

/** What the keys act on. */
export interface BenchHands {
  readonly find: Find;
  readonly place: ReturnType<typeof usePlace>;
  readonly observer: string | undefined;
  readonly change: (change: Change) => void;
  readonly add: (isLike: boolean) => void;
  readonly same: () => void;
  readonly turnStopwatch: () => void;
  readonly goHandsFree: () => void;
  readonly turnAgainst: () => void;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly showKeys: () => void;
}

/** Touches the nth answer of a told question, or goes into its field. */
function clickNth(item: string, index: number): void {
  const block = document.getElementById(blockId(item));
  const choice = block?.querySelectorAll<HTMLElement>("[data-state], input")[index];
  if (choice instanceof HTMLInputElement) choice.focus();
  else choice?.click();
}

/** The nth answer to the question in hand. */
function answerWith({ find, place: { body, character, current }, observer, change }: BenchHands, index: number): void {
  if (current === undefined) return;
  if (character === undefined) {
    clickNth(current, index);
    return;
  }
  const state = definitionOf(character).states[index];
  if (state !== undefined) change(chooseState(find, body, character, state, observer));
}

/** Does what a key asks for. */
export function act(action: KeyAction, hands: BenchHands): unknown {
  const { find, place, observer, change } = hands;
  const { body, character } = place;
  const make = (made: Change | undefined) => {
    if (made !== undefined) change(made);
  };
  /** A change of the character in question, where it is one of the body. */
  const ofBody = (changeOf: (character: CharacterId) => Change | undefined) =>
    make(character !== undefined && definitionOf(character).of === "body" ? changeOf(character) : undefined);
  switch (action.kind) {
    case "digit":
      return void answerWith(hands, action.index);
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
      return place.setBodyId(
        find.bodies[(find.bodies.findIndex((one) => one.id === body.id) + 1) % find.bodies.length]?.id ?? body.id,
      );
    case "add-body":
      return hands.add(false);
    case "add-like":
      return hands.add(true);
    case "same":
      return hands.same();
    case "also":
      return place.setAlsoOpen(!place.alsoOpen);
    case "stopwatch":
      return hands.turnStopwatch();
    case "hands-free":
      return hands.goHandsFree();
    case "against":
      return hands.turnAgainst();
    case "undo":
      return hands.undo();
    case "redo":
      return hands.redo();
    case "help":
      return hands.showKeys();
  }
}
