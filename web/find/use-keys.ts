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
  z: { kind: "undo" },
  y: { kind: "redo" },
  "?": { kind: "help" },
  ArrowRight: { kind: "move", by: 1 },
  ArrowLeft: { kind: "move", by: -1 },
  ".": { kind: "station", by: 1 },
  ",": { kind: "station", by: -1 },
};

/** What a key asks for, or undefined. Digits 1 to 9 and 0 for the tenth. */
export function actionOf(key: string): KeyAction | undefined {
  if (/^[0-9]$/.test(key)) return { kind: "digit", index: key === "0" ? 9 : Number(key) - 1 };
  return LETTERS[key];
}

/** Listens to keys while a view is shown. */
export function useKeys(onAction: (action: KeyAction) => void): void {
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const { target } = event;
      const typing = target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;
      const inMenu = target instanceof HTMLElement && target.closest('[role="menu"], [role="dialog"]') !== null;
      if (typing || inMenu || event.altKey || event.metaKey) return;
      if (event.ctrlKey && event.key !== "z") return;
      const action = actionOf(event.key);
      if (action === undefined) return;
      event.preventDefault();
      onAction(action);
    };
    window.addEventListener("keydown", listen);
    return () => window.removeEventListener("keydown", listen);
  }, [onAction]);
}
