/** How one sought kind stands, worked out the plain, slow way: the oracle for the compiled tables. */
import { type Candidate, type Contradiction, isAllowed, TOLD } from "../../judge/candidates.ts";
import type { RulesInForce } from "../../judge/condition.ts";
import type { Look } from "../../judge/looks.ts";
import { missingMusts } from "../../judge/musts.ts";
import type { BodyScene, Scene } from "../../judge/scene.ts";
import { misplacedBy } from "../../judge/season.ts";
import { sizePoints } from "../../judge/sizes.ts";
import type { Sheet } from "../../knowledge/sheet.ts";
import { plainAgreement } from "./agreement.ts";
import { plainPoint } from "./point.ts";

/** Weighs one sought sheet against the find. All bodies count, kept or not: they are thought to be one kind. */
export function plainCandidate(
  sheet: Sheet,
  scene: Scene,
  rules: RulesInForce,
): Omit<Candidate, "near"> & { near: string | undefined } {
  const odd = new Set<string>();
  const contradictions: Contradiction[] = [];
  const doubts: Contradiction[] = [];
  const weigh = (look: Look, body: BodyScene | undefined) => {
    const agreement = plainAgreement(sheet, look, body?.body.age, body?.conditions, true);
    if (agreement.kind !== "contradicts" && agreement.kind !== "masked") return;
    const { character, text, hard } = plainPoint(sheet, look, body?.body.age);
    if (agreement.kind === "contradicts" && look.sure)
      odd.add(hard && look.body !== "site" ? "something hard" : character);
    (agreement.kind === "contradicts" && look.sure ? contradictions : doubts).push({
      character,
      body: look.body,
      text,
    });
  };
  for (const look of scene.site.values()) weigh(look, undefined);
  for (const body of scene.bodies) {
    for (const look of body.looks.values()) weigh(look, body);
    for (const point of sizePoints(sheet, body.body)) odd.add(point.hard ? "something hard" : "size");
    contradictions.push(
      ...sizePoints(sheet, body.body).map(({ character, body: id, text }) => ({ character, body: id, text })),
    );
  }
  const mustsMissing = missingMusts(sheet, scene);
  const listed = sheet.musts.length + (sheet.agesNeeded > 1 ? 1 : 0) + (sheet.seasonIsMust ? 1 : 0);
  const [only] = odd;
  const near = odd.size === 1 && only !== "something hard" ? only : undefined;
  return {
    sheet,
    fits: contradictions.length === 0,
    fitsPlainly: contradictions.length === 0 && doubts.length === 0,
    allowed: isAllowed(sheet, rules),
    mustsConfirmed: listed - mustsMissing.length,
    lacksMusts: mustsMissing.length > 0,
    mustsMissing,
    contradicted: contradictions.length,
    contradictions: contradictions.slice(0, TOLD),
    doubts: contradictions.length === 0 ? doubts.slice(0, TOLD) : [],
    near,
    misplaced: contradictions.length === 0 || near !== undefined ? misplacedBy(sheet, scene.find) : [],
  };
}
