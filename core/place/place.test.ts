import { expect } from "chai";
import fc from "fast-check";
import { carriedOf } from "../tests/kitchen.ts";
import { squareAt } from "../tests/season.ts";
import { isInside, metresBetween, middleOf, placeAt, placeOfFind, REACH_M, squareMetresOf } from "./inside.ts";
import { placeLimits, type Stood } from "./limits.ts";
import { isClosedIn, newPlace, placeSchema } from "./place.ts";
import { sharedPlace } from "./shared.ts";

const kept = (id: string, content: ReturnType<typeof newPlace>) => ({ id, content });

describe("where a position lies", () => {
  const wide = kept("wide", squareAt(61.9, -25.4, 2000, { name: "the wood" }));
  const small = kept("small", squareAt(61.9, -25.4, 200, { name: "the hazel bank" }));

  it("is in the smaller of two places that overlap, in whichever order they are kept", () => {
    const middle = { lat: 61.9, lon: -25.4 };
    expect(placeAt(middle, [wide, small])?.id).to.equal("small");
    expect(placeAt(middle, [small, wide])?.id).to.equal("small");
    expect(placeAt({ lat: 61.905, lon: -25.4 }, [wide, small])?.id).to.equal("wide");
    expect(placeAt({ lat: 61.95, lon: -25.4 }, [wide, small])).to.equal(undefined);
  });

  it("is another one once the place has moved, and none where it is gone; what was named stays by its name", () => {
    const at = { lat: 61.9, lon: -25.4, name: "the hazel bank" };
    const moved = kept("small", squareAt(61.99, -25.4, 200, { name: "the hazel bank" }));
    expect(placeOfFind(at, [wide, moved])?.id).to.equal("wide");
    expect(placeOfFind({ name: at.name }, [wide, moved])?.id).to.equal("small");
    expect(placeOfFind(at, [])).to.equal(undefined);
    expect(placeOfFind(undefined, [wide])).to.equal(undefined);
  });

  it("of a point reaches some way, and knows the south and the date line", () => {
    const fiji = kept("fiji", { ...newPlace("a beach"), position: { lat: -17, lon: 179.9995 } });
    expect(placeAt({ lat: -17, lon: -179.9995 }, [fiji])?.id).to.equal("fiji");
    const across: [number, number][] = [
      [179.99, -17],
      [-179.99, -17],
      [-179.99, -16.99],
      [179.99, -16.99],
    ];
    expect(middleOf({ outline: across })?.lon).to.be.oneOf([180, -180]);
    expect(middleOf(squareAt(-36.8, 174.7, 500))?.lat).to.be.closeTo(-36.8, 1e-9);
  });

  it("is measured on the sphere: a degree of latitude is 111.2 km, and an area is what a surveyor calls it", () => {
    expect(metresBetween({ lat: 61, lon: 24 }, { lat: 62, lon: 24 })).to.be.closeTo(111_195, 30);
    expect(squareMetresOf(squareAt(61.9, -25.4, 1000))).to.be.closeTo(1e6, 5000);
    expect(
      isInside({ lat: 61.9, lon: -25.4 }, { position: { lat: 61.9, lon: -25.4 + (REACH_M + 50) / 52_400 } }),
    ).to.equal(false);
  });
});

describe("a place that is shown to others", () => {
  const place = {
    ...squareAt(61.91237, -25.43719, 150, { name: "the hazel bank", share: "1km" as const }),
    elevationM: 134,
    owner: "Marten Oyle",
    rule: "shut the gate",
    history: "an orchard once",
    note: "behind the third stile",
    patches: [
      {
        id: "0193a000-0000-7000-8000-000000000001",
        name: "under the oak",
        form: "spot" as const,
        met: [],
        weeded: [],
        position: { lat: 61.91237, lon: -25.43719 },
      },
    ],
  };

  it("rounded tells no digit of where it is, no name, no owner, no patch, no height", () => {
    fc.assert(
      fc.property(
        fc.double({ min: -85, max: 85, noNaN: true }),
        fc.double({ min: -179, max: 179, noNaN: true }),
        (lat, lon) => {
          const there = { ...place, ...squareAt(lat, lon, 120), name: place.name, share: "1km" as const };
          const middle = middleOf(there);
          const text = JSON.stringify(sharedPlace(there, "somewhere wet"));
          for (const secret of ["hazel bank", "Marten", "stile", "orchard", "gate", "oak", "134"])
            expect(text).not.to.contain(secret);
          const told = sharedPlace(there, "somewhere wet").position;
          expect(told?.accuracyM).to.be.at.least(700);
          if (middle !== undefined && told !== undefined) {
            expect(metresBetween(middle, told)).to.be.at.most(told.accuracyM + 60);
            const near = { ...there, ...squareAt(lat + 1e-5, lon, 120) };
            // whatever lies in the same square is told by the same position
            expect(String(told.lat)).not.to.equal(String(middleOf(near)?.lat));
          }
        },
      ),
      { numRuns: 200 },
    );
  });

  it("by itself has no position at all, and as it is has all of it but what points at people", () => {
    expect(sharedPlace({ ...place, share: "none" }, "x")).not.to.have.any.keys("position", "outline");
    const exact = sharedPlace({ ...place, share: "exact" }, "x");
    expect(exact.position?.lat).to.be.closeTo(61.91237, 1e-9);
    expect(JSON.stringify(exact)).not.to.match(/Marten|stile|oak/);
  });
});

describe("a place", () => {
  it("is refused by the field that is wrong", () => {
    const path = (more: object) =>
      placeSchema.safeParse({ ...newPlace("a place"), ...more }).error?.issues[0]?.path.join(".");
    expect(path({ name: " " })).to.equal("name");
    expect(
      path({
        outline: [
          [0, 0],
          [0, 95],
          [1, 1],
        ],
      }),
    ).to.equal("outline.1.1");
    expect(path({ closedMonths: [13] })).to.equal("closedMonths.0");
    expect(path({ limits: [{ kind: "all" }] })).to.equal("limits.0");
    expect(path({ habitat: ["moon"] })).to.equal("habitat.0");
    expect(path({ share: "all" })).to.equal("share");
    expect(path({})).to.equal(undefined);
    expect(isClosedIn({ closedMonths: [5, 6] }, 5)).to.equal(true);
    expect(isClosedIn({}, 5)).to.equal(false);
  });
});

describe("what a place asks a day", () => {
  const wood = {
    id: "wood",
    content: squareAt(61.9, 19.6, 2000, { name: "the wood", limits: [{ kind: "all", grams: 500 }] }),
  };
  const bank = {
    id: "bank",
    content: squareAt(61.9, 19.6, 200, { name: "the bank", limits: [{ kind: "all", pieces: 1 }] }),
  };
  const body = (find: string, weightG = 300) => carriedOf({ find, weightG, place: "some older name" });
  const count = (stood: Readonly<Record<string, Stood>>, ...finds: readonly string[]) =>
    placeLimits(
      finds.map((find) => body(find)),
      [wood, bank],
      (find) => stood[find],
    ).map(({ place, state }) => [place, state.grams, state.pieces, state.over]);
  const middle = { lat: 61.9, lon: 19.6, name: "some older name" };

  it("counts what stood in it, whatever it was called then, and what stood on the bank within it as well", () => {
    const edge = { lat: 61.906, lon: 19.6 };
    expect(count({ one: middle, other: edge }, "one", "other")).to.deep.equal([
      ["wood", 600, 2, true],
      ["bank", 300, 1, false],
    ]);
    expect(count({ one: middle, other: middle }, "one", "other")[1]).to.deep.equal(["bank", 600, 2, true]);
  });

  it("counts what has no position by its name, and what stood elsewhere not at all", () => {
    expect(count({ one: { name: "the wood" } }, "one")[0]).to.deep.equal(["wood", 300, 1, false]);
    expect(count({ one: { lat: 62.5, lon: 19.6 } }, "one")[0]).to.deep.equal(["wood", 0, 0, false]);
    expect(count({}, "one")[0]).to.deep.equal(["wood", 0, 0, false]);
  });
});
