/** Writes that met: the database refuses one of them, and it is simply tried again. */
import { DatabaseError, type Sequelize, type Transaction, UniqueConstraintError } from "sequelize";

/** How often a write that collided with another is tried. */
const ATTEMPTS = 3;

/** Does the work in one transaction; a first write or a lock that met another one is tried again, every other error is thrown. */
export async function inTransaction<Outcome>(
  database: Sequelize,
  work: (transaction: Transaction) => Promise<Outcome>,
): Promise<Outcome> {
  for (let attempt = 1; ; attempt++) {
    try {
      return await database.transaction(work);
    } catch (error) {
      if (attempt >= ATTEMPTS || !isCollision(error)) throw error;
    }
  }
}

/** Stores a new row, or finds that the same request, sent at the same moment, has stored it already. */
export async function createOnce<Row>(create: () => Promise<Row>, there: () => Promise<Row | null>): Promise<Row> {
  try {
    return await create();
  } catch (error) {
    if (!isCollision(error)) throw error;
    const row = await there();
    if (row === null) throw error;
    return row;
  }
}

function isCollision(error: unknown): boolean {
  return (
    error instanceof UniqueConstraintError ||
    (error instanceof DatabaseError && /deadlock|lock wait/i.test(error.message))
  );
}
