/** Judges in a thread of its own, from the same core and sheets as the server: no network is needed for an answer. */
import "../no-code-from-text.ts";
import { shelf } from "virtual:sheets";
import {
  type AnswerSummary,
  assess,
  carefulUnion,
  compareSheets,
  type DangerAnswer,
  type Difference,
  type Figure,
  type Find,
  type IfWrong,
  ifWrong,
  inFull,
  type Knowledge,
  type Marks,
  type NameMatch,
  type Raster,
  type Readable,
  type Reading,
  type Sheet,
  summarise,
  unpackShelf,
} from "@jittery-cap/core";
import type { KitchenSheet } from "@jittery-cap/core/kitchen";
import type { SeasonSheet, TellingLook } from "@jittery-cap/core/season";
import { expose } from "comlink";
import { type ShownAnswer, shownAnswer } from "../standing/shown-answer.ts";
import type { practiceRoom } from "./practice-room.ts";

/** Checked when it was packed, and in the same file as the program. */
const knowledge: Knowledge = unpackShelf(shelf);
let search: ((query: string) => readonly NameMatch[]) | undefined;

/** The trainer over the shelf; made when somebody practises. */
let practising: Promise<ReturnType<typeof practiceRoom>> | undefined;
function room(): Promise<ReturnType<typeof practiceRoom>> {
  practising ??= import("./practice-room.ts").then((module) => module.practiceRoom(knowledge));
  return practising;
}
type Room = ReturnType<typeof practiceRoom>;

/** All that is known of each danger to a find. */
export interface EvidenceTold {
  readonly dangers: readonly DangerAnswer[];
  /** The sought kind that the find seems to be, to compare a danger with. */
  readonly seems: string | undefined;
}

/** A sheet as a list shows it. */
export interface SheetLine {
  readonly id: string;
  readonly common: string;
  readonly scientific: string;
  readonly tier: Sheet["tier"];
}

/** A sheet as it is read, with drawings of a typical young and grown body. */
export interface OpenSheet {
  readonly sheet: Sheet;
  readonly figures: readonly Figure[];
  readonly lookalikes: readonly SheetLine[];
  readonly company: readonly SheetLine[];
}

/** Two sheets beside each other. */
export interface Comparison {
  readonly one: SheetLine;
  readonly other: SheetLine;
  readonly figures: readonly [Figure | undefined, Figure | undefined];
  readonly differences: readonly Difference[];
}

/** How a danger is told: from the sought kind that it is taken for, or by its own mark. */
export interface ToldDanger {
  readonly id: string;
  readonly mark: string;
  readonly look: TellingLook | undefined;
  readonly figure: Figure | undefined;
}

/** The sizes of one sheet's spores. */
export interface SporeBox extends SheetLine {
  readonly length: readonly [least: number, most: number];
  readonly width: readonly [least: number, most: number];
}

const lineOf = ({ id, names, tier }: Sheet): SheetLine => ({
  id,
  common: names.common,
  scientific: names.scientific,
  tier,
});

const judge = {
  /** The answer to a find, without the evidence in words. */
  assess(find: Find): ShownAnswer {
    return shownAnswer(assess(find, knowledge));
  },

  /** What speaks for and against each danger, and the kind that the find seems to be. */
  evidence(find: Find): EvidenceTold {
    const { dangers, candidates } = assess(find, knowledge);
    return { dangers: inFull(dangers), seems: candidates.find((one) => one.fits)?.sheet ?? candidates[0]?.sheet };
  },

  /** What is kept of the answer to a find: without a plan, and quicker for it. */
  summarise(find: Find): AnswerSummary {
    return summarise(find, knowledge);
  },

  /** The edition of the sheets that are judged by. */
  edition(): string {
    return knowledge.edition;
  },

  /** What would follow if one thing seen were wrong. */
  ifWrong(find: Find): readonly IfWrong[] {
    return ifWrong(find, knowledge);
  },

  /** Where the halves and the deposit seem to lie in a picture. */
  async findCard(raster: Raster): Promise<Marks | undefined> {
    const { findCard } = await import("./reading.ts");
    return findCard(raster);
  },

  /** A deposit read from a picture; the picture's numbers stay on this device. */
  async readColour(raster: Raster, marks: Marks, character: Readable): Promise<Reading> {
    const { readColour } = await import("./reading.ts");
    return readColour(raster, marks, character);
  },

  /** Sizes of spores as the sheets of what this may be and of the nearest dangers tell them, µm. */
  sporeBoxes(ids: readonly string[]): readonly SporeBox[] {
    return ids.flatMap((id) => {
      const sheet = knowledge.byId.get(id);
      const [length, width] = [sheet?.sizes?.sporeLengthUm, sheet?.sizes?.sporeWidthUm];
      return sheet === undefined || length === undefined || width === undefined
        ? []
        : [{ ...lineOf(sheet), length, width }];
    });
  },

  /** Two devices' records of a find as one, where that permits no more than either. */
  union(mine: Find, theirs: Find): Find | undefined {
    return carefulUnion(mine, theirs, knowledge);
  },

  /** Every sheet, dangers first, by common name. */
  listSheets(): { readonly dangers: readonly SheetLine[]; readonly sought: readonly SheetLine[] } {
    const sorted = (sheets: readonly Sheet[]) =>
      sheets.map(lineOf).sort((one, other) => one.common.localeCompare(other.common, "en"));
    return { dangers: sorted(knowledge.dangers), sought: sorted(knowledge.sought) };
  },

  /** Sheets by a name, misspelt or old or foreign, nearest first. */
  async searchNames(query: string): Promise<readonly (NameMatch & SheetLine)[]> {
    const { nameSearch } = await import("./names.ts");
    search ??= nameSearch(knowledge.sheets);
    return search(query).flatMap((match) => {
      const sheet = knowledge.byId.get(match.sheet);
      return sheet === undefined ? [] : [{ ...match, ...lineOf(sheet) }];
    });
  },

  /** What a hospital wants to know of dangers: their names, poison and hours of onset. */
  dangerFacts(ids: readonly string[]): readonly Pick<Sheet, "id" | "names" | "syndrome" | "onsetHours" | "tier">[] {
    return ids.flatMap((id) => {
      const sheet = knowledge.byId.get(id);
      if (sheet === undefined) return [];
      const { names, tier, syndrome, onsetHours } = sheet;
      return [
        {
          id,
          names,
          tier,
          ...(syndrome === undefined ? {} : { syndrome }),
          ...(onsetHours === undefined ? {} : { onsetHours }),
        },
      ];
    });
  },

  /** What of every sheet that is for the pot the kitchen needs. */
  kitchenSheets(): readonly KitchenSheet[] {
    return knowledge.sought.map(({ id, names, tier, handling, keeping, buttonLike }) => ({
      id,
      names,
      tier,
      handling,
      keeping,
      buttonLike,
    }));
  },

  /** What of every sheet the season needs. */
  async seasonSheets(): Promise<readonly SeasonSheet[]> {
    const { seasonSheet } = await import("./season-sheets.ts");
    return knowledge.sheets.map(seasonSheet);
  },

  /** The one look that tells each danger from what it is taken for, with its drawing. */
  async toldDangers(
    asked: readonly { readonly id: string; readonly takenFor: string | undefined }[],
  ): Promise<readonly ToldDanger[]> {
    const [{ figuresOf }, { ownMark, tellingLook }] = await Promise.all([
      import("./sheet-figures.ts"),
      import("./season-sheets.ts"),
    ]);
    const { byId } = knowledge;
    return asked.flatMap(({ id, takenFor }): ToldDanger[] => {
      const sheet = byId.get(id);
      const sought = takenFor === undefined ? undefined : byId.get(takenFor);
      if (sheet === undefined) return [];
      const look = sought === undefined ? undefined : tellingLook(sheet, sought);
      return [{ id, mark: ownMark(sheet), look, figure: figuresOf(sheet).at(-1) }];
    });
  },

  /** Asks the trainer by the name of what it does; askPractice says what goes in and comes out. */
  async practise(name: keyof Room, given: readonly unknown[]): Promise<unknown> {
    const asked = (await room())[name] as (...args: readonly unknown[]) => unknown;
    return asked(...given);
  },

  /** One sheet, or undefined where there is none of that id. */
  async openSheet(id: string): Promise<OpenSheet | undefined> {
    const { figuresOf } = await import("./sheet-figures.ts");
    const { byId } = knowledge;
    const sheet = byId.get(id);
    if (sheet === undefined) return undefined;
    const lines = (ids: readonly string[]) =>
      ids.flatMap((one) => {
        const known = byId.get(one);
        return known === undefined ? [] : [lineOf(known)];
      });
    return { sheet, figures: figuresOf(sheet), lookalikes: lines(sheet.lookalikes), company: lines(sheet.company) };
  },

  /** What tells two kinds apart, or undefined where one of them has no sheet. */
  async compare(one: string, other: string): Promise<Comparison | undefined> {
    const { figuresOf } = await import("./sheet-figures.ts");
    const { byId } = knowledge;
    const [first, second] = [byId.get(one), byId.get(other)];
    if (first === undefined || second === undefined) return undefined;
    return {
      one: lineOf(first),
      other: lineOf(second),
      figures: [figuresOf(first).at(-1), figuresOf(second).at(-1)],
      differences: compareSheets(first, second),
    };
  },
};
export type JudgeWorker = typeof judge;

expose(judge);
