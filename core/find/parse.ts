/** From untrusted JSON to a find, or to errors that name the path and what is allowed there. */
import { z } from "zod";
import { type Find, findSchema } from "./schema.ts";

/** One thing that is wrong, and where: `bodies[1].seen[3].states[0]`. */
export interface Fault {
  readonly path: string;
  readonly message: string;
}

export type Parsed<Value> =
  | { readonly ok: true; readonly value: Value }
  | { readonly ok: false; readonly faults: readonly Fault[] };

/** Writes a path as people read it: `bodies[1].seen[3].states[0]`; the root is `(root)`. */
export function pathText(path: readonly PropertyKey[]): string {
  let text = "";
  for (const step of path) {
    if (typeof step === "number") text += `[${step}]`;
    else text += text === "" ? String(step) : `.${String(step)}`;
  }
  return text === "" ? "(root)" : text;
}

/** The faults of a failed parse, one for each field. */
export function faultsOf(error: z.ZodError): Fault[] {
  return error.issues.flatMap((issue): Fault[] => {
    const at = (more: PropertyKey[]) => pathText([...issue.path, ...more]);
    switch (issue.code) {
      case "unrecognized_keys":
        return issue.keys.map((key) => ({ path: at([key]), message: "unknown field" }));
      case "invalid_value":
        return [{ path: at([]), message: issue.message.startsWith("Invalid") ? valueText(issue) : issue.message }];
      case "invalid_type":
        return [{ path: at([]), message: issue.message.replace(/^Invalid input: /, "") }];
      case "too_small":
        return [
          {
            path: at([]),
            message: issue.origin === "array" ? "an empty list; leave it out instead" : smallText(issue),
          },
        ];
      default:
        return [{ path: at([]), message: issue.message }];
    }
  });
}

function valueText(issue: { values: readonly unknown[]; input?: unknown }): string {
  const given = issue.input === undefined ? "a value is missing" : `${JSON.stringify(issue.input)} is not allowed`;
  return `${given}; expected one of: ${issue.values.map(String).join(", ")}`;
}

function smallText(issue: { inclusive?: boolean | undefined; minimum: number | bigint; origin: string }): string {
  if (issue.origin === "string") return "an empty text; leave it out instead";
  return `must be ${issue.inclusive === true ? "at least" : "more than"} ${issue.minimum}`;
}

/** Parses with any schema into a value or faults. */
export function parseWith<Schema extends z.ZodType>(schema: Schema, input: unknown): Parsed<z.output<Schema>> {
  const result = schema.safeParse(input, { reportInput: true });
  return result.success ? { ok: true, value: result.data } : { ok: false, faults: faultsOf(result.error) };
}

/** Parses one find. */
export function parseFind(input: unknown): Parsed<Find> {
  return parseWith(findSchema, input);
}

/** Parses one find or an array of finds; the paths of an array begin with its index. */
export function parseFinds(input: unknown): Parsed<Find[]> {
  if (!Array.isArray(input)) {
    const one = parseFind(input);
    return one.ok ? { ok: true, value: [one.value] } : one;
  }
  return parseWith(z.array(findSchema).min(1), input);
}
