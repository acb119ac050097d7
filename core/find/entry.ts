/** One observation: what was seen of one character on one body, or why it could not be looked at. */
import { z } from "zod";
import { localMomentSchema } from "./moment.ts";
import { CHARACTER_IDS, type CharacterId, definitionOf, isStain, METHODS, STAIN_SPEEDS } from "./vocabulary.ts";

const REASON_LENGTH = 300;
const OBSERVER_LENGTH = 64;

/** Characters that are looked at on a body (the others are recorded once, under site). */
export const BODY_CHARACTERS: readonly CharacterId[] = CHARACTER_IDS.filter((id) => definitionOf(id).of === "body");

/** An observation of a body. `sure` is true when left out; an entry has `states` or `unseen`, never both. */
export interface Entry {
  character: CharacterId;
  states?: string[] | undefined;
  unseen?: string | undefined;
  sure?: boolean | undefined;
  by?: string | undefined;
  at?: string | undefined;
  method?: (typeof METHODS)[number] | undefined;
  speed?: (typeof STAIN_SPEEDS)[number] | undefined;
}

function entryOf(id: CharacterId) {
  const fields = {
    character: z.literal(id),
    states: z
      .array(z.enum(definitionOf(id).states))
      .min(1)
      .max(definitionOf(id).states.length)
      .optional(),
    unseen: z.string().min(1).max(REASON_LENGTH).optional(),
    sure: z.boolean().optional(),
    by: z.string().min(1).max(OBSERVER_LENGTH).optional(),
    at: localMomentSchema.optional(),
    method: z.enum(METHODS).optional(),
  };
  return isStain(id) ? z.strictObject({ ...fields, speed: z.enum(STAIN_SPEEDS).optional() }) : z.strictObject(fields);
}

const [first, ...rest] = BODY_CHARACTERS.map(entryOf);
if (first === undefined) throw new Error("the vocabulary has no character of a body");

const unknownCharacter = (input: unknown): string => {
  const word = typeof input === "object" && input !== null && "character" in input ? input.character : undefined;
  return `${word === undefined ? "no character named" : `unknown character ${JSON.stringify(word)}`}; allowed: ${BODY_CHARACTERS.join(", ")}`;
};

/** The entry's schema; its errors name the path and the allowed values. */
export const entrySchema: z.ZodType<Entry, Entry> = z
  .discriminatedUnion("character", [first, ...rest], {
    error: (issue) => (issue.code === "invalid_union" ? unknownCharacter(issue.input) : undefined),
  })
  .superRefine((entry, context) => {
    const refuse = (path: (string | number)[], message: string) => context.addIssue({ code: "custom", path, message });
    if (entry.states !== undefined && entry.unseen !== undefined)
      refuse([], "states and unseen exclude each other: either it was looked at, or it was not");
    if (entry.states === undefined && entry.unseen === undefined) refuse([], "states or unseen is missing");
    if (
      entry.states !== undefined &&
      entry.states.length > 1 &&
      !definitionOf(entry.character).many &&
      entry.sure !== false
    )
      refuse(
        ["states"],
        `${entry.character} has one state at a time; two can only be alternatives, with "sure": false`,
      );
  });

/** The characters that were seen, each once, in the order of handling. */
export function entryCharacters(entries: readonly Entry[]): CharacterId[] {
  const seen = new Set(entries.filter((entry) => entry.states !== undefined).map((entry) => entry.character));
  return BODY_CHARACTERS.filter((character) => seen.has(character));
}
