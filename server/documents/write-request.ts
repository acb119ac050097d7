/** A write as it is asked for. */
import type { Actor, KindName, Standing, Touch } from "@jittery-cap/core/documents";
import type { Transaction } from "sequelize";

/** What somebody asks to be written of one document. */
export interface WriteRequest {
  readonly actor: Actor;
  /** Whose document it is or becomes. */
  readonly ownerId: string;
  readonly id: string;
  readonly kind: KindName;
  /** The version that the writer knew; 0 where it makes the document. */
  readonly known: number;
  readonly create?: unknown;
  /** What was sent to be made, where that is not what is kept: by it a repeated write is known. */
  readonly made?: string;
  readonly touches: readonly Touch<unknown>[];
  /** How the actor stands to the document, where it is another's. */
  readonly standing?: Standing;
  /** What is stored with a new document, in the same transaction. */
  readonly beside?: (transaction: Transaction) => Promise<void>;
}
