/** Keys for the table: digits answer, arrows move, letters do the rest. None of them works while a field is typed in. */
import { useEffect } from "react";

export type KeyAction =
  | { readonly kind: "digit"; readonly index: number }
  | { readonly kind: "move"; readonly by: 1 | -1 }
  | { readonly kind: "station"; readonly by: 1 | -1 }
  | {
      readonly kind:
        | "none"
        | "cannot-tell"
        | "could-not"
        | "unsure"
        | "next-body"
        | "add-body"
        | "add-like"
        | "same"
        | "also"
        | "stopwatch"
        | "hands-free"
        | "against"
        | "undo"
        | "redo"
        | "help";
    };

const LETTERS: Readonly<Record<string, KeyAction>> = {
  o: { kind: "none" },
  c: { kind: "cannot-tell" },
  x: { kind: "could-not" },
  u: { kind: "unsure" },
  n: { kind: "next-body" },
  b: { kind: "add-body" },
  l: { kind: "add-like" },
  s: { kind: "same" },
  a: { kind: "also" },
  t: { kind: "stopwatch" },
  h: { kind: "hands-free" },
  k: { kind: "against" },
  z: { kind: "undo" },
  y: { kind: "redo" },
  "?": { kind: "help" },
  ArrowRight: { kind: "move", by: 1 },
  ArrowLeft: { kind: "move", by: -1 },
  ".": { kind: "station", by: 1 },
  ",": { kind: "station", by: -1 },
};

/** Ten answers to a row of digits. */
const DIGITS_IN_ROW = 10;

/**
 * What a key asks for, or undefined. Digits 1 to 9 and 0 for the tenth; with shift the next ten, with alt the ten after.
 * @param code the key's place on the keyboard, since a digit with shift is another sign on every one
 */
export function actionOf(key: string, code = "", row: 0 | 1 | 2 = 0): KeyAction | undefined {
  const digit = /^(?:Digit|Numpad)([0-9])$/.exec(code)?.[1] ?? (/^[0-9]$/.test(key) ? key : undefined);
  if (digit !== undefined)
    return { kind: "digit", index: (digit === "0" ? 9 : Number(digit) - 1) + row * DIGITS_IN_ROW };
  return row === 2 ? undefined : LETTERS[key];
}

/** What the desks of this world agree on: undo and redo with the command key of the platform. */
export function withCommand({
  ctrlKey,
  metaKey,
  shiftKey,
  key,
}: Pick<KeyboardEvent, "ctrlKey" | "metaKey" | "shiftKey" | "key">): KeyAction | undefined {
  if (!ctrlKey && !metaKey) return undefined;
  const letter = key.toLowerCase();
  if (letter === "z") return { kind: shiftKey ? "redo" : "undo" };
  return letter === "y" ? { kind: "redo" } : undefined;
}

const withoutCommand = (event: KeyboardEvent): KeyAction | undefined =>
  event.ctrlKey || event.metaKey
    ? undefined
    : actionOf(event.key, event.code, event.altKey ? 2 : event.shiftKey ? 1 : 0);

/** Listens to keys while a view is shown. */
export function useKeys(onAction: (action: KeyAction) => void): void {
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const { target } = event;
      const typing = target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;
      const inMenu = target instanceof HTMLElement && target.closest('[role="menu"], [role="dialog"]') !== null;
      if (typing || inMenu) return;
      const action = withCommand(event) ?? withoutCommand(event);
      if (action === undefined) return;
      event.preventDefault();
      onAction(action);
    };
    window.addEventListener("keydown", listen);
    return () => window.removeEventListener("keydown", listen);
  }, [onAction]);
}
