/** What a picture was read as, with its distance and margin; a picture confirms nothing, so an eye is asked. */
import {
  type Body,
  type Change,
  channelOf,
  type Entry,
  linearOfLab,
  type Readable,
  type Reading,
  stateWords,
} from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { PIGMENTS, TOUCH, tone } from "../theme/tokens.ts";

interface ReadingShownProps {
  readonly reading: Reading;
  readonly body: Body;
  readonly character: Readable;
  readonly onChange: (change: Change) => void;
}

export function ReadingShown({ reading, body, character, onChange }: ReadingShownProps) {
  const { states, sure, lab, deltaE, margin, refused, text } = reading;
  const record = (byEye: boolean) => {
    const entry: Entry = {
      character,
      states: [...states],
      method: byEye ? "eye" : "picture",
      ...(sure && states.length === 1 ? {} : { sure: false }),
    };
    onChange({ kind: "observe", body: body.id, character, entries: [entry] });
  };
  const seen = lab === undefined ? undefined : linearOfLab(lab).map((value) => Math.round(channelOf(value)));
  return (
    <Box
      role="status"
      data-testid="reading"
      data-refused={refused}
      data-sure={sure}
      sx={{
        mt: 2,
        mb: 3,
        display: "grid",
        gap: 1,
        maxWidth: 620,
        borderLeft: `4px solid ${refused === undefined && sure ? tone.ink : tone.rust}`,
        pl: 2,
      }}
    >
      <Box sx={{ display: "flex", gap: 1.5, alignItems: "center", flexWrap: "wrap" }}>
        {seen !== undefined && <Patch colour={`rgb(${seen.join(" ")})`} name="as calibrated" />}
        {states.map((state) => (
          <Patch key={state} colour={PIGMENTS[state] ?? "transparent"} name={stateWords(character, state)} />
        ))}
      </Box>
      <Box sx={{ fontWeight: 700 }}>{text}</Box>
      {deltaE !== undefined && margin !== undefined && (
        <Box sx={{ color: tone.inkSoft, fontSize: "0.9375rem" }}>
          {deltaE} from the nearest reference, the next {margin} farther (CIEDE2000; 1 is just seen, 10 is another
          colour).
        </Box>
      )}
      {states.length > 0 && (
        <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
          <ButtonBase
            onClick={() => record(true)}
            sx={{ minHeight: TOUCH, px: 2, bgcolor: tone.ink, color: tone.bone, fontWeight: 750 }}
          >
            I see it so too: record it
          </ButtonBase>
          <ButtonBase
            onClick={() => record(false)}
            sx={{ minHeight: TOUCH, px: 1.5, border: `1px solid ${tone.ink}`, bgcolor: tone.paper }}
          >
            Only from the picture: record as unsure
          </ButtonBase>
        </Box>
      )}
    </Box>
  );
}

function Patch({ colour, name }: { colour: string; name: string }) {
  return (
    <Box sx={{ textAlign: "center", fontSize: "0.875rem", color: tone.inkSoft }}>
      <Box aria-hidden="true" sx={{ width: 84, height: 44, bgcolor: colour, border: `1px solid ${tone.ink}` }} />
      {name}
    </Box>
  );
}
