/** Refuses JSON that no database keeps: halves of characters, and nesting without end. */
import type { NextFunction, Request, Response } from "express";
import { Problem } from "./problem.ts";

/** Nothing that is stored here is nested nearly as deep. */
const DEEPEST = 40;
/** Half of a surrogate pair: a cut emoji. */
const HALF = /[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;

/** The first thing in a value that cannot be kept: its path, and why. */
function faultIn(value: unknown, path: string, depth: number): { path: string; message: string } | undefined {
  if (typeof value === "string")
    return HALF.test(value)
      ? { path, message: "holds half a character: a text that was cut within an emoji" }
      : undefined;
  if (typeof value !== "object" || value === null) return undefined;
  if (depth >= DEEPEST) return { path, message: `is nested more than ${DEEPEST} deep` };
  for (const [key, one] of Object.entries(value)) {
    const at = Array.isArray(value) ? `${path}[${key}]` : path === "" ? key : `${path}.${key}`;
    const fault = HALF.test(key)
      ? { path, message: "has a name that holds half a character" }
      : faultIn(one, at, depth + 1);
    if (fault !== undefined) return fault;
  }
  return undefined;
}

/** Looks through a body that was JSON, before anything believes it. */
export function wholeJsonOnly(request: Request, _response: Response, next: NextFunction): void {
  const fault = Buffer.isBuffer(request.body) ? undefined : faultIn(request.body, "", 0);
  if (fault === undefined) next();
  else next(Problem.ofFaults([{ ...fault, path: fault.path === "" ? "(root)" : fault.path }]));
}
