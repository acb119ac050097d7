import { readFileSync } from "node:fs";

/** The words of a PDF, by a reader of its own. */
export async function pdfText(path: string): Promise<string> {
  const { PDFParse } = await import("pdf-parse");
  const parser = new PDFParse({ data: new Uint8Array(readFileSync(path)) });
  const { text } = await parser.getText();
  await parser.destroy();
  return text;
}
