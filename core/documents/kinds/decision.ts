/** Decisions as documents: frozen as they were made. How one stands today is worked out wherever it is shown. */
import { type Decision, decisionSchema } from "../../decide/decision.ts";
import { unchangingKind } from "./unchanging.ts";

export const decisionKind = unchangingKind<Decision>({
  kind: "decision",
  schema: decisionSchema,
  canArchive: false,
  listed: ({ find, decidedAt }) => ({ about: find.id, at: decidedAt }),
});
