/** Whom to call: the numbers that somebody entered, as large as they go; asked for again where there are none. */
import TextField from "@mui/material/TextField";
import { usePreferences } from "../device/preferences.ts";

/** A line of the numbers as it is called: its words, and the number to dial where there is one. */
export function dialled(line: string): { readonly words: string; readonly number: string | undefined } {
  const plain = line.replaceAll("(0)", " ");
  const found = [...plain.matchAll(/(?:\+|\(\d{2,5}\)\s*)?\d(?:[\d /-]*\d)?/g)].map(([text]) =>
    text.replace(/[^\d+]/g, ""),
  );
  // hours of opening stand there too: the longest is the number
  const number = found.filter((one) => one.length > 1).sort((one, other) => other.length - one.length)[0];
  return { words: line.trim(), number };
}

export function CallNow() {
  const emergency = usePreferences((state) => state.emergency);
  const prefer = usePreferences((state) => state.prefer);
  const lines = emergency
    .split("\n")
    .map(dialled)
    .filter(({ words }) => words !== "");
  return (
    <section aria-label="Call now">
      {lines.map(({ words, number }) =>
        number === undefined ? (
          <p key={words} className="ill-call">
            {words}
          </p>
        ) : (
          <a key={words} className="ill-call" href={`tel:${number}`}>
            {words}
            {/[^\d\s+()/-]/.test(words) && <span className="ill-dials">dials {number}</span>}
          </a>
        ),
      )}
      {lines.length === 0 && (
        <>
          <p className="ill-call">
            Unconscious, fits, cannot breathe: <b>your emergency number, now</b>
          </p>
          <p className="ill-call ill-call-second">
            Everything else, also now: <b>the poison centre</b>
          </p>
          <TextField
            label="Your numbers, one a line"
            defaultValue=""
            multiline
            fullWidth
            minRows={2}
            slotProps={{ htmlInput: { maxLength: 400 } }}
            onBlur={(event) => prefer({ emergency: event.target.value.trim() })}
          />
        </>
      )}
    </section>
  );
}
