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
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import { PIGMENTS } from "../theme/tokens.ts";

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
    <Alert
      severity={refused === undefined && sure ? "success" : "error"}
      role="status"
      data-testid="reading"
      data-refused={refused}
      data-sure={sure}
      sx={{ mt: 2, mb: 3, maxWidth: 620 }}
    >
      <div className="actions">
        {seen !== undefined && <Patch colour={`rgb(${seen.join(" ")})`} name="as calibrated" />}
        {states.map((state) => (
          <Patch key={state} colour={PIGMENTS[state] ?? "transparent"} name={stateWords(character, state)} />
        ))}
      </div>
      <div className="strong">{text}</div>
      {deltaE !== undefined && margin !== undefined && (
        <div className="soft small">
          {deltaE} from the nearest reference, the next {margin} farther (CIEDE2000; 1 is just seen, 10 is another
          colour).
        </div>
      )}
      {states.length > 0 && (
        <div className="actions">
          <Button variant="contained" onClick={() => record(true)}>
            I see it so too: record it
          </Button>
          <Button onClick={() => record(false)}>Only from the picture: record as unsure</Button>
        </div>
      )}
    </Alert>
  );
}

function Patch({ colour, name }: { colour: string; name: string }) {
  return (
    <span className="patch">
      <span aria-hidden="true" style={{ background: colour }} />
      {name}
    </span>
  );
}
