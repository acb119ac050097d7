/** What stands over the tests that are left: the way to an answer is promised only where they lead to one. */
import type { Answer, ReasonCode } from "@jittery-cap/core";

type Held = Pick<Answer, "next" | "reasons">;

/** What no look moves: where and when it stood, and that it dried out there. */
const NOT_BY_LOOKING: ReadonlySet<ReasonCode> = new Set<ReasonCode>([
  "out-of-season",
  "out-of-region",
  "out-of-height",
  "dried-out",
]);

/** How long tests take: minutes at the find, and hours of waiting. */
export const timeWords = (minutes: number, hours: number): string =>
  `${minutes} min${hours > 0 ? `, then ${hours} h` : ""}`;

/** Whether the find is held whatever the tests that are left show, and no body left out changes that. */
export const staysHeld = ({ next, reasons }: Held): boolean =>
  next.further.every((one) => one.leaveOut === undefined) &&
  (next.cannotSettle.length > 0 || reasons.some((reason) => NOT_BY_LOOKING.has(reason.code)));

/** Said before anybody waits a night for a print that cannot bring the find to the basket. */
export const STAYS_HELD = "They tell more of it, and do not bring it to the basket: what is said below stays open.";

/** What the tests that are left, or their lack, are headed by. */
export function wayTitle(held: Held): string {
  const { tests, minutes, waitHours, further } = held.next;
  if (tests.length > 0)
    return `${staysHeld(held) ? "Left to look at" : "The shortest way to an answer"}: ${timeWords(minutes, waitHours)}`;
  return further.some((one) => one.leaveOut !== undefined)
    ? "The shortest way to an answer"
    : "What cannot be settled here";
}
