/** Circles: people who look at each other's finds, each in a role; what of a find is shared, and who may do what with it. */
import { z } from "zod";
import type { Change } from "../find/changes.ts";

/**
 * owner: sees to the circle; member; knows: whose looks in the hand count as a second person's, for the genera the circle trusts
 * them with; learner: whose finds need one who knows before anything of them is food.
 */
export const ROLES = ["owner", "member", "knows", "learner"] as const;
export type Role = (typeof ROLES)[number];

/** What of the place is shared with a find: nothing, where it is to a tenth of a degree (some ten kilometres), or all. */
export const PLACES_SHOWN = ["none", "rounded", "exact"] as const;
export type PlaceShown = (typeof PLACES_SHOWN)[number];

const GENUS_LENGTH = 40;
const MOST_GENERA = 100;

/** A genus as sheets and neighbours name it: small letters. */
export const genusSchema = z
  .string()
  .trim()
  .toLowerCase()
  .max(GENUS_LENGTH)
  .regex(/^[a-z]+$/, "expected the name of a genus, such as boletus");
export const trustedSchema = z.array(genusSchema).max(MOST_GENERA);

/** Under which standing somebody said something: frozen as it was then. */
export const saidBySchema = z.strictObject({
  person: z.uuid(),
  circle: z.uuid(),
  role: z.enum(ROLES),
  /** The genera that the circle trusted them with. */
  trusted: trustedSchema,
});
export type SaidBy = z.infer<typeof saidBySchema>;

/** The genera of sheets: a sheet's id begins with its genus. */
export const generaOf = (sheets: readonly string[]): ReadonlySet<string> =>
  new Set(sheets.map((sheet) => sheet.split("-")[0] ?? sheet));

/**
 * Whether somebody's looks in the hand count as a second person's for a find.
 * @param sheets the kinds that the answer rests on; where it rests on none, nobody is trusted with it
 */
export function isTrustedWith({ role, trusted }: SaidBy, sheets: readonly string[]): boolean {
  const genera = [...generaOf(sheets)];
  return role === "knows" && genera.length > 0 && genera.every((genus) => trusted.includes(genus));
}

/** What somebody may do with a find that is another's. */
export interface Shared {
  readonly place: PlaceShown;
  /** Whether they may add looks of their own. */
  readonly mayRecord: boolean;
}

/**
 * Whether somebody may make a change to a find that is another's: looks of their own, under their own id, and nothing else. What a
 * body is, where it stood and what becomes of it is its finder's to say.
 */
export function mayChangeShared(change: Change, { mayRecord }: Shared, person: string): boolean {
  if (!mayRecord) return false;
  switch (change.kind) {
    case "observe":
      return change.by === person && change.entries.every((entry) => entry.by === person);
    case "unsee":
      return change.by === person;
    case "add-body":
    case "remove-body":
    case "set-body":
    case "set-site":
    case "set-weather":
    case "set-place":
    case "set-rule":
    case "set-find":
      return false;
  }
}
