/** `npm run study:colour`: how well the colour reader reads pictures that no camera took; writes docs/colour.md and its plot. */
import { writeFileSync } from "node:fs";
import { readColour } from "@jittery-cap/core";
import { DEPOSITS, drawLyingPrint, drawSetting, type Setting, syntheticPicture } from "@jittery-cap/core/synthetic";
import * as echarts from "echarts";

import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";

const PICTURES = 2000;
/** Prints with lines in them take longer to draw. */
const LYING = 1040;
const SEED = 20_261_125;
const generator = xoroshiro128plus(SEED);
const chance = { next: () => (generator.next() >>> 0) / 2 ** 32 };
const names = Object.keys(DEPOSITS);

interface Tally {
  right: number;
  two: number;
  unsure: number;
  refused: number;
  wrongUnsure: number;
  wrongSure: number;
  all: number;
}
const fresh = (): Tally => ({ right: 0, two: 0, unsure: 0, refused: 0, wrongUnsure: 0, wrongSure: 0, all: 0 });

function examine(settingOf: (name: string) => Setting, pictures = PICTURES): Map<string, Tally> {
  const tallies = new Map(names.map((name) => [name, fresh()]));
  for (let index = 0; index < pictures; index++) {
    const name = names[index % names.length] ?? "";
    const tally = tallies.get(name) ?? fresh();
    const { raster, marks } = syntheticPicture(settingOf(name), chance);
    const reading = readColour(raster, marks, "spore-print");
    tally.all += 1;
    const has = reading.states.includes(name);
    if (reading.refused !== undefined) tally.refused += 1;
    else if (has && reading.sure) tally.right += 1;
    else if (has && reading.states.length === 2) tally.two += 1;
    else if (has) tally.unsure += 1;
    else if (reading.sure) tally.wrongSure += 1;
    else tally.wrongUnsure += 1;
  }
  return tallies;
}

const readable = examine((name) => drawSetting(name, chance));
const lying = examine((name) => drawLyingPrint(name, chance), LYING);
const hardLying = examine((name) => {
  const setting = drawLyingPrint(name, chance);
  return {
    ...setting,
    side: chance.next() < 0.5 ? "white" : "black",
    ...(setting.lie === undefined ? {} : { lie: { ...setting.lie, layers: 0.2 + 4 * chance.next() } }),
  };
}, LYING);
const hard = examine((name) => ({
  ...drawSetting(name, chance),
  side: chance.next() < 0.5 ? "white" : "black",
  coverage: chance.next() < 0.5 ? 1 : 0.05 + 0.95 * chance.next(),
}));

const sum = (tallies: Map<string, Tally>, of: keyof Tally) =>
  [...tallies.values()].reduce((all, one) => all + one[of], 0);
const share = (part: number, all: number) => `${((100 * part) / all).toFixed(1)} %`;
const table = (tallies: Map<string, Tally>) =>
  [
    "| deposit | pictures | surely right | one of two, right among them | unsure, right | refused | wrong, unsure | wrong, sure |",
    "| --- | ---: | ---: | ---: | ---: | ---: | ---: | ---: |",
    ...[...tallies].map(
      ([name, t]) =>
        `| ${name} | ${t.all} | ${t.right} | ${t.two} | ${t.unsure} | ${t.refused} | ${t.wrongUnsure} | ${t.wrongSure} |`,
    ),
  ].join("\n");
const rightIn = (tallies: Map<string, Tally>) => sum(tallies, "right") + sum(tallies, "two") + sum(tallies, "unsure");

const page = `# The colour reader, examined

${PICTURES} synthetic pictures each, seed ${SEED}: light of 2,700 to 7,500 K, a camera that has put it right by none to all of it,
noise, shade, blur, crosstalk of the channels. The deposits are colours as a painter would mix them, from memory, and not the
reader's own references. It examines the reading, not the references: prints and a spectrometer would.

**Readable pictures** (a thick deposit on the half that shows it): right in ${share(rightIn(readable), sum(readable, "all"))}, surely right in
${share(sum(readable, "right"), sum(readable, "all"))}; surely wrong ${sum(readable, "wrongSure")} of ${sum(readable, "all")}.

${table(readable)}

**Hard pictures** (either half, every other deposit thin): surely wrong ${sum(hard, "wrongSure")} of ${sum(hard, "all")}; refused ${share(sum(hard, "refused"), sum(hard, "all"))}.

${table(hard)}

**Prints as they lie** (lines of gills and dots of pores with the half between them, grain, uneven thickness, pieces where
nothing fell, circles from a third of the print to half as large again; on the half that shows them): right in
${share(rightIn(lying), sum(lying, "all"))}, surely right in ${share(sum(lying, "right"), sum(lying, "all"))}; surely wrong ${sum(lying, "wrongSure")} of ${sum(lying, "all")}.

${table(lying)}

**The same, hard** (either half, mere breaths of spores among them): surely wrong ${sum(hardLying, "wrongSure")} of ${sum(hardLying, "all")}; refused
${share(sum(hardLying, "refused"), sum(hardLying, "all"))}.

${table(hardLying)}

White and cream, and ochre and yellow, are often told as one of two: a print lies between them as often as not.

![Readings by deposit](colour.svg)
`;
writeFileSync("docs/colour.md", page);

const chart = echarts.init(null, null, { renderer: "svg", ssr: true, width: 920, height: 460 });
const series = (
  [
    ["surely right", "right", "#6f7d5a"],
    ["one of two", "two", "#c08f35"],
    ["unsure, right", "unsure", "#e0c48a"],
    ["refused", "refused", "#cfc8b2"],
    ["wrong, unsure", "wrongUnsure", "#e09a7f"],
    ["wrong, sure", "wrongSure", "#8f3f1c"],
  ] as const
).map(([name, of, color]) => ({
  name,
  type: "bar" as const,
  stack: "all",
  color,
  data: names.map((one) => (100 * (lying.get(one)?.[of] ?? 0)) / Math.max(1, lying.get(one)?.all ?? 1)),
}));
chart.setOption({
  animation: false,
  backgroundColor: "#f4efe3",
  textStyle: { fontFamily: "sans-serif", fontSize: 14 },
  title: { text: "Prints as they lie, by deposit", left: 16, top: 10, textStyle: { fontSize: 16 } },
  legend: { top: 40, left: 16 },
  grid: { left: 130, right: 24, top: 84, bottom: 40 },
  xAxis: { type: "value", max: 100, axisLabel: { formatter: "{value} %" } },
  yAxis: { type: "category", data: names, inverse: true },
  series,
});
writeFileSync("docs/colour.svg", `${chart.renderToSVGString()}\n`);
// else its clock keeps the program from ending
chart.dispose();
process.stdout.write(
  `readable: right ${share(rightIn(readable), sum(readable, "all"))}, surely wrong ${sum(readable, "wrongSure")}; as they lie: right ${share(rightIn(lying), sum(lying, "all"))}, surely wrong ${sum(lying, "wrongSure")}, hard ${sum(hardLying, "wrongSure")}; hard: surely wrong ${sum(hard, "wrongSure")}\n`,
);
