/** Contents by kind, so that a reader need not ask what they are. */
import type { Decision } from "../decide/decision.ts";
import type { Find } from "../find/schema.ts";
import type { Batch } from "../kitchen/batch.ts";
import type { Meal } from "../kitchen/meal.ts";
import type { Tasting } from "../kitchen/tasting.ts";
import type { Outing } from "../outing/outing.ts";
import type { Reminder } from "../outing/reminder.ts";
import type { Track } from "../outing/track-leg.ts";
import type { OwnPlace } from "../place/place.ts";
import type { Sitting } from "../practice/sitting.ts";
import type { Settings } from "../settings/settings.ts";
import type { Opinion } from "./kinds/opinion.ts";
import type { Picture } from "./kinds/picture.ts";

export interface ContentOf {
  readonly find: Find;
  readonly settings: Settings;
  readonly picture: Picture;
  readonly decision: Decision;
  readonly opinion: Opinion;
  readonly meal: Meal;
  readonly batch: Batch;
  readonly tasting: Tasting;
  readonly outing: Outing;
  readonly track: Track;
  readonly place: OwnPlace;
  readonly reminder: Reminder;
  readonly sitting: Sitting;
}
