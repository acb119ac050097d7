/** `npm run study:season`: how often the forecast's interval holds a truth that is known; writes docs/season.md and its plot. */
import { writeFileSync } from "node:fs";
import { simulatedSeason, WOODS } from "@jittery-cap/core/study";
import { init } from "echarts";
import { uniformFloat64 } from "pure-rand/distribution/uniformFloat64";
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";
import { interval } from "./tally.ts";

const SEASONS = 1000;
const SEED = 20_261_126;
const INK = "#23201a";
const COLOURS = { below: "#c9ab72", within: "#5f6f52", above: "#8a4226" } as const;

const generator = xoroshiro128plus(SEED);
const chance = { next: () => uniformFloat64(generator) };

const rows = Object.entries(WOODS).map(([name, wood]) => {
  let [below, above, width] = [0, 0, 0];
  for (let index = 0; index < SEASONS; index++) {
    const { truth, low, high } = simulatedSeason(chance, wood);
    if (truth < low) below += 1;
    else if (truth > high) above += 1;
    width += Math.log(high / Math.max(low, 1e-6));
  }
  const within = SEASONS - below - above;
  return { name, wood, below, within, above, times: Math.exp(width / SEASONS), of: interval(within, SEASONS) };
});

const percent = (share: number): string => `${(share * 100).toFixed(1)} %`;
const table = rows
  .map(
    ({ name, wood, below, within, above, times, of }) =>
      `| ${name} | ${wood.years * wood.visitsAYear} | ${percent(within / SEASONS)} | ${percent(of[0])} to ${percent(of[1])} | ${percent(below / SEASONS)} | ${percent(above / SEASONS)} | ${times.toFixed(0)} |`,
  )
  .join("\n");

writeFileSync(
  new URL("../docs/season.md", import.meta.url),
  `# How many finds an hour may bring

The forecast of a kind, a day and a place rests on one's own visits there, the empty ones too. Finds are counted as Poisson at a
rate with a gamma prior (conjugate update: Gelman and others, Bayesian Data Analysis, section 2.6); the prior is the sheet's
months, worth three hours of searching. Each visit adds its finds and hours by how alike its day was: a product of normal curves
over the day of the year (9 days), the rain of the fifth to twentieth day before (a factor of e), the mean of ten days (5 °C) and
nights of frost. Finds come in troops and years differ, so an hour counts for two thirds at most, and all together for no more
than 25. What is shown are the mean and the middle 80 of 100 of the gamma; how many finds some hours may bring is negative
binomial. Nothing of it weighs in the judgement of a find.

The breadths, the two thirds and the 25 hours were set on four of the woods below; that of ten years was looked at afterwards. Quantiles are those of another library to 1e-6, the update is worked by hand in the tests.

## Simulated seasons with a known truth

${SEASONS} seasons each (seed ${SEED}; \`npm run study:season\`). The wood is not the model's: every kind has a peak, a middle and a breadth
of its own, rain and warmth pull it in their own ways, years are rich or poor, and finds come in troops. Asked is a day between 20
July and 7 November, in a year of which nothing is known yet.

| wood | visits before | truth within | 95 % of that | truth below | truth above | upper over lower end |
| --- | --- | --- | --- | --- | --- | --- |
${table}

![Truth below, within and above the interval](season.svg)

Where the truth lies outside, it lies below more often than above: at the ends of a season nearly nothing stands, and the interval
still allows for a little. Nobody is kept at home by it who would have found much.

## What it does not know

A visit tells of its own place alone; another wood with the same trees adds nothing. It knows no trend of years, and nothing of the
hour or of who searched. A kind for which a find counts is what its decision rests on, else what it was taken for unless that was
refuted: a wrong name that was never refuted counts.
`,
);

const chart = init(null, null, { renderer: "svg", ssr: true, width: 860, height: 360 });
chart.setOption({
  animation: false,
  backgroundColor: "#f6f1e4",
  textStyle: { fontFamily: "sans-serif", color: INK },
  grid: { left: 210, right: 40, top: 60, bottom: 50 },
  legend: { top: 10, itemGap: 60, textStyle: { color: INK } },
  xAxis: { type: "value", min: 0, max: 100, name: "seasons of 100", nameLocation: "middle", nameGap: 30 },
  yAxis: { type: "category", inverse: true, data: rows.map(({ name }) => name) },
  series: (["below", "within", "above"] as const).map((part) => ({
    name: `truth ${part}`,
    type: "bar",
    stack: "all",
    barWidth: 26,
    itemStyle: { color: COLOURS[part] },
    data: rows.map((row) => (row[part] / SEASONS) * 100),
  })),
});
writeFileSync(new URL("../docs/season.svg", import.meta.url), chart.renderToSVGString());
chart.dispose();
process.stdout.write(`${table}\n`);
