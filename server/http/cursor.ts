/** Where a page begins: behind the document that ended the page before, by the moment it is listed by and its id. */
import { z } from "zod";
import type { Row } from "../documents/document.ts";
import { Problem } from "./problem.ts";

const cursorSchema = z.tuple([z.iso.datetime(), z.uuid()]);

/** The cursor behind a row. */
export const cursorOf = ({ listedAt, id }: Pick<Row, "id" | "listedAt">): string => `${listedAt.toISOString()}_${id}`;

/** The row that a cursor stands for; undefined for none. @throws the problem where it is no cursor of ours */
export function rowAfter(cursor: string | undefined): Pick<Row, "id" | "listedAt"> | undefined {
  if (cursor === undefined) return undefined;
  const parsed = cursorSchema.safeParse(cursor.split("_"));
  if (!parsed.success) throw Problem.ofFaults([{ path: "after", message: "is no place that a page ended with" }]);
  const [at, id] = parsed.data;
  return { listedAt: new Date(at), id };
}
