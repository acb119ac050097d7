/** All kinds of document, by name. */
import { decisionKind } from "./kinds/decision.ts";
import { findKind } from "./kinds/find.ts";
import { batchKind, mealKind, tastingKind } from "./kinds/kitchen.ts";
import { opinionKind } from "./kinds/opinion.ts";
import { outingKind, placeKind, reminderKind, trackKind } from "./kinds/outing.ts";
import { pictureKind } from "./kinds/picture.ts";
import { sittingKind } from "./kinds/practice.ts";
import { settingsKind } from "./kinds/settings.ts";

export const KINDS = {
  find: findKind,
  settings: settingsKind,
  picture: pictureKind,
  decision: decisionKind,
  opinion: opinionKind,
  meal: mealKind,
  batch: batchKind,
  tasting: tastingKind,
  outing: outingKind,
  track: trackKind,
  place: placeKind,
  reminder: reminderKind,
  sitting: sittingKind,
} as const;
export type KindName = keyof typeof KINDS;

export const KIND_NAMES = [
  "find",
  "settings",
  "picture",
  "decision",
  "opinion",
  "meal",
  "batch",
  "tasting",
  "outing",
  "track",
  "place",
  "reminder",
  "sitting",
] as const satisfies readonly KindName[];
