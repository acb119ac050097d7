import { expect } from "chai";
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";
import type { Chance } from "../trainer/chance.ts";
import { findCard } from "./find-card.ts";
import { blackBodyLight, blackBodyUv } from "./light.ts";
import type { Raster } from "./raster.ts";
import { MarkError, type Reading, readColour } from "./read-colour.ts";
import {
  DEPOSITS,
  depositLab,
  drawLyingPrint,
  drawSetting,
  type Lie,
  type Setting,
  showingSide,
  syntheticPicture,
} from "./synthetic-picture.ts";

/** Chance from a seed. */
function seeded(seed: number): Chance {
  const generator = xoroshiro128plus(seed);
  return { next: () => ((generator.next() >>> 0) + 0.5) / 2 ** 32 };
}

const PLAIN: Omit<Setting, "deposit" | "side"> = {
  kelvin: 5200,
  balanced: 0,
  exposure: 0.6,
  coverage: 1,
  noise: 1.5,
  shade: 0.03,
  blur: 1,
  crosstalk: 0.01,
};
const read = (name: string, more: Partial<Setting> = {}, seed = 7): Reading => {
  const setting: Setting = { ...PLAIN, deposit: depositLab(name), side: showingSide(name), ...more };
  const { raster, marks } = syntheticPicture(setting, seeded(seed));
  return readColour(raster, marks, "spore-print");
};
/** A plain picture: halves and a disc in the given channels. */
function painted(black: number[], white: number[], disc: number[], side: "black" | "white" = "white"): Raster {
  const data = new Uint8ClampedArray(200 * 100 * 4);
  for (let y = 0; y < 100; y++)
    for (let x = 0; x < 200; x++) {
      const inDisc = Math.hypot(x - (side === "white" ? 150 : 50), y - 50) <= 20;
      const colour = inDisc ? disc : x < 100 ? black : white;
      for (const channel of [0, 1, 2, 3])
        data[(y * 200 + x) * 4 + channel] = channel === 3 ? 255 : (colour[channel] ?? 0);
    }
  return { width: 200, height: 100, data };
}
const marksOn = (side: "black" | "white") => ({
  black: { x: 20, y: 15 },
  white: { x: 180, y: 15 },
  deposit: { x: side === "white" ? 150 : 50, y: 50 },
  radius: 18,
});

describe("a print read from a picture", () => {
  for (const name of Object.keys(DEPOSITS))
    it(`${name} is read as such, or as two that cannot be told apart with it among them`, () => {
      const reading = read(name);
      expect(reading.refused).to.equal(undefined);
      expect(reading.states).to.include(name);
    });

  it("is the same under warm and under cold light: the card puts it right", () => {
    for (const name of ["rust-brown", "chocolate-brown", "green", "pink"])
      expect(read(name, { kelvin: 2700 }).states, name).to.deep.equal(read(name, { kelvin: 7500 }).states);
  });

  it("of white on the white half is refused, and on the black half is read", () => {
    expect(read("white", { side: "white" }).refused).to.equal("white-on-white");
    expect(read("white", { side: "black" }).states).to.include("white");
  });

  it("of black on the black half, or of a mere breath of spores, is too thin", () => {
    expect(read("black", { side: "black" }).refused).to.equal("too-thin");
    expect(read("rust-brown", { coverage: 0.2 }).refused).to.be.oneOf(["too-thin", "white-on-white"]);
    expect(read("purple-brown", { coverage: 0.1 }).refused).to.be.oneOf(["too-thin", "white-on-white"]);
  });

  it("is refused where light drowned the white half, or there was none, or a shadow lies across", () => {
    expect(read("rust-brown", { exposure: 1.6 }).refused).to.equal("clipped");
    expect(read("rust-brown", { exposure: 0.03, noise: 0.5 }).refused).to.equal("too-dark");
    expect(read("rust-brown", { shade: 0.75 }).refused).to.equal("uneven-light");
  });

  it("is refused where the card is green, or the black is no black", () => {
    const odd = painted([20, 25, 20], [120, 230, 110], [110, 60, 30]);
    expect(readColour(odd, marksOn("white"), "spore-print").refused).to.equal("card-not-neutral");
    const grey = painted([150, 150, 150], [235, 235, 235], [110, 60, 30]);
    expect(readColour(grey, marksOn("white"), "spore-print").refused).to.equal("card-not-neutral");
    // the halves marked the wrong way round
    const right = painted([20, 20, 20], [235, 235, 235], [110, 60, 30]);
    const { black, white, ...rest } = marksOn("white");
    expect(readColour(right, { ...rest, black: white, white: black }, "spore-print").refused).not.to.equal(undefined);
  });

  it("in plain paint is what a painter would call it", () => {
    const rust = readColour(painted([25, 25, 25], [240, 240, 238], [134, 74, 36]), marksOn("white"), "spore-print");
    expect(rust).to.deep.include({ states: ["rust-brown"], sure: true });
    const white = readColour(
      painted([25, 25, 25], [240, 240, 238], [238, 236, 228], "black"),
      marksOn("black"),
      "spore-print",
    );
    expect(white.states).to.include("white");
  });

  it("names a mark that lies outside the picture, and a disc that is none", () => {
    const raster = painted([20, 20, 20], [235, 235, 235], [110, 60, 30]);
    expect(() => readColour(raster, { ...marksOn("white"), black: { x: -3, y: 2 } }, "spore-print")).to.throw(
      MarkError,
      "black",
    );
    expect(() => readColour(raster, { ...marksOn("white"), deposit: { x: 500, y: 2 } }, "spore-print")).to.throw(
      MarkError,
      "deposit",
    );
    expect(() => readColour(raster, { ...marksOn("white"), radius: 0 }, "spore-print")).to.throw(MarkError, "radius");
  });
});

describe("some hundred prints", () => {
  it("are read right in 95 of 100 readable pictures, and never surely wrong", () => {
    const chance = seeded(42);
    let right = 0;
    let all = 0;
    const wrong: string[] = [];
    for (let index = 0; index < 6; index++)
      for (const name of Object.keys(DEPOSITS)) {
        const { raster, marks } = syntheticPicture(drawSetting(name, chance), chance);
        const reading = readColour(raster, marks, "spore-print");
        all += 1;
        if (reading.states.includes(name)) right += 1;
        if (reading.sure && !reading.states.includes(name)) wrong.push(`${name} as ${reading.states}`);
      }
    expect(wrong).to.deep.equal([]);
    expect(right / all).to.be.at.least(0.95);
  });

  it("that are thin, or lie on the wrong half, are never surely wrong either", () => {
    const chance = seeded(43);
    const wrong: string[] = [];
    for (let index = 0; index < 5; index++)
      for (const name of Object.keys(DEPOSITS)) {
        const setting: Setting = {
          ...drawSetting(name, chance),
          side: index % 2 === 0 ? "white" : "black",
          coverage: index % 3 === 0 ? 1 : 0.1 + chance.next() * 0.85,
        };
        const { raster, marks } = syntheticPicture(setting, chance);
        const reading = readColour(raster, marks, "spore-print");
        if (reading.sure && !reading.states.includes(name)) wrong.push(`${name} as ${reading.states}`);
      }
    expect(wrong).to.deep.equal([]);
  });
});

describe("prints as they lie", () => {
  const GILLS: Lie = {
    pattern: "gills",
    count: 16,
    gaps: 0.45,
    layers: 5,
    uneven: 0.3,
    grain: 0.4,
    bare: 60,
    radius: 80,
    circle: 0.9,
  };

  it("in lines with the half between them are read by the spores and not by the mixture", () => {
    for (const name of ["rust-brown", "purple-brown", "green", "white", "pink"]) {
      const reading = read(name, { lie: GILLS });
      expect(reading.refused, name).to.equal(undefined);
      expect(reading.states, name).to.include(name);
    }
  });

  it("are the same in a circle smaller than the print, and in one that is larger", () => {
    for (const circle of [0.4, 1.4])
      for (const name of ["rust-brown", "green", "cream"])
        expect(read(name, { lie: { ...GILLS, circle } }).states, `${name}, ${circle}`).to.include(name);
  });

  it("all around a small circle are no half: white spores on black are not the white half", () => {
    for (const pattern of ["smear", "gills"] as const) {
      const reading = read("white", { side: "black", lie: { ...GILLS, pattern, grain: 0, bare: 0, circle: 0.35 } });
      expect(reading.refused, pattern).to.equal(undefined);
      expect(reading.states, pattern).to.include("white");
    }
  });

  it("of a mere breath everywhere have no thick part, and are refused or left open", () => {
    for (const name of ["rust-brown", "chocolate-brown", "purple-brown"]) {
      const reading = read(name, { lie: { ...GILLS, layers: 0.5 } });
      expect(reading.sure, name).to.equal(false);
    }
  });

  it("are read right in nine of ten, and never surely wrong", () => {
    const chance = seeded(44);
    let right = 0;
    let all = 0;
    const wrong: string[] = [];
    for (let index = 0; index < 3; index++)
      for (const name of Object.keys(DEPOSITS)) {
        const { raster, marks } = syntheticPicture(drawLyingPrint(name, chance), chance);
        const reading = readColour(raster, marks, "spore-print");
        all += 1;
        if (reading.states.includes(name)) right += 1;
        if (reading.sure && !reading.states.includes(name)) wrong.push(`${name} as ${reading.states}`);
      }
    expect(wrong).to.deep.equal([]);
    expect(right / all).to.be.at.least(0.9);
  });
});

describe("the card in a picture", () => {
  const white = [240, 240, 238];
  const black = [25, 25, 25];
  /** A card with an upright seam through its middle, and whatever lies on it. */
  const card = (on: (x: number, y: number) => number[] | undefined): Raster => {
    const data = new Uint8ClampedArray(200 * 100 * 4).fill(255);
    for (let y = 0; y < 100; y++)
      for (let x = 0; x < 200; x++) data.set(on(x, y) ?? (x < 100 ? black : white), (y * 200 + x) * 4);
    return { width: 200, height: 100, data };
  };

  it("says nothing surely of a print that lies across the seam", () => {
    const rust = [134, 74, 36];
    const across = card((x, y) => (Math.hypot(x - 100, y - 50) < 25 ? rust : undefined));
    const marks = { black: { x: 20, y: 15 }, white: { x: 180, y: 15 }, deposit: { x: 100, y: 50 }, radius: 20 };
    expect(readColour(across, marks, "spore-print").sure).to.equal(false);
  });

  it("is followed where it lies turned, with a table beside it", () => {
    const turned = card((x, y) => {
      const [along, beside] = [(x - 100) * 0.8 + (y - 50) * 0.6, (y - 50) * 0.8 - (x - 100) * 0.6];
      if (Math.abs(beside) > 40 || Math.abs(along) > 80) return [150, 120, 90];
      if (Math.hypot(along - 38, beside) < 16) return [134, 74, 36];
      return along < 0 ? black : white;
    });
    const at = (along: number, beside: number) => ({
      x: 100 + along * 0.8 - beside * 0.6,
      y: 50 + along * 0.6 + beside * 0.8,
    });
    const marks = { black: at(-45, -10), white: at(60, -10), deposit: at(38, 0), radius: 13 };
    expect(readColour(turned, marks, "spore-print")).to.deep.include({ states: ["rust-brown"], sure: true });
  });
});

describe("other colours in a picture", () => {
  it("a chrome foot, a blue cut, and flesh that shows nothing, which is never sure from one picture", () => {
    const onCard = (disc: number[], character: "stain-base" | "stain-cut") =>
      readColour(painted([25, 25, 25], [240, 240, 238], disc), marksOn("white"), character);
    expect(onCard([226, 196, 30], "stain-base").states).to.include("chrome-yellow");
    expect(onCard([52, 86, 128], "stain-cut").states).to.include("strong-blue");
    expect(onCard([236, 230, 215], "stain-base")).to.deep.include({ states: ["none"], sure: false });
  });
});

describe("the halves and the deposit", () => {
  it("are found in a picture, and read as if a person had marked them", () => {
    for (const name of ["rust-brown", "white", "pink", "chocolate-brown", "green"]) {
      const { raster, marks } = syntheticPicture(
        { ...PLAIN, deposit: depositLab(name), side: showingSide(name) },
        seeded(5),
      );
      const found = findCard(raster);
      expect(found, name).not.to.equal(undefined);
      if (found === undefined) continue;
      expect(Math.hypot(found.deposit.x - marks.deposit.x, found.deposit.y - marks.deposit.y), name).to.be.below(8);
      expect(found.white.x, name).to.be.above(raster.width / 2);
      expect(found.black.x, name).to.be.below(raster.width / 2);
      expect(readColour(raster, found, "spore-print").states, name).to.include(name);
    }
  });

  it("are not found where there is no card, or nothing on it", () => {
    expect(findCard(painted([120, 120, 120], [125, 125, 125], [118, 120, 121]))).to.equal(undefined);
    expect(findCard(painted([20, 20, 20], [235, 235, 235], [235, 235, 235]))).to.equal(undefined);
  });
});

describe("the colour of light", () => {
  it("of 2,856 K is that of the standard lamp A: u 0.2560, v 0.3495 (CIE 15)", () => {
    const [u, v] = blackBodyUv(2856);
    expect(u).to.be.closeTo(0.256, 0.0004);
    expect(v).to.be.closeTo(0.3495, 0.0004);
  });
  it("is red by lamp and blue by sky", () => {
    const [, , lamp] = blackBodyLight(2700);
    const [sky] = blackBodyLight(9000);
    expect(lamp).to.be.below(0.5);
    expect(sky).to.be.below(1);
  });
});
