/** Writes that met: the database refuses one of them, and it is simply tried again. */
import { type Sequelize, type Transaction, UniqueConstraintError } from "sequelize";

/** How often a write that collided with another is tried: on one node the second goes through, on several it may meet a third. */
const ATTEMPTS = 6;
/** Between two tries, at the most, for each that was in vain, ms: writers that met do not meet again. */
const APART_MS = 20;

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
      await new Promise((later) => setTimeout(later, Math.random() * APART_MS * attempt));
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
    // among several nodes it is found at the very end that two have written one row: nothing was stored then either
    (error instanceof Error && /deadlock|lock wait/i.test(error.message))
  );
}
