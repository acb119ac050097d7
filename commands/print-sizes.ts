/** `npm run -s sizes`: what a first visit fetches, and the judge's worker, gzipped as they travel. After `npm run build`. */
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { gzipSync } from "node:zlib";
import { z } from "zod";

const DIST = fileURLToPath(new URL("../web/dist", import.meta.url));
const manifestSchema = z.record(
  z.string(),
  z.object({ file: z.string(), imports: z.array(z.string()).default([]), css: z.array(z.string()).default([]) }),
);

/** Scripts that an entry and a view need before the view is there. */
function closureOf(manifest: z.infer<typeof manifestSchema>, names: readonly string[]): ReadonlySet<string> {
  const found = new Set<string>();
  const visit = (name: string) => {
    const chunk = manifest[name];
    if (chunk === undefined) throw new Error(`no chunk is called ${name}`);
    if (found.has(chunk.file)) return;
    found.add(chunk.file);
    chunk.imports.forEach(visit);
  };
  names.forEach(visit);
  return found;
}

/** Files of which each needs the other first: one of them would run before what it needs. */
function circlesIn(manifest: z.infer<typeof manifestSchema>): readonly string[] {
  const done = new Set<string>();
  const circles: string[] = [];
  const visit = (name: string, path: readonly string[]) => {
    const { file, imports } = manifest[name] ?? { file: name, imports: [] };
    if (path.includes(file)) circles.push([...path.slice(path.indexOf(file)), file].join(" → "));
    if (path.includes(file) || done.has(file)) return;
    for (const one of imports) visit(one, [...path, file]);
    done.add(file);
  };
  for (const name of Object.keys(manifest)) visit(name, []);
  return circles;
}

const packed = (file: string): number => gzipSync(readFileSync(join(DIST, file)), { level: 9 }).length;
const kilobytes = (bytes: number): string => `${(bytes / 1000).toFixed(0)} kB`;

const manifest = manifestSchema.parse(JSON.parse(readFileSync(join(DIST, ".vite/manifest.json"), "utf8")));
const circles = circlesIn(manifest);
if (circles.length > 0) throw new Error(`files that wait for each other: ${circles.join("; ")}`);
const scriptsOf = (view: string): number =>
  [...closureOf(manifest, ["index.html", view])].reduce((sum, file) => sum + packed(file), 0);
/** A thread is in no manifest: what it loads with itself is read off its own first line. */
function threadOf(name: string, found = new Set<string>()): ReadonlySet<string> {
  if (found.has(name)) return found;
  found.add(name);
  const text = readFileSync(join(DIST, "assets", name), "utf8");
  for (const [, other = ""] of text.matchAll(/(?:from|import)\s*["'`]\.\/([\w-]+\.js)["'`]/g)) threadOf(other, found);
  return found;
}
const judge = readdirSync(join(DIST, "assets")).find((name) => name.startsWith("judge.worker"));
if (judge === undefined) throw new Error("there is no judge's thread: build first");
process.stdout.write(
  `Gzipped: first load ${kilobytes(scriptsOf("log/log-view.tsx"))} of script for the finds, ` +
    `${kilobytes(scriptsOf("find/find-view.tsx"))} for a find; the judge with all sheets ${kilobytes(
      [...threadOf(judge)].reduce((sum, name) => sum + packed(join("assets", name)), 0),
    )}.\n`,
);
