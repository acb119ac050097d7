/** What of other people's finds somebody may see: worked out anew for each question, so that nothing outlives its withdrawal. */
import type { Find } from "@jittery-cap/core";
import { may, type Person, type PicturePart } from "@jittery-cap/core/documents";
import { PLACES_SHOWN, type PlaceShown, type Shared, sharedFind } from "@jittery-cap/core/people";
import { QueryTypes, type Sequelize } from "sequelize";
import type { Models } from "../database/models.ts";
import { contentAs, type Row } from "../documents/document.ts";
import { Problem } from "../http/problem.ts";
import type { Circles } from "./circles.ts";

/** A share as its find's owner sees it. */
export interface Share extends Shared {
  readonly circle: string;
  readonly name: string;
  readonly sharedAt: string;
}

/** A find that somebody shares with me. */
export interface SharedWithMe extends Shared {
  readonly id: string;
  readonly version: number;
  readonly owner: { readonly id: string; readonly name: string };
  /** The circle with which it was shared last. */
  readonly circle: string;
  /** All circles of theirs with which it is shared, the latest first. */
  readonly circles: string[];
}

/** A picture of a find that somebody shares with me. */
export interface SharedPicture {
  readonly id: string;
  readonly part: PicturePart;
  readonly body?: string;
}

const noFind = (id: string) => new Problem(404, `There is no find ${id}.`);

export class Sharing {
  private readonly database: Sequelize;
  private readonly models: Models;
  private readonly circles: Circles;

  constructor(database: Sequelize, models: Models, circles: Circles) {
    this.database = database;
    this.models = models;
    this.circles = circles;
  }

  /** How a person stands to a find that is another's; undefined where it is none of their affair. */
  async standing(person: string, findId: string): Promise<Shared | undefined> {
    const rows = await this.database.query<{ place: PlaceShown; mayRecord: number }>(
      `SELECT s.place, s.may_record AS mayRecord FROM shares s
       JOIN circle_members m ON m.circle_id = s.circle_id AND m.person_id = :person
       JOIN circle_members o ON o.circle_id = s.circle_id AND o.person_id = s.owner_id
       JOIN documents d ON d.id = s.find_id AND d.archived_at IS NULL AND d.kind = 'find'
       WHERE s.find_id = :findId AND s.owner_id <> :person`,
      { type: QueryTypes.SELECT, replacements: { person, findId } },
    );
    if (rows.length === 0) return undefined;
    return { place: mostOf(rows.map((row) => row.place)), mayRecord: rows.some((row) => Number(row.mayRecord) === 1) };
  }

  /** A find of another's as this person may see it. */
  async read(person: Person, id: string): Promise<{ row: Row; standing: Shared } | undefined> {
    const standing = await this.standing(person.id, id);
    const row = standing === undefined ? null : await this.models.documents.findByPk(id, { raw: true });
    return row === null || standing === undefined ? undefined : { row: shownRow(row, standing), standing };
  }

  /** The pictures of another's find as this person may see them, oldest first: one of the ground may tell the place. @throws 404 */
  async pictures(person: Person, findId: string): Promise<SharedPicture[]> {
    const standing = await this.standing(person.id, findId);
    if (standing === undefined) throw noFind(findId);
    const rows = await this.models.documents.findAll({
      where: { about: findId, kind: "picture", archivedAt: null },
      order: [["listedAt", "ASC"]],
      raw: true,
    });
    return rows.flatMap((row) => {
      const picture = contentAs(row, "picture");
      if (picture === undefined || !may(person, "read", row, standing)) return [];
      if (picture.part === "ground" && standing.place !== "exact") return [];
      return [{ id: row.id, part: picture.part, ...(picture.body === undefined ? {} : { body: picture.body }) }];
    });
  }

  /** The JPEG of one of them. @throws 404 */
  async picture(person: Person, findId: string, id: string): Promise<Buffer> {
    const isThere = (await this.pictures(person, findId)).some((one) => one.id === id);
    const content = isThere ? (await this.models.pictures.findByPk(id))?.content : undefined;
    if (content === undefined) throw new Problem(404, `There is no picture ${id}.`);
    return content;
  }

  /**
   * What others share with a person, the latest made first, a page at a time: by the id, which tells when a find was made, so
   * that what is shared or withdrawn meanwhile moves no other off a page.
   * @param after the `next` of the page before
   */
  async list(person: string, limit: number, after?: string): Promise<{ finds: SharedWithMe[]; next?: string }> {
    const rows = await this.database.query<{
      id: string;
      version: number;
      ownerId: string;
      ownerName: string;
      circles: string;
      places: string;
      mayRecord: number;
    }>(
      `SELECT d.id, d.version, s.owner_id AS ownerId, p.name AS ownerName,
              GROUP_CONCAT(s.circle_id ORDER BY s.shared_at DESC) AS circles,
              GROUP_CONCAT(s.place) AS places, MAX(s.may_record) AS mayRecord
       FROM circle_members m
       JOIN shares s ON s.circle_id = m.circle_id AND s.owner_id <> m.person_id
       JOIN circle_members o ON o.circle_id = s.circle_id AND o.person_id = s.owner_id
       JOIN documents d ON d.id = s.find_id AND d.archived_at IS NULL AND d.kind = 'find'
       JOIN people p ON p.id = s.owner_id
       WHERE m.person_id = :person ${after === undefined ? "" : "AND d.id < :after"}
       GROUP BY d.id, d.version, s.owner_id, p.name ORDER BY d.id DESC LIMIT :most`,
      { type: QueryTypes.SELECT, replacements: { person, most: limit + 1, ...(after === undefined ? {} : { after }) } },
    );
    const finds = rows
      .slice(0, limit)
      .map(({ ownerId, ownerName, places, mayRecord, circles, ...row }): SharedWithMe => {
        const under = circles.split(",");
        return {
          ...row,
          owner: { id: ownerId, name: ownerName },
          circle: under[0] ?? circles,
          circles: under,
          place: mostOf(PLACES_SHOWN.filter((one) => places.split(",").includes(one))),
          mayRecord: Number(mayRecord) === 1,
        };
      });
    const last = finds.at(-1);
    return rows.length > limit && last !== undefined ? { finds, next: last.id } : { finds };
  }

  /** Who else sees any of these finds. */
  async audience(findIds: readonly string[]): Promise<string[]> {
    if (findIds.length === 0) return [];
    const rows = await this.database.query<{ person: string }>(
      `SELECT DISTINCT m.person_id AS person FROM shares s
       JOIN circle_members m ON m.circle_id = s.circle_id AND m.person_id <> s.owner_id WHERE s.find_id IN (:findIds)`,
      { type: QueryTypes.SELECT, replacements: { findIds: [...findIds] } },
    );
    return rows.map((row) => row.person);
  }

  /** Who is in a circle. */
  async peopleIn(circle: string): Promise<string[]> {
    const rows = await this.models.circleMembers.findAll({ where: { circleId: circle }, raw: true });
    return rows.map((row) => row.personId);
  }

  /** With whom a find is shared. @throws 404 where it is not this person's */
  async shares(person: Person, findId: string): Promise<Share[]> {
    await this.mine(person, findId);
    const rows = await this.database.query<
      Omit<Share, "sharedAt" | "mayRecord"> & { sharedAt: Date; mayRecord: number }
    >(
      `SELECT s.circle_id AS circle, c.name, s.place, s.may_record AS mayRecord, s.shared_at AS sharedAt
       FROM shares s JOIN circles c ON c.id = s.circle_id WHERE s.find_id = :findId ORDER BY c.name`,
      { type: QueryTypes.SELECT, replacements: { findId } },
    );
    return rows.map((row) => ({
      ...row,
      mayRecord: Number(row.mayRecord) === 1,
      sharedAt: new Date(row.sharedAt).toISOString(),
    }));
  }

  /** Shares a find, or shares it otherwise than before. @throws 404 where it is not theirs, or they are not in the circle */
  async share(person: Person, findId: string, circle: string, { place, mayRecord }: Shared): Promise<Share[]> {
    await this.mine(person, findId);
    await this.circles.membership(person.id, circle);
    await this.models.shares.upsert({
      findId,
      circleId: circle,
      ownerId: person.id,
      place,
      mayRecord,
      sharedAt: new Date(),
    });
    return this.shares(person, findId);
  }

  /** @throws 404 where it is not theirs, or was not shared */
  async withdraw(person: Person, findId: string, circle: string): Promise<void> {
    await this.mine(person, findId);
    if ((await this.models.shares.destroy({ where: { findId, circleId: circle } })) === 0)
      throw new Problem(404, `The find is not shared with the circle ${circle}.`);
  }

  private async mine(person: Person, findId: string): Promise<void> {
    const row = await this.models.documents.findByPk(findId, { raw: true });
    if (row === null || row.ownerId !== person.id || row.kind !== "find" || row.archivedAt !== null)
      throw noFind(findId);
  }
}

/** Where a find is shared in two ways, the one that shows more: its owner chose it for this person as well. */
const mostOf = (shown: readonly PlaceShown[]): PlaceShown =>
  [...PLACES_SHOWN].reverse().find((one) => shown.includes(one)) ?? "none";

/** A row as others see it. @throws where it cannot be read: nothing is shown as it came */
export function shownRow(row: Row, { place }: Shared): Row {
  const find: Find | undefined = contentAs(row, "find");
  if (find === undefined) throw new Error(`document ${row.id} cannot be read`);
  return { ...row, content: sharedFind(find, place) };
}
