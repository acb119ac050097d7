/** The cloud of measured spores, and the box of the sheet beside it. */
import { theKind } from "@jittery-cap/core";
import { useTheme } from "@mui/material/styles";
import { ReferenceArea, ResponsiveContainer, Scatter, ScatterChart, XAxis, YAxis } from "recharts";
import { FONT } from "../theme/tokens.ts";

interface Spore {
  /** µm. */
  readonly length: number;
  readonly width: number;
}

interface SporesChartProps {
  readonly points: readonly Spore[];
  /** A sheet's ranges, µm. */
  readonly beside: { readonly common: string; readonly length: Range; readonly width: Range } | undefined;
}
type Range = readonly [number, number];

/** Both ends of an axis, in whole µm, with room for the points and the sheet. */
const reach = (values: readonly number[]): [number, number] => [
  Math.floor(Math.min(...values)) - 1,
  Math.ceil(Math.max(...values)) + 1,
];

export function SporesChart({ points, beside }: SporesChartProps) {
  const { palette } = useTheme();
  const soft = palette.text.secondary;
  const axis = { type: "number", stroke: soft, tick: { fill: soft, fontFamily: FONT.text } } as const;
  const besideWords =
    beside === undefined
      ? ""
      : ` beside ${theKind(beside.common)}, ${beside.length.join(" to ")} by ${beside.width.join(" to ")} µm`;
  return (
    <div className="chart" role="img" aria-label={`Lengths and widths of ${points.length} spores${besideWords}`}>
      <ResponsiveContainer>
        <ScatterChart margin={{ top: 8, right: 12, bottom: 22, left: 0 }}>
          <XAxis
            {...axis}
            dataKey="length"
            domain={reach([...points.map((one) => one.length), ...(beside?.length ?? [])])}
            label={{ value: "length, µm", position: "insideBottom", offset: -14, fill: soft }}
          />
          <YAxis
            {...axis}
            dataKey="width"
            width={52}
            domain={reach([...points.map((one) => one.width), ...(beside?.width ?? [])])}
            label={{ value: "width, µm", angle: -90, position: "insideLeft", offset: 14, fill: soft }}
          />
          {beside !== undefined && (
            <ReferenceArea
              x1={beside.length[0]}
              x2={beside.length[1]}
              y1={beside.width[0]}
              y2={beside.width[1]}
              fill={palette.warning.main}
              fillOpacity={0.18}
              stroke={palette.error.main}
              strokeDasharray="5 4"
            />
          )}
          <Scatter data={[...points]} fill={palette.text.primary} isAnimationActive={false} />
        </ScatterChart>
      </ResponsiveContainer>
    </div>
  );
}
