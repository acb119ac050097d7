/** The way so far, drawn small: dotted where one went, a cap where something was found, a dashed one where nothing was. */
import { cleanTrack, type Position, simplified, type TrackPoint } from "@jittery-cap/core/season";
import { useMemo } from "react";

/** Something met on the way. */
export interface Met {
  readonly id: string;
  readonly position: Position;
  readonly name: string;
  readonly isNothing: boolean;
}

const SIZE = { width: 346, height: 128, edge: 18 } as const;
/** A way of less than this, degrees, is drawn as if it were so long: a still hand is no walk. */
const LEAST = 0.0008;
const NAMED = 4;

interface WayLineProps {
  readonly points: readonly TrackPoint[];
  readonly met: readonly Met[];
}

export function WayLine({ points, met }: WayLineProps) {
  const legs = useMemo(() => cleanTrack(points).legs.map((leg) => simplified(leg, 0.00003)), [points]);
  const all = [...legs.flat(), ...met.map(({ position }) => position)];
  if (all.length === 0) return null;
  const place = placing(all);
  const here = legs.at(-1)?.at(-1);
  const named = met.slice(-NAMED);
  return (
    <svg
      className="way-line"
      viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
      role="img"
      aria-label={`The way so far, with ${met.length} ${met.length === 1 ? "mark" : "marks"}`}
    >
      {legs.map((leg) => (
        <polyline key={leg[0]?.at} points={leg.map((one) => place(one).join(",")).join(" ")} className="way-path" />
      ))}
      {met.map((one) => {
        const [x, y] = place(one.position);
        return (
          <g key={one.id} transform={`translate(${x} ${y})`} className={one.isNothing ? "way-nothing" : "way-found"}>
            <path d="M-9 0A9 9 0 0 1 9 0ZM0 0V9" />
          </g>
        );
      })}
      {named.map((one, index) => {
        const [x, y] = place(one.position);
        const isRight = x > SIZE.width * 0.6;
        return (
          <text
            key={one.id}
            x={x + (isRight ? -13 : 13)}
            y={y + (index % 2 === 0 ? -2 : 14)}
            textAnchor={isRight ? "end" : "start"}
          >
            {one.name}
          </text>
        );
      })}
      {here !== undefined && <circle cx={place(here)[0]} cy={place(here)[1]} r="7" className="way-here" />}
    </svg>
  );
}

/** Positions on the drawing, as true to shape as its frame allows. */
function placing(all: readonly Position[]): (one: Position) => readonly [number, number] {
  const lats = all.map(({ lat }) => lat);
  const lons = all.map(({ lon }) => lon);
  const [low, high] = [Math.min(...lats), Math.max(...lats)];
  const [west, east] = [Math.min(...lons), Math.max(...lons)];
  const shrink = Math.cos((((low + high) / 2) * Math.PI) / 180);
  const scale = Math.min(
    (SIZE.width - 2 * SIZE.edge) / Math.max((east - west) * shrink, LEAST),
    (SIZE.height - 2 * SIZE.edge) / Math.max(high - low, LEAST),
  );
  return ({ lat, lon }) => [
    Math.round(SIZE.width / 2 + (lon - (west + east) / 2) * shrink * scale),
    Math.round(SIZE.height / 2 - (lat - (low + high) / 2) * scale),
  ];
}
