/** What was cut off a body that is kept, and what of its handling that leaves to be done. */

import {
  type Body,
  type BodyEnding,
  isCapOnly,
  stillToComeOff,
  TRIMMINGS,
  type Trimming,
  takenOff,
  trimmingFault,
  wordList,
} from "@jittery-cap/core";
import ToggleButton from "@mui/material/ToggleButton";
import { Choices } from "../specimen/choices.tsx";

interface TakenOffProps {
  readonly body: Body;
  readonly told: BodyEnding | undefined;
  readonly conditions: readonly string[] | undefined;
  readonly onTurn: (part: Trimming) => void;
}

export function TakenOff({ body, told, conditions, onTurn }: TakenOffProps) {
  if (told === undefined) return null;
  const off = takenOff(told);
  const fault = trimmingFault(body, told);
  const left = stillToComeOff(body, told, conditions);
  // only what has tubes can lose them
  const hasTubes =
    body.seen?.some((entry) => entry.character === "underside" && entry.states?.includes("pores")) === true ||
    conditions?.includes("tubes-off") === true ||
    off.includes("tubes");
  return (
    <Choices label={`Taken off ${body.id}`} className="trimmed">
      <span className="soft">taken off</span>
      {TRIMMINGS.filter((part) => part !== "tubes" || hasTubes).map((part) => (
        <ToggleButton
          key={part}
          value={part}
          selected={off.includes(part)}
          // a cap alone has no stem: that is what the ending says
          disabled={part === "stem" && told.ending === "basket-cap-only"}
          onChange={() => onTurn(part)}
        >
          {part}
        </ToggleButton>
      ))}
      {(fault !== undefined || left.length > 0) && (
        <div role="note" className="stands small" style={{ flexBasis: "100%" }}>
          {fault !== undefined
            ? isCapOnly(body) && !off.includes("stem")
              ? "Its stem is riddled: only the cap is kept."
              : "Say what was taken off."
            : `Before it is cooked the ${wordList([...left], "and")} still ${left.length === 1 && left[0] === "skin" ? "has" : "have"} to come off.`}
        </div>
      )}
    </Choices>
  );
}
