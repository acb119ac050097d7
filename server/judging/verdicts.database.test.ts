import { type Find, newFind, summarise } from "@jittery-cap/core";
import { expect } from "chai";
import { uuidv7 as uuid } from "uuidv7";
import { seasonFinds } from "../../demo/season.ts";
import { asks, type ScratchApp, scratchApp, touchOf } from "../tests/scratch-app.ts";
import { type Judging, judgingHere } from "./judging.ts";

const [demo] = seasonFinds();
const copy = (): Find => ({ ...(demo as Find), id: uuid() });

describe("how finds stand, kept", () => {
  let made: ScratchApp;
  let api: ReturnType<typeof asks>;
  let judged = 0;
  let broken = false;

  before(async () => {
    made = await scratchApp((knowledge) => {
      const here = judgingHere(knowledge);
      const counting: Judging = {
        ...here,
        summaries: (finds) => {
          if (broken) return Promise.reject(new Error("the judge is away"));
          judged += finds.length;
          return here.summaries(finds);
        },
      };
      return counting;
    });
    api = asks(made.app);
  });
  after(() => made.end());

  const lineOf = async (id: string) =>
    ((await api.finds("?limit=200")).body.finds as { id: string; verdict?: string }[]).find((one) => one.id === id);
  const settled = async (id: string) => {
    for (let tries = 0; tries < 200; tries++) {
      const line = await lineOf(id);
      if (line?.verdict !== undefined) return line.verdict;
      await new Promise((later) => setTimeout(later, 20));
    }
    return undefined;
  };

  it("is judged once a version, however often it is asked for", async () => {
    const find = copy();
    await api.make(find);
    expect(await settled(find.id)).to.equal(summarise(find, made.knowledge).verdict);
    const before = judged;
    for (let again = 0; again < 3; again++) await lineOf(find.id);
    expect(judged).to.equal(before);
    await api.touch(find.id, 1, touchOf({ kind: "set-find", field: "note", value: "seen again" }));
    await settled(find.id);
    expect(judged).to.be.above(before);
  });

  it("is unknown, and no earlier answer, until the new record is judged", async () => {
    const find = copy();
    await api.make(find);
    await settled(find.id);
    broken = true;
    await api.touch(find.id, 1, touchOf({ kind: "set-body", body: "A", field: "keep", value: false }));
    await new Promise((later) => setTimeout(later, 50));
    expect((await lineOf(find.id))?.verdict).to.equal(undefined);
    broken = false;
    expect(await settled(find.id)).not.to.equal(undefined);
  });

  it("goes on after a start with what an earlier run left, and with what can be read", async () => {
    const finds = [copy(), copy(), newFind(uuid(), "2026-09-14T10:20:00Z")];
    for (const find of finds) await api.make(find);
    const [bad] = finds;
    await made.scratch.database.query("UPDATE documents SET content = '{}' , version = 7 WHERE id = ?", {
      replacements: [bad?.id],
    });
    await Promise.all(finds.slice(1).map((find) => settled(find.id)));
    await made.models.verdicts.destroy({ where: {} });
    await made.parts.verdicts.sweep();
    const kept = await made.models.verdicts.findAll({ raw: true });
    expect(kept.map((row) => row.documentId)).to.include.members(finds.slice(1).map((find) => find.id));
    expect(kept.map((row) => row.documentId)).not.to.include(bad?.id);
  });

  it("of a find that was purged says nothing about one that is made anew under its id", async () => {
    const find = copy();
    await api.make(find);
    await settled(find.id);
    await api.touch(find.id, 1, touchOf({ kind: "archive" }));
    await made.parts.documents.purge(new Date(Date.now() + 31 * 86_400_000));
    broken = true;
    await api.make({ ...newFind(find.id, "2026-09-14T10:20:00Z") });
    expect((await lineOf(find.id))?.verdict).to.equal(undefined);
    broken = false;
  });
});
