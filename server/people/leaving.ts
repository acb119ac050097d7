/** All that is kept of a person, to take along; and their leaving, after which nothing here is theirs. */
import type { Writable } from "node:stream";
import type { Person } from "@jittery-cap/core/documents";
import { strToU8, Zip, ZipPassThrough } from "fflate";
import { Op, type Sequelize } from "sequelize";
import type { Circles } from "../circles/circles.ts";
import type { Models } from "../database/models.ts";
import { sentOf } from "../documents/document.ts";
import type { Documents } from "../documents/documents.ts";
import type { People } from "./people.ts";

/** Documents in one file of the archive. */
const A_PAGE = 200;
/** What others see where somebody was. */
export const GONE = "somebody who left";

export class Leaving {
  private readonly database: Sequelize;
  private readonly models: Models;
  private readonly documents: Documents;
  private readonly people: People;
  private readonly circles: Circles;

  constructor(database: Sequelize, models: Models, documents: Documents, people: People, circles: Circles) {
    this.database = database;
    this.models = models;
    this.documents = documents;
    this.people = people;
    this.circles = circles;
  }

  /** Writes all of it into a ZIP archive, a page of documents and a picture at a time: no log is held in memory whole. */
  async everything(actor: Person, to: Writable): Promise<void> {
    const { id } = actor;
    let failed: Error | undefined;
    const zip = new Zip((error, chunk) => {
      if (error !== null) failed = error;
      else to.write(chunk);
    });
    const add = (name: string, content: Uint8Array) => {
      const file = new ZipPassThrough(name);
      zip.add(file);
      file.push(content, true);
    };
    const json = (name: string, value: unknown) => add(name, strToU8(`${JSON.stringify(value, undefined, 2)}\n`));
    /** Whoever takes the archive slowly is waited for. */
    const drained = () =>
      to.writableNeedDrain ? new Promise<void>((resolve) => to.once("drain", resolve)) : undefined;

    const { sealKey: _sealKey, ...me } = await this.people.own(id);
    json("me.json", me);
    for (let after = 0, page = 1; ; page++) {
      const { rows, more } = await this.documents.changed(actor, after, A_PAGE);
      if (rows.length > 0) json(`documents/${String(page).padStart(4, "0")}.json`, rows.map(sentOf));
      const touches = await this.models.touches.findAll({
        where: { documentId: rows.map((row) => row.id) },
        order: [
          ["documentId", "ASC"],
          ["version", "ASC"],
        ],
        raw: true,
      });
      if (touches.length > 0) json(`touches/${String(page).padStart(4, "0")}.json`, touches);
      for (const row of rows.filter((one) => one.kind === "picture")) {
        const picture = await this.models.pictures.findByPk(row.id);
        if (picture !== null) add(`pictures/${row.id}.jpg`, picture.content);
        await drained();
      }
      await drained();
      after = rows.at(-1)?.place ?? after;
      if (!more) break;
    }
    const where = { where: { ownerId: id }, raw: true } as const;
    json("links.json", {
      packets: await this.models.packets.findAll({ ...where, attributes: ["id", "findId", "madeAt", "withdrawnAt"] }),
      places: await this.models.placeLinks.findAll({
        ...where,
        attributes: ["id", "placeId", "name", "madeAt", "withdrawnAt"],
      }),
      rounds: await this.models.rounds.findAll({ ...where, attributes: ["id", "name", "madeAt", "withdrawnAt"] }),
    });
    json("circles.json", await this.circles.list(id));
    zip.end();
    if (failed !== undefined) throw failed;
    to.end();
  }

  /**
   * Deletes what is a person's own, all or nothing. What they saw on other people's finds stays there, since answers rest on it;
   * their name does not.
   */
  async leave({ id }: Person): Promise<void> {
    const { models } = this;
    await this.database.transaction(async (transaction) => {
      const mine = { where: { ownerId: id }, transaction };
      const documents = await models.documents.findAll({ ...mine, attributes: ["id"], raw: true });
      const ids = documents.map((one) => one.id);
      for (const model of [models.packets, models.placeLinks, models.rounds, models.demoFinds] as const)
        await (model as typeof models.packets).destroy(mine);
      // what somebody else said of a find of theirs goes with the find
      await models.documents.destroy({
        where: { [Op.or]: [{ id: ids }, { about: ids, ownerId: id }] },
        transaction,
      });
      await this.circles.leaveAll(id, transaction);
      const theirs = { where: { personId: id }, transaction };
      await models.passkeys.destroy(theirs);
      await models.recoveryCodes.destroy(theirs);
      await models.invitations.destroy({ where: { fromId: id }, transaction });
      await models.people.update(
        {
          name: GONE,
          signInName: null,
          password: null,
          isKeeper: false,
          isInvented: false,
          about: null,
          sealPublic: null,
          sealPrivate: null,
        },
        { where: { id }, transaction },
      );
    });
  }
}
