/** People who sign in: what they sign in with, where they are signed in, who invited whom, and how often somebody tried. */
import { DataTypes, type QueryInterface } from "sequelize";
import { ensureIndex } from "./repeatable.ts";

const id = () => ({ type: DataTypes.CHAR(36), allowNull: false });
const person = () => ({ ...id(), references: { model: "people", key: "id" }, onDelete: "CASCADE" });
const moment = { type: DataTypes.DATE(3), allowNull: false };
const perhapsMoment = { type: DataTypes.DATE(3), allowNull: true };
const perhaps = (length: number) => ({ type: DataTypes.STRING(length), allowNull: true });
const no = { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false };

const COLUMNS = {
  sign_in_name: { ...perhaps(40), unique: true },
  password: perhaps(255),
  is_keeper: no,
  is_invented: no,
  about: perhaps(200),
  seal_public: { type: DataTypes.TEXT, allowNull: true },
  seal_private: { type: DataTypes.TEXT, allowNull: true },
} as const;

export async function up(queries: QueryInterface): Promise<void> {
  const there = await queries.describeTable("people");
  for (const [name, column] of Object.entries(COLUMNS))
    if (there[name] === undefined) await queries.addColumn("people", name, column);
  await queries.createTable("passkeys", {
    id: { type: DataTypes.STRING(400), allowNull: false, primaryKey: true },
    person_id: person(),
    name: { type: DataTypes.STRING(60), allowNull: false },
    public_key: { type: DataTypes.BLOB, allowNull: false },
    counter: { type: DataTypes.BIGINT, allowNull: false },
    transports: { type: DataTypes.JSON, allowNull: false },
    made_at: moment,
    last_used_at: perhapsMoment,
  });
  await queries.createTable("recovery_codes", {
    hash: { type: DataTypes.CHAR(64), allowNull: false, primaryKey: true },
    person_id: person(),
  });
  await queries.createTable("invitations", {
    id: { ...id(), primaryKey: true },
    from_id: person(),
    hash: { type: DataTypes.CHAR(64), allowNull: false, unique: true },
    note: { type: DataTypes.STRING(120), allowNull: false },
    made_at: moment,
    withdrawn_at: perhapsMoment,
    used_by: { type: DataTypes.CHAR(36), allowNull: true },
  });
  await queries.createTable("sessions", {
    // long since ended ones are swept by their end
    sid: { type: DataTypes.STRING(64), allowNull: false, primaryKey: true },
    person_id: { type: DataTypes.CHAR(36), allowNull: true },
    expires: moment,
    data: { type: DataTypes.TEXT, allowNull: false },
    created_at: moment,
    updated_at: moment,
  });
  await ensureIndex(queries, "sessions", ["person_id"]);
  await ensureIndex(queries, "sessions", ["expires"]);
  await queries.createTable("attempts", {
    key: { type: DataTypes.STRING(160), allowNull: false, primaryKey: true },
    points: { type: DataTypes.INTEGER, allowNull: false },
    expire: { type: DataTypes.BIGINT, allowNull: true },
  });
  // what every server of one database has to know alike
  await queries.createTable("secrets", {
    name: { type: DataTypes.STRING(40), allowNull: false, primaryKey: true },
    value: { type: DataTypes.STRING(200), allowNull: false },
  });
}

export async function down(queries: QueryInterface): Promise<void> {
  for (const table of ["secrets", "attempts", "sessions", "invitations", "recovery_codes", "passkeys"])
    await queries.dropTable(table);
  for (const name of Object.keys(COLUMNS)) await queries.removeColumn("people", name);
}
