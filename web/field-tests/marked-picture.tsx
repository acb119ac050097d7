/** A picture on which places are marked by touching them; the mark that is asked for is named. */
import type { Raster, Spot } from "@jittery-cap/core";
import { useEffect, useRef } from "react";
import { tone } from "../theme/tokens.ts";

/** A mark as it is drawn. */
export interface ShownMark {
  readonly name: string;
  readonly at: Spot;
  /** Radius of a disc, px of the picture; left out for a point. */
  readonly radius?: number;
}

interface MarkedPictureProps {
  readonly raster: Raster;
  readonly marks: readonly ShownMark[];
  readonly lines?: readonly (readonly [Spot, Spot])[];
  readonly label: string;
  readonly onMark: (at: Spot) => void;
}

export function MarkedPicture({ raster, marks, lines = [], label, onMark }: MarkedPictureProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const pen = canvas.current?.getContext("2d");
    pen?.putImageData(new ImageData(new Uint8ClampedArray(raster.data), raster.width, raster.height), 0, 0);
  }, [raster]);
  // drawn in the picture's own pixels: as thick on the screen whatever its size
  const pen = raster.width / 620;
  return (
    <div className="marked">
      <canvas
        ref={canvas}
        width={raster.width}
        height={raster.height}
        aria-label={label}
        data-testid="marked-picture"
        onPointerUp={(event) => {
          const frame = event.currentTarget.getBoundingClientRect();
          onMark({
            x: ((event.clientX - frame.left) / frame.width) * raster.width,
            y: ((event.clientY - frame.top) / frame.height) * raster.height,
          });
        }}
        style={{ width: "100%", height: "auto", cursor: "crosshair", touchAction: "manipulation" }}
      />
      <svg
        viewBox={`0 0 ${raster.width} ${raster.height}`}
        aria-hidden="true"
        style={{ position: "absolute", inset: 0, width: "100%", height: "100%", pointerEvents: "none" }}
      >
        {lines.map(([from, to]) => (
          <g key={`${from.x} ${from.y} ${to.x} ${to.y}`}>
            <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke={tone.moss} strokeWidth={pen * 4} />
            <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke={tone.bone} strokeWidth={pen * 1.6} />
          </g>
        ))}
        {marks.map(({ name, at, radius }) => (
          <g key={name}>
            <circle cx={at.x} cy={at.y} r={radius ?? pen * 6} fill="none" stroke={tone.moss} strokeWidth={pen * 4} />
            <circle cx={at.x} cy={at.y} r={radius ?? pen * 6} fill="none" stroke={tone.bone} strokeWidth={pen * 1.6} />
            <text
              x={at.x}
              y={
                at.y < raster.height * 0.2
                  ? at.y + (radius ?? pen * 6) + pen * 18
                  : at.y - (radius ?? pen * 6) - pen * 5
              }
              textAnchor="middle"
              fontSize={pen * 16}
              fontWeight={700}
              fill={tone.bone}
              stroke={tone.moss}
              strokeWidth={pen * 3}
              paintOrder="stroke"
            >
              {name}
            </text>
          </g>
        ))}
      </svg>
    </div>
  );
}
