/** The plate: the specimen in its ground with leader lines, which are the way round the stations. */
import { type Body, type Find, figureOf, figureText, type Part } from "@jittery-cap/core";
import { memo } from "react";
import { useNavigate } from "react-router";
import { findPath } from "../addresses.ts";
import { FigurePaths } from "./drawing.tsx";
import { entryOf, surelyBelow } from "./observing.ts";
import { progressOf, STATIONS, type StationId } from "./stations.ts";

interface PlateProps {
  readonly find: Find;
  readonly body: Body;
  readonly station: StationId;
}

const WIDTH = 360;
const HEIGHT = 440;
const MARGIN = { top: 16, bottom: 8 };
/** Where each label stands, as a share of the plate's height, and on which side. */
const LABELS: readonly {
  readonly id: StationId;
  readonly part: Part;
  readonly side: "left" | "right";
  readonly at: number;
}[] = [
  { id: "cap", part: "cap", side: "left", at: 0.05 },
  { id: "stem", part: "stem", side: "left", at: 0.47 },
  { id: "foot", part: "foot", side: "left", at: 0.88 },
  { id: "under", part: "under", side: "right", at: 0.36 },
  { id: "cut", part: "cut", side: "right", at: 0.54 },
  { id: "nose", part: "nose", side: "right", at: 0.67 },
  { id: "print", part: "print", side: "right", at: 0.88 },
];
const LABEL_WIDTH = 58;
/** The cap may be this wide, px of the plate, so that the labels beside it stay free. */
const SPECIMEN_WIDTH = 232;

export const Plate = memo(function Plate({ find, body, station }: PlateProps) {
  const navigate = useNavigate();
  const tall = HEIGHT - MARGIN.top - MARGIN.bottom;
  // the soil reaches from one edge of the plate to the other
  const figure = figureOf(
    find,
    body,
    (bare) => WIDTH / 2 / Math.min(SPECIMEN_WIDTH / (bare.right - bare.left), tall / (bare.top - bare.bottom)),
  );
  const scale = WIDTH / 2 / figure.right;
  const axis = WIDTH / 2;
  const ground = MARGIN.top + figure.top * scale + (tall - (figure.top - figure.bottom) * scale) * 0.5;
  const looked = (character: Parameters<typeof entryOf>[1]) => entryOf(body, character) !== undefined;
  const underside = surelyBelow(body);
  return (
    <div className="plate">
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        width="100%"
        role="img"
        aria-label={figureText(find, body)}
        style={{ display: "block" }}
      >
        <g transform={`translate(${axis} ${ground})`}>
          <FigurePaths figure={figure} scale={scale} />
        </g>
        {LABELS.filter((label) => label.id !== "print").map(({ id, part, side, at }) => {
          const [x, y] = figure.anchors[part];
          const from = side === "left" ? LABEL_WIDTH : WIDTH - LABEL_WIDTH;
          return (
            <line
              key={id}
              x1={from}
              y1={HEIGHT * at + 10}
              x2={axis + x * scale}
              y2={ground - y * scale}
              className={id === station ? "plate-line-here" : "plate-line"}
            />
          );
        })}
      </svg>
      {LABELS.map(({ id, side, at }) => {
        const stop = STATIONS.find((one) => one.id === id);
        const progress = stop === undefined ? undefined : progressOf(stop, looked, underside);
        return (
          <button
            key={id}
            type="button"
            onClick={() => navigate(findPath(find.id, "record", id), { replace: true })}
            aria-current={id === station ? "step" : undefined}
            className={`plate-label plate-${side}`}
            style={{ top: `calc(${at * 100}% - 12px)` }}
          >
            <b>{stop?.name}</b>
            <span className="soft small">
              {progress === undefined || progress.done === 0 ? "open" : `${progress.done} of ${progress.all}`}
            </span>
          </button>
        );
      })}
    </div>
  );
});
