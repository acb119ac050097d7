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
  /** From then on its link leads nowhere: because it is old, or because it was taken back. */
  readonly openUntil: string;
}

/** What whoever has a link may see. */
export interface OpenPacket {
  readonly ownerId: string;
  readonly findId: string;
  readonly record: Find;
  /** Pictures that came later are not part of it. */
  readonly madeAt: Date;
}

/** A link leads to its packet for so long, days. */
export const DAYS_OPEN = 30;
const DAY_MS = 24 * 60 * 60 * 1000;

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
    const record = packetOf(stored.find, id);
    const row = await createOnce(
      () => this.models.packets.create({ id, ownerId, findId, token, record, madeAt: new Date() }),
      () => this.models.packets.findByPk(id),
    );
    return row.ownerId === ownerId && row.findId === findId ? keptOf(row) : undefined;
  }

  /** The packets of a find, latest first. */
  async list(ownerId: string, findId: string): Promise<KeptPacket[]> {
    const rows = await this.models.packets.findAll({ where: { ownerId, findId }, order: [["madeAt", "DESC"]] });
    return rows.map(keptOf);
  }

  /** Takes a packet back: its link leads nowhere from now on. @returns whether there is such a packet */
  async withdraw(ownerId: string, findId: string, id: string): Promise<boolean> {
    const row = await this.models.packets.findOne({ where: { ownerId, findId, id } });
    if (row === null) return false;
    if ((row.withdrawnAt ?? null) === null) await row.update({ withdrawnAt: new Date() });
    return true;
  }

  /** The packet behind a token, if its link still leads there. */
  async open(token: string, now = new Date()): Promise<OpenPacket | undefined> {
    const row = await this.models.packets.findOne({ where: { token } });
    if (row === null || now >= openUntil(row)) return undefined;
    const { ownerId, findId, madeAt } = row;
    if ((await this.finds.read(ownerId, findId)) === undefined) return undefined;
    // what was packed before packets had an id of their own goes under theirs all the same
    return { ownerId, findId, record: packetOf(findSchema.parse(row.record), row.id), madeAt };
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

function openUntil({ madeAt, withdrawnAt }: PacketRow): Date {
  const old = new Date(madeAt.getTime() + DAYS_OPEN * DAY_MS);
  const withdrawn = withdrawnAt ?? old;
  return withdrawn < old ? withdrawn : old;
}

const keptOf = (row: PacketRow): KeptPacket => ({
  id: row.id,
  token: row.token,
  madeAt: row.madeAt.toISOString(),
  openUntil: openUntil(row).toISOString(),
});

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
