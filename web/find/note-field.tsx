/** Words of one's own on a find or a body: kept with the record, and no evidence of anything. */
import TextField from "@mui/material/TextField";

interface NoteFieldProps {
  readonly label: string;
  readonly note: string | undefined;
  /** Null where it was emptied. */
  readonly onSet: (note: string | null) => void;
}

const LONGEST = 2000;

export function NoteField({ label, note, onSet }: NoteFieldProps) {
  return (
    <TextField
      key={note ?? "none"}
      defaultValue={note ?? ""}
      placeholder={label}
      multiline
      fullWidth
      minRows={2}
      sx={{ mb: 2 }}
      slotProps={{ htmlInput: { "aria-label": label, maxLength: LONGEST } }}
      onBlur={(event) => {
        const words = event.target.value.trim();
        if (words !== (note ?? "")) onSet(words === "" ? null : words);
      }}
    />
  );
}
