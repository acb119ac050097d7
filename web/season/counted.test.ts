import { newPlace } from "@jittery-cap/core/season";
import { expect } from "chai";
import { countedOf, decidedOf } from "./counted.ts";

const ID = "0193a000-0000-7000-8000-000000000001";
const places = [{ id: "bog", content: { ...newPlace("Ammerbog"), position: { lat: 61.9, lon: 19.6 } } }];
const find = (more: object = {}, ...endings: readonly (string | undefined)[]) => ({
  id: ID,
  label: "one",
  foundAt: "2026-09-14T10:00:00Z",
  takenFor: "boletus-edulis",
  place: { lat: 61.9, lon: 19.6, name: "elsewhere" },
  bodies: (endings.length === 0 ? [undefined] : endings).map((ending) => ({
    id: "A",
    measures: { weightG: 100 },
    ...(ending === undefined ? {} : { ending }),
  })),
  ...more,
});
const decision = (minutes: number, ...restsOn: readonly string[]) => ({
  find: { id: ID },
  decidedAt: new Date(Date.parse("2026-09-14T10:00:00Z") + minutes * 60_000).toISOString(),
  answer: { restsOn },
});
const counted = (content: unknown, ...decisions: readonly unknown[]) =>
  countedOf(content, decidedOf(decisions), places);

describe("a find as the season counts it", () => {
  it("counts for what it was taken for, while nothing says otherwise", () => {
    expect(counted(find())).to.include({ kind: "boletus-edulis", placeId: "bog", place: "Ammerbog", grams: 0 });
    expect(counted(find({ takenFor: undefined }))?.kind).to.equal(undefined);
  });

  it("counts for no kind once it was left as what it was not; one that was looked at only keeps its name", () => {
    expect(counted(find({}, "left-test-failed", "left-unknown"))?.kind).to.equal(undefined);
    expect(counted(find({}, "puzzle-kept-open"))?.kind).to.equal(undefined);
    expect(counted(find({}, "looked-at-only", "left-unknown"))?.kind).to.equal("boletus-edulis");
  });

  it("counts for what its decision rests on; of several for the one that it was taken for", () => {
    expect(counted(find({}, "basket"), decision(20, "imleria-badia"))).to.include({
      kind: "imleria-badia",
      minutes: 20,
      grams: 100,
    });
    expect(counted(find(), decision(20, "imleria-badia", "boletus-edulis"))?.kind).to.equal("boletus-edulis");
    expect(counted(find(), decision(20, "imleria-badia"), decision(90, "hydnum-repandum"))?.kind).to.equal(
      "hydnum-repandum",
    );
  });

  it("tells minutes only of a decision that came after it, within two days", () => {
    expect(counted(find(), decision(-5, "boletus-edulis"))?.minutes).to.equal(undefined);
    expect(counted(find(), decision(60 * 72, "boletus-edulis"))?.minutes).to.equal(undefined);
  });

  it("is none where it has no time or cannot be read; a decision that cannot be read decides nothing", () => {
    expect(counted(find({ foundAt: undefined }))).to.equal(undefined);
    expect(counted({ id: 3 })).to.equal(undefined);
    expect(counted(find(), { odd: true })?.kind).to.equal("boletus-edulis");
    expect(counted(find({ place: { name: "Ammerbog" } }))?.placeId).to.equal("bog");
  });
});
