/** Two sheets on the two halves of the card; on the edge between them what separates them, hard things first. */
import { CHARACTER_WORDS, type Difference, type Figure, stateWords, wordList } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { Link, useParams } from "react-router";
import { ScrollRegion } from "../card/scroll-region.tsx";
import { Trail } from "../card/trail.tsx";
import { Drawing } from "../find/drawing.tsx";
import { FONT, tone } from "../theme/tokens.ts";
import type { Comparison, SheetLine } from "../worker/judge.worker.ts";
import { ShelfState } from "./shelf-state.tsx";
import { useShelf } from "./use-shelf.ts";

const ROW = { xs: "1fr 1fr", md: "1fr 190px 1fr" };

export function CompareView() {
  const { one = "", other = "" } = useParams();
  const asked = useShelf(`${one} ${other}`, (remote) => remote.compare(one, other));
  if (asked.state !== "told" || asked.reply === undefined) return <ShelfState state={asked.state} />;
  return (
    <Box sx={{ display: "flex", flexDirection: "column", height: "100dvh", bgcolor: tone.bone, color: tone.ink }}>
      <Trail view="sheets" />
      <ScrollRegion
        label="What tells them apart"
        sx={{
          // the card's two halves, and the strip between them on which they are told apart
          background: {
            xs: `linear-gradient(90deg, ${tone.bone} 50%, ${tone.moss} 50%)`,
            md: `linear-gradient(90deg, ${tone.bone} calc(50% - 95px), ${tone.boneDeep} calc(50% - 95px) calc(50% + 95px), ${tone.moss} calc(50% + 95px))`,
          },
        }}
      >
        <Box component="main" sx={{ minHeight: "100%" }}>
          <Heads comparison={asked.reply} />
          <Differences comparison={asked.reply} />
        </Box>
      </ScrollRegion>
    </Box>
  );
}

function Heads({ comparison: { one, other, figures } }: { comparison: Comparison }) {
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: ROW, alignItems: "end" }}>
      <Head line={one} figure={figures[0]} />
      <Box
        sx={{
          display: { xs: "none", md: "block" },
          textAlign: "center",
          pb: 2,
          px: 1.5,
          color: tone.inkSoft,
          lineHeight: 1.3,
        }}
      >
        What tells them apart, the surest first
      </Box>
      <Head line={other} figure={figures[1]} dark />
    </Box>
  );
}

const FIGURE = 132;

function Head({ line, figure, dark = false }: { line: SheetLine; figure: Figure | undefined; dark?: boolean }) {
  const ink = dark ? tone.onDark : tone.ink;
  return (
    <Box
      sx={{
        color: ink,
        px: { xs: 2, md: 3.5 },
        pt: 2.5,
        pb: 2,
        display: "flex",
        gap: 2,
        alignItems: "flex-end",
        flexDirection: { xs: "column", md: dark ? "row" : "row-reverse" },
        textAlign: { xs: "left", md: dark ? "left" : "right" },
      }}
    >
      {figure !== undefined && (
        // every drawing is made for the light half, so on the dark one it keeps a piece of paper under it
        <Box sx={{ bgcolor: dark ? tone.bone : "transparent", p: dark ? 1 : 0, display: { xs: "none", md: "block" } }}>
          <Drawing
            figure={figure}
            scale={Math.min(FIGURE / (figure.top - figure.bottom), FIGURE / (figure.right - figure.left))}
            label={`${line.common}, a grown body as the sheet tells it`}
          />
        </Box>
      )}
      <Box sx={{ flex: 1, width: "100%" }}>
        <Typography variant="h2" component="h1" sx={{ fontSize: { xs: "1.35rem", md: "1.9rem" } }}>
          <Link to={`/sheet/${line.id}`} style={{ color: ink, textUnderlineOffset: 5, textDecorationThickness: 1 }}>
            {line.common}
          </Link>
        </Typography>
        <Box sx={{ fontFamily: FONT.name, fontStyle: "italic", pt: 0.5 }}>{line.scientific}</Box>
        <Box sx={{ color: line.tier === "deadly" && dark ? tone.salmon : dark ? tone.onDarkSoft : tone.inkSoft }}>
          {line.tier}
        </Box>
      </Box>
    </Box>
  );
}

function Differences({ comparison: { differences } }: { comparison: Comparison }) {
  const hard = differences.filter((difference) => difference.hard);
  const soft = differences.filter((difference) => !difference.hard);
  if (differences.length === 0)
    return (
      <Box sx={{ px: { xs: 2, md: 3.5 }, py: 2, maxWidth: "50%" }}>
        No one look tells these two apart. Only several together can.
      </Box>
    );
  return (
    <>
      {hard.map((difference) => (
        <Row key={difference.character} difference={difference} />
      ))}
      {soft.length > 0 && (
        <Box sx={{ display: "grid", gridTemplateColumns: ROW }}>
          <Box sx={{ px: { xs: 2, md: 3.5 }, pt: 2.5, pb: 0.75, gridColumn: { xs: "1", md: "1" } }} />
          <Box
            sx={{ pt: 2.5, pb: 0.75, textAlign: "center", color: tone.inkSoft, display: { xs: "none", md: "block" } }}
          >
            soft: these alone never rule out
          </Box>
        </Box>
      )}
      {soft.map((difference) => (
        <Row key={difference.character} difference={difference} />
      ))}
      <Box sx={{ height: 32 }} />
    </>
  );
}

function Row({ difference }: { difference: Difference }) {
  const { character, hard, age, power, one, other, hiddenBy } = difference;
  const say = (states: readonly string[]) => wordList(states.map((state) => stateWords(character, state)));
  const cell = { px: { xs: 2, md: 3.5 }, py: 1, lineHeight: 1.4 };
  return (
    <Box
      data-difference={character}
      sx={{ display: "grid", gridTemplateColumns: ROW, borderTop: `1px solid ${tone.sage}` }}
    >
      <Box sx={{ ...cell, textAlign: { xs: "left", md: "right" }, order: { xs: 2, md: 1 } }}>
        {say(one)}
        {hiddenBy.length > 0 && <Hiding reasons={hiddenBy} />}
      </Box>
      <Box
        sx={{
          order: { xs: 1, md: 2 },
          gridColumn: { xs: "1 / -1", md: "auto" },
          bgcolor: tone.boneDeep,
          color: tone.ink,
          textAlign: "center",
          py: 1,
          px: 1,
          lineHeight: 1.25,
        }}
      >
        <Strokes power={power} hard={hard} />
        <b style={{ fontWeight: hard ? 750 : 550 }}>{CHARACTER_WORDS[character].plain}</b>
        {age !== undefined && <Box sx={{ color: tone.inkSoft, fontSize: "0.9375rem" }}>best seen {age}</Box>}
      </Box>
      <Box sx={{ ...cell, color: tone.onDark, order: 3 }}>{say(other)}</Box>
    </Box>
  );
}

function Hiding({ reasons }: { reasons: readonly string[] }) {
  return (
    <Box
      component="details"
      sx={{
        color: tone.inkSoft,
        fontSize: "0.9375rem",
        "& summary": { cursor: "pointer", listStyle: "none", textDecoration: "underline", textUnderlineOffset: 4 },
      }}
    >
      <summary>what may hide it ({reasons.length})</summary>
      {reasons.map((why) => (
        <Box key={why} sx={{ pt: 0.5 }}>
          {why.charAt(0).toUpperCase() + why.slice(1)}.
        </Box>
      ))}
    </Box>
  );
}

const STROKES = 5;

/** How often one look is enough, as strokes out of five: thick for hard evidence, thin for soft. */
function Strokes({ power, hard }: { power: number; hard: boolean }) {
  const drawn = Math.max(1, Math.round(power * STROKES));
  const words = `one look is enough ${Math.round(power * 100)} times in 100`;
  return (
    <svg
      width={STROKES * 11}
      height={18}
      role="img"
      aria-label={words}
      style={{ display: "block", margin: "0 auto 4px" }}
    >
      <title>{words}</title>
      {Array.from({ length: STROKES }, (_unused, index) => (
        <line
          // biome-ignore lint/suspicious/noArrayIndexKey: strokes have no names of their own, only their places
          key={index}
          x1={index * 11 + 5}
          x2={index * 11 + 5}
          y1={index < drawn ? 1 : 13}
          y2={17}
          stroke={index < drawn ? tone.ink : tone.boneLine}
          strokeWidth={hard ? 5 : 2}
        />
      ))}
    </svg>
  );
}
