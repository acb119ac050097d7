/** A find for a second pair of eyes: without the answer, so that the opinion is independent, and without the place. */
import { z } from "zod";
import type { Change } from "../find/changes.ts";
import { type Entry, entrySchema } from "../find/entry.ts";
import { bodyIdSchema, type Find } from "../find/schema.ts";
import type { CharacterId } from "../find/vocabulary.ts";
import { bodyLooks } from "../judge/looks.ts";

const NAME_LENGTH = 120;

/** Who or what looked at a find besides the finder. Only a person with the specimen in hand fulfils the condition. */
export const OPINION_KINDS = ["in-hand", "from-pictures", "simulated", "book"] as const;
export type OpinionKind = (typeof OPINION_KINDS)[number];

/** One look of somebody else at one body. */
export const opinionLookSchema = z.strictObject({ body: bodyIdSchema, entry: entrySchema });
export type OpinionLook = z.infer<typeof opinionLookSchema>;

/** What whoever has the link says of a packet. */
export const saidOfPacketSchema = z.strictObject({
  id: z.uuid(),
  name: z.string().trim().min(1).max(NAME_LENGTH),
  inHand: z.boolean(),
  looks: z.array(opinionLookSchema).min(1).max(400),
});
export type SaidOfPacket = z.infer<typeof saidOfPacketSchema>;

/** What a person writes in their own words begins so. */
const OWN_WORDS = "note:";
const NOT_LOOKED = "not looked at";

/**
 * The record as it goes to somebody else. The finder's own name for it, what it was taken for, the rules, the endings and the
 * place stay at home, and so do the looks of other observers (each opinion stands for itself) and whatever stands in the
 * finder's own words: it may tell the place.
 * @param id the packet's own: by the find's the whole record could be asked for
 */
export function packetOf(find: Find, id: string): Find {
  const {
    label: _label,
    takenFor: _takenFor,
    rules: _rules,
    place,
    note: _note,
    observers: _observers,
    bodies,
    site,
    ...rest
  } = find;
  return {
    ...rest,
    id,
    ...(site === undefined ? {} : { site: siteOf(site) }),
    ...(place?.region === undefined ? {} : { place: { region: place.region } }),
    bodies: bodies.map(({ ending: _ending, seen, ...body }) => {
      const own = (seen ?? [])
        .filter((entry) => entry.by === undefined)
        .map((entry) => (entry.unseen === undefined ? entry : { ...entry, unseen: NOT_LOOKED }));
      return own.length === 0 ? body : { ...body, seen: own };
    }),
  };
}

function siteOf({ neighbours, ...site }: NonNullable<Find["site"]>): NonNullable<Find["site"]> {
  const named = (neighbours ?? []).filter((one) => !one.startsWith(OWN_WORDS));
  return named.length === 0 ? site : { ...site, neighbours: named };
}

/** Where two looks at one body agree or differ. */
export interface Comparison {
  readonly body: string;
  readonly character: CharacterId;
  readonly mine: readonly string[] | undefined;
  readonly theirs: readonly string[] | undefined;
  readonly relation: "agrees" | "differs" | "new";
}

/** Sets somebody else's looks beside the finder's. */
export function compareLooks(find: Find, looks: readonly OpinionLook[]): readonly Comparison[] {
  return looks.flatMap(({ body: id, entry }): Comparison[] => {
    const body = find.bodies.find((one) => one.id === id);
    if (body === undefined) return [];
    const own = (body.seen ?? []).filter((one) => one.by === undefined);
    const mine = bodyLooks(find, { ...body, seen: own }).get(entry.character)?.states;
    const theirs = entry.states;
    const relation =
      mine === undefined
        ? "new"
        : theirs !== undefined && [...theirs].sort().join() === [...mine].sort().join()
          ? "agrees"
          : "differs";
    return [{ body: id, character: entry.character, mine, theirs, relation }];
  });
}

/**
 * The changes that take somebody else's looks into the record, as those of an observer of their own: where they differ from the
 * finder's they make it unsure. Looks from pictures are marked as such and confirm nothing.
 */
export function opinionChanges(
  find: Find,
  observer: string,
  name: string,
  fromPictures: boolean,
  looks: readonly OpinionLook[],
): readonly Change[] {
  const observers = find.observers ?? [];
  const known = observers.some((one) => one.id === observer);
  const bodies = new Set(find.bodies.map((body) => body.id));
  const entryOf = ({ by: _by, ...entry }: Entry): Entry => ({
    ...entry,
    by: observer,
    ...(fromPictures ? { method: "picture" as const } : {}),
  });
  return [
    ...(known
      ? []
      : [
          {
            kind: "set-find" as const,
            field: "observers" as const,
            value: [...observers, { id: observer, name }],
          },
        ]),
    ...looks
      .filter((look) => bodies.has(look.body))
      .map(
        ({ body, entry }): Change => ({
          kind: "observe",
          body,
          character: entry.character,
          by: observer,
          entries: [entryOf(entry)],
        }),
      ),
  ];
}
