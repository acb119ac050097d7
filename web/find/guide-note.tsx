/** The step of a first find that is next, above its station; it can be left at any time. */
import { type Find, figureOf } from "@jittery-cap/core";
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import { memo, useState } from "react";
import { usePreferences } from "../device/preferences.ts";
import { Drawing } from "../specimen/drawing.tsx";
import { IN_HAND, IN_HAND_FIND, looksAt } from "../specimen/specimen-in-hand.ts";
import type { Station } from "../specimen/stations.ts";
import { GUIDE, stepOf } from "./first-find.ts";

interface GuideNoteProps {
  readonly find: Find;
  readonly station: Station;
}

export const GuideNote = memo(function GuideNote({ find, station }: GuideNoteProps) {
  const wasLed = usePreferences((state) => state.wasLed);
  const prefer = usePreferences((state) => state.prefer);
  const led = usePreferences((state) => state.ledFind);
  const isInHand = usePreferences((state) => state.ledOnSpecimen);
  if (wasLed || led !== find.id) return null;
  const index = stepOf(find);
  const step = index === undefined ? undefined : GUIDE[index];
  const leave = () => prefer({ wasLed: true, ledFind: null });
  return (
    <Alert severity="warning" role="status" data-testid="guide" sx={{ mb: 2 }} className="guide">
      <div className="guide-head">
        <b className="grow">
          {step === undefined
            ? "That was a whole find. From here on Next leads."
            : `${(index ?? 0) + 1} of ${GUIDE.length}: ${step.title}`}
        </b>
        <Button variant="quiet" onClick={leave}>
          {step === undefined ? "Done" : "Leave"}
        </Button>
      </div>
      {step !== undefined && (
        <>
          <div className="small">{step.how}</div>
          {isInHand && <InHand key={station.id} station={station} />}
        </>
      )}
    </Alert>
  );
});

const FIGURE = figureOf(IN_HAND_FIND, IN_HAND, 0);
/** The height of the specimen in hand, px. */
const TALL = 132;

/** The invented specimen: it shows what this station asks about once somebody looks. */
function InHand({ station }: { readonly station: Station }) {
  const [isLooking, setLooking] = useState(false);
  const looks = looksAt(station);
  if (looks.length === 0) return <div className="small">Nothing of the specimen in your hand is seen here.</div>;
  return isLooking ? (
    <div className="in-hand">
      <Drawing
        figure={FIGURE}
        scale={TALL / (FIGURE.top - FIGURE.bottom)}
        label="The specimen in your hand, half cut open"
      />
      <ul className="small">
        {looks.map((look) => (
          <li key={look}>{look}</li>
        ))}
      </ul>
    </div>
  ) : (
    <Button variant="quiet" onClick={() => setLooking(true)}>
      Look at the specimen in your hand
    </Button>
  );
}
