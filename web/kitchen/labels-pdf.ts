/** Labels for jars as a PDF of A4 sheets, three by eight, made on the device: code, kind, find, day, and the code as a QR picture. */
import { type Batch, type Held, WAY_FACTS } from "@jittery-cap/core/kitchen";
import { PDFDocument, type PDFFont, type PDFPage, rgb, StandardFonts } from "pdf-lib";
import { create } from "qrcode";
import { printable } from "./printable.ts";

/** A4 in points; the usual sheet of 24 labels, 70 by 36 mm. */
const PAGE = [595.28, 841.89] as const;
const COLUMNS = 3;
const ROWS = 8;
const WIDE = PAGE[0] / COLUMNS;
const HIGH = PAGE[1] / ROWS;
const MARGIN = 10;
const QR = 66;
const INK = rgb(0.11, 0.13, 0.1);

/**
 * @param nameOf the common name of a kind @param labelOf the label of a find
 * @param address where the application is: a picture of a code leads there
 */
export async function labelsPdf(
  jars: readonly Held<Batch>[],
  nameOf: (kind: string) => string,
  labelOf: (find: string) => string,
  address: string,
): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  const plain = await pdf.embedFont(StandardFonts.Helvetica);
  const bold = await pdf.embedFont(StandardFonts.HelveticaBold);
  let page: PDFPage | undefined;
  jars.forEach(({ content }, index) => {
    const place = index % (COLUMNS * ROWS);
    if (place === 0 || page === undefined) page = pdf.addPage([...PAGE]);
    const left = (place % COLUMNS) * WIDE + MARGIN;
    const top = PAGE[1] - Math.floor(place / COLUMNS) * HIGH - MARGIN;
    drawQr(page, `${address}/kitchen/store/${content.code}`, left, top - QR);
    const text = left + QR + 8;
    const room = WIDE - QR - 8 - 2 * MARGIN;
    const lines: readonly (readonly [words: string, font: PDFFont, size: number])[] = [
      [content.code, bold, 15],
      [content.kinds.map(nameOf).join(" or "), bold, 9],
      [`${WAY_FACTS[content.way].name} ${content.madeAt.slice(0, 10)}`, plain, 8],
      [[...new Set(content.from.map(({ find }) => labelOf(find)))].join("; "), plain, 7.5],
    ];
    let y = top - 12;
    for (const [words, font, size] of lines)
      for (const line of wrapped(printable(words), font, size, room).slice(0, 2)) {
        page.drawText(line, { x: text, y, size, font, color: INK });
        y -= size * 1.25;
      }
  });
  if (page === undefined) pdf.addPage([...PAGE]);
  return pdf.save();
}

function drawQr(page: PDFPage, words: string, left: number, bottom: number): void {
  const { modules } = create(words, { errorCorrectionLevel: "M" });
  const side = QR / modules.size;
  for (let row = 0; row < modules.size; row += 1)
    for (let column = 0; column < modules.size; column += 1)
      if (modules.get(row, column))
        page.drawRectangle({
          x: left + column * side,
          y: bottom + (modules.size - 1 - row) * side,
          width: side * 1.02,
          height: side * 1.02,
          color: INK,
        });
}

/** Words over as many lines as they need. */
export function wrapped(words: string, font: PDFFont, size: number, room: number): readonly string[] {
  const lines: string[] = [];
  let line = "";
  for (const word of words.split(/\s+/)) {
    const longer = line === "" ? word : `${line} ${word}`;
    if (font.widthOfTextAtSize(longer, size) <= room || line === "") line = longer;
    else {
      lines.push(line);
      line = word;
    }
  }
  return line === "" ? lines : [...lines, line];
}
