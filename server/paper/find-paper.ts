/** A find on one page of paper: figure, record, answer, conditions, and a label for the kept specimen. */
import {
  CHARACTER_WORDS,
  CONDITION_CODES,
  CONDITION_WORDS,
  type Figure,
  type Find,
  figureOf,
  type Ink,
  stateWords,
  VERDICTS,
} from "@jittery-cap/core";
import type { PAPER_SIZES } from "@jittery-cap/core/api";
import PDFDocument from "pdfkit";
import { z } from "zod";
import { measureIn, type Paper, registerType, say } from "./print-type.ts";

type PaperSize = (typeof PAPER_SIZES)[number];

/** What of an answer stands on paper. */
export const paperAnswerSchema = z.object({
  verdict: z.enum(VERDICTS),
  edition: z.string(),
  reasons: z.array(z.object({ text: z.string() })),
  dangers: z.array(z.object({ name: z.string(), mistakes: z.number() })),
  conditions: z.array(z.enum(CONDITION_CODES)).optional(),
});
export type PaperAnswer = z.infer<typeof paperAnswerSchema>;

const MARGIN = 34;
const INK = "#1d211a";
const SOFT = "#4c5146";
const VERDICT_WORDS = { leave: "Leave it", hold: "Hold", basket: "Basket" } as const;
const FILLS: Readonly<Record<string, string>> = {
  paper: "#fbf6e8",
  flesh: "#fffdf6",
  shade: "#dcd8cc",
  soil: "#dcd3bb",
  leaf: "#8b8f5f",
  wood: "#cdb48c",
  line: INK,
  faint: "#a8a391",
};

/** A short code for the specimen's bag: six letters and digits that are not easily mistaken for one another. */
export function shortCode(id: string): string {
  const letters = "23456789ABCDEFGHJKMNPQRSTVWXYZ";
  let number = 0n;
  for (const sign of id) number = (number * 131n + BigInt(sign.codePointAt(0) ?? 0)) % 729_000_000n;
  let code = "";
  for (let place = 0; place < 6; place++) {
    code = (letters[Number(number % 30n)] ?? "2") + code;
    number /= 30n;
  }
  return code;
}

/**
 * The page as a PDF. Without an answer it is a packet's: what was seen, and nothing of what was made of it.
 * @param pigments colours of states, so that paper and screen agree; a state without one is drawn as paper
 */
export function findPaper(find: Find, answer: PaperAnswer | undefined, size: PaperSize): Promise<Buffer> {
  const document = new PDFDocument({
    size,
    margin: MARGIN,
    info: { Title: find.label ?? "A find", Creator: "Jittery Cap" },
  });
  const chunks: Buffer[] = [];
  document.on("data", (chunk: Buffer) => chunks.push(chunk));
  const ended = new Promise<Buffer>((resolve, reject) => {
    document.on("end", () => resolve(Buffer.concat(chunks)));
    document.on("error", reject);
  });
  registerType(document);
  draw(document, find, answer);
  document.end();
  return ended;
}

function draw(paper: Paper, find: Find, answer: PaperAnswer | undefined): void {
  const wide = paper.page.width - 2 * MARGIN;
  const bottom = paper.page.height - MARGIN - LABEL_HEIGHT;
  say(paper.fillColor(INK).fontSize(15), "bold", find.label ?? "A find", { at: [MARGIN, MARGIN], width: wide });
  const day = find.foundAt?.slice(0, 10);
  const told = [...(find.site?.habitat ?? []), ...(find.site?.host ?? [])].map((word) => word.replaceAll("-", " "));
  const about = [day, find.place?.name, ...told].filter((part) => part !== undefined);
  say(paper.fontSize(8.5).fillColor(SOFT), "plain", about.join(" · "), { width: wide });
  if (answer !== undefined) {
    say(paper.moveDown(0.4).fillColor(INK).fontSize(13), "bold", VERDICT_WORDS[answer.verdict]);
    paper.fontSize(8.5);
    for (const reason of answer.reasons.slice(0, 3)) say(paper, "plain", reason.text, { width: wide });
    const nearest = answer.dangers
      .slice(0, 3)
      .map((danger) => `${danger.name}: ${danger.mistakes} ${danger.mistakes === 1 ? "mistake" : "mistakes"} away`);
    const edition = `Sheets of edition ${answer.edition}.`;
    say(paper.fillColor(SOFT), "plain", `Nearest: ${nearest.join("; ")}. ${edition}`, { width: wide });
    for (const code of answer.conditions ?? [])
      say(paper.fillColor(INK), "plain", `[  ] ${CONDITION_WORDS[code]}`, { width: wide });
  }
  figures(paper, find, paper.y + 8, wide);
  record(paper, find, wide, bottom);
  label(paper, find, wide);
}

const FIGURE_HEIGHT = 118;

function figures(paper: Paper, find: Find, top: number, wide: number): void {
  const drawn = find.bodies.slice(0, 5).map((body) => ({ body, figure: figureOf(find, body, 0) }));
  const tall = Math.max(...drawn.map(({ figure }) => figure.top - figure.bottom));
  const broad = drawn.reduce((sum, { figure }) => sum + figure.right - figure.left, 0);
  const scale = Math.min(FIGURE_HEIGHT / tall, wide / (broad * 1.15));
  let x = MARGIN;
  for (const { body, figure } of drawn) {
    const width = (figure.right - figure.left) * scale;
    specimen(paper, figure, x + width / 2, top + Math.max(...drawn.map((one) => one.figure.top)) * scale, scale);
    const at = [x, top + tall * scale + 3] as const;
    say(paper.fillColor(INK).fontSize(9), "bold", body.id, { at, width, align: "center", lineBreak: false });
    x += width * 1.15;
  }
  paper.y = top + tall * scale + 18;
  paper.x = MARGIN;
}

const colourOf = (ink: Ink): string | undefined =>
  ink === "none" ? undefined : ink.startsWith("pigment:") ? undefined : FILLS[ink];

function specimen(paper: Paper, figure: Figure, axis: number, ground: number, scale: number): void {
  for (const { steps, fill, stroke, pen, knowing } of figure.shapes) {
    paper.save();
    for (const step of steps) {
      const at = step
        .slice(1)
        .map((value, index) => (index % 2 === 0 ? axis + Number(value) * scale : ground - Number(value) * scale));
      const [x1 = 0, y1 = 0, x2 = 0, y2 = 0, x3 = 0, y3 = 0] = at;
      if (step[0] === "M") paper.moveTo(x1, y1);
      else if (step[0] === "L") paper.lineTo(x1, y1);
      else if (step[0] === "C") paper.bezierCurveTo(x1, y1, x2, y2, x3, y3);
      else paper.closePath();
    }
    paper.lineWidth(Math.max(0.25, pen * 0.55));
    if (knowing === "open") paper.dash(2.4, { space: 2 });
    else if (knowing === "unsure") paper.dash(5, { space: 1.6 });
    // on paper a pigment is left to its word: printers change colours
    const filled = fill === "none" ? undefined : (colourOf(fill) ?? "#f3ecd9");
    const lined = stroke === "none" ? undefined : (colourOf(stroke) ?? SOFT);
    if (filled !== undefined && lined !== undefined) paper.fillAndStroke(filled, lined);
    else if (filled !== undefined) paper.fill(filled);
    else if (lined !== undefined) paper.stroke(lined);
    paper.restore();
  }
}

function record(paper: Paper, find: Find, wide: number, bottom: number): void {
  for (const body of find.bodies) {
    const seen = (body.seen ?? []).map((entry) => {
      const name = CHARACTER_WORDS[entry.character].plain;
      if (entry.states === undefined) return `${name} not looked at (${entry.unseen ?? ""})`;
      const states = entry.states.map((state) => stateWords(entry.character, state)).join(" and ");
      return `${name} ${states}${entry.sure === false ? ", unsure" : ""}${entry.by === undefined ? "" : ` (${entry.by})`}`;
    });
    const told = [
      body.age ?? "age not told",
      body.lifted,
      ...(body.wear ?? []),
      body.measures?.capCm === undefined ? undefined : `cap ${body.measures.capCm} cm`,
    ].filter((part) => part !== undefined);
    const text = `${told.join(", ")}. ${seen.length === 0 ? "Not looked at." : `${seen.join("; ")}.`}`;
    const height = measureIn(paper, "plain").fontSize(8).heightOfString(`${body.id}  ${text}`, { width: wide });
    if (paper.y + height > bottom) {
      // one page: what does not fit is said, and never silently dropped
      say(paper.fillColor(SOFT), "plain", "More bodies than fit on this page.", { at: [MARGIN, paper.y], width: wide });
      return;
    }
    say(paper.fillColor(INK), "bold", `${body.id}  `, { at: [MARGIN, paper.y], width: wide, continued: true });
    say(paper, "plain", text.replaceAll("-", " "));
  }
}

const LABEL_HEIGHT = 74;

function label(paper: Paper, find: Find, wide: number): void {
  const top = paper.page.height - MARGIN - LABEL_HEIGHT + 8;
  paper
    .save()
    .lineWidth(0.8)
    .dash(3, { space: 2 })
    .rect(MARGIN, top, wide, LABEL_HEIGHT - 12)
    .stroke(SOFT)
    .restore();
  const oneLine = (down: number) => ({ at: [MARGIN + 10, top + down] as const, lineBreak: false });
  say(paper.fillColor(INK).fontSize(20), "bold", shortCode(find.id), oneLine(8));
  const kept = "for the kept specimen: in the cold, raw, until well past the meal";
  say(paper.fontSize(8), "plain", kept, oneLine(33));
  const told = `${find.label ?? "a find"}, ${find.foundAt?.slice(0, 10) ?? "day not told"}.`;
  say(paper.fontSize(9).fillColor(SOFT), "italic", `${told} Nothing here gives leave to eat it.`, {
    at: [MARGIN + 10, top + 46],
    width: wide - 20,
    height: 11,
    ellipsis: true,
  });
}
