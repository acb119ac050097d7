/** Something in a person's own words, kept when the field is left. */
import TextField from "@mui/material/TextField";

interface OwnWordsProps {
  readonly label: string;
  readonly value: string | undefined;
  /** Null where it was emptied. */
  readonly onSet: (value: string | null) => void;
  readonly rows?: number;
  readonly className?: string;
}

export function OwnWords({ label, value = "", onSet, rows = 1, className }: OwnWordsProps) {
  return (
    <TextField
      key={value}
      label={label}
      hiddenLabel={false}
      defaultValue={value}
      fullWidth
      className={className}
      {...(rows > 1 ? { multiline: true, minRows: rows } : {})}
      slotProps={{ htmlInput: { maxLength: 4000 } }}
      onKeyDown={(event) => {
        if (event.key === "Enter" && rows === 1 && event.target instanceof HTMLElement) event.target.blur();
      }}
      onBlur={(event) => {
        const next = event.target.value.trim();
        if (next !== value) onSet(next === "" ? null : next);
      }}
    />
  );
}
