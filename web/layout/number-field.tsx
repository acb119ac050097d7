/** A number with its unit, taken when the field is left or with enter; what is no number is not taken. */
import InputAdornment from "@mui/material/InputAdornment";
import TextField from "@mui/material/TextField";

interface NumberFieldProps {
  /** Read out, with the unit. */
  readonly label: string;
  readonly unit: string;
  readonly value: number | undefined;
  /** Null where the field was emptied. */
  readonly onSet: (value: number | null) => void;
  readonly disabled?: boolean;
}

/** A number as it was typed, with a comma or a point; null for nothing, NaN for what is no number. */
export function numberOf(text: string): number | null {
  const plain = text.trim().replace(",", ".");
  return plain === "" ? null : Number(plain);
}

export function NumberField({ label, unit, value, onSet, disabled = false }: NumberFieldProps) {
  return (
    <TextField
      key={value ?? "none"}
      defaultValue={value ?? ""}
      disabled={disabled}
      slotProps={{
        htmlInput: { inputMode: "decimal", "aria-label": label },
        input: { endAdornment: <InputAdornment position="end">{unit}</InputAdornment> },
      }}
      onKeyDown={(event) => {
        // taken with enter, so that the keys go on
        if (event.key === "Enter" && event.target instanceof HTMLElement) event.target.blur();
      }}
      onBlur={(event) => {
        const next = numberOf(event.target.value);
        if (next === null ? value !== undefined : Number.isFinite(next) && next !== value) onSet(next);
      }}
    />
  );
}
