/** The device's own list to choose from, as tall as a thumb: it reads well in every hand and to every reader. */
import NativeSelect from "@mui/material/NativeSelect";
import OutlinedInput from "@mui/material/OutlinedInput";
import type { ReactNode } from "react";

interface ChooseFromProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  /** The options. */
  readonly children: ReactNode;
  readonly className?: string;
}

export function ChooseFrom({ label, value, onChange, children, className }: ChooseFromProps) {
  return (
    <NativeSelect
      input={<OutlinedInput size="small" />}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      inputProps={{ "aria-label": label }}
      className={className}
    >
      {children}
    </NativeSelect>
  );
}
