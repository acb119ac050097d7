/** Drawings as the eye has them: rasterised at the size of a row and compared dot by dot. */
import { type Body, CHARACTERS, type Figure, figureOf, findSchema, swatchOf } from "@jittery-cap/core";
import { expect } from "chai";
import { createElement } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import sharp from "sharp";
import { Drawing } from "./drawing.tsx";

/** Height of a body in a row, px. */
const ROW = 60;
const GREYS = 256;

/** A figure as grey dots on white, in a square that is ROW high. */
async function dots(figure: Figure): Promise<Uint8Array> {
  const scale = ROW / (figure.top - figure.bottom);
  const drawn = renderToStaticMarkup(createElement(Drawing, { figure, scale })).replace(
    /var\(--mui-palette-text-primary\)/g,
    "#1d211a",
  );
  const svg = drawn.startsWith("<svg ") ? drawn.replace("<svg ", '<svg xmlns="http://www.w3.org/2000/svg" ') : drawn;
  const { data } = await sharp(Buffer.from(svg))
    .flatten({ background: "#f4efe3" })
    .resize(ROW, ROW, { fit: "contain", background: "#f4efe3" })
    .greyscale()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return data;
}

/** How many dots of a hundred differ plainly: by an eighth of the way from black to white. */
function differing(one: Uint8Array, other: Uint8Array): number {
  let count = 0;
  for (let dot = 0; dot < one.length; dot++) if (Math.abs((one[dot] ?? 0) - (other[dot] ?? 0)) > GREYS / 8) count += 1;
  return (count / one.length) * 100;
}

const UNDERSIDES = CHARACTERS.underside.states;

/** A grown body of one underside, as it stands in a row. */
function body(underside: string): Figure {
  const seen: Body["seen"] = [
    { character: "underside", states: [underside] },
    { character: "cap-shape", states: ["convex"] },
    { character: "cap-colour", states: ["cream"] },
    { character: "stem-colour", states: ["cream"] },
    { character: "stem-surface", states: ["smooth"] },
    { character: "base", states: ["plain"] },
    { character: "ring", states: ["none"] },
    ...(underside === "pores" ? [{ character: "pore-colour" as const, states: ["cream"] }] : []),
    ...(underside === "gills" ? [{ character: "gill-colour" as const, states: ["cream"] }] : []),
    ...(["spines", "ridges", "smooth"].includes(underside)
      ? [{ character: "underside-colour" as const, states: ["cream"] }]
      : []),
  ];
  const find = findSchema.parse({
    format: "jittery-cap/find",
    version: 1,
    id: "0192f3c0-7a1e-7c64-9d53-0f6f5f2f9a10",
    bodies: [{ id: "A", age: "mature", lifted: "whole", measures: { capCm: 8, stemLengthCm: 6 }, seen }],
  });
  const [first] = find.bodies;
  if (first === undefined) throw new Error("no body");
  return figureOf(find, first, 0);
}

describe("drawings at the size of a row", () => {
  it("of the same cap over pores, spines, gills and ridges are told apart", async () => {
    const drawn = await Promise.all(
      ["pores", "spines", "gills", "ridges"].map(async (one) => [one, await dots(body(one))] as const),
    );
    for (const [name, one] of drawn)
      for (const [otherName, other] of drawn)
        if (name < otherName) expect(differing(one, other), `${name} and ${otherName}`).to.be.above(1.5);
  });

  it("of every kind of underside are told apart as answers", async () => {
    const drawn: (readonly [string, Uint8Array])[] = [];
    for (const state of UNDERSIDES) {
      const figure = swatchOf("underside", state);
      if (figure !== undefined) drawn.push([state, await dots(figure)]);
    }
    expect(drawn.length).to.be.above(6);
    for (const [name, one] of drawn)
      for (const [otherName, other] of drawn)
        if (name < otherName) expect(differing(one, other), `${name} and ${otherName}`).to.be.above(2);
  });

  it("of smells are each a mark of its own", async () => {
    const drawn: (readonly [string, Uint8Array])[] = [];
    for (const state of CHARACTERS.smell.states) {
      const figure = swatchOf("smell", state);
      expect(figure === undefined, state).to.equal(state === "none");
      if (figure !== undefined) drawn.push([state, await dots(figure)]);
    }
    for (const [name, one] of drawn)
      for (const [otherName, other] of drawn)
        if (name < otherName) expect(differing(one, other), `${name} and ${otherName}`).to.be.above(3);
  });
});
