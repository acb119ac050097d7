/** How decisions stand now: what the answer then, today's to the frozen record and today's to the record as it is all clear. */
import { type Standing, standingOf } from "@jittery-cap/core";
import type { Person } from "@jittery-cap/core/documents";
import { QueryTypes, type Sequelize } from "sequelize";
import type { Models } from "../database/models.ts";
import { contentAs, type Row } from "../documents/document.ts";
import type { Verdicts } from "../judging/verdicts.ts";

export interface DecisionStanding {
  readonly row: Row;
  /** Left out where it is not known: then nothing is cleared. */
  readonly standing: Standing | undefined;
}

export class Standings {
  private readonly database: Sequelize;
  private readonly models: Models;
  private readonly verdicts: Verdicts;

  constructor(database: Sequelize, models: Models, verdicts: Verdicts) {
    this.database = database;
    this.models = models;
    this.verdicts = verdicts;
  }

  /** The latest decision of each find that is not put away, latest first, a page of them. */
  async latest(
    person: Person,
    after: Pick<Row, "id" | "listedAt"> | undefined,
    limit: number,
  ): Promise<{ decisions: DecisionStanding[]; more: boolean }> {
    const ids = await this.database.query<{ id: string }>(
      `SELECT id FROM (
         SELECT d.id, d.listed_at, ROW_NUMBER() OVER (PARTITION BY d.about ORDER BY d.listed_at DESC, d.id DESC) AS nth
         FROM documents d JOIN documents f ON f.id = d.about AND f.kind = 'find' AND f.archived_at IS NULL
         WHERE d.owner_id = :ownerId AND d.kind = 'decision'
       ) latest
       WHERE nth = 1 ${after === undefined ? "" : "AND (listed_at < :at OR (listed_at = :at AND id < :id))"}
       ORDER BY listed_at DESC, id DESC LIMIT :limit`,
      {
        type: QueryTypes.SELECT,
        replacements: { ownerId: person.id, limit: limit + 1, at: after?.listedAt ?? null, id: after?.id ?? null },
      },
    );
    const page = ids.slice(0, limit).map((one) => one.id);
    const rows = await this.models.documents.findAll({ where: { id: page }, raw: true });
    const inOrder = page.flatMap((id) => rows.find((row) => row.id === id) ?? []);
    return { decisions: await this.of(person, inOrder), more: ids.length > limit };
  }

  /** How some decisions stand. */
  async of(person: Person, rows: readonly Row[]): Promise<DecisionStanding[]> {
    const finds = await this.models.documents.findAll({
      where: { ownerId: person.id, kind: "find", archivedAt: null, id: rows.flatMap((row) => row.about ?? []) },
      raw: true,
    });
    const current = await this.verdicts.all(finds);
    const older = rows.filter((row) => contentAs(row, "decision")?.edition !== this.verdicts.edition);
    const frozen = await this.verdicts.all(older);
    return rows.map((row) => {
      const decision = contentAs(row, "decision");
      const now = row.about === null ? undefined : current.get(row.about);
      if (decision === undefined || now === undefined) return { row, standing: undefined };
      const again = frozen.get(row.id);
      const isOld = decision.edition !== this.verdicts.edition;
      if (isOld && again === undefined) return { row, standing: undefined };
      return { row, standing: standingOf([decision.answer, ...(again === undefined ? [] : [again]), now]) };
    });
  }
}
