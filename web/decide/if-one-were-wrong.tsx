/** If one thing seen were wrong: what would stand nearer, the gravest first; the rest at a touch. */
import type { IfWrong } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { useState } from "react";
import { distanceWords } from "../card/distance-words.ts";
import { TOUCH, tone } from "../theme/tokens.ts";

const SHOWN_AT_FIRST = 1;
const NAMED = 3;

/** "the destroying angel would be 1 mistake away", the nearest first. */
export function consequenceWords({ nearer }: IfWrong): string {
  const named = nearer
    .slice(0, NAMED)
    .map(({ name, to }) => `the ${name} ${to === 0 ? "would touch this find" : `would be ${distanceWords(to)}`}`);
  const more = nearer.length - named.length;
  return `${named.join("; ")}${more > 0 ? `; ${more} more would come nearer` : ""}`;
}

export function IfOneWereWrong({ wrongs }: { readonly wrongs: readonly IfWrong[] | undefined }) {
  const [all, setAll] = useState(false);
  if (wrongs === undefined || wrongs.length === 0) return null;
  const shown = all ? wrongs : wrongs.slice(0, SHOWN_AT_FIRST);
  return (
    <Box
      component="section"
      aria-label="If one thing seen were wrong"
      data-testid="if-wrong"
      sx={{ mx: { xs: 2.5, md: 3 }, mt: 2, pt: 1.5, borderTop: `1px solid ${tone.mossLine}` }}
    >
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0, display: "grid", gap: 0.75 }}>
        {shown.map((wrong) => (
          <Box component="li" key={wrong.character + wrong.body} sx={{ lineHeight: 1.4 }}>
            <b>If {wrong.what} were wrong</b>,{" "}
            <span style={{ color: tone.onDarkSoft }}>{consequenceWords(wrong)}.</span>
          </Box>
        ))}
      </Box>
      {wrongs.length > SHOWN_AT_FIRST && (
        <ButtonBase
          aria-expanded={all}
          onClick={() => setAll(!all)}
          sx={{
            minHeight: TOUCH,
            font: "inherit",
            color: tone.onDark,
            textDecoration: "underline",
            textUnderlineOffset: 4,
          }}
        >
          {all ? "Only the gravest" : `And ${wrongs.length - SHOWN_AT_FIRST} other things that were seen`}
        </ButtonBase>
      )}
    </Box>
  );
}
