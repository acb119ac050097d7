/** The type that a page is set in: the shipped serif with all its alphabets, embedded, so that a name prints as it is written. */
import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { create } from "fontkit";
import type PDFDocument from "pdfkit";

export type Paper = InstanceType<typeof PDFDocument>;
export type Face = "plain" | "bold" | "italic";

const FILES: Readonly<Record<Face, string>> = { plain: "400-normal", bold: "700-normal", italic: "400-italic" };
/** The font comes in a file for each alphabet; the first that has a letter prints it. */
const ALPHABETS = ["latin", "latin-ext", "cyrillic", "cyrillic-ext", "greek", "vietnamese"] as const;
/** Printed for a letter that none of them has: seen to be missing, and never another letter. */
const MISSING = "\u25a1";
const MISSING_AS = "?";

interface Loaded {
  readonly name: string;
  readonly content: Buffer;
  readonly has: (codePoint: number) => boolean;
}

const resolve = createRequire(import.meta.url).resolve;
const loaded = new Map<Face, readonly Loaded[]>();

function fontsOf(face: Face): readonly Loaded[] {
  let fonts = loaded.get(face);
  if (fonts === undefined) {
    fonts = ALPHABETS.map((alphabet) => {
      const name = `source-serif-4-${alphabet}-${FILES[face]}`;
      const content = readFileSync(resolve(`@fontsource/source-serif-4/files/${name}.woff`));
      const font = create(content);
      return { name, content, has: (codePoint) => font.hasGlyphForCodePoint(codePoint) };
    });
    loaded.set(face, fonts);
  }
  return fonts;
}

/** A piece of text that one file can print. */
export interface Run {
  readonly font: string;
  readonly text: string;
}

/** Splits a text into runs of one file each. What no file has is printed as a question mark. */
export function runsOf(text: string, face: Face): readonly Run[] {
  const fonts = fontsOf(face);
  const [first] = fonts;
  if (first === undefined) throw new Error("there is no font");
  const runs: { font: string; text: string }[] = [];
  for (const letter of text.normalize("NFC")) {
    const codePoint = letter.codePointAt(0) ?? 0;
    const last = runs.at(-1);
    const current = fonts.find((font) => font.name === last?.font);
    const font = current?.has(codePoint) === true ? current : fonts.find((one) => one.has(codePoint));
    const printed = font === undefined || letter === MISSING ? MISSING_AS : letter;
    const name = (font ?? first).name;
    if (last?.font === name) last.text += printed;
    else runs.push({ font: name, text: printed });
  }
  return runs;
}

/** Makes the fonts of all faces known to a page. */
export function registerType(paper: Paper): void {
  for (const face of ["plain", "bold", "italic"] as const)
    for (const { name, content } of fontsOf(face)) paper.registerFont(name, content);
}

/** Chooses the face that is measured by. */
export function measureIn(paper: Paper, face: Face): Paper {
  return paper.font(fontsOf(face)[0]?.name ?? "");
}

/** Prints a text in a face, at the place given or where the page stands. */
export function say(
  paper: Paper,
  face: Face,
  text: string,
  options: PDFKit.Mixins.TextOptions & { readonly at?: readonly [x: number, y: number] } = {},
): Paper {
  const { at, ...how } = options;
  const runs = runsOf(text, face);
  runs.forEach((run, index) => {
    const isLast = index === runs.length - 1;
    const more = { ...how, continued: isLast ? how.continued === true : true };
    paper.font(run.font);
    if (index === 0 && at !== undefined) paper.text(run.text, at[0], at[1], more);
    else paper.text(run.text, more);
  });
  return paper;
}
