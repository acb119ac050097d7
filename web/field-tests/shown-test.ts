/** What a test on one body is given. */
import type { Body, Change, Find } from "@jittery-cap/core";

export interface ShownTest {
  readonly find: Find;
  readonly body: Body;
  readonly onChange: (change: Change) => void;
}
