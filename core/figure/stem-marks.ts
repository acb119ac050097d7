/** What the surface of the stem shows: nets, scales, scabers, fibres, drawn on its skin. */
import type { PlacedCap } from "./cap.ts";
import { line, type Shape, type Step, scatter, smooth } from "./shapes.ts";
import { RING_HEIGHT, widthAt } from "./stem-shape.ts";
import type { BodyView } from "./view.ts";

/** The marks of the states that were seen, each over the one before. */
export function stemMarks(view: BodyView, cap: PlacedCap): Shape[] {
  const { states, knowing } = view.of("stem-surface");
  const shapes: Shape[] = [];
  const ringAt = (RING_HEIGHT[view.first("ring-place") ?? "high"] ?? 0.75) * cap.edge;
  const mark = (steps: readonly Step[], pen: number) =>
    shapes.push({ part: "stem", steps, fill: "none", stroke: "line", pen, knowing });
  for (const state of states)
    for (let index = 0; index < 22; index++) {
      const share = (index + 0.5) / 22;
      const y = cap.edge * share;
      const x = -widthAt(view, share) * (0.12 + scatter(index + 3) * 0.8);
      const size = view.stemHalf * 0.16;
      if (state === "fibrillose" || (state === "silky" && index % 2 === 0))
        mark(
          smooth([
            [x, y],
            [x + size * 0.3, y + size * 2],
            [x, y + size * 4],
          ]),
          state === "silky" ? 0.4 : 0.6,
        );
      if (state === "scaly-below-ring" && y < ringAt - size)
        mark(
          line([
            [x - size, y + size * 0.8],
            [x, y - size * 0.4],
            [x + size, y + size * 0.8],
          ]),
          1,
        );
      if (state === "snakeskin" && index % 2 === 0)
        mark(
          line([
            [-widthAt(view, share), y],
            [-widthAt(view, share) * 0.66, y + size],
            [-widthAt(view, share) * 0.33, y],
            [0, y + size],
          ]),
          0.9,
        );
      if (state === "net" && y > cap.edge * 0.35)
        mark(
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
        );
      if (state === "scabers" || state === "dotted" || state === "granular")
        if (state !== "granular" || share > 0.6)
          // grains lie near the top, dots and tufts all over
          mark(
            line([
              [x, y],
              [x + size * 0.5, y + size * 0.3],
            ]),
            state === "scabers" ? 1.8 : 1.2,
          );
      if (state === "cottony")
        mark(
          smooth([
            [x - size, y],
            [x, y + size],
            [x + size, y],
          ]),
          0.7,
        );
      if (state === "velvety-darkening" && share < 0.72)
        for (const turn of [0, 1, 2]) {
          const at = -widthAt(view, share) * scatter(index * 3 + turn);
          if (scatter(index * 7 + turn) > share * 1.1)
            mark(
              line([
                [at, y],
                [at, y + size * 1.3],
              ]),
              1,
            );
        }
    }
  return shapes;
}
