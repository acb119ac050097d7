/** Packets as they are kept. One is frozen; whoever has its token may read it, and say what they saw, for a while. */
import { randomBytes } from "node:crypto";
import { type Fault, type Find, findSchema, type OpinionKind, packetOf, type SaidOfPacket } from "@jittery-cap/core";
import type { Person } from "@jittery-cap/core/documents";
import type { SaidBy } from "@jittery-cap/core/people";
import { createOnce } from "../database/collisions.ts";
import type { Models } from "../database/models.ts";
import { hashOf } from "../documents/document.ts";
import type { Documents } from "../documents/documents.ts";
import type { DocumentWriter } from "../documents/writer.ts";
import { type KeptLink, keptLink, openUntil } from "./link.ts";

/** What whoever has a link may see. */
export interface OpenPacket {
  readonly id: string;
  /** Whose it is; what goes along is read on their behalf. */
  readonly owner: Person;
  readonly findId: string;
  readonly record: Find;
  /** Pictures that came later are not part of it. */
  readonly madeAt: Date;
}

/** What may come of saying something. */
export type Heard =
  | { readonly kind: "heard" }
  | { readonly kind: "missing" }
  | { readonly kind: "refused"; readonly faults: readonly Fault[] };

export class Packets {
  private readonly models: Models;
  private readonly documents: Documents;
  private readonly writer: DocumentWriter;

  constructor(models: Models, documents: Documents, writer: DocumentWriter) {
    this.models = models;
    this.documents = documents;
    this.writer = writer;
  }

  /** Makes a packet of a find as it stands; the same request again is the same packet. */
  async make(person: Person, findId: string, id: string): Promise<KeptLink | undefined> {
    const there = await this.models.packets.findByPk(id);
    if (there !== null) return there.ownerId === person.id && there.findId === findId ? keptLink(there) : undefined;
    const find = await this.documents.content(person, findId, "find");
    if (find === undefined) return undefined;
    const token = randomBytes(16).toString("hex");
    const record = packetOf(find, id);
    const row = await createOnce(
      () => this.models.packets.create({ id, ownerId: person.id, findId, token, record, madeAt: new Date() }),
      () => this.models.packets.findByPk(id),
    );
    return row.ownerId === person.id && row.findId === findId ? keptLink(row) : undefined;
  }

  /** The packets of a find, latest first. */
  async list(person: Person, findId: string): Promise<KeptLink[]> {
    const rows = await this.models.packets.findAll({
      where: { ownerId: person.id, findId },
      order: [["madeAt", "DESC"]],
    });
    return rows.map(keptLink);
  }

  /** Takes a packet back: its link leads nowhere from now on. @returns whether there is such a packet */
  async withdraw(person: Person, findId: string, id: string): Promise<boolean> {
    const row = await this.models.packets.findOne({ where: { ownerId: person.id, findId, id } });
    if (row === null) return false;
    if ((row.withdrawnAt ?? null) === null) await row.update({ withdrawnAt: new Date() });
    return true;
  }

  /** The packet behind a token, if its link still leads there. */
  async open(token: string, now = new Date()): Promise<OpenPacket | undefined> {
    const row = await this.models.packets.findOne({ where: { token } });
    if (row === null || now >= openUntil(row)) return undefined;
    const { id, ownerId, findId, madeAt } = row;
    // the link leads to what its owner still keeps
    const owner = { kind: "person", id: ownerId } as const;
    if ((await this.documents.open(owner, findId, "find")) === undefined) return undefined;
    // what was packed before packets had an id of their own goes under theirs all the same
    return { id, owner, findId, record: packetOf(findSchema.parse(row.record), row.id), madeAt };
  }

  /** Keeps what somebody said of a packet; the same again is kept once. @param by under which standing, where that is known */
  async hear(token: string, said: SaidOfPacket, simulated: boolean, by?: SaidBy): Promise<Heard> {
    const packet = await this.open(token);
    if (packet === undefined) return { kind: "missing" };
    // what a circle was asked is answered in it, under a name: by the link alone nobody says anything
    if (by === undefined && (await this.models.asks.count({ where: { packetId: packet.id } })) > 0)
      return { kind: "missing" };
    const faults = said.looks.flatMap(({ body }, index) =>
      packet.record.bodies.some((one) => one.id === body)
        ? []
        : [{ path: `looks[${index}].body`, message: `the packet has no body ${body}` }],
    );
    if (faults.length > 0) return { kind: "refused", faults };
    const kind: OpinionKind = simulated ? "simulated" : said.inHand ? "in-hand" : "from-pictures";
    const content = {
      about: packet.findId,
      kind,
      name: said.name,
      ...(by === undefined ? {} : { by }),
      looks: said.looks,
    };
    const written = await this.writer.write({
      actor: { kind: "bearer", packet: packet.id },
      ownerId: packet.owner.id,
      id: said.id,
      kind: "opinion",
      known: 0,
      // when it was said is no part of what was said: sent again it is the same
      made: hashOf(content),
      create: { ...content, saidAt: new Date().toISOString() },
      touches: [],
    });
    switch (written.kind) {
      case "stored":
        return { kind: "heard" };
      case "refused":
        return written;
      case "conflict":
      case "missing":
        return { kind: "refused", faults: [{ path: "id", message: "another one has this id" }] };
    }
  }
}
