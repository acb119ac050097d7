/** Errors of this program in the browser, told to the server's log: what failed and where in the code, nothing of the record. */
import { under } from "../base.ts";

const LONGEST = { message: 500, stack: 4000 } as const;
/** One page tells so many and no more: an error that comes again and again fills no log. */
const AT_MOST = 20;
let told = 0;

/** What is told of an error: its name, its message and where in the code it arose; the address without what comes after `?`. */
export interface ErrorReport {
  readonly where: string;
  readonly message: string;
  readonly stack?: string;
}

/** A report of an error. Numbers with three or more decimals are struck: they could be a place. */
export function reportOf(where: string, error: unknown): ErrorReport {
  const plain = (text: string, most: number) => text.replace(/-?\d+\.\d{3,}/g, "…").slice(0, most);
  const [message, stack] =
    error instanceof Error ? [`${error.name}: ${error.message}`, error.stack] : [String(error), undefined];
  return {
    where,
    message: plain(message, LONGEST.message),
    ...(stack === undefined ? {} : { stack: plain(stack, LONGEST.stack) }),
  };
}

/** Tells the server; a server that cannot be reached is not told. */
export function reportError(where: string, error: unknown): void {
  if (told >= AT_MOST) return;
  told += 1;
  fetch(under("/api/browser-errors"), {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify(reportOf(where, error)),
  }).catch(() => undefined);
}

/** Reports what nobody caught. */
export function reportUncaught(): void {
  window.addEventListener("error", (event) => reportError("page", event.error ?? event.message));
  window.addEventListener("unhandledrejection", (event) => reportError("promise", event.reason));
}
