/** Ten thousand finds in a database, for what has to be quick with many. */
import { LOCAL_PERSON } from "@jittery-cap/core/documents";
import { uuidv7 } from "uuidv7";
import { seasonFinds } from "../demo/season.ts";
import { migrate } from "../server/database/migrate.ts";
import type { Scratch } from "../server/tests/scratch-database.ts";

export const FINDS = 10_000;

/** Puts them there by the program's own tables; no server may be at work on it. */
export async function fill(scratch: Scratch): Promise<void> {
  await migrate(scratch.database);
  const season = seasonFinds();
  for (let begun = 0; begun < FINDS; begun += 500) {
    const rows = Array.from({ length: 500 }, (_, index) => {
      const model = season[(begun + index) % season.length];
      const number = begun + index;
      // a grid of a hundred by a hundred over the lakeland
      const at = { lat: 61.86 + (number % 100) * 0.0008, lon: 19.5 + Math.floor(number / 100) * 0.0018 };
      const find = { ...model, id: uuidv7(), place: { ...model?.place, ...at } };
      return [find.id, JSON.stringify(find), new Date(Date.UTC(2020, 0, 1) + (begun + index) * 3_600_000)];
    });
    await scratch.database.query(
      `INSERT INTO documents (id, kind, owner_id, about, content_schema, version, content, made, listed_at, place, created_at, updated_at, archived_at) VALUES ${rows
        .map(() => "(?, 'find', ?, NULL, 1, 1, ?, '', ?, ?, NOW(3), NOW(3), NULL)")
        .join()}`,
      {
        replacements: rows.flatMap(([id, content, at], index) => [
          id,
          LOCAL_PERSON,
          content,
          at,
          1_000_000 + begun + index,
        ]),
      },
    );
  }
  await scratch.database.query("UPDATE feeds SET place = 2000000");
}
