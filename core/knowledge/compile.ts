/** From the raw data of files to a shelf of checked sheets. */
import { faultsOf, type Parsed } from "../find/parse.ts";
import { type Knowledge, shelve } from "./knowledge.ts";
import { type Sheet, sheetSchema } from "./sheet.ts";

/**
 * Compiles raw sheet data (one object a file, by file name) into knowledge.
 * @returns knowledge, or faults whose paths begin with the file's name.
 */
export function compileSheets(files: Readonly<Record<string, unknown>>): Parsed<Knowledge> {
  const sheets: Sheet[] = [];
  const faults = Object.entries(files).flatMap(([name, raw]) => {
    const parsed = sheetSchema.safeParse(raw, { reportInput: true });
    if (!parsed.success) return faultsOf(parsed.error).map((fault) => ({ ...fault, path: `${name}: ${fault.path}` }));
    if (sheets.some((sheet) => sheet.id === parsed.data.id)) return [{ path: `${name}: id`, message: "is used twice" }];
    sheets.push(parsed.data);
    return [];
  });
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: shelve(sheets) };
}
