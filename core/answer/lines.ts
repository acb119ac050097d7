/**
 * The lines of an answer: one a danger, one a sought kind. There are many of them and few are read to the end, so that what
 * takes words is worked out when it is asked for. As JSON they are whole; through a clone they are to be sent by `inFull`.
 */
import { definitionOf } from "../find/vocabulary.ts";
import { CHARACTER_WORDS, stateWords, wordList } from "../find/words.ts";
import type { Candidate } from "../judge/candidates.ts";
import type { Evidence } from "../judge/distance.ts";
import { type DangerDistance, evidenceOf, type Judgement } from "../judge/judge.ts";
import type { Look } from "../judge/looks.ts";
import type { CandidateAnswer, DangerAnswer, Sign } from "./answer.ts";

/** What the lines of one answer are worked out from. */
export interface Source {
  readonly judgement: Judgement;
  readonly signs: Map<Look, Sign>;
}

export class DangerLine implements DangerAnswer {
  readonly sheet;
  readonly name;
  readonly scientific;
  readonly tier;
  readonly mistakes;
  readonly status;
  readonly body;
  declare readonly syndrome?: string;
  declare readonly aside?: true;
  readonly #danger: DangerDistance;
  readonly #source: Source;
  #evidence: Evidence | undefined;

  constructor(danger: DangerDistance, source: Source) {
    const { sheet } = danger;
    this.sheet = sheet.id;
    this.name = sheet.names.common;
    this.scientific = sheet.names.scientific;
    this.tier = sheet.tier;
    this.mistakes = danger.mistakes;
    this.status = danger.status;
    this.body = danger.body;
    if (sheet.syndrome !== undefined) this.syndrome = sheet.syndrome;
    if (danger.aside) this.aside = true;
    this.#danger = danger;
    this.#source = source;
  }

  get points(): DangerAnswer["points"] {
    return this.#told().points;
  }

  get masks(): DangerAnswer["masks"] {
    return this.#told().masks;
  }

  get speaksFor(): DangerAnswer["speaksFor"] {
    return this.#told().speaksFor.map((look) => {
      const known = this.#source.signs.get(look) ?? signFrom(look);
      this.#source.signs.set(look, known);
      return known;
    });
  }

  get bodies(): DangerAnswer["bodies"] {
    return this.#danger.perBody.map(({ body, mistakes, status }) => ({ body, mistakes, status }));
  }

  /** The whole line, with what is told on demand. */
  toJSON(): DangerAnswer {
    return {
      sheet: this.sheet,
      name: this.name,
      scientific: this.scientific,
      tier: this.tier,
      ...(this.syndrome === undefined ? {} : { syndrome: this.syndrome }),
      mistakes: this.mistakes,
      status: this.status,
      ...(this.aside === undefined ? {} : { aside: this.aside }),
      body: this.body,
      points: this.points,
      masks: this.masks,
      speaksFor: this.speaksFor,
      bodies: this.bodies,
    };
  }

  #told(): Evidence {
    this.#evidence ??= evidenceOf(this.#source.judgement, this.#danger, this.body);
    return this.#evidence;
  }
}

export class CandidateLine implements CandidateAnswer {
  readonly sheet;
  readonly name;
  readonly tier;
  readonly fits;
  readonly #candidate: Candidate;

  constructor(candidate: Candidate) {
    const { sheet, fits } = candidate;
    this.sheet = sheet.id;
    this.name = sheet.names.common;
    this.tier = sheet.tier;
    this.fits = fits;
    this.#candidate = candidate;
  }

  get allowed(): boolean {
    return this.#candidate.allowed;
  }

  get mustsConfirmed(): number {
    return this.#candidate.mustsConfirmed;
  }

  get mustsMissing(): readonly string[] {
    return this.#candidate.mustsMissing.map((must) => must.character);
  }

  get missing(): CandidateAnswer["missing"] {
    return this.#candidate.mustsMissing;
  }

  get contradictions(): CandidateAnswer["contradictions"] {
    return this.#candidate.contradictions;
  }

  get doubts(): CandidateAnswer["doubts"] {
    return this.#candidate.doubts;
  }

  get near(): CandidateAnswer["near"] {
    return this.#candidate.near;
  }

  get misplaced(): CandidateAnswer["misplaced"] {
    return this.#candidate.misplaced;
  }

  /** The whole line, with what is told on demand. */
  toJSON(): CandidateAnswer {
    const { near } = this;
    return {
      sheet: this.sheet,
      name: this.name,
      tier: this.tier,
      fits: this.fits,
      allowed: this.allowed,
      mustsConfirmed: this.mustsConfirmed,
      mustsMissing: this.mustsMissing,
      missing: this.missing,
      contradictions: this.contradictions,
      doubts: this.doubts,
      ...(near === undefined ? {} : { near }),
      misplaced: this.misplaced,
    };
  }
}

/** What is told on demand shows wherever a line is looked through, as if it had been told at once. */
function showOnDemand(line: { readonly prototype: object }, names: readonly string[]): void {
  for (const name of names) {
    const told = Object.getOwnPropertyDescriptor(line.prototype, name);
    if (told !== undefined) Object.defineProperty(line.prototype, name, { ...told, enumerable: true });
  }
}
showOnDemand(DangerLine, ["points", "masks", "speaksFor", "bodies"]);
showOnDemand(CandidateLine, [
  "allowed",
  "mustsConfirmed",
  "mustsMissing",
  "missing",
  "contradictions",
  "doubts",
  "near",
  "misplaced",
]);

/** Lines with all that is told on demand, to be sent through a clone. */
export function inFull<Line extends DangerAnswer | CandidateAnswer>(lines: readonly Line[]): Line[] {
  return lines.map((line) => ("toJSON" in line && typeof line.toJSON === "function" ? line.toJSON() : line));
}

function signFrom({ character, body, states }: Look): Sign {
  const seen = wordList(
    states.map((state) => stateWords(character, state)),
    "and",
  );
  return {
    family: definitionOf(character).family,
    character,
    body,
    text: `${CHARACTER_WORDS[character].plain}: ${seen}`,
  };
}
