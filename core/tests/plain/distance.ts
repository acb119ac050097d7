/** How many mistakes away one danger is from one body, worked out the plain, slow way: the oracle for the tables. */
import { type MaskUse, maskUse, type Point } from "../../judge/contradictions.ts";
import { type Status, statusOf } from "../../judge/distance.ts";
import type { Look } from "../../judge/looks.ts";
import { type BodyScene, type Inherited, type Scene, undoesQuickLook } from "../../judge/scene.ts";
import { sizePoints } from "../../judge/sizes.ts";
import type { Sheet } from "../../knowledge/sheet.ts";
import { plainAgreement } from "./agreement.ts";
import { plainPoint } from "./point.ts";

/** What the core says of one danger and one body. */
export interface PlainDistance {
  readonly body: string;
  readonly mistakes: number;
  readonly status: Status;
  readonly points: readonly Point[];
  readonly masks: readonly MaskUse[];
  /** Looks that fit the danger's sheet, sure or not. */
  readonly speaksFor: readonly Look[];
}

/** Measures the distance of one danger from one body. */
export function plainDistance(
  danger: Sheet,
  scene: Scene,
  body: BodyScene,
  inherited: readonly Inherited[],
  asked: 2 | 3,
): PlainDistance {
  const points: Point[] = sizePoints(danger, body.body);
  const masks: MaskUse[] = [];
  const speaksFor: Look[] = [];
  const weigh = (look: Look, at: BodyScene | undefined): Point[] => {
    const agreement = plainAgreement(danger, look, at?.body.age, at?.conditions, false);
    if (agreement.kind === "agrees") speaksFor.push(look);
    if (agreement.kind === "masked") masks.push(...agreement.masks.map((mask) => maskUse(mask, look)));
    return agreement.kind === "contradicts" && look.sure ? [plainPoint(danger, look, at?.body.age)] : [];
  };
  for (const look of scene.site.values()) points.push(...weigh(look, undefined));
  for (const look of body.looks.values()) points.push(...weigh(look, body));
  const borrowed = inherited.flatMap(({ look, from }) => weigh(look, from));
  const own = new Set(points.map((point) => point.family));
  const extra = borrowed.filter((point) => !own.has(point.family));
  const granted = grantedPoint(body, points, extra);
  const all = granted === undefined ? points : [...points, granted];
  const counted = isRingAlone(body, all, borrowed) ? all.filter((point) => point.family === "ring") : all;
  const mistakes = new Set(counted.map((point) => point.family)).size;
  return {
    body: body.body.id,
    mistakes,
    status: statusOf(
      mistakes,
      counted.some((point) => point.hard),
      asked,
    ),
    points: counted,
    masks,
    speaksFor,
  };
}

/** One slip at the ring of a young body would undo both its ring and its gills: where nothing else speaks, they are one. */
function isRingAlone(body: BodyScene, points: readonly Point[], borrowed: readonly Point[]): boolean {
  if (!undoesQuickLook(body, "ring") && borrowed.some((point) => point.character === "spore-print")) return false;
  const characters = points.map((point) => point.character).sort();
  return body.body.age === "young" && characters.join() === "gill-colour,ring";
}

/** The look that a point stands or falls with. */
function restsOn(body: BodyScene, character: string): string {
  return character === "gill-colour" && body.body.age === "young" ? "ring" : character;
}

/**
 * All that a body inherits rests on its quick look: one mistake there undoes all of it, so it is worth one mistake at
 * most, and none where a point of the body's own rests on that same quick look alone.
 */
function grantedPoint(body: BodyScene, own: readonly Point[], extra: readonly Point[]): Point | undefined {
  const restsOnQuickLook = [...new Set(own.map((point) => point.family))].some((family) => {
    const ofFamily = own.filter((point) => point.family === family);
    return ofFamily.length === 1 && ofFamily.every((point) => undoesQuickLook(body, restsOn(body, point.character)));
  });
  if (restsOnQuickLook) return undefined;
  return extra.find((point) => point.hard) ?? extra[0];
}
