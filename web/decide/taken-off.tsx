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
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { TOUCH, tone } from "../theme/tokens.ts";

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
    <Box
      role="group"
      aria-label={`Taken off ${body.id}`}
      sx={{ flex: "1 1 100%", display: "flex", gap: 1, flexWrap: "wrap", alignItems: "center" }}
    >
      <Box component="span" sx={{ color: tone.inkSoft, pl: { md: 4.5 }, width: { xs: "100%", md: "auto" } }}>
        taken off
      </Box>
      {TRIMMINGS.filter((part) => part !== "tubes" || hasTubes).map((part) => {
        const isOff = off.includes(part);
        // a cap alone has no stem: that is what the ending says
        const isFixed = part === "stem" && told.ending === "basket-cap-only";
        return (
          <ButtonBase
            key={part}
            aria-pressed={isOff}
            disabled={isFixed}
            onClick={() => onTurn(part)}
            sx={{
              minHeight: TOUCH,
              minWidth: TOUCH + 16,
              px: 1.5,
              fontSize: "1rem",
              color: isOff ? tone.bone : tone.ink,
              bgcolor: isOff ? tone.ink : tone.paper,
              border: `1px solid ${tone.ink}`,
              fontWeight: isOff ? 700 : 450,
            }}
          >
            {part}
          </ButtonBase>
        );
      })}
      {(fault !== undefined || left.length > 0) && (
        <Box
          role="note"
          sx={{ flex: "1 1 100%", pl: { md: 4.5 }, color: tone.rust, fontSize: "0.9375rem", fontWeight: 600 }}
        >
          {fault !== undefined
            ? isCapOnly(body) && !off.includes("stem")
              ? "Its stem is riddled: only the cap is kept."
              : "Say what was taken off."
            : `Before it is cooked the ${wordList([...left], "and")} still ${left.length === 1 && left[0] === "skin" ? "has" : "have"} to come off.`}
        </Box>
      )}
    </Box>
  );
}
