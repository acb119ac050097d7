import { simplify } from "@turf/simplify";
import { expect } from "chai";
import fc from "fast-check";
import { cleanTrack, simplified } from "./track.ts";
import type { TrackPoint } from "./track-leg.ts";

const START = Date.parse("2026-09-14T08:00:00Z");
const point = (seconds: number, north: number, more: Partial<TrackPoint> = {}): TrackPoint => ({
  at: new Date(START + seconds * 1000).toISOString(),
  lat: 61.9 + north / 111_320,
  lon: -25.4,
  accuracyM: 8,
  ...more,
});
/** A walk at a metre a second. */
const walk = (from: number, to: number, step = 10): TrackPoint[] =>
  Array.from({ length: Math.floor((to - from) / step) + 1 }, (_unused, index) =>
    point(from + index * step, from + index * step),
  );

describe("a track", () => {
  it("of an even walk is as long as the walk", () => {
    const { legs, metres, leftOut } = cleanTrack(walk(0, 3600));
    expect(legs).to.have.length(1);
    expect(metres).to.be.closeTo(3600, 10);
    expect(leftOut).to.equal(0);
  });

  it("with a gap is in two legs, and nobody walked through the gap", () => {
    const { legs, metres } = cleanTrack([...walk(0, 600), ...walk(3000, 3600)]);
    expect(legs.map((leg) => leg.length)).to.deep.equal([61, 61]);
    expect(metres).to.be.closeTo(1200, 5);
  });

  it("of a clock that jumps back goes on in a leg of its own", () => {
    const later = walk(0, 600);
    const { legs, leftOut } = cleanTrack([...walk(1000, 1600), ...later]);
    expect(legs.map((leg) => leg.length)).to.deep.equal([61, 61]);
    expect(leftOut).to.equal(0);
  });

  it("leaves out where nobody can have been, and what the receiver itself does not believe", () => {
    const leap = [point(0, 0), point(10, 10), point(20, 90_000), point(30, 30), point(40, 40, { accuracyM: 3000 })];
    const { legs, leftOut } = cleanTrack(leap);
    expect(leftOut).to.equal(2);
    expect(legs.flat().map(({ at }) => at)).to.deep.equal([leap[0], leap[1], leap[3]].map((one) => one?.at));
  });

  it("thinned keeps its ends, its order and its line", () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -40, max: 40 }), { minLength: 3, maxLength: 200 }), (steps) => {
        let north = 0;
        const leg = steps.map((step, index) => {
          north += step;
          return point(index * 10, north, { lon: -25.4 + index * 0.0002 });
        });
        const thin = simplified(leg);
        expect(thin[0]).to.deep.equal(leg[0]);
        expect(thin.at(-1)).to.deep.equal(leg.at(-1));
        const times = thin.map(({ at }) => at);
        expect([...times].sort()).to.deep.equal(times);
        const line = simplify(
          { type: "LineString", coordinates: leg.map(({ lon, lat }) => [lon, lat]) },
          { tolerance: 0.000015, highQuality: true },
        );
        expect(thin.map(({ lon, lat }) => [lon, lat])).to.deep.equal(line.coordinates);
      }),
      { numRuns: 100 },
    );
  });

  it("of fifty thousand points is put right in one pass, and keeps every one of them", () => {
    const long = Array.from({ length: 50_000 }, (_unused, index) => point(index, index * 0.9));
    const { legs, metres } = cleanTrack(long);
    expect(legs).to.have.length(1);
    expect(legs[0]).to.have.length(50_000);
    expect(metres).to.be.closeTo(45_000, 60);
    expect(simplified(legs[0] ?? []).length).to.be.lessThan(100);
  }).timeout(20_000);
});
