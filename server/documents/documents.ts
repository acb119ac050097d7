/** Reading what is kept: one document, what changed since, who changed what. Every question names who asks it. */
import { type Actor, type ContentOf, type KindName, may, ownerOf } from "@jittery-cap/core/documents";
import { Op, type Sequelize } from "sequelize";
import type { Models } from "../database/models.ts";
import type { TouchRow } from "../database/rows.ts";
import { contentAs, type Row } from "./document.ts";

/** How long what was put away can be brought back. */
export const DAYS_UNTIL_PURGED = 30;
const DAY_MS = 24 * 60 * 60 * 1000;
/** Owner of nothing. */
const NOBODY = "";

export class Documents {
  private readonly database: Sequelize;
  private readonly models: Models;

  constructor(database: Sequelize, models: Models) {
    this.database = database;
    this.models = models;
  }

  /** A document that the actor may read, put away or not. */
  async read(actor: Actor, id: string): Promise<Row | undefined> {
    const row = await this.models.documents.findByPk(id, { raw: true });
    return row !== null && may(actor, "read", row) ? row : undefined;
  }

  /** A document of a kind that is not put away. */
  async open(actor: Actor, id: string, kind: KindName): Promise<Row | undefined> {
    const row = await this.read(actor, id);
    return row !== undefined && row.kind === kind && row.archivedAt === null ? row : undefined;
  }

  /** The content of an open document of a kind. @throws where it cannot be read: it is not taken for missing */
  async content<Name extends KindName>(actor: Actor, id: string, kind: Name): Promise<ContentOf[Name] | undefined> {
    const row = await this.open(actor, id, kind);
    if (row === undefined) return undefined;
    const content = contentAs(row, kind);
    if (content === undefined) throw new Error(`document ${id} cannot be read`);
    return content;
  }

  /** What changed after a place, oldest change first. */
  async changed(actor: Actor, after: number, limit: number): Promise<{ rows: Row[]; more: boolean }> {
    const rows = await this.models.documents.findAll({
      where: { ownerId: ownerOf(actor) ?? NOBODY, place: { [Op.gt]: after } },
      order: [["place", "ASC"]],
      limit: limit + 1,
      raw: true,
    });
    return { rows: rows.slice(0, limit), more: rows.length > limit };
  }

  /** The place of the owner's latest change. */
  async place(actor: Actor): Promise<number> {
    return Number((await this.models.feeds.findByPk(ownerOf(actor) ?? NOBODY, { raw: true }))?.place ?? 0);
  }

  /**
   * Documents of a kind by the moment they are listed by, latest first.
   * @param after the document after which the page begins
   */
  async page(
    actor: Actor,
    kind: KindName,
    asked: {
      readonly archived: boolean;
      readonly after?: Pick<Row, "id" | "listedAt"> | undefined;
      readonly limit: number;
      readonly about?: string | undefined;
    },
  ): Promise<{ rows: Row[]; more: boolean }> {
    const { archived, after, limit, about } = asked;
    const behind =
      after === undefined
        ? {}
        : {
            [Op.or]: [
              { listedAt: { [Op.lt]: after.listedAt } },
              { listedAt: after.listedAt, id: { [Op.lt]: after.id } },
            ],
          };
    const rows = await this.models.documents.findAll({
      where: {
        ownerId: ownerOf(actor) ?? NOBODY,
        kind,
        archivedAt: archived ? { [Op.not]: null } : null,
        ...(about === undefined ? {} : { about }),
        ...behind,
      },
      order: [
        ["listedAt", "DESC"],
        ["id", "DESC"],
      ],
      limit: limit + 1,
      raw: true,
    });
    return { rows: rows.slice(0, limit), more: rows.length > limit };
  }

  /** The open documents of a kind that are about a find, oldest first. */
  async about(actor: Actor, about: string, kind: KindName): Promise<Row[]> {
    return this.models.documents.findAll({
      where: { ownerId: ownerOf(actor) ?? NOBODY, about, kind, archivedAt: null },
      order: [
        ["listedAt", "ASC"],
        ["id", "ASC"],
      ],
      raw: true,
    });
  }

  /** The touches of a document, latest first. */
  async touches(id: string, before: number | undefined, limit: number): Promise<{ rows: TouchRow[]; more: boolean }> {
    const rows = await this.models.touches.findAll({
      where: { documentId: id, ...(before === undefined ? {} : { version: { [Op.lt]: before } }) },
      order: [["version", "DESC"]],
      limit: limit + 1,
      raw: true,
    });
    return { rows: rows.slice(0, limit), more: rows.length > limit };
  }

  /**
   * Purges by the clock, but no further than something was written: a clock that ran ahead while nobody recorded takes nothing away.
   * @param now what this machine's clock says @returns how many documents went
   */
  async purgeByClock(now: Date): Promise<number> {
    const [latest] = await this.models.documents.findAll({
      attributes: ["updatedAt"],
      order: [["updatedAt", "DESC"]],
      limit: 1,
      raw: true,
    });
    return latest === undefined ? 0 : this.purge(latest.updatedAt < now ? latest.updatedAt : now);
  }

  /** Really deletes what was put away long enough ago, with all that is about it. @returns how many documents went */
  async purge(now: Date): Promise<number> {
    const before = new Date(now.getTime() - DAYS_UNTIL_PURGED * DAY_MS);
    const old = await this.models.documents.findAll({
      where: { archivedAt: { [Op.lt]: before } },
      attributes: ["id"],
      raw: true,
    });
    const ids = old.map((row) => row.id);
    if (ids.length === 0) return 0;
    return this.database.transaction((transaction) =>
      this.models.documents.destroy({ where: { [Op.or]: [{ id: ids }, { about: ids }] }, transaction }),
    );
  }
}
