/** An empty log is no empty screen: what the two halves are, and a first find by the hand. */
import Button from "@mui/material/Button";
import { Link } from "react-router";
import { usePreferences } from "../device/preferences.ts";
import { IN_HAND_LABEL } from "../specimen/specimen-in-hand.ts";

/** How a find begins: led by the hand or not, and of which invented specimen if of none of the person's own. */
export interface Begun {
  readonly isLed: boolean;
  readonly specimen?: string;
}

interface FirstEveningProps {
  readonly onBegin: (begun: Begun) => void;
  /** Whether this device has never heard from the server: then nobody knows what it holds. */
  readonly isServerUnknown: boolean;
}

export function FirstEvening({ onBegin, isServerUnknown }: FirstEveningProps) {
  const wasLed = usePreferences((state) => state.wasLed);
  return (
    <div className="page" data-testid="first-evening">
      <h2 className="section-title large">
        {isServerUnknown ? "No find on this device. What the server holds is not known." : "No find yet"}
      </h2>
      <p className="lead-in">
        A find is one or several mushrooms of one kind from one place. On the light half you record what you see; the
        dark half holds every dangerous kind that it could still be, the nearest on top. Each look moves them away, one
        mistake at a time.
      </p>
      <div className="actions">
        {!wasLed && (
          <>
            <Button variant="contained" size="large" onClick={() => onBegin({ isLed: true })}>
              A first find, step by step
            </Button>
            <Button size="large" onClick={() => onBegin({ isLed: true, specimen: IN_HAND_LABEL })}>
              The same on an invented one
            </Button>
          </>
        )}
        <Button size="large" onClick={() => onBegin({ isLed: false })}>
          Begin alone
        </Button>
        <Button size="large" component={Link} to="/practice/today">
          Practise on made ones
        </Button>
      </div>
      <p className="soft">
        Take any mushroom, one from a shop will do; or take the invented one, which shows you what you would see.
        Nothing that is recorded here gives leave to eat it.
      </p>
    </div>
  );
}
