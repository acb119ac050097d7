/** The built application once more, as a new version of it would be: every file with a name of its own, and none of the old. */
import { cpSync, mkdtempSync, readdirSync, readFileSync, renameSync, statSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { fileURLToPath } from "node:url";

const BUILT = fileURLToPath(new URL("../web/dist", import.meta.url));
/** What a file that a build names ends with: the mark of its content. */
const MARKED = /-([\w-]{8})\.(js|css|woff2)$/;
const TEXT = /\.(js|css|html|webmanifest)$/;

/** Every file below a folder. */
const filesOf = (folder: string): string[] =>
  readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    return statSync(path).isDirectory() ? filesOf(path) : [path];
  });

/** Makes a newer version. @returns its folder, and what its names carry */
export function makeNewVersion(): { folder: string; mark: string } {
  const mark = "newer";
  const folder = mkdtempSync(join(tmpdir(), "jittery-new-version-"));
  cpSync(BUILT, folder, { recursive: true });
  const names = readdirSync(join(folder, "assets")).filter((name) => MARKED.test(name));
  const renamed = new Map(names.map((name) => [name, name.replace(MARKED, `-$1${mark}.$2`)]));
  for (const [before, now] of renamed) renameSync(join(folder, "assets", before), join(folder, "assets", now));
  const before = new RegExp([...renamed.keys()].map((name) => name.replaceAll(".", "\\.")).join("|"), "g");
  for (const file of filesOf(folder).filter((name) => TEXT.test(name))) {
    const text = readFileSync(file, "utf8").replace(before, (name) => renamed.get(name) ?? name);
    // what is fetched anew by its mark has another one
    writeFileSync(file, file.endsWith("sw.js") ? text.replace(/revision:"(\w{30})\w\w"/g, 'revision:"$1ff"') : text);
  }
  return { folder, mark };
}
