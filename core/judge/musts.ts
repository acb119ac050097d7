/** What a sought kind demands to have been shown before it may be named, and what shows it. */
import type { Age, CharacterId } from "../find/vocabulary.ts";
import type { Clause, Sheet } from "../knowledge/sheet.ts";
import { bitsOf } from "../knowledge/tables.ts";
import type { Look } from "./looks.ts";
import { isHidden } from "./masks.ts";
import type { BodyScene, Scene } from "./scene.ts";
import { monthWords } from "./season.ts";

/** A must that is not yet confirmed, with what it asks. */
export interface MissingMust {
  readonly character: string;
  readonly says: string;
}

/** The must that stands for bodies of more than one age. */
export const AGES_MUST = "age";
/** The must that stands for a date, of a kind whose months are a character of it. */
export const SEASON_MUST = "season";

/** A sure look that no mask could have made out of something else: it can confirm a must. */
interface Proof {
  readonly states: number;
  readonly age: Age | undefined;
  readonly body: BodyScene | undefined;
  /** Whether it proves only what is asked of its age: at another the same would be something else. */
  readonly onlyOfItsAge: boolean;
}

/** The proofs of a find by character, made once for all sheets. */
export type Proofs = ReadonlyMap<CharacterId, readonly Proof[]>;

/** Gathers what can confirm musts: the site's looks, and those of every body. */
export function proofsOf(scene: Scene): Proofs {
  const proofs = new Map<CharacterId, Proof[]>();
  const add = ({ character, states }: Look, body: BodyScene | undefined, onlyOfItsAge: boolean) => {
    const proof = { states: bitsOf(character, states), age: body?.body.age, body, onlyOfItsAge };
    const known = proofs.get(character);
    if (known === undefined) proofs.set(character, [proof]);
    else known.push(proof);
  };
  for (const look of scene.site.values()) add(look, undefined, false);
  for (const body of scene.bodies)
    for (const look of body.looks.values())
      if (look.sure && !isHidden(look, body.conditions, true)) add(look, body, isHidden(look, body.conditions));
  return proofs;
}

/** What a clause asks for, and what else may be seen with it, as bit sets. */
interface ClauseBits {
  readonly asked: number;
  readonly allowed: number;
}
const CLAUSE_BITS = new WeakMap<Clause, ClauseBits>();

function clauseBits(clause: Clause): ClauseBits {
  let bits = CLAUSE_BITS.get(clause);
  if (bits === undefined) {
    const asked = bitsOf(clause.character, clause.states);
    bits = { asked, allowed: asked | bitsOf(clause.character, clause.beside ?? []) };
    CLAUSE_BITS.set(clause, bits);
  }
  return bits;
}

/** Whether a proof shows a clause: of the place any state, of a body some of what is asked and nothing that is not allowed. */
function shows({ states, age, body, onlyOfItsAge }: Proof, clause: Clause): boolean {
  const { asked, allowed } = clauseBits(clause);
  if ((states & asked) === 0) return false;
  if (body === undefined) return true;
  if (clause.ages === undefined) return !onlyOfItsAge && (states & ~allowed) === 0;
  return age !== undefined && clause.ages.includes(age) && (states & ~allowed) === 0;
}

const NO_PROOFS: readonly Proof[] = [];

/** Whether every clause of a way is shown, by the site or by any body, or by the one body that is asked about. */
export function isConfirmed(clauses: readonly Clause[], proofs: Proofs, on?: BodyScene): boolean {
  for (const clause of clauses) {
    let isShown = false;
    for (const proof of proofs.get(clause.character) ?? NO_PROOFS)
      if ((on === undefined || proof.body === undefined || proof.body === on) && shows(proof, clause)) {
        isShown = true;
        break;
      }
    if (!isShown) return false;
  }
  return true;
}

/**
 * The musts of a sheet that no sure, unhidden look confirms.
 * @param upTo so many of them are enough to know: of many kinds it is only asked whether any is missing
 */
export function missingMusts(
  sheet: Sheet,
  scene: Scene,
  proofs: Proofs = proofsOf(scene),
  upTo = Number.POSITIVE_INFINITY,
): MissingMust[] {
  const missing: MissingMust[] = [];
  const agesSeen = new Set<string>();
  const region = scene.find.place?.region;
  for (const must of sheet.musts) {
    if (region !== undefined && must.regions?.includes(region) === false) continue;
    const way = must.ways.find((clauses) => isConfirmed(clauses, proofs));
    const everywhere =
      !sheet.everyBody.includes(must.character) ||
      scene.kept.every((body) => must.ways.some((clauses) => isConfirmed(clauses, proofs, body)));
    if (way === undefined || !everywhere) missing.push({ character: must.character, says: must.says });
    if (missing.length >= upTo) return missing;
    if (sheet.agesNeeded === 1) continue;
    for (const clause of way ?? [])
      for (const proof of proofs.get(clause.character) ?? NO_PROOFS)
        if (proof.age !== undefined && shows(proof, clause)) agesSeen.add(proof.age);
  }
  if (agesSeen.size < sheet.agesNeeded && sheet.agesNeeded > 1)
    missing.push({ character: AGES_MUST, says: `seen on bodies of ${sheet.agesNeeded} different ages` });
  if (sheet.seasonIsMust && scene.find.foundAt === undefined)
    missing.push({
      character: SEASON_MUST,
      says: `the day it was found, for its months are a character of it (${monthWords(Object.values(sheet.months).flat())})`,
    });
  return missing;
}
