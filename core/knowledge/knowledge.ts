/** All sheets together, as one edition. */
import { sha256 } from "@noble/hashes/sha2.js";
import { bytesToHex, utf8ToBytes } from "@noble/hashes/utils.js";
import { canonicalJson } from "../find/canonical.ts";
import { DANGER_TIERS } from "../find/taxa.ts";
import type { Sheet } from "./sheet.ts";
import { type Tables, tablesOfSheets } from "./tables.ts";

const EDITION_LENGTH = 12;

/** The shelf of sheets, split into what is feared and what is sought. */
export interface Knowledge {
  /** Short hash of the content: equal sheets, equal edition. */
  readonly edition: string;
  readonly sheets: readonly Sheet[];
  readonly dangers: readonly Sheet[];
  readonly sought: readonly Sheet[];
  readonly byId: ReadonlyMap<string, Sheet>;
  /** The dangers compiled, a row each in the order of `dangers`. */
  readonly dangerTables: Tables;
  /** The sought kinds compiled, a row each in the order of `sought`. */
  readonly soughtTables: Tables;
}

/**
 * Puts checked sheets on the shelf, in the order of their ids whatever the order given.
 * @param known their edition, where it was told before of these very sheets
 */
export function shelve(sheets: readonly Sheet[], known?: string): Knowledge {
  const ordered = [...sheets].sort((one, other) => (one.id < other.id ? -1 : one.id > other.id ? 1 : 0));
  const dangers = ordered.filter((sheet) => DANGER_TIERS.has(sheet.tier));
  const sought = ordered.filter((sheet) => !DANGER_TIERS.has(sheet.tier));
  let edition = known;
  return {
    // hashed when it is first asked for: shelves that are only tried out never are
    get edition() {
      edition ??= bytesToHex(sha256(utf8ToBytes(canonicalJson(ordered)))).slice(0, EDITION_LENGTH);
      return edition;
    },
    sheets: ordered,
    dangers,
    sought,
    byId: new Map(ordered.map((sheet) => [sheet.id, sheet])),
    dangerTables: tablesOfSheets(dangers),
    soughtTables: tablesOfSheets(sought),
  };
}
