/** The wood that they grow from, drawn small: one drawing a state. */
import { line, type Point2, type Shape, smooth } from "./shapes.ts";
import { put } from "./site-mark.ts";
import type { Mark } from "./substrate-marks.ts";

/** A lying trunk from one end to the other, its cut face at the second; r: its half thickness, cm of the drawing. */
function log(more: Shape[], [x0, y0]: Point2, [x1, y1]: Point2, r: number): void {
  more.push(
    put(
      [
        ...smooth([
          [x0, y0 - r],
          [x0 - r * 0.4, y0],
          [x0, y0 + r],
        ]),
        ["L", x1, y1 + r],
        ["L", x1, y1 - r],
        ["Z"],
      ],
      0.9,
      "wood",
    ),
  );
  more.push(
    put(
      smooth(
        [
          [x1, y1 - r],
          [x1 + r * 0.45, y1],
          [x1, y1 + r],
          [x1 - r * 0.45, y1],
          [x1, y1 - r],
        ],
        true,
      ),
      0.9,
      "flesh",
    ),
  );
}

/** What is laid over the drawn ground, by its state. */
export const WOOD_MARKS: Readonly<Record<string, Mark>> = {
  "standing-dead-wood": (more) => {
    more.push(
      put(
        line([
          [-0.6, 0],
          [-0.5, 2.2],
          [-0.2, 2.5],
          [0, 2.1],
          [0.3, 2.6],
          [0.5, 2.1],
          [0.6, 0],
        ]),
        1,
        "wood",
      ),
    );
  },
  "living-trunk": (more) => {
    more.push(
      put(
        smooth([
          [-1, 0],
          [-0.65, 0.6],
          [-0.6, 2.6],
        ]),
        1,
      ),
      put(
        smooth([
          [1, 0],
          [0.65, 0.6],
          [0.6, 2.6],
        ]),
        1,
      ),
    );
    more.push(
      put(
        [
          ...smooth([
            [-1, 0],
            [-0.65, 0.6],
            [-0.6, 2.6],
          ]),
          ["L", 0.6, 2.6],
          ...smooth([
            [0.6, 2.6],
            [0.65, 0.6],
            [1, 0],
          ]).slice(1),
          ["Z"],
        ],
        0,
        "wood",
      ),
    );
    more.push(
      put(
        smooth([
          [0.6, 1.7],
          [1.3, 2.1],
          [1.8, 2.6],
        ]),
        1.6,
      ),
      put(
        smooth(
          [
            [1.3, 2.1],
            [1.5, 2.5],
            [1.2, 2.6],
          ],
          true,
        ),
        0.6,
        "leaf",
      ),
    );
  },
  stump: (more) => {
    more.push(
      put(
        line([
          [-1.2, 0],
          [-0.95, 1.1],
          [0.95, 1.1],
          [1.2, 0],
        ]),
        1,
        "wood",
      ),
    );
    more.push(
      put(
        smooth(
          [
            [-0.95, 1.1],
            [0, 0.85],
            [0.95, 1.1],
            [0, 1.35],
            [-0.95, 1.1],
          ],
          true,
        ),
        1,
        "flesh",
      ),
    );
    more.push(
      put(
        smooth(
          [
            [-0.5, 1.1],
            [0, 0.98],
            [0.5, 1.1],
            [0, 1.22],
            [-0.5, 1.1],
          ],
          true,
        ),
        0.6,
      ),
    );
  },
  "fallen-wood": (more) => {
    log(more, [-2.6, 0.5], [2.3, 0.5], 0.5);
  },
  "buried-wood": (more) => {
    log(more, [-1.8, -0.55], [1.6, -0.55], 0.28);
  },
};
