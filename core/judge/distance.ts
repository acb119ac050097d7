/** How many separate mistakes away a danger is from one body. */
import type { Family } from "../find/vocabulary.ts";
import type { Sheet } from "../knowledge/sheet.ts";
import { agreementOf, type MaskUse, maskUse, type Point, pointOf } from "./contradictions.ts";
import type { Look } from "./looks.ts";
import { type BodyScene, type Inherited, type Scene, undoesQuickLook } from "./scene.ts";
import { sizePoints } from "./sizes.ts";

export const STATUSES = ["stands", "one-mistake", "two-mistakes", "ruled-out"] as const;
/**
 * stands: nothing seen speaks against it. one-mistake: one family, or several soft ones alone. ruled-out: as many
 * families as the house rule asks, one of them hard. two-mistakes: two with a hard one, where the house rule asks three.
 */
export type Status = (typeof STATUSES)[number];

/** What the core says of one danger and one body. */
export interface Distance {
  readonly body: string;
  readonly mistakes: number;
  readonly status: Status;
  readonly points: readonly Point[];
  readonly masks: readonly MaskUse[];
  /** Looks that fit the danger's sheet, sure or not. */
  readonly speaksFor: readonly Look[];
}

/** Measures the distance of one danger from one body. */
export function distanceOf(
  danger: Sheet,
  scene: Scene,
  body: BodyScene,
  inherited: readonly Inherited[],
  asked: 2 | 3,
): Distance {
  const points: Point[] = sizePoints(danger, body.body);
  const masks: MaskUse[] = [];
  const speaksFor: Look[] = [];
  const weigh = (look: Look, at: BodyScene | undefined): Point[] => {
    const agreement = agreementOf(danger, look, at?.body.age, at?.conditions, false);
    if (agreement.kind === "agrees") speaksFor.push(look);
    if (agreement.kind === "masked") masks.push(...agreement.masks.map((mask) => maskUse(mask, look)));
    return agreement.kind === "contradicts" && look.sure ? [pointOf(danger, look, at?.body.age)] : [];
  };
  for (const look of scene.site.values()) points.push(...weigh(look, undefined));
  for (const look of body.looks.values()) points.push(...weigh(look, body));
  const borrowed = inherited.flatMap(({ look, from }) => weigh(look, from));
  const own = new Set(points.map((point) => point.family));
  const extra = borrowed.filter((point) => !own.has(point.family));
  const granted = grantedPoint(body, points, extra);
  const counted = granted === undefined ? points : [...points, granted];
  const mistakes = new Set(counted.map((point) => point.family)).size;
  return {
    body: body.body.id,
    mistakes,
    status: statusOf(counted, mistakes, asked),
    points: counted,
    masks,
    speaksFor,
  };
}

/**
 * All that a body inherits rests on its quick look: one mistake there undoes all of it, so it is worth one mistake at
 * most, and none where a point of the body's own rests on that same quick look alone.
 */
function grantedPoint(body: BodyScene, own: readonly Point[], extra: readonly Point[]): Point | undefined {
  const restsOnQuickLook = [...new Set(own.map((point) => point.family))].some((family) => {
    const ofFamily = own.filter((point) => point.family === family);
    return ofFamily.length === 1 && ofFamily.every((point) => undoesQuickLook(body, point.character));
  });
  if (restsOnQuickLook) return undefined;
  return extra.find((point) => point.hard) ?? extra[0];
}

function statusOf(points: readonly Point[], mistakes: number, asked: 2 | 3): Status {
  if (mistakes === 0) return "stands";
  const hard = points.some((point) => point.hard);
  if (mistakes < 2 || !hard) return "one-mistake";
  return mistakes >= asked ? "ruled-out" : "two-mistakes";
}

/** The family of evidence that a point belongs to, once each, in order. */
export function familiesOf(points: readonly Point[]): readonly Family[] {
  return [...new Set(points.map((point) => point.family))];
}
