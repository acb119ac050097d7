/** How often somebody may try: by the name they try and by the address they try from, in the database that all servers share. */

import { type IRateLimiterStoreOptions, RateLimiterRes } from "rate-limiter-flexible";
import RateLimiterStoreAbstract from "rate-limiter-flexible/lib/RateLimiterStoreAbstract.js";
import { QueryTypes, type Sequelize } from "sequelize";
import { Problem } from "../http/problem.ts";

interface Kept {
  readonly points: number;
  readonly expire: number;
}

/** The limiter's store on this project's own driver, which the package's stores for SQL do not speak. */
class Attempts extends RateLimiterStoreAbstract {
  private readonly database: Sequelize;

  constructor(options: Omit<IRateLimiterStoreOptions, "storeClient"> & { readonly storeClient: Sequelize }) {
    super(options);
    this.database = options.storeClient;
  }

  /** What the limiter makes of a kept count. */
  _getRateLimiterRes(_key: string, changed: number, { points, expire }: Kept): RateLimiterRes {
    return new RateLimiterRes(
      Math.max(this.points - points, 0),
      Math.max(expire - Date.now(), 0),
      points,
      changed === points,
    );
  }

  /** Adds to a count, in one statement: two servers that add at once add both. */
  async _upsert(key: string, points: number, msDuration: number, isForced = false): Promise<Kept> {
    const now = Date.now();
    const end = now + msDuration;
    await this.database.query(
      isForced
        ? "INSERT INTO attempts VALUES (:key, :points, :end) ON DUPLICATE KEY UPDATE points = :points, expire = :end"
        : `INSERT INTO attempts VALUES (:key, :points, :end) ON DUPLICATE KEY UPDATE
             points = IF(expire <= :now, :points, points + :points), expire = IF(expire <= :now, :end, expire)`,
      { type: QueryTypes.INSERT, replacements: { key, points, end, now } },
    );
    return (await this._get(key)) ?? { points, expire: end };
  }

  async _get(key: string): Promise<Kept | null> {
    const [row] = await this.database.query<Kept>(
      "SELECT points, expire FROM attempts WHERE `key` = :key AND expire > :now",
      {
        type: QueryTypes.SELECT,
        replacements: { key, now: Date.now() },
      },
    );
    return row === undefined ? null : { points: Number(row.points), expire: Number(row.expire) };
  }

  async _delete(key: string): Promise<boolean> {
    await this.database.query("DELETE FROM attempts WHERE `key` = :key", { replacements: { key } });
    return true;
  }
}

/** Wrong passwords for one name from wherever; a person mistypes a few times. */
const FOR_A_NAME = { points: 10, seconds: 15 * 60 } as const;
/** Wrong passwords from one address for whomever: a household behind one address mistypes a few times each. */
const FROM_AN_ADDRESS = { points: 50, seconds: 15 * 60 } as const;
/** Names are counted by their first so many characters: the rest makes no other person. */
const KEY_LENGTH = 100;

/** The limits of this server's database. */
export class Tries {
  private readonly byName: Attempts;
  private readonly byAddress: Attempts;

  constructor(database: Sequelize) {
    const limiter = (keyPrefix: string, { points, seconds }: { points: number; seconds: number }) =>
      new Attempts({ storeClient: database, keyPrefix, points, duration: seconds });
    this.byName = limiter("name", FOR_A_NAME);
    this.byAddress = limiter("address", FROM_AN_ADDRESS);
  }

  /**
   * Counts a try before it is looked at, so that many at once are many.
   * @param name whom somebody tries to be; @param address from where @throws 429 where that was too often
   */
  async count(name: string, address: string): Promise<void> {
    try {
      await this.byAddress.consume(address.slice(0, KEY_LENGTH));
      await this.byName.consume(name.slice(0, KEY_LENGTH));
    } catch (error) {
      if (!(error instanceof RateLimiterRes)) throw error;
      const minutes = Math.max(1, Math.ceil(error.msBeforeNext / 60_000));
      throw new Problem(429, `Too many tries. Wait ${minutes} minutes, or come in by a recovery code or a passkey.`);
    }
  }

  /** A try that was right is none against the name, nor against the address. */
  async right(name: string, address: string): Promise<void> {
    await this.byName.delete(name.slice(0, KEY_LENGTH));
    await this.byAddress.reward(address.slice(0, KEY_LENGTH));
  }
}
