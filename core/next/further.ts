/** What would settle what the tests at hand cannot: leaving a body out, another body or person, a microscope. */
import { theKind } from "../find/the-kind.ts";
import { CHARACTER_WORDS, wordList } from "../find/words.ts";
import type { Candidate } from "../judge/candidates.ts";
import { familyBitOf } from "../judge/families.ts";
import { evidenceOf, type Judgement, judge } from "../judge/judge.ts";
import { type BodyVerdict, rule } from "../judge/verdict.ts";
import { NEVER } from "../judge/weigh.ts";
import { familiesIn, type Need } from "./needs.ts";
import type { Further } from "./planned.ts";
import { secondBit } from "./second-looks.ts";

interface Unsettled {
  readonly judgement: Judgement;
  readonly supposed: Candidate;
  /** What the planned tests leave open. */
  readonly open: readonly Need[];
  readonly bodies: readonly BodyVerdict[];
}

const DANGERS_NAMED = 3;
const TOLD_AT_MOST = 4;

/** Says what else would help, the nearest at hand first; a few lines at the most. */
export function furtherOf({ judgement, supposed, open, bodies }: Unsettled): Further[] {
  const further: Further[] = [];
  const say = (one: Further) => {
    if (!further.some((told) => told.text === one.text)) further.push(one);
  };
  const without = leavingOut(judgement, bodies);
  if (without !== undefined) say(without);
  if (supposed.near !== undefined)
    say({ text: `Take another body of the troop and look at ${supposed.near.text.replace(/ \(.*/s, "")} there.` });
  const alike = new Map<string, string[]>();
  const twice = new Map<string, string[]>();
  const add = (to: Map<string, string[]>, key: string, name: string) => to.set(key, [...(to.get(key) ?? []), name]);
  for (const need of open) {
    const { body, danger } = need;
    const lifting = evidenceOf(judgement, danger, body).masks.find((mask) => mask.lift !== undefined);
    const name = theKind(danger.sheet.names.common);
    const once = seenOnce(judgement, need);
    if (once !== undefined) add(twice, `${once} of ${body}`, name);
    if (lifting !== undefined) say({ text: `${capital(lifting.lift ?? "")}.` });
    if (once === undefined && lifting === undefined) add(alike, body, name);
  }
  for (const [look, names] of twice)
    say({
      text: `Have a second person look at the ${look}: seen the same by two it counts twice against ${named(names)}.`,
    });
  for (const [body, names] of alike)
    say({
      text: `No look that is left at ${body} tells ${theKind(supposed.sheet.names.common)} from ${named(names)}; spores under a microscope, or somebody who knows them, may.`,
    });
  for (const { text } of supposed.misplaced) say({ text: `${text} Somebody who knows the kind there has to see it.` });
  return further.slice(0, TOLD_AT_MOST);
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

function named(names: readonly string[]): string {
  const more = names.length - DANGERS_NAMED;
  return wordList(more > 1 ? [...names.slice(0, DANGERS_NAMED), `${more} others`] : names);
}

/** Where some bodies hold up the others: whom to leave out. Said only of what the verdict would then really be. */
function leavingOut({ scene, knowledge }: Judgement, bodies: readonly BodyVerdict[]): Further | undefined {
  const kept = bodies.filter((body) => body.kept);
  const good = kept.filter((body) => body.verdict === "basket").map((body) => body.body);
  const others = kept.filter((body) => body.verdict === "hold").map((body) => body.body);
  if (good.length === 0 || others.length === 0) return undefined;
  const left = scene.find.bodies.map((body) => (others.includes(body.id) ? { ...body, keep: false } : body));
  if (rule(judge({ ...scene.find, bodies: left }, knowledge)).verdict !== "basket") return undefined;
  const [all, them] = [wordList(others, "and"), wordList(good, "and")];
  return {
    leaveOut: others,
    text: `Only ${all} ${others.length > 1 ? "are" : "is"} in the way: leave ${all} out, and the answer for ${them} is the basket.`,
  };
}

/**
 * What the danger never shows and was surely seen once on this body, in words: where one mistake more is enough, a second
 * person's look at it is that one.
 */
function seenOnce({ weighed, rules }: Judgement, need: Need): string | undefined {
  if (familiesIn(need.speaking) + 1 < rules.distance) return undefined;
  const once = weighed
    .find((one) => one.body.body.id === need.body)
    ?.looks.find(
      ({ look, at, weighing }) =>
        look.sure &&
        at !== undefined &&
        weighing[need.danger.row] === NEVER &&
        (need.speaking & secondBit(familyBitOf(look.character))) === 0,
    );
  return once === undefined ? undefined : CHARACTER_WORDS[once.look.character].plain;
}
