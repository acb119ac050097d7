/** A line to be told in, with what is wrong with it below. */
import TextField from "@mui/material/TextField";
import type { UseFormRegisterReturn } from "react-hook-form";

interface FieldProps {
  readonly label: string;
  readonly told: UseFormRegisterReturn;
  readonly error: { readonly message?: string | undefined } | undefined;
  readonly about?: string;
  readonly type?: "text" | "password";
  /** What the browser may fill in. */
  readonly fill: string;
  readonly hasFocus?: boolean;
}

export function Field({ label, told, error, about, type = "text", fill, hasFocus = false }: FieldProps) {
  const { ref, ...rest } = told;
  return (
    <TextField
      label={label}
      type={type}
      fullWidth
      margin="normal"
      autoFocus={hasFocus}
      autoComplete={fill}
      inputRef={ref}
      error={error !== undefined}
      helperText={error?.message ?? about}
      slotProps={{ htmlInput: { autoCapitalize: "none", spellCheck: false } }}
      {...rest}
    />
  );
}
