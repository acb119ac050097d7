/** Two servers of one database: what is written at one is told by the other. */
import { newFind } from "@jittery-cap/core";
import { expect } from "chai";
import { pino } from "pino";
import { uuidv7 as uuid } from "uuidv7";
import { assemble } from "../assemble.ts";
import { judgingHere } from "../judging/judging.ts";
import { ME, type ScratchApp, scratchApp } from "../tests/scratch-app.ts";
import { Live } from "./live.ts";
import { LiveAcross } from "./live-across.ts";

/** Somebody listens, and what they are told is written down. */
class Heard extends Live {
  readonly told: string[] = [];
  override keys(): string[] {
    return [ME.id];
  }
  override tellPlace(key: string, place: number): void {
    this.told.push(`${key} ${place}`);
  }
  override nudge(key: string, what = "changed"): void {
    this.told.push(`${key} ${what}`);
  }
}

describe("two servers of one database", () => {
  let made: ScratchApp;
  before(async () => {
    made = await scratchApp();
  });
  after(() => made.end());

  it("tell their pages what was written at the other, once", async () => {
    const other = assemble(made.scratch.database, judgingHere(made.knowledge), pino({ level: "silent" }));
    const heard = new Heard();
    const across = new LiveAcross(made.scratch.database, heard);
    await across.look();
    const find = newFind(uuid(), "2026-09-14T10:20:00Z");
    await other.parts.writer.write({
      actor: ME,
      ownerId: ME.id,
      id: find.id,
      kind: "find",
      known: 0,
      create: find,
      touches: [],
    });
    await across.look();
    await across.look();
    expect(heard.told).to.deep.equal([`${ME.id} ${await made.parts.documents.place(ME)}`]);
    await other.close();
  });
});
