/** The study's plot as an SVG picture, drawn without a screen. */
import type { Knowledge } from "@jittery-cap/core";
import { init } from "echarts";
import { interval, sum, type Tally } from "./tally.ts";

const INK = "#23201a";
const RUST = "#8a4226";
const SAGE = "#5f6f52";
const SIZE = { width: 860, height: 420 };
const PER = 100_000;

/** Two curves on two axes: dangers in 100,000 with their intervals, and good finds in a hundred. */
export function plotOf(all: readonly Tally[], knowledge: Knowledge): string {
  const tallies = all.filter((tally) => tally.part === "advice");
  const dangers = new Set(knowledge.dangers.map((sheet) => sheet.id));
  const slips = [...new Set(tallies.map((tally) => tally.slips))].sort((one, other) => one - other);
  const at = (isDanger: boolean, slip: number) =>
    sum(
      tallies.filter(
        (tally) =>
          dangers.has(tally.sheet) === isDanger &&
          tally.slips === slip &&
          tally.day === (isDanger ? "any" : "ordinary"),
      ),
    );
  const label = (slip: number) => `${(slip * 100).toFixed(0)} %`;
  const upper = slips.map((slip) => interval(at(true, slip).basket, at(true, slip).draws)[1] * PER);
  const chart = init(null, null, { renderer: "svg", ssr: true, ...SIZE });
  chart.setOption({
    animation: false,
    backgroundColor: "#f6f1e4",
    textStyle: { fontFamily: "sans-serif", color: INK },
    grid: { left: 70, right: 80, top: 60, bottom: 50 },
    // the width of words is not known without a screen, so the entries are set well apart
    legend: { top: 10, itemGap: 70, textStyle: { color: INK } },
    xAxis: {
      type: "category",
      name: "slips an observation",
      nameLocation: "middle",
      nameGap: 30,
      data: slips.map(label),
    },
    yAxis: [
      { type: "value", name: "dangers in 100,000", min: 0, axisLabel: { color: RUST }, nameTextStyle: { color: RUST } },
      {
        type: "value",
        name: "good finds, %",
        min: 0,
        max: 100,
        axisLabel: { color: SAGE },
        splitLine: { show: false },
        nameTextStyle: { color: SAGE },
      },
    ],
    series: [
      {
        name: "dangers in the basket",
        type: "bar",
        barWidth: 26,
        itemStyle: { color: RUST },
        data: slips.map((slip) => (at(true, slip).basket / at(true, slip).draws) * PER),
      },
      {
        name: "95 % sure below",
        type: "scatter",
        symbol: "rect",
        symbolSize: [30, 3],
        itemStyle: { color: RUST },
        data: upper,
      },
      {
        name: "good finds in the basket",
        type: "line",
        yAxisIndex: 1,
        symbol: "circle",
        symbolSize: 9,
        lineStyle: { color: SAGE, width: 3 },
        itemStyle: { color: SAGE },
        data: slips.map((slip) => (at(false, slip).basket / at(false, slip).draws) * 100),
      },
    ],
  });
  const svg = chart.renderToSVGString();
  chart.dispose();
  return svg;
}

const MOST_SHOWN = 20;
const PER_THOUSAND = 1000;

/** The dangers that pass most often where their own sheet is off the shelf, in 1,000 finds each. */
export function openWorldPlotOf(all: readonly Tally[]): string {
  const tallies = all.filter((tally) => tally.part === "leave-one-out");
  const shares = [...new Set(tallies.map((tally) => tally.sheet))]
    .map((sheet) => {
      const { draws, basket } = sum(tallies.filter((tally) => tally.sheet === sheet));
      return { sheet, share: (basket / Math.max(1, draws)) * PER_THOUSAND };
    })
    .sort((one, other) => other.share - one.share)
    .slice(0, MOST_SHOWN)
    .reverse();
  const chart = init(null, null, { renderer: "svg", ssr: true, width: SIZE.width, height: 560 });
  chart.setOption({
    animation: false,
    backgroundColor: "#f6f1e4",
    textStyle: { fontFamily: "sans-serif", color: INK },
    grid: { left: 230, right: 60, top: 30, bottom: 50 },
    xAxis: { type: "value", name: "in the basket, of 1,000", nameLocation: "middle", nameGap: 30, min: 0 },
    yAxis: { type: "category", data: shares.map(({ sheet }) => sheet), axisLabel: { color: INK } },
    series: [
      {
        type: "bar",
        barWidth: 14,
        itemStyle: { color: RUST },
        data: shares.map(({ share }) => share),
        markLine: {
          silent: true,
          symbol: "none",
          lineStyle: { color: SAGE },
          label: { formatter: "aim" },
          data: [{ xAxis: 1 }],
        },
      },
    ],
  });
  const svg = chart.renderToSVGString();
  chart.dispose();
  return svg;
}
