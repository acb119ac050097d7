/** Who found what is kept next; what somebody new finds is looked at by somebody else as well. */
import type { Companion } from "@jittery-cap/core/season";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";

interface WhoFoundProps {
  readonly companions: readonly Companion[];
  /** Undefined: the person whose log it is. */
  readonly by: string | undefined;
  readonly onBy: (by: string | undefined) => void;
}

export function WhoFound({ companions, by, onBy }: WhoFoundProps) {
  if (companions.length === 0) return null;
  return (
    <ToggleButtonGroup
      exclusive
      value={by ?? ""}
      onChange={(_event, next: string | null) => onBy(next === null || next === "" ? undefined : next)}
      aria-label="Who found it"
      className="outing-by"
    >
      <ToggleButton value="">I</ToggleButton>
      {companions.map(({ name, isNew }) => (
        <ToggleButton key={name} value={name}>
          {name}
          {isNew ? ", new" : ""}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
}
