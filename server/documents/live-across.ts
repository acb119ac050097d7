/**
 * What other servers of the same database wrote, told to the pages that listen here: how far the feeds have come is asked once a
 * second, and only while somebody listens. What was written here is told at once by whoever wrote it.
 */
import { QueryTypes, type Sequelize } from "sequelize";
import type { Live } from "./live.ts";

/** Between two questions, ms: nobody who stands in a wood sees the difference, and a database hardly feels it. */
const EVERY_MS = 1000;

interface Place {
  readonly person: string;
  /** How far one's own feed has come, and all feeds of those who share something. */
  readonly own: number;
  readonly shared: number;
}

export class LiveAcross {
  private readonly database: Sequelize;
  private readonly live: Live;
  private readonly known = new Map<string, Place>();
  private timer: NodeJS.Timeout | undefined;

  constructor(database: Sequelize, live: Live) {
    this.database = database;
    this.live = live;
  }

  begin(): void {
    this.timer = setTimeout(() => void this.look().finally(() => this.timer !== undefined && this.begin()), EVERY_MS);
    this.timer.unref();
  }

  close(): void {
    clearTimeout(this.timer);
    this.timer = undefined;
  }

  /** Asks once. A database that does not answer is asked again a second later. */
  async look(): Promise<void> {
    const people = this.live.keys();
    for (const person of this.known.keys()) if (!people.includes(person)) this.known.delete(person);
    if (people.length === 0) return;
    const places = await this.places(people).catch(() => []);
    for (const place of places) {
      const before = this.known.get(place.person);
      this.known.set(place.person, place);
      if (before === undefined) continue;
      if (place.own > before.own) this.live.tellPlace(place.person, place.own);
      if (place.shared !== before.shared) this.live.nudge(place.person, "shared");
    }
  }

  private async places(people: readonly string[]): Promise<Place[]> {
    const rows = await this.database.query<Place>(
      `SELECT p.id AS person, COALESCE(f.place, 0) AS own, COALESCE(
         (SELECT SUM(o.place) FROM feeds o WHERE o.owner_id IN (
            SELECT s.owner_id FROM shares s JOIN circle_members m ON m.circle_id = s.circle_id
            WHERE m.person_id = p.id AND s.owner_id <> p.id)), 0) AS shared
       FROM people p LEFT JOIN feeds f ON f.owner_id = p.id WHERE p.id IN (:people)`,
      { type: QueryTypes.SELECT, replacements: { people: [...people] } },
    );
    return rows.map(({ person, own, shared }) => ({ person, own: Number(own), shared: Number(shared) }));
  }
}
