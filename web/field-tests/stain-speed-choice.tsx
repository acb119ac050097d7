/** How fast a stain turned, where one was seen. */

import { type Body, type Change, type CharacterId, SPEED_ENDS, type StainSpeed } from "@jittery-cap/core";
import { Choice } from "../specimen/choice.tsx";
import { Choices } from "../specimen/choices.tsx";
import { useObserver } from "../specimen/observer.ts";
import { entryOf } from "../specimen/observing.ts";

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
  const observer = useObserver();
  const entry = entryOf(body, character, observer);
  if (entry?.states === undefined || entry.states.includes("none")) return null;
  return (
    <Choices label="How fast it turned" className="columns below-2">
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
    </Choices>
  );
}
