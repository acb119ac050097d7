/** What is open of an outing: it is not over until every find has an ending, every print is read, every open one has a date. */
import type { Find } from "../find/schema.ts";
import type { Outing } from "./outing.ts";
import type { Reminder } from "./reminder.ts";

/** One thing that is open. */
export type StillOpen =
  | { readonly kind: "no-ending"; readonly find: string; readonly label: string; readonly bodies: readonly string[] }
  | { readonly kind: "print-unread"; readonly find: string; readonly label: string; readonly body: string }
  | { readonly kind: "no-date"; readonly find: string; readonly label: string }
  /** Found by somebody who is new, and nobody else has looked. */
  | { readonly kind: "only-the-new"; readonly find: string; readonly label: string; readonly name: string };

const DATED: ReadonlySet<string> = new Set(["puzzle-kept-open", "left-to-grow", "home-to-finish"]);

/** What is open, find by find. @param finds of the outing @param reminders all there are */
export function stillOpen(
  { companions, foundBy }: Pick<Outing, "companions" | "foundBy">,
  finds: readonly Find[],
  reminders: readonly Reminder[],
): readonly StillOpen[] {
  const dated = new Set(reminders.flatMap(({ find }) => find ?? []));
  return finds.flatMap(({ id: find, label = "a find without a name", bodies }): StillOpen[] => {
    const undecided = bodies.filter(({ ending }) => ending === undefined).map(({ id }) => id);
    const needsDate = bodies.some(({ ending }) => ending !== undefined && DATED.has(ending)) && !dated.has(find);
    const by = foundBy.find((one) => one.find === find);
    const isNew = by !== undefined && companions.some(({ name, isNew }) => isNew && name === by.name);
    return [
      ...(undecided.length === 0 ? [] : [{ kind: "no-ending" as const, find, label, bodies: undecided }]),
      ...bodies.flatMap(({ id: body, print }): StillOpen[] =>
        print?.laidAt !== undefined && print.readAt === undefined && print.result === undefined
          ? [{ kind: "print-unread", find, label, body }]
          : [],
      ),
      ...(needsDate ? [{ kind: "no-date" as const, find, label }] : []),
      ...(isNew && by.seenBy === undefined ? [{ kind: "only-the-new" as const, find, label, name: by.name }] : []),
    ];
  });
}
