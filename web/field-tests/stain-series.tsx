/** A stain in several pictures: each is kept with its second, and together they tell onset, strength and hue. */
import { type Body, type Change, type Lab, type Readable, readStain, type StainMoment } from "@jittery-cap/core";
import Button from "@mui/material/Button";
import { useState } from "react";
import { clockText, useStopwatch } from "../specimen/stopwatch.ts";
import { StopwatchBlock } from "../specimen/stopwatch-block.tsx";

interface StainSeriesProps {
  readonly character: Readable;
  readonly body: Body;
  /** The calibrated colour of the picture that is open; undefined where it could not be read. */
  readonly lab: Lab | undefined;
  readonly onChange: (change: Change) => void;
}

export function StainSeries({ character, body, lab, onChange }: StainSeriesProps) {
  const stopwatch = useStopwatch();
  const [moments, setMoments] = useState<readonly StainMoment[]>([]);
  const seconds = stopwatch.seconds ?? 0;
  const reading = moments.length < 2 ? undefined : readStain(moments, character);
  const record = () => {
    if (reading === undefined) return;
    const { states, speed, sure } = reading;
    onChange({
      kind: "observe",
      body: body.id,
      character,
      entries: [
        {
          character,
          states: [...states],
          method: "picture",
          ...(sure ? {} : { sure: false }),
          ...(speed === undefined ? {} : { speed }),
        },
      ],
    });
  };
  return (
    <section aria-labelledby="series" data-testid="stain-series" className="section measure">
      <h2 id="series" className="section-title">
        The stain over time
      </h2>
      <div className="soft below">
        Start the clock at the cut. Take a picture at once, after a minute, after five, and keep each with its second.
      </div>
      <StopwatchBlock stopwatch={stopwatch} />
      <div className="actions">
        {moments.map((moment) => (
          <span key={moment.seconds} className="kept-moment">
            {clockText(moment.seconds)}: {moment.lab.map((value) => Math.round(value)).join(", ")}
          </span>
        ))}
        <Button
          disabled={lab === undefined}
          onClick={() => {
            if (lab !== undefined) setMoments([...moments.filter((one) => one.seconds !== seconds), { seconds, lab }]);
          }}
        >
          {`Keep this picture as ${clockText(seconds)}`}
        </Button>
      </div>
      {reading !== undefined && (
        <div role="status" className="stack above-2">
          <b>{reading.text}</b>
          <div className="soft">
            It came {reading.strength.toFixed(0)} from its first colour (CIEDE2000)
            {reading.hue === undefined
              ? ""
              : `, towards ${reading.hue.toFixed(0)}° (0 red, 90 yellow, 180 green, 270 blue)`}
            .
          </div>
          <Button onClick={record}>Record it as read from pictures: unsure</Button>
        </div>
      )}
    </section>
  );
}
