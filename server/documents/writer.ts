/**
 * Everything that is written goes through here, one group after another: what arrives while a group is being written is
 * written together, in one transaction, each write whole or not at all. Over an old version, touches that meet nothing of what
 * came in between are rebased upon it; only what truly collides is a conflict.
 */
import type { Fault } from "@jittery-cap/core";
import {
  type Actor,
  applyTouches,
  doMeet,
  isArchiving,
  type KindName,
  may,
  type Touch,
  touchSchemaOf,
} from "@jittery-cap/core/documents";
import { Op, type Sequelize, type Transaction } from "sequelize";
import { inTransaction } from "../database/collisions.ts";
import type { Models } from "../database/models.ts";
import type { TouchRow } from "../database/rows.ts";
import { contentOf, hashOf, kindOf, type Row, remember, UNLISTED, type Written } from "./document.ts";
import { type NewTouch, storeChanged } from "./store-changed.ts";
import type { WriteRequest } from "./write-request.ts";

/** Writes of one group: more would hold the event loop for too long. */
const A_GROUP = 32;
const NO_FAULTS: readonly Fault[] = [];

interface Waiting {
  readonly request: WriteRequest;
  readonly resolve: (written: Written) => void;
  readonly reject: (error: unknown) => void;
}

/** What a group makes of one document. */
interface State {
  row: Row;
  archived: boolean;
  content: unknown;
  isNew: boolean;
  isChanged: boolean;
  readonly fresh: NewTouch[];
  readonly beside: ((transaction: Transaction) => Promise<void>)[];
}

/** Whoever hears of what was written. */
export type OnWritten = (rows: readonly Row[]) => void;

/** Writes documents. One a server; several servers wait for each other at the row of the owner's feed. */
export class DocumentWriter {
  private readonly database: Sequelize;
  private readonly models: Models;
  private readonly onWritten: OnWritten;
  private readonly queue: Waiting[] = [];
  private isRunning = false;

  constructor(database: Sequelize, models: Models, onWritten: OnWritten = () => undefined) {
    this.database = database;
    this.models = models;
    this.onWritten = onWritten;
  }

  /** Writes, and answers when it is in the database for good. Sent again, it is answered as if it were the first. */
  write(request: WriteRequest): Promise<Written> {
    return new Promise((resolve, reject) => {
      this.queue.push({ request, resolve, reject });
      if (!this.isRunning) void this.run();
    });
  }

  private async run(): Promise<void> {
    this.isRunning = true;
    try {
      for (let group = this.queue.splice(0, A_GROUP); group.length > 0; group = this.queue.splice(0, A_GROUP))
        await this.writeGroup(group);
    } finally {
      // in the same tick in which nothing was left: who comes a tick later begins a round of their own
      this.isRunning = false;
    }
  }

  private async writeGroup(group: readonly Waiting[]): Promise<void> {
    try {
      const outcomes = await this.writeTogether(group.map((one) => one.request));
      group.forEach(({ resolve }, index) => {
        resolve(outcomes[index] ?? { kind: "missing" });
      });
    } catch (error) {
      // one of them breaks the transaction of all: each for itself, and only that one fails
      const [only] = group;
      if (group.length === 1 && only !== undefined) only.reject(error);
      else for (const one of group) await this.writeGroup([one]);
    }
  }

  private async writeTogether(requests: readonly WriteRequest[]): Promise<readonly Written[]> {
    const group = await inTransaction(this.database, async (transaction) => {
      const places = await this.lockFeeds(requests, transaction);
      const states = await this.statesOf(requests, transaction);
      const stored = await this.touchesOf(requests, transaction);
      const outcomes: (() => Written)[] = [];
      for (const request of requests) outcomes.push(await this.one(request, states, stored, transaction));
      const changed = [...states.values()].filter((state) => state.isChanged);
      await storeChanged(this.database, changed, places, transaction);
      return { outcomes, changed };
    });
    for (const { row, content } of group.changed) remember(row, content);
    if (group.changed.length > 0) this.onWritten(group.changed.map(({ row }) => row));
    return group.outcomes.map((outcome) => outcome());
  }

  /** Holds the feeds of all owners concerned: who comes later sees what was written here. @returns the place of each */
  private async lockFeeds(requests: readonly WriteRequest[], transaction: Transaction): Promise<Map<string, number>> {
    const owners = [...new Set(requests.map((one) => one.ownerId))].sort();
    const ask = () =>
      this.models.feeds.findAll({
        where: { ownerId: owners },
        order: [["ownerId", "ASC"]],
        transaction,
        lock: transaction.LOCK.UPDATE,
      });
    let rows = await ask();
    if (rows.length < owners.length) {
      await this.models.feeds.bulkCreate(
        owners.map((ownerId) => ({ ownerId, place: 0 })),
        { ignoreDuplicates: true, transaction },
      );
      rows = await ask();
    }
    return new Map(rows.map((row) => [row.ownerId, Number(row.place)]));
  }

  private async statesOf(requests: readonly WriteRequest[], transaction: Transaction): Promise<Map<string, State>> {
    const ids = [...new Set(requests.map((one) => one.id))];
    const rows = await this.models.documents.findAll({ where: { id: ids }, raw: true, transaction });
    return new Map(
      rows.map((row) => [
        row.id,
        {
          row,
          archived: row.archivedAt !== null,
          content: undefined,
          isNew: false,
          isChanged: false,
          fresh: [],
          beside: [],
        },
      ]),
    );
  }

  /** Of the touches that are sent, those that are stored already. */
  private async touchesOf(
    requests: readonly WriteRequest[],
    transaction: Transaction,
  ): Promise<Map<string, Pick<TouchRow, "id" | "documentId">>> {
    const ids = requests.flatMap((one) => one.touches.map((touch) => touch.id));
    if (ids.length === 0) return new Map();
    const rows = await this.models.touches.findAll({
      where: { id: ids },
      attributes: ["id", "documentId"],
      raw: true,
      transaction,
    });
    return new Map(rows.map((row) => [row.id, row]));
  }

  /** Works out one write upon what the group has made so far. The outcome is told when all are stored. */
  private async one(
    request: WriteRequest,
    states: Map<string, State>,
    stored: Map<string, Pick<TouchRow, "id" | "documentId">>,
    transaction: Transaction,
  ): Promise<() => Written> {
    const { actor, ownerId, id, kind, create, touches } = request;
    const refuse = (faults: readonly Fault[]) => () => ({ kind: "refused", faults }) as const;
    let state = states.get(id);
    if (state !== undefined && state.row.ownerId !== ownerId) return () => ({ kind: "missing" });
    if (state !== undefined && state.row.kind !== kind)
      return refuse([{ path: "kind", message: `the document of this id is of the kind ${state.row.kind}` }]);
    const verbs = [
      ...(create === undefined ? [] : (["create"] as const)),
      ...(touches.length > 0 ? (["touch"] as const) : []),
    ];
    const forbidden = verbs.find((verb) => !may(actor, verb, { kind, ownerId }, request.standing));
    if (forbidden !== undefined)
      return refuse([
        { path: forbidden === "touch" ? "touches" : forbidden, message: `a ${kind} is not to be changed so` },
      ]);
    const odd = oddTouch(actor, touches, stored, id);
    if (odd !== undefined) return refuse([odd]);

    const made = request.made ?? (create === undefined ? "" : hashOf(create));
    const isMade = state === undefined && create !== undefined;
    if (state === undefined) {
      if (create === undefined) return () => ({ kind: "missing" });
      state = this.newState(request, made);
    } else if (create !== undefined && state.row.made !== made) return conflictOf(state);

    const fresh = touches.filter((one) => !stored.has(one.id));
    if (fresh.length > 0) {
      const known = create === undefined ? request.known : 1;
      const faults = await this.touch(state, known, fresh, new Set(touches.map((one) => one.id)), transaction);
      if (faults === "conflict") return conflictOf(state);
      if (faults.length > 0) return refuse(faults);
      for (const one of fresh) stored.set(one.id, { id: one.id, documentId: id });
    }
    if (isMade) states.set(id, state);
    const settled = state;
    return () => ({ kind: "stored", row: settled.row, isNew: isMade });
  }

  private newState({ id, kind, ownerId, create, beside }: WriteRequest, made: string): State {
    const now = new Date();
    const content = kindOf(kind).canonical(create);
    return {
      row: {
        id,
        kind,
        ownerId,
        ...listedOf(kind, content),
        contentSchema: kindOf(kind).version,
        version: 1,
        content,
        made,
        place: 0,
        createdAt: now,
        updatedAt: now,
        archivedAt: null,
      },
      archived: false,
      content,
      isNew: true,
      isChanged: true,
      fresh: [],
      beside: beside === undefined ? [] : [beside],
    };
  }

  /** Applies fresh touches to a state, upon what came in between where they do not meet it. */
  private async touch(
    state: State,
    known: number,
    fresh: readonly Touch<unknown>[],
    own: ReadonlySet<string>,
    transaction: Transaction,
  ): Promise<readonly Fault[] | "conflict"> {
    const kind = kindOf(kindNameOf(state));
    if (known > state.row.version) return "conflict";
    if (known < state.row.version) {
      const theirs = await this.since(state, known, own, transaction);
      // put away and brought back in the meantime it is as it was
      const counted = state.archived ? theirs : theirs?.filter((one) => !one.changes.every(isArchiving));
      if (counted === undefined || doMeet(kind, fresh, counted)) return "conflict";
    }
    if (state.content === undefined) {
      const read = contentOf(state.row);
      if (!read.ok) return read.faults.map((one) => ({ ...one, path: `content.${one.path}` }));
      state.content = read.value;
    }
    const applied = applyTouches(kind, { content: state.content, archived: state.archived }, fresh);
    if (!applied.ok) return applied.faults;
    const now = new Date();
    fresh.forEach((touch, index) => {
      state.fresh.push({
        id: touch.id,
        documentId: state.row.id,
        version: state.row.version + index + 1,
        authorId: touch.by,
        touch,
        inverse: applied.value.inverses[index] ?? [],
        receivedAt: now,
      });
    });
    const { content, archived } = applied.value;
    state.content = content;
    state.archived = archived;
    state.isChanged = true;
    state.row = {
      ...state.row,
      ...listedOf(kindNameOf(state), content),
      content,
      contentSchema: kind.version,
      version: state.row.version + fresh.length,
      updatedAt: now,
      archivedAt: archived ? (state.row.archivedAt ?? now) : null,
    };
    return NO_FAULTS;
  }

  /** The touches of others since a version; undefined where one of them cannot be read any more. */
  private async since(
    state: State,
    known: number,
    own: ReadonlySet<string>,
    transaction: Transaction,
  ): Promise<readonly Touch<unknown>[] | undefined> {
    const rows = await this.models.touches.findAll({
      where: { documentId: state.row.id, version: { [Op.gt]: known } },
      attributes: ["id", "touch"],
      raw: true,
      transaction,
    });
    const schema = touchSchemaOf(kindOf(kindNameOf(state)));
    const parsed = rows.filter((row) => !own.has(row.id)).map((row) => schema.safeParse(row.touch));
    const kept = parsed.flatMap((one) => (one.success ? [one.data] : []));
    if (kept.length < parsed.length) return undefined;
    return [...kept, ...state.fresh.filter((one) => one.version > known && !own.has(one.id)).map((one) => one.touch)];
  }
}

const kindNameOf = (state: State): KindName => state.row.kind as KindName;
const conflictOf = (state: State) => () => ({ kind: "conflict", row: state.row }) as const;

function listedOf(kind: KindName, content: unknown): Pick<Row, "about" | "listedAt"> {
  const { at, about } = kindOf(kind).listed(content);
  return { about: about ?? null, listedAt: at === undefined ? UNLISTED : new Date(at) };
}

/** What is wrong with a list of touches, whatever they change: told twice, of another document, in another's name. */
function oddTouch(
  actor: Actor,
  touches: readonly Touch<unknown>[],
  stored: ReadonlyMap<string, Pick<TouchRow, "documentId">>,
  id: string,
): Fault | undefined {
  const seen = new Set<string>();
  for (const [index, touch] of touches.entries()) {
    if (seen.has(touch.id)) return { path: `touches[${index}].id`, message: "stands twice in this batch" };
    seen.add(touch.id);
    if (actor.kind !== "person" || touch.by !== actor.id)
      return { path: `touches[${index}].by`, message: "is not the person who sends it" };
    if ((stored.get(touch.id)?.documentId ?? id) !== id)
      return { path: `touches[${index}].id`, message: "a touch with this id belongs to another document" };
  }
  return undefined;
}
