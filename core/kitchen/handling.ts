/** What several kinds ask of the kitchen together: the strictest of each. "One of these three" is handled as the most delicate. */
import type { Sheet } from "../knowledge/sheet.ts";

/** What of a sheet the kitchen needs. */
export type KitchenSheet = Pick<Sheet, "id" | "names" | "tier" | "handling" | "keeping" | "buttonLike">;

export interface KitchenHandling {
  readonly kinds: readonly string[];
  readonly names: readonly string[];
  /** What it is called at the stove: "field mushroom or one of 3 near it". */
  readonly name: string;
  /** Least minutes at a lively heat. */
  readonly minutes: number;
  /** Boiled first for so long, and that water away; nought where it is not. */
  readonly boilMinutes: number;
  readonly dryPanMinutes: number;
  /** Stems are cooked by themselves for so long; nought where they are not. */
  readonly stemMinutes: number;
  readonly alcoholHours: readonly [before: number, after: number] | undefined;
  readonly storesMetals: boolean;
  readonly smallPortion: boolean;
  readonly infusionOnly: boolean;
  /** May be pickled: every one of them may. */
  readonly pickles: boolean;
  readonly off: readonly ("skin" | "tubes" | "stem" | "foot")[];
  readonly coldDays: number;
  /** Whether the pan is its last test: it is button-like, and ink or a hospital floor may come out in the heat. */
  readonly panTells: boolean;
  /** What else has to be minded, kind by kind. */
  readonly says: readonly {
    readonly name: string;
    readonly parts: string;
    readonly cooking: string;
    readonly warnings: readonly string[];
  }[];
}

/** The genus of which a yellow, ink-smelling twin gives itself away in the pan. */
const PAN_TELLS = /^(leuco)?agaricus-/;

const SHORT = 2;
const shortName = (names: readonly string[]): string =>
  names.length <= SHORT ? names.join(" or ") : `${names[0]} or one of ${names.length - 1} near it`;

/** @returns undefined where a kind has no sheet, is not for the pot, or its sheet says nothing of the kitchen */
export function handlingTogether(
  kinds: readonly string[],
  sheetOf: (id: string) => KitchenSheet | undefined,
): KitchenHandling | undefined {
  const sheets = kinds.flatMap((id) => sheetOf(id) ?? []);
  if (sheets.length < kinds.length || sheets.length === 0) return undefined;
  const parts = sheets.flatMap(({ tier, handling }) =>
    handling.kitchen !== undefined && (tier === "edible" || tier === "conditional") ? [handling.kitchen] : [],
  );
  if (parts.length < sheets.length) return undefined;
  const most = (of: (part: (typeof parts)[number]) => number | undefined): number =>
    Math.max(0, ...parts.map((part) => of(part) ?? 0));
  const alcohol = parts.flatMap((part) => (part.alcoholHours === undefined ? [] : [part.alcoholHours]));
  return {
    kinds,
    names: sheets.map(({ names }) => names.common),
    name: shortName(sheets.map(({ names }) => names.common)),
    minutes: most((part) => part.minutes),
    boilMinutes: most((part) => part.boilMinutes),
    dryPanMinutes: most((part) => part.dryPanMinutes),
    stemMinutes: most((part) => part.stemMinutes),
    alcoholHours:
      alcohol.length === 0
        ? undefined
        : [Math.max(...alcohol.map(([before]) => before)), Math.max(...alcohol.map(([, after]) => after))],
    storesMetals: parts.some((part) => part.storesMetals === true),
    smallPortion: parts.some((part) => part.smallPortion === true),
    infusionOnly: sheets.some(({ handling }) => handling.infusionOnly === true),
    pickles: parts.every((part) => part.pickles === true),
    off: [...new Set(sheets.flatMap(({ handling }) => handling.remove ?? []))],
    coldDays: Math.min(...sheets.map(({ keeping }) => keeping.coldDays)),
    panTells: sheets.some(({ id, buttonLike }) => buttonLike || PAN_TELLS.test(id)),
    says: sheets.map(({ names, handling }) => ({
      name: names.common,
      parts: handling.parts,
      cooking: handling.cooking,
      warnings: handling.warnings ?? [],
    })),
  };
}
