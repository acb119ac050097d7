/** The evidence board: each danger against the families of evidence, and what stands behind the chosen one. */
import { type Answer, FAMILIES, FAMILY_WORDS, type Family, type IfWrong } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { distanceWords } from "../card/distance-words.ts";
import { ScrollRegion } from "../card/scroll-region.tsx";
import { tone } from "../theme/tokens.ts";
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

const SHOWN: readonly Family[] = FAMILIES.filter((family) => family !== "spore-size");

/** What a family of evidence says of a danger: against (hard or soft), masked, for, or nothing. */
export function markOf(
  danger: Danger,
  family: Family,
  familyOf: (character: string) => string | undefined,
): MarkKind | undefined {
  const against = danger.points.filter((point) => point.family === family);
  if (against.some((point) => point.hard)) return "hard";
  if (against.length > 0) return "soft";
  if (danger.masks.some((mask) => familyOf(mask.character) === family)) return "masked";
  return danger.speaksFor.some((sign) => sign.family === family) ? "for" : undefined;
}

export function EvidenceBoard({ answer, chosen, onChoose, wrongs }: EvidenceBoardProps) {
  const families = new Map(
    answer.dangers
      .flatMap((danger) => [...danger.points, ...danger.speaksFor])
      .map((one) => [one.character, one.family as string]),
  );
  const familyOf = (character: string) => families.get(character) ?? MASKED_FAMILY[character];
  const current = answer.dangers.find((danger) => danger.sheet === chosen) ?? answer.dangers[0];
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
                    width: 25,
                    verticalAlign: "bottom",
                    fontWeight: 450,
                    fontSize: "0.875rem",
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
            {answer.dangers.map((danger) => (
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
                      width: 148,
                      justifyContent: "flex-start",
                      textAlign: "left",
                      font: "inherit",
                      fontWeight: danger.tier === "deadly" ? 750 : 500,
                      lineHeight: 1.1,
                      pr: 1,
                    }}
                  >
                    {danger.name}
                  </ButtonBase>
                </Box>
                <Box
                  component="td"
                  sx={{
                    fontSize: "1.25rem",
                    fontWeight: 800,
                    px: 0.75,
                    textAlign: "right",
                    color: danger.mistakes < 2 ? tone.salmon : tone.onDark,
                  }}
                >
                  {danger.mistakes}
                </Box>
                {SHOWN.map((family) => (
                  <Box component="td" key={family} sx={{ p: 0, textAlign: "center" }}>
                    <Mark kind={markOf(danger, family, familyOf)} />
                  </Box>
                ))}
              </Box>
            ))}
          </tbody>
        </Box>
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
        {current !== undefined && <DangerDetail danger={current} />}
      </ScrollRegion>
    </>
  );
}

const LEGEND: Readonly<Record<MarkKind, string>> = {
  hard: "hard point",
  soft: "soft point",
  masked: "masked today",
  for: "speaks for it",
};
/** Families of characters that may be masked without any danger having spoken on them. */
const MASKED_FAMILY: Readonly<Record<string, string>> = {
  "veil-on-cap": "veil-remnants",
  ring: "ring",
  base: "base",
  "stain-base": "flesh",
  "stain-cut": "flesh",
  "stain-rub": "flesh",
  "stain-stem": "flesh",
  smell: "smell",
  "gill-colour": "spore-colour",
  "spore-print": "spore-colour",
  "cap-colour": "cap-colour",
  "cap-shape": "cap-surface",
  "cap-surface": "cap-surface",
  "stem-surface": "stem",
  "stem-inside": "stem",
};
