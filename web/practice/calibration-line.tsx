/** How sure somebody was against how often they were right: on the line, both are the same. */
import type { Calibration } from "@jittery-cap/core/trainer";
import { lineWords } from "./calibration-words.ts";

const SIDE = 260;
const PAD = 34;
const at = (share: number): number => PAD + share * (SIDE - 2 * PAD);

export function CalibrationLine({ calibration }: { readonly calibration: Calibration }) {
  const { bins, brier, tries } = calibration;
  const told = bins.filter((bin) => bin.right.isTold);
  return (
    <div className="practice-calibration">
      <svg viewBox={`0 0 ${SIDE} ${SIDE}`} role="img" aria-label={lineWords(calibration)} className="practice-line">
        <line x1={at(0)} y1={at(1)} x2={at(1)} y2={at(0)} className="practice-diagonal" />
        {[0, 0.5, 1].map((tick) => (
          <g key={tick}>
            <text x={at(tick)} y={SIDE - 17} textAnchor="middle">
              {tick * 10}
            </text>
            <text x={PAD - 8} y={at(1 - tick) + 5} textAnchor="end">
              {tick * 10}
            </text>
          </g>
        ))}
        {told.map(({ sure, right }) => (
          <g key={sure}>
            <line
              x1={at(sure)}
              x2={at(sure)}
              y1={at(1 - right.low)}
              y2={at(1 - right.high)}
              className="practice-range"
            />
            <circle cx={at(sure)} cy={at(1 - right.some / right.of)} r="5" />
          </g>
        ))}
        <text x={SIDE / 2} y={SIDE - 1} textAnchor="middle" className="practice-axis">
          how sure, of ten
        </text>
      </svg>
      <div>
        <p>{lineWords(calibration)}</p>
        {brier !== undefined && (
          <p className="soft">
            Brier score {brier.toFixed(2)} from {tries} {tries === 1 ? "try" : "tries"}: 0 is best, and who says five of
            ten to everything has 0.25.
          </p>
        )}
      </div>
    </div>
  );
}
