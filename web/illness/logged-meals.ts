/** What the log knows of the last three weeks: meals and tastings with their people, finds, dangers and what is kept. Best effort: nothing here may stand in the way. */
import type { DangerThen, EatenFind, LoggedMeal } from "@jittery-cap/core";
import { type Eater, keptUntil, TASTING_STEPS } from "@jittery-cap/core/kitchen";
import { isReadable, type Kept, keptAbout, listKept } from "../documents/documents.ts";
import { opinionsOf } from "../documents/opinions.ts";
import { people } from "../kitchen/household.ts";
import { askShelf } from "../worker/judge.ts";

const DAY_MS = 86_400_000;
/** The slowest poison shows itself after days to three weeks. */
const DAYS_BACK = 21;

/** The meals and tastings of the last three weeks, latest first. */
export async function loggedMeals(now: Date): Promise<readonly LoggedMeal[]> {
  const since = now.getTime() - DAYS_BACK * DAY_MS;
  const [meals, tastings, decisions, eaters] = await Promise.all([
    listKept("meal", 500),
    listKept("tasting", 500),
    listKept("decision", Number.POSITIVE_INFINITY),
    people().catch((): readonly Eater[] => []),
  ]);
  const decided = decisions.filter(isReadable);
  const names = await kindNames();
  const nameOf = (kind: string) =>
    kind
      .split("+")
      .map((one) => names.get(one) ?? one.replaceAll("-", " "))
      .join(" or ");
  const eaterOf = (id: string) => eaters.find((one) => one.id === id);
  const personName = (id: string) => eaterOf(id)?.name ?? "somebody else";
  const logged: LoggedMeal[] = [];
  for (const { id, content } of meals.filter(isReadable)) {
    const { served } = content;
    if (served === undefined || Date.parse(served.at) < since) continue;
    const persons = [...new Set(served.portions.map(({ person }) => person))];
    logged.push({
      id,
      eatenAt: served.at,
      what: `${served.portions.map(({ person, kind, grams }) => `${personName(person)}: ${nameOf(kind)}, about ${Math.round(grams)} g`).join("; ")}. ${cookedWords(content.begun?.at, served.at)}${served.drunk === undefined ? "" : ` Drunk: ${served.drunk}.`}`.slice(
        0,
        400,
      ),
      eaters: persons.flatMap((person) => eaterOf(person) ?? []),
      finds: await findsOf([...new Set(content.items.map(({ find }) => find))], decided, nameOf),
      kept: keptOf(tastings.filter(isReadable), new Set(content.items.map(({ find }) => find))),
    });
  }
  for (const { id, content } of tastings.filter(isReadable)) {
    const last = content.portions.at(-1);
    if (last === undefined || Date.parse(last.at) < since) continue;
    const step = TASTING_STEPS[content.portions.length - 1]?.name ?? "a portion";
    logged.push({
      id,
      eatenAt: last.at,
      what: `First tasting, ${personName(content.person)}: ${step} of ${nameOf(content.kinds.join("+"))}, about ${last.grams} g`.slice(
        0,
        400,
      ),
      eaters: [content.person].flatMap((person) => eaterOf(person) ?? []),
      finds: await findsOf([content.find], decided, nameOf),
      kept: keptOf([{ content }], new Set([content.find])),
    });
  }
  return logged.sort((one, other) => Date.parse(other.eatenAt) - Date.parse(one.eatenAt));
}

function cookedWords(begunAt: string | undefined, servedAt: string): string {
  if (begunAt === undefined) return "How long it was cooked is not told.";
  return `At the stove for ${Math.round((Date.parse(servedAt) - Date.parse(begunAt)) / 60_000)} minutes in all.`;
}

async function kindNames(): Promise<ReadonlyMap<string, string>> {
  const sheets = await askShelf((remote) => remote.kitchenSheets()).catch(() => []);
  return new Map(sheets.map(({ id, names }) => [id, names.common]));
}

async function findsOf(
  finds: readonly string[],
  decided: readonly Kept<"decision">[],
  nameOf: (kind: string) => string,
): Promise<EatenFind[]> {
  const eaten: EatenFind[] = [];
  for (const id of finds) {
    // the record as it was when it was decided, and what was answered then
    const decision = decided.find(({ content }) => content.find.id === id)?.content;
    if (decision === undefined) continue;
    eaten.push({
      find: decision.find,
      takenAs: decision.answer.restsOn.map(nameOf),
      decidedAt: decision.decidedAt,
      dangers: await dangersThen(decision.answer.mistakes).catch(() => undefined),
      pictures: (await keptAbout("picture", id).catch(() => [])).map((picture) => picture.id),
      witnesses: (await opinionsOf(id).catch(() => [])).flatMap(({ kind, name }) =>
        kind === "in-hand" ? [`${name}, in the hand`] : kind === "book" ? [`book: ${name}`] : [],
      ),
    });
  }
  return eaten;
}

async function dangersThen(mistakes: Readonly<Record<string, number>>): Promise<readonly DangerThen[]> {
  const facts = await askShelf((remote) => remote.dangerFacts(Object.keys(mistakes)));
  return facts
    .map(({ id, names, syndrome, onsetHours }) => ({
      name: `${names.common} (${names.scientific})`,
      mistakes: mistakes[id] ?? 0,
      syndrome,
      onsetHours,
    }))
    .sort((one, other) => one.mistakes - other.mistakes || one.name.localeCompare(other.name));
}

function keptOf(
  tastings: readonly { readonly content: Kept<"tasting">["content"] }[],
  finds: ReadonlySet<string>,
): readonly string[] {
  return tastings
    .filter(({ content }) => finds.has(content.find))
    .flatMap(({ content }) => {
      const until = keptUntil(content);
      const words = until === undefined ? "" : `, kept until ${new Date(until.raw).toLocaleDateString()}`;
      return [
        ...(content.raw === undefined ? [] : [`A raw one: ${content.raw.where}${words}`]),
        ...(content.slice === undefined ? [] : [`A dried slice: ${content.slice.where}`]),
      ];
    });
}
