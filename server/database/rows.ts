/** The rows of the database, a table each. */
import type { CreationOptional, InferAttributes, InferCreationAttributes, Model } from "sequelize";

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
