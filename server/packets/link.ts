/** Links that are given to others: how long they lead anywhere, and what their maker sees of them. */

/** A link leads to what it shows for so long, days. */
const DAYS_OPEN = 30;
const DAY_MS = 24 * 60 * 60 * 1000;

interface LinkRow {
  readonly id: string;
  readonly token: string;
  readonly madeAt: Date;
  readonly withdrawnAt: Date | null;
}

/** A link as its maker sees it. */
export interface KeptLink {
  readonly id: string;
  readonly token: string;
  readonly madeAt: string;
  readonly openUntil: string;
}

/** Until it is old, or was taken back. */
export function openUntil({ madeAt, withdrawnAt }: Pick<LinkRow, "madeAt" | "withdrawnAt">): Date {
  const old = new Date(madeAt.getTime() + DAYS_OPEN * DAY_MS);
  const withdrawn = withdrawnAt ?? old;
  return withdrawn < old ? withdrawn : old;
}

export const keptLink = (row: LinkRow): KeptLink => ({
  id: row.id,
  token: row.token,
  madeAt: row.madeAt.toISOString(),
  openUntil: openUntil(row).toISOString(),
});
