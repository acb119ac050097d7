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

export interface PersonRow extends Model<InferAttributes<PersonRow>, InferCreationAttributes<PersonRow>> {
  id: string;
  name: string;
  createdAt: Date;
  /** By which they sign in; nobody signs in as a person without one. */
  signInName: CreationOptional<string | null>;
  /** Its argon2id hash with all that it was made by. */
  password: CreationOptional<string | null>;
  isKeeper: CreationOptional<boolean>;
  isInvented: CreationOptional<boolean>;
  /** Of an invented person: who they are. */
  about: CreationOptional<string | null>;
  /** The pair of keys for what devices seal, as JSON Web Keys. */
  sealPublic: CreationOptional<string | null>;
  sealPrivate: CreationOptional<string | null>;
}

export interface PasskeyRow extends Model<InferAttributes<PasskeyRow>, InferCreationAttributes<PasskeyRow>> {
  id: string;
  personId: string;
  name: string;
  publicKey: Buffer;
  counter: number;
  transports: unknown;
  madeAt: Date;
  lastUsedAt: CreationOptional<Date | null>;
}

export interface RecoveryCodeRow
  extends Model<InferAttributes<RecoveryCodeRow>, InferCreationAttributes<RecoveryCodeRow>> {
  /** SHA-256 of the code, which is random and long: it needs no slow hash. */
  hash: string;
  personId: string;
}

export interface InvitationRow extends Model<InferAttributes<InvitationRow>, InferCreationAttributes<InvitationRow>> {
  id: string;
  fromId: string;
  /** SHA-256 of the token. */
  hash: string;
  note: string;
  madeAt: Date;
  withdrawnAt: CreationOptional<Date | null>;
  usedBy: CreationOptional<string | null>;
}

export interface SessionRow extends Model<InferAttributes<SessionRow>, InferCreationAttributes<SessionRow>> {
  sid: string;
  personId: string | null;
  expires: Date;
  data: string;
}

export interface SecretRow extends Model<InferAttributes<SecretRow>, InferCreationAttributes<SecretRow>> {
  name: string;
  value: string;
}

export interface CircleRow extends Model<InferAttributes<CircleRow>, InferCreationAttributes<CircleRow>> {
  id: string;
  name: string;
  madeBy: string;
  madeAt: Date;
}

export interface CircleMemberRow
  extends Model<InferAttributes<CircleMemberRow>, InferCreationAttributes<CircleMemberRow>> {
  circleId: string;
  personId: string;
  role: string;
  trusted: unknown;
  joinedAt: Date;
}

export interface CircleInvitationRow
  extends Model<InferAttributes<CircleInvitationRow>, InferCreationAttributes<CircleInvitationRow>> {
  id: string;
  circleId: string;
  fromId: string;
  /** SHA-256 of the token. */
  hash: string;
  role: string;
  trusted: unknown;
  madeAt: Date;
  usedBy: CreationOptional<string | null>;
}

export interface ShareRow extends Model<InferAttributes<ShareRow>, InferCreationAttributes<ShareRow>> {
  findId: string;
  circleId: string;
  ownerId: string;
  place: string;
  mayRecord: boolean;
  sharedAt: Date;
}

export interface AskRow extends Model<InferAttributes<AskRow>, InferCreationAttributes<AskRow>> {
  id: string;
  findId: string;
  ownerId: string;
  circleId: string;
  packetId: string;
  note: string;
  askedAt: Date;
  takenBy: CreationOptional<string | null>;
  takenAt: CreationOptional<Date | null>;
  answeredBy: CreationOptional<string | null>;
  answeredAt: CreationOptional<Date | null>;
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
  readonly people: ModelStatic<PersonRow>;
  readonly passkeys: ModelStatic<PasskeyRow>;
  readonly recoveryCodes: ModelStatic<RecoveryCodeRow>;
  readonly invitations: ModelStatic<InvitationRow>;
  readonly sessions: ModelStatic<SessionRow>;
  readonly secrets: ModelStatic<SecretRow>;
  readonly circles: ModelStatic<CircleRow>;
  readonly circleMembers: ModelStatic<CircleMemberRow>;
  readonly circleInvitations: ModelStatic<CircleInvitationRow>;
  readonly shares: ModelStatic<ShareRow>;
  readonly asks: ModelStatic<AskRow>;
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
const perhapsWord = (length: number) => ({ type: DataTypes.STRING(length), allowNull: true });
const perhapsText = () => ({ type: DataTypes.TEXT, allowNull: true });
const perhapsId = () => ({ type: DataTypes.CHAR(36), allowNull: true });
const no = () => ({ type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false });

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
    people: database.define<PersonRow>(
      "person",
      {
        id: key(),
        name: word(200),
        createdAt: moment(),
        signInName: perhapsWord(40),
        password: perhapsWord(255),
        isKeeper: no(),
        isInvented: no(),
        about: perhapsWord(200),
        sealPublic: perhapsText(),
        sealPrivate: perhapsText(),
      },
      { tableName: "people", ...plain },
    ),
    passkeys: database.define<PasskeyRow>(
      "passkey",
      {
        id: { ...word(400), primaryKey: true },
        personId: id(),
        name: word(60),
        publicKey: { type: DataTypes.BLOB, allowNull: false },
        counter: place(),
        transports: json(),
        madeAt: moment(),
        lastUsedAt: perhapsMoment(),
      },
      { tableName: "passkeys", ...plain },
    ),
    recoveryCodes: database.define<RecoveryCodeRow>(
      "recoveryCode",
      { hash: { ...hash(), primaryKey: true }, personId: id() },
      { tableName: "recovery_codes", ...plain },
    ),
    invitations: database.define<InvitationRow>(
      "invitation",
      {
        id: key(),
        fromId: id(),
        hash: hash(),
        note: word(120),
        madeAt: moment(),
        withdrawnAt: perhapsMoment(),
        usedBy: perhapsId(),
      },
      { tableName: "invitations", ...plain },
    ),
    sessions: database.define<SessionRow>(
      "session",
      {
        sid: { ...word(64), primaryKey: true },
        personId: perhapsId(),
        expires: moment(),
        data: { type: DataTypes.TEXT, allowNull: false },
      },
      { tableName: "sessions", timestamps: true },
    ),
    secrets: database.define<SecretRow>(
      "secret",
      { name: { ...word(40), primaryKey: true }, value: word(200) },
      { tableName: "secrets", ...plain },
    ),
    circles: database.define<CircleRow>(
      "circle",
      { id: key(), name: word(80), madeBy: id(), madeAt: moment() },
      { tableName: "circles", ...plain },
    ),
    circleMembers: database.define<CircleMemberRow>(
      "circleMember",
      { circleId: key(), personId: key(), role: word(12), trusted: json(), joinedAt: moment() },
      { tableName: "circle_members", ...plain },
    ),
    circleInvitations: database.define<CircleInvitationRow>(
      "circleInvitation",
      {
        id: key(),
        circleId: id(),
        fromId: id(),
        hash: hash(),
        role: word(12),
        trusted: json(),
        madeAt: moment(),
        usedBy: perhapsId(),
      },
      { tableName: "circle_invitations", ...plain },
    ),
    shares: database.define<ShareRow>(
      "share",
      { findId: key(), circleId: key(), ownerId: id(), place: word(8), mayRecord: no(), sharedAt: moment() },
      { tableName: "shares", ...plain },
    ),
    asks: database.define<AskRow>(
      "ask",
      {
        id: key(),
        findId: id(),
        ownerId: id(),
        circleId: id(),
        packetId: id(),
        note: word(300),
        askedAt: moment(),
        takenBy: perhapsId(),
        takenAt: perhapsMoment(),
        answeredBy: perhapsId(),
        answeredAt: perhapsMoment(),
      },
      { tableName: "asks", ...plain },
    ),
  };
}
