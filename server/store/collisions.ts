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

function isCollision(error: unknown): boolean {
  return (
    error instanceof UniqueConstraintError ||
    (error instanceof DatabaseError && /deadlock|lock wait/i.test(error.message))
  );
}
