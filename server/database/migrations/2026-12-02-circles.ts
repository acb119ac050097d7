/** Circles: who is in them and as what, which finds are shared with them and how, and what waits for somebody's eyes. */
import { DataTypes, type QueryInterface } from "sequelize";
import { ensureIndex } from "./repeatable.ts";

const id = () => ({ type: DataTypes.CHAR(36), allowNull: false });
const key = () => ({ ...id(), primaryKey: true });
const person = () => ({ ...id(), references: { model: "people", key: "id" } });
const circle = () => ({ ...id(), references: { model: "circles", key: "id" }, onDelete: "CASCADE" });
const find = () => ({ ...id(), references: { model: "documents", key: "id" }, onDelete: "CASCADE" });
const perhapsId = { type: DataTypes.CHAR(36), allowNull: true };
const moment = { type: DataTypes.DATE(3), allowNull: false };
const perhapsMoment = { type: DataTypes.DATE(3), allowNull: true };
const word = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false });

export async function up(queries: QueryInterface): Promise<void> {
  await queries.createTable("circles", { id: key(), name: word(80), made_by: person(), made_at: moment });
  await queries.createTable("circle_members", {
    circle_id: { ...circle(), primaryKey: true },
    person_id: { ...person(), primaryKey: true },
    role: word(12),
    trusted: { type: DataTypes.JSON, allowNull: false },
    joined_at: moment,
  });
  await ensureIndex(queries, "circle_members", ["person_id"]);
  await queries.createTable("circle_invitations", {
    id: key(),
    circle_id: circle(),
    from_id: person(),
    hash: { type: DataTypes.CHAR(64), allowNull: false, unique: true },
    role: word(12),
    trusted: { type: DataTypes.JSON, allowNull: false },
    made_at: moment,
    used_by: perhapsId,
  });
  await queries.createTable("shares", {
    find_id: { ...find(), primaryKey: true },
    circle_id: { ...circle(), primaryKey: true },
    owner_id: person(),
    place: word(8),
    may_record: { type: DataTypes.BOOLEAN, allowNull: false },
    shared_at: moment,
  });
  await ensureIndex(queries, "shares", ["circle_id"]);
  await queries.createTable("asks", {
    id: key(),
    find_id: find(),
    owner_id: person(),
    circle_id: circle(),
    packet_id: id(),
    note: word(300),
    asked_at: moment,
    taken_by: perhapsId,
    taken_at: perhapsMoment,
    answered_by: perhapsId,
    answered_at: perhapsMoment,
  });
  await ensureIndex(queries, "asks", ["circle_id", "answered_at"]);
}

export async function down(queries: QueryInterface): Promise<void> {
  for (const table of ["asks", "shares", "circle_invitations", "circle_members", "circles"])
    await queries.dropTable(table);
}
