/** The evidence board: each danger against the families of evidence, and what stands behind the chosen one. */
import {
  type Answer,
  definitionOf,
  FAMILIES,
  FAMILY_WORDS,
  type Family,
  type IfWrong,
  isCharacterId,
} from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { useState } from "react";
import { distanceWords } from "../card/distance-words.ts";
import { ScrollRegion } from "../card/scroll-region.tsx";
import { TOUCH, tone } from "../theme/tokens.ts";
import { DangerDetail } from "./danger-detail.tsx";
import { IfOneWereWrong } from "./if-one-were-wrong.tsx";
import { Mark, type MarkKind } from "./mark.tsx";

type Danger = Answer["dangers"][number];

interface EvidenceBoardProps {
  readonly answer: Answer;
  readonly chosen: string | undefined;
  readonly onChoose: (sheet: string) => void;
  /** What would follow if one thing seen were wrong; undefined while it is worked out. */
  readonly wrongs: readonly IfWrong[] | undefined;
}

/** Dangers on the board before it is unfolded, and at most so many of those that still stand. */
const ROWS = 7;
const NEAR_ROWS = 14;

const SHOWN: readonly Family[] = FAMILIES.filter((family) => family !== "spore-size");

/** What a family of evidence says of a danger: against (hard or soft), masked, for, or nothing. */
export function markOf(danger: Danger, family: Family): MarkKind | undefined {
  const against = danger.points.filter((point) => point.family === family);
  if (against.some((point) => point.hard)) return "hard";
  if (against.length > 0) return "soft";
  if (danger.masks.some((mask) => isCharacterId(mask.character) && definitionOf(mask.character).family === family))
    return "masked";
  return danger.speaksFor.some((sign) => sign.family === family) ? "for" : undefined;
}

export function EvidenceBoard({ answer, chosen, onChoose, wrongs }: EvidenceBoardProps) {
  // what a house rule sets aside stands last and says so: at the top its 0 would seem to belie the answer
  const dangers = [...answer.dangers].sort((one, other) => Number(one.aside === true) - Number(other.aside === true));
  const current = dangers.find((danger) => danger.sheet === chosen) ?? dangers[0];
  const [all, setAll] = useState(false);
  // the near ones always stand on the board; of those past doubt the nearest few, so that the rest never drown them
  const near = dangers.filter((danger) => danger.status !== "ruled-out" && danger.aside !== true);
  const shown = Math.min(dangers.length, Math.max(ROWS, Math.min(near.length, NEAR_ROWS)));
  const rows = all
    ? dangers
    : dangers.filter((danger, index) => index < shown || danger.sheet === current?.sheet || danger.aside === true);
  const folded = dangers.length - rows.length;
  return (
    <>
      <Box
        sx={{
          display: "flex",
          alignItems: "center",
          minHeight: 55,
          px: { xs: 2.5, md: 3 },
          borderBottom: `1px solid ${tone.mossLine}`,
          flex: "none",
          fontWeight: 700,
        }}
      >
        What speaks against each danger
      </Box>
      <ScrollRegion label="Evidence" sx={{ pb: 2 }}>
        <Box component="table" sx={{ borderCollapse: "collapse", mx: { xs: 2.5, md: 3 }, mt: 1, tableLayout: "fixed" }}>
          <thead>
            <tr>
              <th aria-label="Danger" />
              <th aria-label="Mistakes away" />
              {SHOWN.map((family) => (
                <Box
                  component="th"
                  key={family}
                  scope="col"
                  sx={{
                    height: 92,
                    width: { xs: 16, md: 25 },
                    verticalAlign: "bottom",
                    fontWeight: 450,
                    fontSize: "0.875rem",
                    lineHeight: { xs: "16px", md: "inherit" },
                    color: tone.onDarkSoft,
                    p: 0,
                  }}
                >
                  <Box
                    component="span"
                    sx={{ writingMode: "vertical-rl", transform: "rotate(180deg)", whiteSpace: "nowrap" }}
                  >
                    {FAMILY_WORDS[family]}
                  </Box>
                </Box>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((danger) => (
              <Box
                component="tr"
                key={danger.sheet}
                data-danger={danger.sheet}
                data-mistakes={danger.mistakes}
                sx={{
                  borderTop: `1px solid ${tone.mossLine}`,
                  bgcolor: danger === current ? tone.mossRaised : undefined,
                }}
              >
                <Box component="th" scope="row" sx={{ textAlign: "left", p: 0, fontWeight: "inherit" }}>
                  <ButtonBase
                    aria-pressed={danger === current}
                    aria-label={`${danger.name}, ${distanceWords(danger.mistakes)}`}
                    onClick={() => onChoose(danger.sheet)}
                    sx={{
                      minHeight: 42,
                      py: { xs: 0.5, md: 0 },
                      width: { xs: 104, md: 148 },
                      justifyContent: "flex-start",
                      textAlign: "left",
                      font: "inherit",
                      fontWeight: danger.tier === "deadly" ? 750 : 500,
                      fontSize: { xs: "0.9375rem", md: "1rem" },
                      lineHeight: 1.1,
                      pr: { xs: 0.25, md: 1 },
                    }}
                  >
                    <span>
                      {danger.name}
                      {danger.aside === true && (
                        <Box component="span" sx={{ display: "block", color: tone.onDarkSoft, fontSize: "0.9375rem" }}>
                          set aside
                        </Box>
                      )}
                    </span>
                  </ButtonBase>
                </Box>
                <Box
                  component="td"
                  sx={{
                    fontSize: "1.25rem",
                    fontWeight: 800,
                    px: { xs: 0.375, md: 0.75 },
                    textAlign: "right",
                    color: danger.mistakes < 2 ? tone.salmon : tone.onDark,
                  }}
                >
                  {danger.mistakes}
                </Box>
                {SHOWN.map((family) => (
                  <Box component="td" key={family} sx={{ p: 0, textAlign: "center" }}>
                    <Mark kind={markOf(danger, family)} />
                  </Box>
                ))}
              </Box>
            ))}
          </tbody>
        </Box>
        {(folded > 0 || all) && (
          <ButtonBase
            aria-expanded={all}
            onClick={() => setAll(!all)}
            data-testid="unfold-board"
            sx={{
              minHeight: TOUCH,
              mx: { xs: 2.5, md: 3 },
              font: "inherit",
              color: tone.onDark,
              textDecoration: "underline",
              textUnderlineOffset: 4,
            }}
          >
            {all ? "Only the nearest" : `And ${folded} more, ${foldedWords(answer, rows)}`}
          </ButtonBase>
        )}
        <Box
          sx={{
            display: "flex",
            flexWrap: "wrap",
            columnGap: 2,
            rowGap: 0.5,
            px: { xs: 2.5, md: 3 },
            pt: 1.5,
            color: tone.onDarkSoft,
            fontSize: "0.9375rem",
          }}
        >
          {(["hard", "soft", "masked", "for"] as const).map((kind) => (
            <Box key={kind} sx={{ display: "flex", alignItems: "center", gap: 0.5 }}>
              <Mark kind={kind} /> {LEGEND[kind]}
            </Box>
          ))}
          <span>empty: not looked at</span>
        </Box>
        <IfOneWereWrong wrongs={wrongs} />
        {current !== undefined && <DangerDetail danger={current} beside={supposedKind(answer)} />}
      </ScrollRegion>
    </>
  );
}

/** The sought kind that the find seems to be, to compare a danger with. */
function supposedKind({ candidates }: Answer): string | undefined {
  return candidates.find((one) => one.fits)?.sheet ?? candidates[0]?.sheet;
}

/** What the dangers off the board have in common: how near the nearest of them is. */
function foldedWords(answer: Answer, rows: readonly Danger[]): string {
  const folded = answer.dangers.filter((danger) => !rows.includes(danger));
  const standing = folded.filter((danger) => danger.status !== "ruled-out").length;
  if (standing === folded.length) return "which stand as well";
  if (standing > 0) return `${standing} of which stand as well`;
  return `all ${distanceWords(Math.min(...folded.map((danger) => danger.mistakes)))} or farther`;
}

const LEGEND: Readonly<Record<MarkKind, string>> = {
  hard: "hard point",
  soft: "soft point",
  masked: "masked today",
  for: "speaks for it",
};
