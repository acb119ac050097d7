/** What the surface of the stem shows: nets, scales, scabers, fibres, drawn on its skin. */
import type { PlacedCap } from "./cap.ts";
import { line, type Shape, type Step, scatter, smooth } from "./shapes.ts";
import { RING_HEIGHT, widthAt } from "./stem-shape.ts";
import type { BodyView } from "./view.ts";

const MARKS_UP_A_STEM = 22;

/** One place on the stem where a mark may be drawn: its share of the height, its point, the size of marks there. */
interface Spot {
  readonly index: number;
  readonly share: number;
  readonly x: number;
  readonly y: number;
  readonly size: number;
  /** Half the stem's width there. */
  readonly half: number;
  readonly edge: number;
  readonly ringAt: number;
}

/** The strokes at one place, each with its pen. */
type Strokes = (at: Spot) => readonly (readonly [steps: readonly Step[], pen: number])[];

const fibre = ({ x, y, size }: Spot): readonly Step[] =>
  smooth([
    [x, y],
    [x + size * 0.3, y + size * 2],
    [x, y + size * 4],
  ]);
const dot = ({ x, y, size }: Spot): readonly Step[] =>
  line([
    [x, y],
    [x + size * 0.5, y + size * 0.3],
  ]);

const STROKES: Readonly<Record<string, Strokes>> = {
  fibrillose: (at) => [[fibre(at), 0.6]],
  silky: (at) => (at.index % 2 === 0 ? [[fibre(at), 0.4]] : []),
  "scaly-below-ring": ({ x, y, size, ringAt }) =>
    y < ringAt - size
      ? [
          [
            line([
              [x - size, y + size * 0.8],
              [x, y - size * 0.4],
              [x + size, y + size * 0.8],
            ]),
            1,
          ],
        ]
      : [],
  snakeskin: ({ index, half, y, size }) =>
    index % 2 === 0
      ? [
          [
            line([
              [-half, y],
              [-half * 0.66, y + size],
              [-half * 0.33, y],
              [0, y + size],
            ]),
            0.9,
          ],
        ]
      : [],
  net: ({ x, y, size, edge }) =>
    y > edge * 0.35
      ? [
          [
            line(
              [
                [x - size * 1.5, y],
                [x, y + size * 2],
                [x + size * 1.5, y],
                [x, y - size * 2],
              ],
              true,
            ),
            0.6,
          ],
        ]
      : [],
  // grains lie near the top, dots and tufts all over
  granular: (at) => (at.share > 0.6 ? [[dot(at), 1.2]] : []),
  dotted: (at) => [[dot(at), 1.2]],
  scabers: (at) => [[dot(at), 1.8]],
  cottony: ({ x, y, size }) => [
    [
      smooth([
        [x - size, y],
        [x, y + size],
        [x + size, y],
      ]),
      0.7,
    ],
  ],
  "velvety-darkening": ({ index, share, half, y, size }) =>
    share < 0.72
      ? [0, 1, 2]
          .filter((turn) => scatter(index * 7 + turn) > share * 1.1)
          .map((turn) => {
            const x = -half * scatter(index * 3 + turn);
            return [
              line([
                [x, y],
                [x, y + size * 1.3],
              ]),
              1,
            ] as const;
          })
      : [],
};

/** The marks of the states that were seen, each over the one before. */
export function stemMarks(view: BodyView, cap: PlacedCap): Shape[] {
  const { states, knowing } = view.of("stem-surface");
  const ringAt = (RING_HEIGHT[view.first("ring-place") ?? "high"] ?? 0.75) * cap.edge;
  const spots = Array.from({ length: MARKS_UP_A_STEM }, (_, index): Spot => {
    const share = (index + 0.5) / MARKS_UP_A_STEM;
    const half = widthAt(view, share);
    const x = -half * (0.12 + scatter(index + 3) * 0.8);
    return { index, share, x, y: cap.edge * share, size: view.stemHalf * 0.16, half, edge: cap.edge, ringAt };
  });
  return states.flatMap((state) =>
    spots.flatMap((at) =>
      (STROKES[state]?.(at) ?? []).map(
        ([steps, pen]): Shape => ({ part: "stem", steps, fill: "none", stroke: "line", pen, knowing }),
      ),
    ),
  );
}
