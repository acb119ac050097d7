/** The tables as Sequelize sees them: all models in this one place. Rows are checked when they are read. */
import { DataTypes, type ModelStatic, type Sequelize } from "sequelize";
import type {
  AskRow,
  CircleInvitationRow,
  CircleMemberRow,
  CircleRow,
  DemoFindRow,
  DocumentRow,
  FeedRow,
  InvitationRow,
  PacketRow,
  PasskeyRow,
  PersonRow,
  PictureRow,
  PlaceLinkRow,
  RecoveryCodeRow,
  RoundAnswerRow,
  RoundRow,
  SecretRow,
  SessionRow,
  ShareRow,
  TouchRow,
  VerdictRow,
} from "./rows.ts";

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

const PLAIN = { timestamps: false };

/** Defines the models on a connection. */
export function defineModels(database: Sequelize): Models {
  return { ...recordModels(database), ...linkModels(database), ...personModels(database), ...circleModels(database) };
}

/** Documents with what belongs to them. */
function recordModels(database: Sequelize) {
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
      { tableName: "documents", ...PLAIN },
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
      { tableName: "touches", ...PLAIN },
    ),
    feeds: database.define<FeedRow>("feed", { ownerId: key(), place: place() }, { tableName: "feeds", ...PLAIN }),
    verdicts: database.define<VerdictRow>(
      "verdict",
      { documentId: key(), version: count(), edition: word(64), verdict: word(12), summary: json() },
      { tableName: "verdicts", ...PLAIN },
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
      { tableName: "picture_contents", ...PLAIN },
    ),
    demoFinds: database.define<DemoFindRow>(
      "demoFind",
      { ownerId: key(), findId: key() },
      { tableName: "demo_finds", ...PLAIN },
    ),
  };
}

/** What is handed on by a link. */
function linkModels(database: Sequelize) {
  return {
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
      { tableName: "packets", ...PLAIN },
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
      { tableName: "place_links", ...PLAIN },
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
      { tableName: "rounds", ...PLAIN },
    ),
    roundAnswers: database.define<RoundAnswerRow>(
      "roundAnswer",
      { id: key(), roundId: id(), guest: id(), name: word(80), at: count(), said: json(), saidAt: moment() },
      { tableName: "round_answers", ...PLAIN },
    ),
  };
}

/** People and their ways in. */
function personModels(database: Sequelize) {
  return {
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
      { tableName: "people", ...PLAIN },
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
      { tableName: "passkeys", ...PLAIN },
    ),
    recoveryCodes: database.define<RecoveryCodeRow>(
      "recoveryCode",
      { hash: { ...hash(), primaryKey: true }, personId: id() },
      { tableName: "recovery_codes", ...PLAIN },
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
      { tableName: "invitations", ...PLAIN },
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
      { tableName: "secrets", ...PLAIN },
    ),
  };
}

/** Circles and what is shared in them. */
function circleModels(database: Sequelize) {
  return {
    circles: database.define<CircleRow>(
      "circle",
      { id: key(), name: word(80), madeBy: id(), madeAt: moment() },
      { tableName: "circles", ...PLAIN },
    ),
    circleMembers: database.define<CircleMemberRow>(
      "circleMember",
      { circleId: key(), personId: key(), role: word(12), trusted: json(), joinedAt: moment() },
      { tableName: "circle_members", ...PLAIN },
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
      { tableName: "circle_invitations", ...PLAIN },
    ),
    shares: database.define<ShareRow>(
      "share",
      { findId: key(), circleId: key(), ownerId: id(), place: word(8), mayRecord: no(), sharedAt: moment() },
      { tableName: "shares", ...PLAIN },
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
      { tableName: "asks", ...PLAIN },
    ),
  };
}
