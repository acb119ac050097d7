/** Carries what was kept in tables of its own over into documents and touches. Rows that are there already are passed over. */
import { type Answer, settingsSchema, summaryOf } from "@jittery-cap/core";
import { type QueryInterface, QueryTypes } from "sequelize";
import { z } from "zod";
import { UNLISTED } from "../../documents/document.ts";

/** Rows that are read at once. */
const PAGE = 200;

type Row = Readonly<Record<string, unknown>>;

/** A JSON column, parsed by the driver or not. */
const jsonOf = (value: unknown): unknown => (typeof value === "string" ? JSON.parse(value) : value);
const momentOf = (value: unknown): string =>
  value instanceof Date ? value.toISOString() : new Date(`${String(value).replace(" ", "T")}Z`).toISOString();
const textOf = (value: unknown): string | null => (value === null || value === undefined ? null : String(value));

interface Carried {
  readonly id: unknown;
  readonly kind: string;
  readonly ownerId: unknown;
  readonly about: unknown;
  readonly version: unknown;
  readonly content: unknown;
  readonly listedAt: unknown;
  readonly createdAt: unknown;
  readonly updatedAt: unknown;
  readonly archivedAt: unknown;
}

type Put = (one: Carried) => Promise<void>;

/** Carries everything over. */
export async function carryOver(queries: QueryInterface): Promise<void> {
  const rowsOf = async (table: string, order: string, use: (row: Row) => Promise<void>): Promise<void> => {
    for (let offset = 0; ; offset += PAGE) {
      const rows = await queries.sequelize.query<Row>(
        `SELECT * FROM ${table} ORDER BY ${order} LIMIT ${PAGE} OFFSET ${offset}`,
        { type: QueryTypes.SELECT },
      );
      for (const row of rows) await use(row);
      if (rows.length < PAGE) return;
    }
  };
  const put: Put = (one) => putDocument(queries, one);
  await rowsOf("finds", "id", (row) => put(findOf(row)));
  await rowsOf("edits", "id", (row) => putTouch(queries, row));
  await rowsOf("settled", "owner_id", (row) => put(settingsOf(row)));
  await rowsOf("pictures", "id", async (row) => {
    await put(pictureOf(row));
    await putContent(queries, row);
  });
  await rowsOf("decisions", "id", (row) => putDecision(row, put));
  await rowsOf("witnesses", "id", (row) => put(opinionOf(row)));
}

function findOf(row: Row): Carried {
  return {
    id: row.id,
    kind: "find",
    ownerId: row.owner_id,
    about: null,
    version: row.version,
    content: jsonOf(row.record),
    listedAt: row.found_at ?? UNLISTED,
    createdAt: row.created_at,
    updatedAt: row.updated_at,
    archivedAt: row.deleted_at,
  };
}

async function putTouch(queries: QueryInterface, row: Row): Promise<void> {
  const { change, ...edit } = z.looseObject({ change: z.unknown() }).parse(jsonOf(row.edit));
  await queries.sequelize.query(
    "INSERT IGNORE INTO touches (id, document_id, version, author_id, touch, inverse, received_at) VALUES (?, ?, ?, ?, ?, ?, ?)",
    {
      replacements: [
        row.id,
        row.find_id,
        row.version,
        row.owner_id,
        JSON.stringify({ ...edit, by: row.owner_id, changes: [change] }),
        JSON.stringify([jsonOf(row.inverse)]),
        row.received_at,
      ],
    },
  );
}

function settingsOf(row: Row): Carried {
  const settings = settingsSchema.safeParse(jsonOf(row.content));
  return {
    id: row.owner_id,
    kind: "settings",
    ownerId: row.owner_id,
    about: null,
    version: Math.max(1, Number(row.version)),
    content: settings.success ? settings.data : jsonOf(row.content),
    listedAt: UNLISTED,
    createdAt: row.changed_at,
    updatedAt: row.changed_at,
    archivedAt: null,
  };
}

function pictureOf(row: Row): Carried {
  return {
    id: row.id,
    kind: "picture",
    ownerId: row.owner_id,
    about: row.find_id,
    version: 1,
    content: {
      about: row.find_id,
      part: row.part,
      ...(row.body === null ? {} : { body: row.body }),
      takenAt: momentOf(row.received_at),
    },
    listedAt: row.received_at,
    createdAt: row.received_at,
    updatedAt: row.received_at,
    archivedAt: row.deleted_at,
  };
}

async function putContent(queries: QueryInterface, row: Row): Promise<void> {
  await queries.sequelize.query(
    "INSERT IGNORE INTO picture_contents (document_id, sent, width, height, content) VALUES (?, ?, ?, ?, ?)",
    { replacements: [row.id, row.sent, row.width, row.height, row.content] },
  );
}

function opinionOf(row: Row): Carried {
  return {
    id: row.id,
    kind: "opinion",
    ownerId: row.owner_id,
    about: row.find_id,
    version: 1,
    content: {
      about: row.find_id,
      kind: row.kind,
      name: row.name,
      ...(row.agrees === null ? {} : { agrees: Boolean(row.agrees) }),
      looks: jsonOf(row.looks),
      saidAt: momentOf(row.heard_at),
    },
    listedAt: row.heard_at,
    createdAt: row.heard_at,
    updatedAt: row.heard_at,
    archivedAt: null,
  };
}

const frozenSchema = z.object({
  find: z.looseObject({}),
  rules: z.record(z.string(), z.union([z.string(), z.number()])),
  edition: z.string(),
  answer: z.custom<Answer>((value) => typeof value === "object" && value !== null && "dangers" in value),
  endings: z.array(z.unknown()),
});

/** Of the whole answer that was frozen with a decision, what is kept: verdict, what it rested on, how far each danger was. */
function putDecision(row: Row, put: Put): Promise<void> {
  const frozen = frozenSchema.safeParse(jsonOf(row.frozen));
  const decidedAt = momentOf(row.decided_at);
  return put({
    id: row.id,
    kind: "decision",
    ownerId: row.owner_id,
    about: row.find_id,
    version: 1,
    // what cannot be read is carried over as it is, and listed as unreadable
    content: frozen.success
      ? {
          find: frozen.data.find,
          rules: frozen.data.rules,
          edition: frozen.data.edition,
          answer: summaryOf(frozen.data.answer),
          endings: frozen.data.endings,
          decidedAt,
        }
      : jsonOf(row.frozen),
    listedAt: row.decided_at,
    createdAt: row.decided_at,
    updatedAt: row.decided_at,
    archivedAt: null,
  });
}

/** Puts a document behind all others of its owner, unless it is there. */
async function putDocument(queries: QueryInterface, one: Carried): Promise<void> {
  const { sequelize } = queries;
  await sequelize.query("INSERT IGNORE INTO feeds (owner_id, place) VALUES (?, 0)", { replacements: [one.ownerId] });
  await sequelize.transaction(async (transaction) => {
    const [known] = await sequelize.query("SELECT id FROM documents WHERE id = ?", {
      type: QueryTypes.SELECT,
      replacements: [one.id],
      transaction,
    });
    if (known !== undefined) return;
    await sequelize.query("UPDATE feeds SET place = place + 1 WHERE owner_id = ?", {
      replacements: [one.ownerId],
      transaction,
    });
    await sequelize.query(
      `INSERT INTO documents (id, kind, owner_id, about, content_schema, version, content, made, listed_at, place,
         created_at, updated_at, archived_at)
       SELECT ?, ?, ?, ?, 1, ?, ?, '', ?, place, ?, ?, ? FROM feeds WHERE owner_id = ?`,
      {
        replacements: [
          one.id,
          one.kind,
          one.ownerId,
          textOf(one.about),
          one.version,
          JSON.stringify(one.content),
          one.listedAt,
          one.createdAt,
          one.updatedAt,
          one.archivedAt,
          one.ownerId,
        ],
        transaction,
      },
    );
  });
}
