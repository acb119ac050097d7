/** The tables as Sequelize sees them: all models in this one place. Rows are checked when they are read. */
import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  type Model,
  type ModelStatic,
  type Sequelize,
} from "sequelize";

/** A document as it is now. */
export interface DocumentRow extends Model<InferAttributes<DocumentRow>, InferCreationAttributes<DocumentRow>> {
  id: string;
  kind: string;
  ownerId: string;
  /** The find that it is about. */
  about: string | null;
  /** The version of the kind's schema under which the content is kept. */
  contentSchema: number;
  version: number;
  content: unknown;
  /** SHA-256 of what it was made of, to know a repeated write; empty where that is not known any more. */
  made: string;
  listedAt: Date;
  /** Where it stands in the order of its owner's changes. */
  place: number;
  createdAt: Date;
  updatedAt: Date;
  archivedAt: Date | null;
}

export interface TouchRow extends Model<InferAttributes<TouchRow>, InferCreationAttributes<TouchRow>> {
  id: string;
  documentId: string;
  /** The document's version after it. */
  version: number;
  authorId: string;
  touch: unknown;
  inverse: unknown;
  receivedAt: Date;
}

/** The place of an owner's latest change; whoever writes for that owner holds this row. */
export interface FeedRow extends Model<InferAttributes<FeedRow>, InferCreationAttributes<FeedRow>> {
  ownerId: string;
  place: number;
}

/** How a record stood when it was last judged. Worked out anew wherever version or edition are others. */
export interface VerdictRow extends Model<InferAttributes<VerdictRow>, InferCreationAttributes<VerdictRow>> {
  documentId: string;
  version: number;
  edition: string;
  verdict: string;
  summary: unknown;
}

export interface PictureRow extends Model<InferAttributes<PictureRow>, InferCreationAttributes<PictureRow>> {
  documentId: string;
  /** SHA-256 of what was sent, to know a repeated write. */
  sent: string;
  width: number;
  height: number;
  content: Buffer;
}

export interface PacketRow extends Model<InferAttributes<PacketRow>, InferCreationAttributes<PacketRow>> {
  id: string;
  ownerId: string;
  findId: string;
  token: string;
  record: unknown;
  madeAt: Date;
  withdrawnAt: CreationOptional<Date | null>;
}

export interface PlaceLinkRow extends Model<InferAttributes<PlaceLinkRow>, InferCreationAttributes<PlaceLinkRow>> {
  id: string;
  ownerId: string;
  placeId: string;
  token: string;
  /** What others call the place. */
  name: string;
  madeAt: Date;
  withdrawnAt: CreationOptional<Date | null>;
}

export interface RoundRow extends Model<InferAttributes<RoundRow>, InferCreationAttributes<RoundRow>> {
  id: string;
  ownerId: string;
  token: string;
  name: string;
  items: unknown;
  /** What the table shows. */
  shown: unknown;
  madeAt: Date;
  withdrawnAt: CreationOptional<Date | null>;
}

export interface RoundAnswerRow
  extends Model<InferAttributes<RoundAnswerRow>, InferCreationAttributes<RoundAnswerRow>> {
  id: string;
  roundId: string;
  /** The phone. */
  guest: string;
  name: string;
  at: number;
  said: unknown;
  saidAt: Date;
}

export interface DemoFindRow extends Model<InferAttributes<DemoFindRow>, InferCreationAttributes<DemoFindRow>> {
  ownerId: string;
  findId: string;
}

export interface Models {
  readonly documents: ModelStatic<DocumentRow>;
  readonly touches: ModelStatic<TouchRow>;
  readonly feeds: ModelStatic<FeedRow>;
  readonly verdicts: ModelStatic<VerdictRow>;
  readonly pictures: ModelStatic<PictureRow>;
  readonly packets: ModelStatic<PacketRow>;
  readonly placeLinks: ModelStatic<PlaceLinkRow>;
  readonly rounds: ModelStatic<RoundRow>;
  readonly roundAnswers: ModelStatic<RoundAnswerRow>;
  readonly demoFinds: ModelStatic<DemoFindRow>;
}

// Sequelize writes the column's name into the attribute it is given, so every column gets one of its own
const id = () => ({ type: DataTypes.CHAR(36), allowNull: false });
const key = () => ({ ...id(), primaryKey: true });
const count = () => ({ type: DataTypes.INTEGER.UNSIGNED, allowNull: false });
const place = () => ({ type: DataTypes.BIGINT, allowNull: false });
const word = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false });
const hash = () => ({ type: DataTypes.CHAR(64), allowNull: false });
const json = () => ({ type: DataTypes.JSON, allowNull: false });
const moment = () => ({ type: DataTypes.DATE(3), allowNull: false });
const perhapsMoment = () => ({ type: DataTypes.DATE(3), allowNull: true });

/** Defines the models on a connection. */
export function defineModels(database: Sequelize): Models {
  const plain = { timestamps: false };
  return {
    documents: database.define<DocumentRow>(
      "document",
      {
        id: key(),
        kind: word(20),
        ownerId: id(),
        about: { type: DataTypes.CHAR(36), allowNull: true },
        contentSchema: count(),
        version: count(),
        content: json(),
        made: hash(),
        listedAt: moment(),
        place: place(),
        createdAt: moment(),
        updatedAt: moment(),
        archivedAt: perhapsMoment(),
      },
      { tableName: "documents", ...plain },
    ),
    touches: database.define<TouchRow>(
      "touch",
      {
        id: key(),
        documentId: id(),
        version: count(),
        authorId: id(),
        touch: json(),
        inverse: json(),
        receivedAt: moment(),
      },
      { tableName: "touches", ...plain },
    ),
    feeds: database.define<FeedRow>("feed", { ownerId: key(), place: place() }, { tableName: "feeds", ...plain }),
    verdicts: database.define<VerdictRow>(
      "verdict",
      { documentId: key(), version: count(), edition: word(64), verdict: word(12), summary: json() },
      { tableName: "verdicts", ...plain },
    ),
    pictures: database.define<PictureRow>(
      "picture",
      {
        documentId: key(),
        sent: hash(),
        width: count(),
        height: count(),
        content: { type: DataTypes.BLOB("medium"), allowNull: false },
      },
      { tableName: "picture_contents", ...plain },
    ),
    packets: database.define<PacketRow>(
      "packet",
      {
        id: key(),
        ownerId: id(),
        findId: id(),
        token: { type: DataTypes.CHAR(32), allowNull: false },
        record: json(),
        madeAt: moment(),
        withdrawnAt: perhapsMoment(),
      },
      { tableName: "packets", ...plain },
    ),
    placeLinks: database.define<PlaceLinkRow>(
      "placeLink",
      {
        id: key(),
        ownerId: id(),
        placeId: id(),
        token: { type: DataTypes.CHAR(32), allowNull: false },
        name: word(120),
        madeAt: moment(),
        withdrawnAt: perhapsMoment(),
      },
      { tableName: "place_links", ...plain },
    ),
    rounds: database.define<RoundRow>(
      "round",
      {
        id: key(),
        ownerId: id(),
        token: { type: DataTypes.CHAR(32), allowNull: false },
        name: word(80),
        items: json(),
        shown: { type: DataTypes.JSON, allowNull: true },
        madeAt: moment(),
        withdrawnAt: perhapsMoment(),
      },
      { tableName: "rounds", ...plain },
    ),
    roundAnswers: database.define<RoundAnswerRow>(
      "roundAnswer",
      { id: key(), roundId: id(), guest: id(), name: word(80), at: count(), said: json(), saidAt: moment() },
      { tableName: "round_answers", ...plain },
    ),
    demoFinds: database.define<DemoFindRow>(
      "demoFind",
      { ownerId: key(), findId: key() },
      { tableName: "demo_finds", ...plain },
    ),
  };
}
