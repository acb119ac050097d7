/** How fast a stain turned, where one was seen. */
import { type Body, type Change, type CharacterId, SPEED_ENDS, type StainSpeed } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import { Choice } from "../find/choice.tsx";
import { entryOf } from "../find/observing.ts";
import { useFind } from "../state/find-state.ts";

interface StainSpeedChoiceProps {
  readonly body: Body;
  readonly character: CharacterId;
  readonly onChange: (change: Change) => void;
}

const SPEEDS: readonly { readonly id: StainSpeed; readonly label: string }[] = [
  { id: "at-once", label: `at once, under ${SPEED_ENDS.atOnce} s` },
  { id: "within-a-minute", label: "within a minute" },
  { id: "slow", label: "slow, after a minute" },
];

export function StainSpeedChoice({ body, character, onChange }: StainSpeedChoiceProps) {
  const observer = useFind((state) => state.observer);
  const entry = entryOf(body, character, observer);
  if (entry?.states === undefined || entry.states.includes("none")) return null;
  return (
    <Box
      role="group"
      aria-label="How fast it turned"
      sx={{ display: "grid", gap: 1, gridTemplateColumns: { xs: "1fr", md: "repeat(3, 1fr)" }, pb: 1.5 }}
    >
      {SPEEDS.map(({ id, label }) => (
        <Choice
          key={id}
          quiet
          label={label}
          state={id}
          chosen={entry.speed === id}
          onChoose={() =>
            onChange({ kind: "observe", body: body.id, character, by: observer, entries: [{ ...entry, speed: id }] })
          }
        />
      ))}
    </Box>
  );
}
