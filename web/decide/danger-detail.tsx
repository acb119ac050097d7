/** The chosen danger in words: what speaks against it, what is masked, what speaks for it. */
import type { Answer } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Link } from "react-router";
import { distanceWords } from "../card/distance-words.ts";
import { FONT, TOUCH, tone } from "../theme/tokens.ts";

interface DangerDetailProps {
  readonly danger: Answer["dangers"][number];
  /** The kind to set it beside. */
  readonly beside: string | undefined;
}

export function DangerDetail({ danger, beside }: DangerDetailProps) {
  const masks = danger.masks.filter((mask, index) => danger.masks.findIndex((one) => one.why === mask.why) === index);
  return (
    <Box
      component="section"
      aria-label={danger.name}
      data-testid="danger-detail"
      sx={{ px: { xs: 2.5, md: 3 }, pt: 2, display: "grid", gap: 1.25 }}
    >
      <Typography variant="h3" component="h2">
        {danger.name.charAt(0).toUpperCase() + danger.name.slice(1)}{" "}
        <Box
          component="span"
          sx={{ fontFamily: FONT.name, fontStyle: "italic", fontWeight: 400, color: tone.onDarkSoft }}
        >
          {danger.scientific}
        </Box>
        <Box component="span" sx={{ display: "block", fontWeight: 450, color: tone.onDarkSoft, fontSize: "1rem" }}>
          {danger.tier}
          {danger.syndrome === undefined ? "" : `, ${danger.syndrome}`} · {distanceWords(danger.mistakes)}, nearest to{" "}
          {danger.body}
        </Box>
      </Typography>
      {danger.aside === true && (
        <Typography>
          Set aside by the house rule: it is not known from this part of the world. It is not ruled out.
        </Typography>
      )}
      <Lines title="Against it" lines={danger.points.map((point) => point.text)} empty="Nothing that was seen." />
      {masks.length > 0 && <Lines title="Hidden today" lines={masks.map((mask) => mask.why)} />}
      <Lines title="For it" lines={danger.speaksFor.map((sign) => sign.text)} empty="Nothing that was seen." />
      <Box sx={{ display: "flex", flexWrap: "wrap", columnGap: 3 }}>
        <DarkLink to={`/sheet/${danger.sheet}`}>Read its sheet</DarkLink>
        {beside !== undefined && (
          <DarkLink to={`/compare/${beside}/${danger.sheet}`}>What tells it from what this seems to be</DarkLink>
        )}
      </Box>
    </Box>
  );
}

function Lines({ title, lines, empty }: { title: string; lines: readonly string[]; empty?: string }) {
  return (
    <Box sx={{ fontSize: "0.9375rem", lineHeight: 1.4 }}>
      <b>{title}.</b>{" "}
      <span style={{ color: tone.onDarkSoft }}>
        {lines.length === 0
          ? empty
          : `${lines.map((line) => line.charAt(0).toUpperCase() + line.slice(1)).join(". ")}.`}
      </span>
    </Box>
  );
}

function DarkLink({ to, children }: { to: string; children: React.ReactNode }) {
  return (
    <Box
      component={Link}
      to={to}
      sx={{ color: tone.onDark, minHeight: TOUCH, display: "flex", alignItems: "center", textUnderlineOffset: 4 }}
    >
      {children}
    </Box>
  );
}
