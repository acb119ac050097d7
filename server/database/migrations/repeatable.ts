/** Steps that can be taken again: a migration that was cut off half way is simply run once more. */
import type { IndexesOptions, QueryInterface } from "sequelize";

/** Adds an index that is not there yet. Tables need no such help: they are created only where there are none. */
export async function ensureIndex(
  queries: QueryInterface,
  table: string,
  fields: string[],
  options: Pick<IndexesOptions, "unique"> = {},
): Promise<void> {
  const there = (await queries.showIndex(table)) as { fields: { attribute: string }[] }[];
  const names = fields.join();
  if (there.some((index) => index.fields.map((field) => field.attribute).join() === names)) return;
  await queries.addIndex(table, { ...options, fields });
}
