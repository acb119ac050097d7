/** What lies on the ground that they grow from, drawn small: one drawing a state. */
import { line, scatter, smooth } from "./shapes.ts";
import { put } from "./site-mark.ts";
import type { Mark } from "./substrate-marks.ts";

/** What is laid over the drawn ground, by its state. */
export const GROUND_MARKS: Readonly<Record<string, Mark>> = {
  soil: (more) => {
    for (const [x, y, r] of [
      [-2.2, -0.1, 0.35],
      [-0.6, 0.05, 0.5],
      [1.3, -0.05, 0.4],
      [2.6, 0, 0.28],
    ] as const)
      more.push(
        put(
          [
            ...smooth([
              [x - r, y],
              [x - r * 0.5, y + r * 0.7],
              [x + r * 0.4, y + r * 0.75],
              [x + r, y],
            ]),
            ["Z"],
          ],
          0.9,
          "soil",
        ),
      );
  },
  "leaf-litter": (more) => {
    for (const [x, y, turn] of [
      [-2.3, 0.3, 0.3],
      [-0.9, 0.25, -0.25],
      [0.5, 0.45, 0.35],
      [1.9, 0.25, -0.2],
    ] as const)
      more.push(
        put(
          [
            ...smooth([
              [x - 1, y - turn],
              [x, y + 0.42],
              [x + 1, y + turn],
              [x, y - 0.34],
              [x - 1, y - turn],
            ]),
            ["Z"],
          ],
          0.9,
          "pigment:yellow-brown",
        ),
        put(
          line([
            [x - 1.2, y - turn * 1.2],
            [x + 1, y + turn],
          ]),
          0.6,
        ),
      );
  },
  "needle-litter": (more) => {
    for (let needle = 0; needle < 26; needle++) {
      const [x, y] = [-3.2 + scatter(needle) * 6, 0.05 + scatter(needle + 60) * 0.7];
      const turn = (scatter(needle + 30) - 0.5) * 0.9;
      more.push(
        put(
          line([
            [x, y],
            [x + 0.9, y + turn],
          ]),
          1.1,
          "none",
          "pigment:brown",
        ),
      );
    }
  },
  moss: (more) => {
    for (let tuft = 0; tuft < 22; tuft++) {
      const x = -3.4 + tuft * 0.31;
      const tall = 0.5 + scatter(tuft) * 0.6;
      more.push(
        put(
          smooth([
            [x, -0.05],
            [x + 0.04, tall * 0.6],
            [x + (scatter(tuft + 9) - 0.5) * 0.4, tall],
          ]),
          1.5,
          "none",
          "leaf",
        ),
      );
      for (const side of [-0.18, 0.18])
        more.push(
          put(
            line([
              [x + 0.03, tall * 0.4],
              [x + side, tall * 0.66],
            ]),
            1.1,
            "none",
            "leaf",
          ),
        );
    }
  },
  "wood-chips": (more) => {
    for (let chip = 0; chip < 14; chip++) {
      const [x, y] = [-3.2 + chip * 0.48, 0.1 + scatter(chip) * 0.45];
      const turn = scatter(chip + 40) - 0.5;
      more.push(
        put(
          line(
            [
              [x - 0.35, y - turn * 0.3],
              [x - 0.25, y + 0.2],
              [x + 0.35, y + turn * 0.3 + 0.15],
              [x + 0.25, y - 0.06],
            ],
            true,
          ),
          0.7,
          "wood",
        ),
      );
    }
  },
  dung: (more) => {
    for (const [x, y, r] of [
      [-0.7, 0.25, 0.5],
      [0.6, 0.3, 0.55],
      [0, 0.75, 0.5],
    ] as const)
      more.push(
        put(
          smooth(
            [
              [x - r, y],
              [x, y + r * 0.8],
              [x + r, y],
              [x, y - r * 0.6],
              [x - r, y],
            ],
            true,
          ),
          0.9,
          "pigment:brown",
        ),
      );
  },
  "burnt-soil": (more) => {
    more.push(
      put(
        smooth(
          [
            [-2.6, 0.05],
            [-1, 0.25],
            [1, 0.18],
            [2.6, 0.05],
            [0, -0.1],
            [-2.6, 0.05],
          ],
          true,
        ),
        0,
        "pigment:black",
      ),
    );
    more.push(
      put(
        line(
          [
            [-0.9, 0.1],
            [-0.4, 0.9],
            [-0.2, 0.8],
            [-0.55, 0.1],
          ],
          true,
        ),
        0.8,
        "pigment:black",
      ),
      put(
        line(
          [
            [0.5, 0.1],
            [1.6, 0.55],
            [1.65, 0.3],
            [0.7, -0.02],
          ],
          true,
        ),
        0.8,
        "pigment:black",
      ),
    );
  },
  compost: (more) => {
    more.push(
      put(
        smooth(
          [
            [-2.4, 0],
            [-1.2, 0.8],
            [0, 1.2],
            [1.2, 0.8],
            [2.4, 0],
            [0, -0.1],
            [-2.4, 0],
          ],
          true,
        ),
        1,
        "pigment:brown",
      ),
    );
    for (let straw = 0; straw < 9; straw++) {
      const [x, y] = [-1.5 + scatter(straw) * 3, 0.2 + scatter(straw + 9) * 0.5];
      more.push(
        put(
          line([
            [x, y],
            [x + 0.5, y + 0.25 * (scatter(straw + 3) - 0.4)],
          ]),
          1,
          "none",
          "paper",
        ),
      );
    }
  },
  straw: (more) => {
    for (let stalk = 0; stalk < 16; stalk++) {
      const [x, y] = [-2.6 + scatter(stalk) * 4.6, 0.1 + scatter(stalk + 9) * 0.7];
      more.push(
        put(
          line([
            [x, y],
            [x + 0.9, y + 0.5 * (scatter(stalk + 3) - 0.5)],
          ]),
          2.2,
          "none",
          "pigment:yellow-brown",
        ),
      );
    }
  },
};
