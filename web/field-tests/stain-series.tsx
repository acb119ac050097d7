/** A stain in several pictures: each is kept with its second, and together they tell onset, strength and hue. */
import { type Body, type Change, type Lab, type Readable, readStain, type StainMoment } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { clockText, useStopwatch } from "../find/stopwatch.ts";
import { StopwatchBlock } from "../find/stopwatch-block.tsx";
import { TOUCH, tone } from "../theme/tokens.ts";

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
    <Box component="section" aria-labelledby="series" data-testid="stain-series" sx={{ pt: 1, pb: 3, maxWidth: 620 }}>
      <Typography id="series" variant="h3" component="h2">
        The stain over time
      </Typography>
      <Box sx={{ color: tone.inkSoft, pb: 1 }}>
        Start the clock at the cut. Take a picture at once, after a minute, after five, and keep each with its second.
      </Box>
      <StopwatchBlock stopwatch={stopwatch} />
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "center" }}>
        {moments.map((moment) => (
          <Box key={moment.seconds} sx={{ px: 1.25, py: 0.75, bgcolor: tone.boneDeep }}>
            {clockText(moment.seconds)}: {moment.lab.map((value) => Math.round(value)).join(", ")}
          </Box>
        ))}
        <ButtonBase
          disabled={lab === undefined}
          onClick={() => {
            if (lab !== undefined) setMoments([...moments.filter((one) => one.seconds !== seconds), { seconds, lab }]);
          }}
          sx={{
            minHeight: TOUCH,
            px: 1.5,
            border: `1px solid ${tone.ink}`,
            bgcolor: tone.paper,
            opacity: lab === undefined ? 0.5 : 1,
          }}
        >
          {`Keep this picture as ${clockText(seconds)}`}
        </ButtonBase>
      </Box>
      {reading !== undefined && (
        <Box role="status" sx={{ pt: 1.5, display: "grid", gap: 1, justifyItems: "start" }}>
          <b>{reading.text}</b>
          <Box sx={{ color: tone.inkSoft }}>
            It came {reading.strength.toFixed(0)} from its first colour (CIEDE2000)
            {reading.hue === undefined
              ? ""
              : `, towards ${reading.hue.toFixed(0)}° (0 red, 90 yellow, 180 green, 270 blue)`}
            .
          </Box>
          <ButtonBase
            onClick={record}
            sx={{ minHeight: TOUCH, px: 1.5, border: `1px solid ${tone.ink}`, bgcolor: tone.paper }}
          >
            Record it as read from pictures: unsure
          </ButtonBase>
        </Box>
      )}
    </Box>
  );
}
