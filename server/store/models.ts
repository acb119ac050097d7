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

export interface FindRow extends Model<InferAttributes<FindRow>, InferCreationAttributes<FindRow>> {
  id: string;
  ownerId: string;
  version: number;
  record: unknown;
  foundAt: Date | null;
  createdAt: CreationOptional<Date>;
  updatedAt: CreationOptional<Date>;
  deletedAt: Date | null;
}

export interface EditRow extends Model<InferAttributes<EditRow>, InferCreationAttributes<EditRow>> {
  id: string;
  ownerId: string;
  findId: string;
  version: number;
  edit: unknown;
  inverse: unknown;
  receivedAt: Date;
}

export interface PictureRow extends Model<InferAttributes<PictureRow>, InferCreationAttributes<PictureRow>> {
  id: string;
  ownerId: string;
  findId: string;
  body: string | null;
  part: string;
  width: number;
  height: number;
  sent: string;
  content: Buffer;
  receivedAt: Date;
  deletedAt: Date | null;
}

export interface DecisionRow extends Model<InferAttributes<DecisionRow>, InferCreationAttributes<DecisionRow>> {
  id: string;
  ownerId: string;
  findId: string;
  version: number;
  frozen: unknown;
  decidedAt: Date;
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

export interface WitnessRow extends Model<InferAttributes<WitnessRow>, InferCreationAttributes<WitnessRow>> {
  id: string;
  ownerId: string;
  findId: string;
  kind: string;
  name: string;
  agrees: boolean | null;
  looks: unknown;
  heardAt: Date;
}

export interface SettledRow extends Model<InferAttributes<SettledRow>, InferCreationAttributes<SettledRow>> {
  ownerId: string;
  version: number;
  content: unknown;
  changedAt: Date;
}

export interface DemoFindRow extends Model<InferAttributes<DemoFindRow>, InferCreationAttributes<DemoFindRow>> {
  ownerId: string;
  findId: string;
}

export interface Models {
  readonly finds: ModelStatic<FindRow>;
  readonly edits: ModelStatic<EditRow>;
  readonly pictures: ModelStatic<PictureRow>;
  readonly decisions: ModelStatic<DecisionRow>;
  readonly packets: ModelStatic<PacketRow>;
  readonly witnesses: ModelStatic<WitnessRow>;
  readonly settled: ModelStatic<SettledRow>;
  readonly demoFinds: ModelStatic<DemoFindRow>;
}

// Sequelize writes the column's name into the attribute it is given, so every column gets one of its own
const id = () => ({ type: DataTypes.CHAR(36), allowNull: false });
const version = () => ({ type: DataTypes.INTEGER.UNSIGNED, allowNull: false });
const json = () => ({ type: DataTypes.JSON, allowNull: false });

/** Defines the models on a connection. */
export function defineModels(database: Sequelize): Models {
  return {
    finds: database.define<FindRow>(
      "find",
      {
        id: { ...id(), primaryKey: true },
        ownerId: id(),
        version: version(),
        record: json(),
        foundAt: { type: DataTypes.DATE(3), allowNull: true },
        createdAt: DataTypes.DATE(3),
        updatedAt: DataTypes.DATE(3),
        deletedAt: { type: DataTypes.DATE(3), allowNull: true },
      },
      { tableName: "finds" },
    ),
    edits: database.define<EditRow>(
      "edit",
      {
        id: { ...id(), primaryKey: true },
        ownerId: id(),
        findId: id(),
        version: version(),
        edit: json(),
        inverse: json(),
        receivedAt: DataTypes.DATE(3),
      },
      { tableName: "edits", timestamps: false },
    ),
    pictures: database.define<PictureRow>(
      "picture",
      {
        id: { ...id(), primaryKey: true },
        ownerId: id(),
        findId: id(),
        body: { type: DataTypes.STRING(16), allowNull: true },
        part: { type: DataTypes.STRING(16), allowNull: false },
        width: version(),
        height: version(),
        sent: { type: DataTypes.CHAR(64), allowNull: false },
        content: { type: DataTypes.BLOB("medium"), allowNull: false },
        receivedAt: DataTypes.DATE(3),
        deletedAt: { type: DataTypes.DATE(3), allowNull: true },
      },
      { tableName: "pictures", timestamps: false },
    ),
    decisions: database.define<DecisionRow>(
      "decision",
      {
        id: { ...id(), primaryKey: true },
        ownerId: id(),
        findId: id(),
        version: version(),
        frozen: json(),
        decidedAt: DataTypes.DATE(3),
      },
      { tableName: "decisions", timestamps: false },
    ),
    packets: database.define<PacketRow>(
      "packet",
      {
        id: { ...id(), primaryKey: true },
        ownerId: id(),
        findId: id(),
        token: { type: DataTypes.CHAR(32), allowNull: false },
        record: json(),
        madeAt: DataTypes.DATE(3),
        withdrawnAt: { type: DataTypes.DATE(3), allowNull: true },
      },
      { tableName: "packets", timestamps: false },
    ),
    witnesses: database.define<WitnessRow>(
      "witness",
      {
        id: { ...id(), primaryKey: true },
        ownerId: id(),
        findId: id(),
        kind: { type: DataTypes.STRING(20), allowNull: false },
        name: { type: DataTypes.STRING(200), allowNull: false },
        agrees: { type: DataTypes.BOOLEAN, allowNull: true },
        looks: json(),
        heardAt: DataTypes.DATE(3),
      },
      { tableName: "witnesses", timestamps: false },
    ),
    demoFinds: database.define<DemoFindRow>(
      "demoFind",
      { ownerId: { ...id(), primaryKey: true }, findId: { ...id(), primaryKey: true } },
      { tableName: "demo_finds", timestamps: false },
    ),
    settled: database.define<SettledRow>(
      "settled",
      {
        ownerId: { ...id(), primaryKey: true },
        version: version(),
        content: json(),
        changedAt: DataTypes.DATE(3),
      },
      { tableName: "settled", timestamps: false },
    ),
  };
}
