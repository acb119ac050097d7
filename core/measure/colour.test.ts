import { expect } from "chai";
import { converter, differenceCiede2000 } from "culori";
import fc from "fast-check";
import { channelOf, deltaE, type Lab, labOf, linearOf, linearOfLab } from "./colour.ts";

/** The 34 pairs of G. Sharma, W. Wu and E. N. Dalal, Color Research and Application 30 (2005), table 1. */
// biome-ignore format: a published table, a line each
const PAIRS: readonly (readonly [...Lab, ...Lab, number])[] = [
  [50, 2.6772, -79.7751, 50, 0, -82.7485, 2.0425], [50, 3.1571, -77.2803, 50, 0, -82.7485, 2.8615],
  [50, 2.8361, -74.02, 50, 0, -82.7485, 3.4412], [50, -1.3802, -84.2814, 50, 0, -82.7485, 1.0],
  [50, -1.1848, -84.8006, 50, 0, -82.7485, 1.0], [50, -0.9009, -85.5211, 50, 0, -82.7485, 1.0],
  [50, 0, 0, 50, -1, 2, 2.3669], [50, -1, 2, 50, 0, 0, 2.3669],
  [50, 2.49, -0.001, 50, -2.49, 0.0009, 7.1792], [50, 2.49, -0.001, 50, -2.49, 0.001, 7.1792],
  [50, 2.49, -0.001, 50, -2.49, 0.0011, 7.2195], [50, 2.49, -0.001, 50, -2.49, 0.0012, 7.2195],
  [50, -0.001, 2.49, 50, 0.0009, -2.49, 4.8045], [50, -0.001, 2.49, 50, 0.001, -2.49, 4.8045],
  [50, -0.001, 2.49, 50, 0.0011, -2.49, 4.7461], [50, 2.5, 0, 50, 0, -2.5, 4.3065],
  [50, 2.5, 0, 73, 25, -18, 27.1492], [50, 2.5, 0, 61, -5, 29, 22.8977],
  [50, 2.5, 0, 56, -27, -3, 31.903], [50, 2.5, 0, 58, 24, 15, 19.4535],
  [50, 2.5, 0, 50, 3.1736, 0.5854, 1.0], [50, 2.5, 0, 50, 3.2972, 0, 1.0],
  [50, 2.5, 0, 50, 1.8634, 0.5757, 1.0], [50, 2.5, 0, 50, 3.2592, 0.335, 1.0],
  [60.2574, -34.0099, 36.2677, 60.4626, -34.1751, 39.4387, 1.2644], [63.0109, -31.0961, -5.8663, 62.8187, -29.7946, -4.0864, 1.263],
  [61.2901, 3.7196, -5.3901, 61.4292, 2.248, -4.962, 1.8731], [35.0831, -44.1164, 3.7933, 35.0232, -40.0716, 1.5901, 1.8645],
  [22.7233, 20.0904, -46.694, 23.0331, 14.973, -42.5619, 2.0373], [36.4612, 47.858, 18.3852, 36.2715, 50.5065, 21.2231, 1.4146],
  [90.8027, -2.0831, 1.441, 91.1528, -1.6435, 0.0447, 1.4441], [90.9257, -0.5406, -0.9208, 88.6381, -0.8985, -0.7239, 1.5381],
  [6.7747, -0.2908, -2.4247, 5.8714, -0.0985, -2.2286, 0.6377], [2.0776, 0.0795, -1.135, 0.9033, -0.0636, -0.5514, 0.9082],
];

const channel = fc.integer({ min: 0, max: 255 });
const lab = fc.tuple(
  fc.double({ min: 0, max: 100, noNaN: true }),
  fc.double({ min: -80, max: 80, noNaN: true }),
  fc.double({ min: -80, max: 80, noNaN: true }),
);
const toLab65 = converter("lab65");
const oracle = differenceCiede2000();

describe("colour differences", () => {
  it("are those of the 34 published pairs, to four decimals and either way round", () => {
    for (const [l1, a1, b1, l2, a2, b2, expected] of PAIRS) {
      expect(deltaE([l1, a1, b1], [l2, a2, b2]), `${l1} ${a1} ${b1}`).to.be.closeTo(expected, 0.00005);
      expect(deltaE([l2, a2, b2], [l1, a1, b1])).to.be.closeTo(expected, 0.00005);
    }
    expect(PAIRS).to.have.length(34);
  });

  it("are those of a colour library for any two colours (culori)", () => {
    fc.assert(
      fc.property(lab, lab, (one, other) => {
        // where two hues lie exactly opposite, the mean hue leaps: nobody's last digits decide there
        const along = one[1] * other[1] + one[2] * other[2];
        fc.pre(along > -0.999 * Math.hypot(one[1], one[2]) * Math.hypot(other[1], other[2]));
        const asked = oracle(
          { mode: "lab65", l: one[0], a: one[1], b: one[2] },
          { mode: "lab65", l: other[0], a: other[1], b: other[2] },
        );
        expect(deltaE(one, other)).to.be.closeTo(asked, 1e-6);
      }),
      { numRuns: 500 },
    );
  });

  it("are nothing for one colour and never negative", () => {
    fc.assert(
      fc.property(lab, lab, (one, other) => {
        expect(deltaE(one, one)).to.equal(0);
        expect(deltaE(one, other)).to.be.at.least(0);
      }),
    );
  });
});

describe("a picture's numbers in CIELAB", () => {
  it("are those of a colour library (culori, D65)", () => {
    fc.assert(
      fc.property(channel, channel, channel, (r, g, b) => {
        const asked = toLab65({ mode: "rgb", r: r / 255, g: g / 255, b: b / 255 });
        const [l, a, bb] = labOf([linearOf(r), linearOf(g), linearOf(b)]);
        expect(l).to.be.closeTo(asked.l, 0.01);
        expect(a).to.be.closeTo(asked.a, 0.02);
        expect(bb).to.be.closeTo(asked.b, 0.02);
      }),
    );
  });

  it("go there and back", () => {
    fc.assert(
      fc.property(channel, channel, channel, (...rgb) => {
        const linear = linearOfLab(labOf([linearOf(rgb[0]), linearOf(rgb[1]), linearOf(rgb[2])]));
        linear.forEach((value, index) => {
          expect(channelOf(value)).to.be.closeTo(rgb[index] ?? -1, 0.01);
        });
      }),
    );
  });

  it("have the values that the standard tells: white, black, and the bend near black (IEC 61966-2-1)", () => {
    const [l, a, b] = labOf([1, 1, 1]);
    expect(l).to.be.closeTo(100, 1e-6);
    expect(Math.hypot(a, b)).to.be.below(0.02);
    expect(labOf([0, 0, 0])[0]).to.be.closeTo(0, 1e-9);
    expect(linearOf(10)).to.be.closeTo(10 / 255 / 12.92, 1e-12);
    expect(linearOf(188)).to.be.closeTo(0.5029, 1e-4);
  });
});
