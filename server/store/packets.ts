/** Packets and witnesses as they are kept. A packet is frozen; whoever has its token may read it and answer it. */
import { randomBytes } from "node:crypto";
import {
  canonicalJson,
  type Fault,
  type Find,
  findSchema,
  type Opinion,
  packetOf,
  WITNESS_KINDS,
  type WitnessKind,
  type WitnessLook,
  witnessLookSchema,
} from "@jittery-cap/core";
import { z } from "zod";
import { createOnce } from "./collisions.ts";
import type { FindStore } from "./finds.ts";
import type { Models, PacketRow, WitnessRow } from "./models.ts";

/** A packet as its maker sees it. */
export interface KeptPacket {
  readonly id: string;
  readonly token: string;
  readonly madeAt: string;
}

/** What somebody, or a book, said of a find. */
export interface Witness {
  readonly id: string;
  readonly kind: WitnessKind;
  readonly name: string;
  readonly agrees?: boolean;
  readonly looks: readonly WitnessLook[];
  readonly heardAt: string;
}

/** What may come of telling an opinion or a book. */
export type Heard =
  | { readonly kind: "heard" }
  | { readonly kind: "missing" }
  | { readonly kind: "refused"; readonly faults: readonly Fault[] };

const looksSchema = z.array(witnessLookSchema);

/** The packets and witnesses of all owners. */
export class PacketStore {
  private readonly models: Models;
  private readonly finds: FindStore;

  constructor(models: Models, finds: FindStore) {
    this.models = models;
    this.finds = finds;
  }

  /** Makes a packet of a find as it stands; the same request again is the same packet. */
  async make(ownerId: string, findId: string, id: string): Promise<KeptPacket | undefined> {
    const there = await this.models.packets.findByPk(id);
    if (there !== null) return there.ownerId === ownerId && there.findId === findId ? keptOf(there) : undefined;
    const stored = await this.finds.read(ownerId, findId);
    if (stored === undefined) return undefined;
    const token = randomBytes(16).toString("hex");
    const record = packetOf(stored.find);
    const row = await createOnce(
      () => this.models.packets.create({ id, ownerId, findId, token, record, madeAt: new Date() }),
      () => this.models.packets.findByPk(id),
    );
    return row.ownerId === ownerId && row.findId === findId ? keptOf(row) : undefined;
  }

  /** The packet behind a token, with its find's id for its pictures. */
  async open(
    token: string,
  ): Promise<{ readonly ownerId: string; readonly findId: string; readonly record: Find } | undefined> {
    const row = await this.models.packets.findOne({ where: { token } });
    if (row === null || (await this.finds.read(row.ownerId, row.findId)) === undefined) return undefined;
    return { ownerId: row.ownerId, findId: row.findId, record: findSchema.parse(row.record) };
  }

  /** Keeps an opinion on a packet; the same one again is kept once. */
  async hear(token: string, opinion: Opinion, simulated: boolean): Promise<Heard> {
    const packet = await this.open(token);
    if (packet === undefined) return { kind: "missing" };
    const faults = opinion.looks.flatMap(({ body }, index): Fault[] =>
      packet.record.bodies.some((one) => one.id === body)
        ? []
        : [{ path: `looks[${index}].body`, message: `the packet has no body ${body}` }],
    );
    if (faults.length > 0) return { kind: "refused", faults };
    const kind: WitnessKind = simulated ? "simulated" : opinion.inHand ? "in-hand" : "from-pictures";
    return this.keep(packet.ownerId, packet.findId, opinion.id, {
      kind,
      name: opinion.name,
      agrees: null,
      looks: opinion.looks,
    });
  }

  /** Keeps a book that was consulted; the same one again is kept once. */
  async consult(
    ownerId: string,
    findId: string,
    book: { readonly id: string; readonly title: string; readonly agrees: boolean },
  ): Promise<Heard> {
    if ((await this.finds.read(ownerId, findId)) === undefined) return { kind: "missing" };
    return this.keep(ownerId, findId, book.id, { kind: "book", name: book.title, agrees: book.agrees, looks: [] });
  }

  /** What was said of a find, oldest first. */
  async witnesses(ownerId: string, findId: string): Promise<Witness[]> {
    const rows = await this.models.witnesses.findAll({ where: { ownerId, findId }, order: [["heardAt", "ASC"]] });
    return rows.map(witnessOf);
  }

  private async keep(
    ownerId: string,
    findId: string,
    id: string,
    said: {
      readonly kind: WitnessKind;
      readonly name: string;
      readonly agrees: boolean | null;
      readonly looks: readonly WitnessLook[];
    },
  ): Promise<Heard> {
    const [row, isNew] = await this.models.witnesses.findOrCreate({
      where: { id },
      defaults: { id, ownerId, findId, ...said, heardAt: new Date() },
    });
    if (isNew) return { kind: "heard" };
    const { kind, name, looks, agrees } = witnessOf(row);
    const same =
      row.ownerId === ownerId &&
      row.findId === findId &&
      canonicalJson({ kind, name, looks, agrees: agrees ?? null }) === canonicalJson(said);
    return same ? { kind: "heard" } : { kind: "refused", faults: [{ path: "id", message: "another one has this id" }] };
  }
}

const keptOf = (row: PacketRow): KeptPacket => ({ id: row.id, token: row.token, madeAt: row.madeAt.toISOString() });

function witnessOf(row: WitnessRow): Witness {
  return {
    id: row.id,
    // what cannot be told is the least of them
    kind: WITNESS_KINDS.find((one) => one === row.kind) ?? "from-pictures",
    name: row.name,
    ...(row.agrees === null ? {} : { agrees: row.agrees }),
    looks: looksSchema.parse(row.looks),
    heardAt: row.heardAt.toISOString(),
  };
}
