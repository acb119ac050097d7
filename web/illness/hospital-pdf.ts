/** The paper for the hospital as a PDF, made on the device itself: no server and no network is asked. */
import { type Figure, figureOf, type HospitalPaper, type Step } from "@jittery-cap/core";
import { PDFDocument, type PDFFont, type PDFImage, type PDFPage, rgb, StandardFonts } from "pdf-lib";
import { wrapped } from "../kitchen/labels-pdf.ts";
import { printable } from "../kitchen/printable.ts";

/** A4 in points. */
const PAGE = [595.28, 841.89] as const;
const MARGIN = 40;
const WIDE = PAGE[0] - 2 * MARGIN;
const TEXT = 9.5;
const LEADING = 1.3;
const BLACK = rgb(0, 0, 0);
const FIGURES_HIGH = 110;

class Sheet {
  private readonly pdf: PDFDocument;
  private page: PDFPage;
  private y = PAGE[1] - MARGIN;

  constructor(pdf: PDFDocument) {
    this.pdf = pdf;
    this.page = pdf.addPage([...PAGE]);
  }

  /** Room for so much, on the next page where this one is full. */
  private room(high: number): void {
    if (this.y - high >= MARGIN) return;
    this.page = this.pdf.addPage([...PAGE]);
    this.y = PAGE[1] - MARGIN;
  }

  say(words: string, font: PDFFont, size: number, before = 0): void {
    this.y -= before;
    for (const line of wrapped(printable(words), font, size, WIDE)) {
      this.room(size * LEADING);
      this.y -= size * LEADING;
      this.page.drawText(line, { x: MARGIN, y: this.y, size, font, color: BLACK });
    }
  }

  show(image: PDFImage): void {
    const { width, height } = image.scaleToFit(PICTURE_WIDE, PICTURE_WIDE);
    this.y -= 8;
    this.room(height);
    this.y -= height;
    this.page.drawImage(image, { x: MARGIN, y: this.y, width, height });
  }

  /** Bodies beside each other, in scale. */
  draw(figures: readonly { readonly name: string; readonly figure: Figure }[], font: PDFFont): void {
    const tall = Math.max(...figures.map(({ figure }) => figure.top - figure.bottom));
    const broad = figures.reduce((sum, { figure }) => sum + (figure.right - figure.left) * 1.15, 0);
    if (!(tall > 0) || !(broad > 0)) return;
    const scale = Math.min(FIGURES_HIGH / tall, WIDE / broad);
    const top = Math.max(...figures.map(({ figure }) => figure.top));
    this.room(tall * scale + 20);
    let x = MARGIN;
    for (const { name, figure } of figures) {
      const axis = x - figure.left * scale;
      for (const { steps, stroke, knowing, pen } of figure.shapes)
        if (stroke !== "none")
          this.page.drawSvgPath(pathOf(steps), {
            x: axis,
            y: this.y - top * scale,
            scale,
            borderColor: BLACK,
            borderWidth: Math.max(0.3, pen * 0.6) / scale,
            ...(knowing === "open" ? { borderDashArray: [2 / scale, 2 / scale] } : {}),
          });
      this.page.drawText(printable(name), { x: axis, y: this.y - tall * scale - 10, size: 9, font, color: BLACK });
      x += (figure.right - figure.left) * scale * 1.15;
    }
    this.y -= tall * scale + 16;
  }
}

/** JPEG or PNG; undefined for what is neither. */
const imageOf = (pdf: PDFDocument, file: Uint8Array): Promise<PDFImage | undefined> =>
  pdf
    .embedJpg(file)
    .catch(() => pdf.embedPng(file))
    .catch(() => undefined);

/** An outline as an SVG path; y points down there, and up in a figure. */
const pathOf = (steps: readonly Step[]): string =>
  steps
    .map(
      ([letter, ...numbers]) =>
        letter + numbers.map((value, index) => (index % 2 === 0 ? value : -value).toFixed(3)).join(" "),
    )
    .join(" ");

/** As many pictures as are put in; each so broad, points. */
const MOST_PICTURES = 6;
const PICTURE_WIDE = 240;

/** @param pictureOf the file of a picture, where it can be had */
export async function hospitalPdf(
  paper: HospitalPaper,
  pictureOf: (id: string) => Promise<Uint8Array | undefined> = () => Promise.resolve(undefined),
): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  pdf.setTitle(paper.title);
  const plain = await pdf.embedFont(StandardFonts.Helvetica);
  const bold = await pdf.embedFont(StandardFonts.HelveticaBold);
  const sheet = new Sheet(pdf);
  sheet.say(paper.title, bold, 18);
  for (const { title, lines } of paper.sections) {
    sheet.say(title, bold, 11, 8);
    for (const line of lines) sheet.say(line, plain, TEXT, 1);
  }
  for (const { find } of paper.finds) {
    sheet.say(`Drawn from the record: ${find.label ?? "the find"}`, bold, 11, 8);
    sheet.draw(
      find.bodies.slice(0, 6).map((body) => ({ name: body.id, figure: figureOf(find, body, 0) })),
      bold,
    );
  }
  for (const id of paper.finds.flatMap(({ pictures }) => pictures).slice(0, MOST_PICTURES)) {
    const file = await pictureOf(id).catch(() => undefined);
    const image = file === undefined ? undefined : await imageOf(pdf, file);
    if (image === undefined) sheet.say("A picture was taken and cannot be had here now.", plain, TEXT, 6);
    else sheet.show(image);
  }
  return pdf.save();
}
