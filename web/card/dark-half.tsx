/** The dark half of Find: the answer, the dangers nearest first, what the last touch moved, and the next test. */
import { type Answer, CONDITION_WORDS } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import useMediaQuery from "@mui/material/useMediaQuery";
import { tone, WIDE } from "../theme/tokens.ts";
import { DangerFold } from "./danger-fold.tsx";
import { dangerGroups } from "./danger-groups.ts";
import { DangerRow } from "./danger-row.tsx";
import { ScrollRegion } from "./scroll-region.tsx";
import { type AnswerState, shownVerdict, VERDICT_WORDS } from "./verdict-words.ts";

interface DarkHalfProps {
  readonly answer: Answer | undefined;
  readonly state: AnswerState;
  readonly lastMove: string | undefined;
  readonly onPick?: ((sheet: string) => void) | undefined;
}

const NEAR = 2;
/** The first reason; for a basket what has to happen first, since that is the more urgent to read. */
function sentence(answer: Answer | undefined, state: AnswerState): string | undefined {
  if (state === "failed") return "The answer could not be worked out on this device. Until it can, this is held.";
  if (answer === undefined || state === "working") return "Working it out.";
  const [condition] = answer.conditions ?? [];
  return condition === undefined
    ? answer.reasons[0]?.text
    : `First: ${CONDITION_WORDS[condition].charAt(0).toLowerCase()}${CONDITION_WORDS[condition].slice(1)}`;
}

export function DarkHalf({ answer, state, lastMove, onPick }: DarkHalfProps) {
  const wide = useMediaQuery(WIDE);
  const verdict = shownVerdict(answer, state);
  const { drawn, near, far, nearCount, farCount } = dangerGroups(answer?.dangers ?? []);
  const within = answer?.dangers.filter((danger) => danger.mistakes < NEAR).length ?? 0;
  const known = state === "failed" ? undefined : answer?.dangers.length;
  return (
    <>
      <Box
        sx={{
          display: { xs: "none", md: "flex" },
          alignItems: "center",
          minHeight: 55,
          px: 3.25,
          borderBottom: `1px solid ${tone.mossLine}`,
          color: tone.onDarkSoft,
          flex: "none",
        }}
      >
        <span>
          {known === undefined ? (
            "how far the dangers are is not known yet"
          ) : (
            <>
              {known} dangers · <b style={{ color: tone.onDark }}>{within} within one mistake</b>
            </>
          )}
        </span>
      </Box>
      <Box
        sx={{
          display: "flex",
          alignItems: "baseline",
          justifyContent: "space-between",
          gap: 2,
          px: { xs: 2.5, md: 3.25 },
          pt: { xs: 1.25, md: 2.5 },
          flex: "none",
        }}
      >
        <Typography
          component="p"
          variant="h1"
          role="status"
          aria-live="polite"
          data-verdict={verdict}
          data-state={state}
          sx={{ fontSize: { xs: "1.9rem", md: "3rem" }, opacity: state === "working" ? 0.75 : 1 }}
        >
          {VERDICT_WORDS[verdict]}
        </Typography>
        <Box sx={{ display: { xs: "block", md: "none" }, color: tone.onDarkSoft, fontSize: "0.9375rem" }}>
          {known === undefined ? "distances not known yet" : `${known} dangers, ${within} near`}
        </Box>
      </Box>
      <Typography
        component="p"
        sx={{
          px: { xs: 2.5, md: 3.25 },
          pt: 0.75,
          pb: { xs: 0.5, md: 1.5 },
          color: tone.onDarkSoft,
          display: { xs: verdict === "hold" && state !== "failed" ? "none" : "block", md: "block" },
          flex: "none",
        }}
      >
        {sentence(answer, state)}
      </Typography>
      <ScrollRegion label="Distances" sx={{ pl: { md: 1.5 }, ml: { md: -1.5 } }}>
        {wide ? (
          <Box component="ul" aria-label="Dangers, nearest first" sx={{ listStyle: "none", m: 0, p: 0 }}>
            {drawn.map((danger) => (
              <DangerRow key={danger.sheet} danger={danger} onPick={onPick} />
            ))}
            {near.map((fold) => (
              <DangerFold key={fold.mistakes} {...fold} far={false} />
            ))}
            {farCount > 0 && (
              <Box component="li" sx={{ px: 3.25, pt: 2, pb: 0.75, color: tone.onDarkFaint }}>
                {nearCount === 0 ? `All ${farCount} are past doubt here` : `${farCount} farther, past doubt here`}
              </Box>
            )}
            {far.map((fold) => (
              <DangerFold key={fold.mistakes} {...fold} far />
            ))}
          </Box>
        ) : (
          <Box component="ul" aria-label="Nearest dangers" sx={{ listStyle: "none", m: 0, p: 0 }}>
            {drawn.slice(0, 3).map((danger) => (
              <DangerRow key={danger.sheet} danger={danger} compact onPick={onPick} />
            ))}
            {nearCount === 0 && answer !== undefined && (
              <Box component="li" sx={{ px: 2.5 }}>
                All {farCount} are past doubt here
              </Box>
            )}
          </Box>
        )}
      </ScrollRegion>
      <Box
        aria-live="polite"
        data-testid="last-move"
        sx={{
          px: { xs: 2.5, md: 3.25 },
          py: { xs: lastMove === undefined ? 0.5 : 1, md: 1 },
          minHeight: { xs: 0, md: 44 },
          color: tone.onDark,
          fontSize: "0.9375rem",
          flex: "none",
          borderTop: { md: `1px solid ${tone.mossLine}` },
        }}
      >
        {lastMove === undefined ? "" : `Last touch: ${lastMove}`}
      </Box>
    </>
  );
}
