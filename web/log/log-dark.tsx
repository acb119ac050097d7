/** The dark half of the log: how many finds ended how, and what the program never does. */
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { VERDICT_WORDS } from "../card/verdict-words.ts";
import { tone } from "../theme/tokens.ts";

interface LogDarkProps {
  /** Undefined while they are fetched: then nothing is counted. */
  readonly lines: readonly { readonly verdict: "leave" | "hold" | "basket" | undefined }[] | undefined;
}

const COUNTED = ["hold", "leave", "basket", undefined] as const;

export function LogDark({ lines }: LogDarkProps) {
  return (
    <Box
      sx={{
        p: { xs: 2.5, md: 3.25 },
        display: "flex",
        flexDirection: "column",
        height: "100%",
        minHeight: 0,
      }}
    >
      <Typography variant="h2" component="h2" sx={{ pb: { xs: 0.5, md: 2 }, pt: { md: 7 } }}>
        As they stand by today's sheets
      </Typography>
      <Box
        component="dl"
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "repeat(8, auto)", md: "auto 1fr" },
          columnGap: { xs: 1.5, md: 2.5 },
          rowGap: 1,
          m: 0,
          alignItems: "baseline",
          justifyContent: "start",
        }}
      >
        {COUNTED.filter((verdict) => verdict !== undefined || lines?.some((line) => line.verdict === undefined)).map(
          (verdict) => (
            <Box key={verdict ?? "unknown"} sx={{ display: "contents" }}>
              <Box
                component="dt"
                sx={{
                  fontSize: { xs: "1.5rem", md: "2.6rem" },
                  fontWeight: 800,
                  lineHeight: 1,
                  textAlign: "right",
                  gridColumn: { md: 1 },
                }}
              >
                {lines === undefined ? "?" : lines.filter((line) => line.verdict === verdict).length}
              </Box>
              <Box component="dd" sx={{ m: 0, color: tone.onDarkSoft, fontSize: { md: "1.125rem" } }}>
                {verdict === undefined ? "not known yet" : VERDICT_WORDS[verdict].toLowerCase()}
              </Box>
            </Box>
          ),
        )}
      </Box>
      <Typography sx={{ mt: "auto", pt: 2, color: tone.onDarkSoft, display: { xs: "none", md: "block" } }}>
        This counts how many separate mistakes away each danger is. It never says that anything may be eaten. Show what
        you keep to somebody who knows it, with the specimen in hand; ask a poison centre at once when somebody is ill;
        the law of the place is yours to know.
      </Typography>
    </Box>
  );
}
