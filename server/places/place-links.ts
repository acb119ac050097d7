/**
 * Links to places. What a link shows is worked out when it is opened, by what the owner says of the place then: rounded more, or
 * taken back, it is so at once; the position itself is kept nowhere beside the place.
 */
import { randomBytes } from "node:crypto";
import type { Person } from "@jittery-cap/core/documents";
import { type SharedPlace, sharedPlace } from "@jittery-cap/core/season";
import { createOnce } from "../database/collisions.ts";
import type { Models } from "../database/models.ts";
import type { PlaceLinkRow } from "../database/rows.ts";
import type { Documents } from "../documents/documents.ts";
import { type KeptLink, keptLink, openUntil } from "../packets/link.ts";

export class PlaceLinks {
  private readonly models: Models;
  private readonly documents: Documents;

  constructor(models: Models, documents: Documents) {
    this.models = models;
    this.documents = documents;
  }

  /** Makes a link; the same request again is the same link. @returns undefined where there is no such place */
  async make(person: Person, placeId: string, id: string, name: string): Promise<KeptLink | undefined> {
    const isOf = (row: PlaceLinkRow) => row.ownerId === person.id && row.placeId === placeId;
    const there = await this.models.placeLinks.findByPk(id);
    if (there !== null) return isOf(there) ? keptLink(there) : undefined;
    if ((await this.documents.open(person, placeId, "place")) === undefined) return undefined;
    const token = randomBytes(16).toString("hex");
    const row = await createOnce(
      () => this.models.placeLinks.create({ id, ownerId: person.id, placeId, token, name, madeAt: new Date() }),
      () => this.models.placeLinks.findByPk(id),
    );
    return isOf(row) ? keptLink(row) : undefined;
  }

  /** The links of a place, latest first. */
  async list(person: Person, placeId: string): Promise<KeptLink[]> {
    const rows = await this.models.placeLinks.findAll({
      where: { ownerId: person.id, placeId },
      order: [["madeAt", "DESC"]],
    });
    return rows.map(keptLink);
  }

  /** Takes a link back. @returns whether there is such a link */
  async withdraw(person: Person, placeId: string, id: string): Promise<boolean> {
    const row = await this.models.placeLinks.findOne({ where: { ownerId: person.id, placeId, id } });
    if (row === null) return false;
    if ((row.withdrawnAt ?? null) === null) await row.update({ withdrawnAt: new Date() });
    return true;
  }

  /** What a link shows, as long as it leads anywhere and the place is not put away. */
  async open(token: string, now = new Date()): Promise<SharedPlace | undefined> {
    const row = await this.models.placeLinks.findOne({ where: { token } });
    if (row === null || now >= openUntil(row)) return undefined;
    const owner = { kind: "person", id: row.ownerId } as const;
    const isOpen = (await this.documents.open(owner, row.placeId, "place")) !== undefined;
    const place = isOpen ? await this.documents.content(owner, row.placeId, "place") : undefined;
    return place === undefined ? undefined : sharedPlace(place, row.name);
  }
}
