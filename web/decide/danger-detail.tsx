/** The chosen danger in words: what speaks against it, what is masked, what speaks for it. */
import type { Answer } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { distanceWords } from "../card/distance-words.ts";
import { FONT, tone } from "../theme/tokens.ts";

export function DangerDetail({ danger }: { readonly danger: Answer["dangers"][number] }) {
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
      <Lines title="Against it" lines={danger.points.map((point) => point.text)} empty="Nothing that was seen." />
      {masks.length > 0 && <Lines title="Hidden today" lines={masks.map((mask) => mask.why)} />}
      <Lines title="For it" lines={danger.speaksFor.map((sign) => sign.text)} empty="Nothing that was seen." />
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
