/** The lines of a pot: every body that is carried as food and every jar, each with what is still missing before it is cooked. */
import { type Carried, CONDITION_CODES, CONDITION_WORDS, type ConditionCode } from "@jittery-cap/core";
import {
  freshUntil,
  handlingTogether,
  type KindInPot,
  type KitchenHandling,
  keepsUntil,
  kindKey,
  leftOf,
  type Meal,
  type Missing,
  missingForPot,
  NOT_BY_TICK,
  type PotItem,
  pickedAt,
} from "@jittery-cap/core/kitchen";
import type { ShownDecision } from "../documents/decisions.ts";
import type { Kept } from "../documents/documents.ts";
import type { Kitchen } from "./use-kitchen.ts";

export interface PotLine {
  readonly key: string;
  /** What it is called: "A of ceps under spruce", "jar 7K2QX". */
  readonly name: string;
  readonly decision: ShownDecision | undefined;
  readonly item: PotItem | undefined;
  readonly handling: KitchenHandling | undefined;
  readonly missing: readonly Missing[];
  /** Until when it keeps, milliseconds. */
  readonly keepsUntil: number | undefined;
}

type Met = ReadonlyMap<string, ReadonlySet<string>>;

const isCondition = (code: string): code is ConditionCode => CONDITION_CODES.some((one) => one === code);

/** Where a body already is, besides one document. */
export function elsewhereOf(
  kitchen: Kitchen,
  find: string,
  body: string,
  besides: string,
): "meal" | "batch" | undefined {
  const isOf = (one: { readonly find: string; readonly body: string }) => one.find === find && one.body === body;
  if (kitchen.batches.some(({ id, content }) => id !== besides && content.from.some(isOf))) return "batch";
  const meal = kitchen.meals.some(
    ({ id, content }) => id !== besides && content.items.some((item) => item.batch === undefined && isOf(item)),
  );
  return meal ? "meal" : undefined;
}

interface ForLine {
  readonly kitchen: Kitchen;
  readonly met: Met;
  /** What was ticked, "find code". */
  readonly ticked: ReadonlySet<string>;
  /** The document that it is for. */
  readonly besides: string;
  readonly way: "pot" | "infusion" | "jar";
  /** When it is eaten or put up, milliseconds: until then it has to keep. */
  readonly at: number;
}

/** A carried body as a line. */
export function bodyLine(carried: Carried, { kitchen, met, ticked, besides, way, at }: ForLine): PotLine {
  const decision = kitchen.decisions.find(({ find }) => find.id === carried.find);
  const body = decision?.current?.bodies.find((one) => one.id === carried.body);
  const handling = handlingTogether(carried.kinds, kitchen.sheetOf);
  const picked = pickedAt(decision?.current?.foundAt);
  const conditions = (decision?.today.conditions ?? []).filter(isCondition);
  const missing = missingForPot(
    {
      carried,
      handling,
      conditions,
      met: met.get(carried.find) ?? new Set(),
      ticked: new Set(conditions.filter((code) => ticked.has(`${carried.find} ${code}`))),
      sorted: body?.sorted,
      picked,
      elsewhere: elsewhereOf(kitchen, carried.find, carried.body, besides),
    },
    at,
    way,
  );
  return {
    key: `${carried.find} ${carried.body}`,
    name: `${carried.body} of ${carried.label}`,
    decision,
    item:
      carried.weightG === undefined || carried.kinds.length === 0
        ? undefined
        : { find: carried.find, body: carried.body, kinds: [...carried.kinds], grams: carried.weightG },
    handling,
    missing,
    keepsUntil: handling === undefined || picked === undefined ? undefined : freshUntil(picked, handling.coldDays),
  };
}

/** A jar as a line: what it was made of has to be cleared still. */
export function jarLine(
  { id, content }: Kept<"batch">,
  { kitchen, met, ticked, at }: Pick<ForLine, "kitchen" | "met" | "ticked" | "at">,
): PotLine {
  const finds = new Set(content.from.map(({ find }) => find));
  const decisions = kitchen.decisions.filter(({ find }) => finds.has(find.id));
  // as what was put up and as what it is taken for today: the strictest of both
  const kinds = [...new Set([...content.kinds, ...decisions.flatMap(({ today }) => today.restsOn)])];
  const handling = handlingTogether(kinds, kitchen.sheetOf);
  const [first] = content.from;
  const left = leftOf(content);
  const say = (code: Missing["code"], text: string): Missing => ({ code, text });
  const notCleared = content.from.some(({ find, body }) => {
    const decision = decisions.find((one) => one.find.id === find);
    return decision === undefined || !decision.today.cleared.includes(body);
  });
  const over = keepsUntil(Date.parse(content.madeAt), content.way);
  return {
    key: `jar ${id}`,
    name: `jar ${content.code}`,
    decision: kitchen.decisions.find((one) => one.find.id === first?.find),
    item:
      first === undefined || left === undefined || left === 0
        ? undefined
        : { find: first.find, body: first.body, batch: id, kinds, grams: left },
    handling,
    missing: [
      ...(notCleared ? [say("apart", "today's answer does not clear what it was made of")] : []),
      ...(handling === undefined
        ? [say("kitchen-unknown", "a sheet that it rests on says nothing of the kitchen")]
        : []),
      ...(content.way === "infusion" ? [say("too-tough", "for infusions only")] : []),
      ...(left === undefined ? [say("no-weight", "not weighed")] : []),
      ...(at > over ? [say("too-old", "past its time")] : []),
      ...decisions.flatMap(({ find, today }) =>
        today.conditions.filter(isCondition).flatMap((code): Missing[] => {
          const byTick = !NOT_BY_TICK.has(code);
          const isTicked =
            ticked.has(`${find.id} ${code}`) || content.ticks.some((one) => one.find === find.id && one.code === code);
          const isMet = met.get(find.id)?.has(code) === true || (byTick && isTicked);
          return isMet ? [] : [{ code: "condition", text: CONDITION_WORDS[code], condition: code, byTick }];
        }),
      ),
    ],
    keepsUntil: over,
  };
}

/** All that could come to a meal. */
export function potLines(meal: Kept<"meal">, kitchen: Kitchen, met: Met): readonly PotLine[] {
  const ticked = new Set(meal.content.ticks.map(({ find, code }) => `${find} ${code}`));
  const at = Math.max(kitchen.now.getTime(), Date.parse(meal.content.at));
  const food = kitchen.carried.filter(
    (one) => one.compartment !== "apart-from-food" || meal.content.items.some((item) => isBody(item, one)),
  );
  return [
    ...food.map((one) => bodyLine(one, { kitchen, met, ticked, besides: meal.id, way: "pot", at })),
    ...kitchen.batches
      .filter(({ id, content }) => leftOf(content) !== 0 || meal.content.items.some((item) => item.batch === id))
      .map((batch) => jarLine(batch, { kitchen, met, ticked, at })),
  ];
}

const isBody = (item: PotItem, one: Carried): boolean =>
  item.batch === undefined && item.find === one.find && item.body === one.body;

export const itemKey = (item: PotItem): string =>
  item.batch === undefined ? `${item.find} ${item.body}` : `jar ${item.batch}`;

/** The kinds of what is chosen and lacks nothing, each once, with its grams as fresh weight. */
export function kindsInPot(meal: Meal, lines: readonly PotLine[], kitchen: Kitchen): readonly KindInPot[] {
  const kinds = new Map<string, KindInPot>();
  const thrown = new Set(meal.pans.filter(({ smell }) => smell !== "mushroom").map(({ kind }) => kind));
  for (const item of meal.items) {
    // what is put in, or cleared, once cooking has begun is for another meal
    if (meal.begun?.items.includes(itemKey(item)) === false) continue;
    const line = lines.find(({ key }) => key === itemKey(item));
    if (line === undefined || line.missing.length > 0 || line.handling === undefined) continue;
    const key = kindKey(line.handling.kinds);
    if (thrown.has(key)) continue;
    // no more comes out of a jar than is left in it
    const most = item.batch === undefined ? item.grams : (line.item?.grams ?? 0);
    const grams = Math.min(item.cleanedGrams ?? item.grams, most) * freshFactor(item, kitchen);
    kinds.set(key, { handling: line.handling, grams: (kinds.get(key)?.grams ?? 0) + grams });
  }
  return [...kinds.values()];
}

/** What a gram out of a jar was when it was fresh. */
function freshFactor(item: PotItem, kitchen: Kitchen): number {
  const batch = kitchen.batches.find(({ id }) => id === item.batch)?.content;
  return batch?.gramsOut === undefined ? 1 : Math.max(1, batch.gramsIn / batch.gramsOut);
}
