/** The path below which the application lies, where people reach it below one. */
import { readFileSync } from "node:fs";
import express, { type Express } from "express";

/** The path of an address without the stroke at its end: "" at the root of a name. */
export const basePathOf = (publicUrl: URL | undefined): string => publicUrl?.pathname.replace(/\/+$/, "") ?? "";

/** Puts an application below a path; there is nothing beside it. */
export function below(base: string, app: Express): Express {
  if (base === "") return app;
  const outer = express();
  outer.disable("x-powered-by");
  outer.use(base, app);
  return outer;
}

/** The page, told where it lies: as it was built it knows its files by where it is itself, and it is shown at every address. */
export const pageAt = (base: string, file: string): string =>
  readFileSync(file, "utf8")
    .replaceAll('="./', `="${base}/`)
    .replace('name="jittery-cap-base" content="/"', `name="jittery-cap-base" content="${base}/"`);
