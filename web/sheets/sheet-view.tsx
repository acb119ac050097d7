/** A sheet, to be read: what is known of one kind, with the basis of every statement. */
import { type Sheet, wordList } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { useParams } from "react-router";
import { ScrollRegion } from "../card/scroll-region.tsx";
import { SplitCard } from "../card/split-card.tsx";
import { Trail } from "../card/trail.tsx";
import { Drawing } from "../find/drawing.tsx";
import { FONT, tone } from "../theme/tokens.ts";
import type { OpenSheet } from "../worker/judge.worker.ts";
import { SheetCharacters } from "./sheet-characters.tsx";
import { SheetSide } from "./sheet-side.tsx";
import { basisOf } from "./sheet-words.ts";
import { ShelfState } from "./shelf-state.tsx";
import { useShelf } from "./use-shelf.ts";

export function SheetView() {
  const { id = "" } = useParams();
  const asked = useShelf(id, (remote) => remote.openSheet(id));
  if (asked.state !== "told" || asked.reply === undefined) return <ShelfState state={asked.state} />;
  const open = asked.reply;
  const { sheet } = open;
  return (
    <SplitCard
      darkShare={0.8}
      darkFirst={false}
      light={
        <>
          <Trail view="sheets" />
          <ScrollRegion label="The sheet" sx={{ px: { xs: 2.5, md: 3.5 }, pt: 2.5, pb: 4 }}>
            <Heading open={open} />
            <Musts sheet={sheet} />
            <SheetCharacters sheet={sheet} />
          </ScrollRegion>
        </>
      }
      dark={
        <>
          <Box
            sx={{
              minHeight: 55,
              px: { xs: 2.5, md: 3 },
              py: 1,
              display: "flex",
              flexDirection: "column",
              justifyContent: "center",
              flex: "none",
              lineHeight: 1.3,
            }}
          >
            <b>
              {sheet.tier}
              {sheet.syndrome === undefined ? "" : `: ${sheet.syndrome}`}
            </b>
            {sheet.onsetHours !== undefined && (
              <span style={{ color: tone.onDarkSoft }}>{hoursWords(sheet.onsetHours)} until somebody falls ill</span>
            )}
          </Box>
          <ScrollRegion label="Beside it" sx={{ pb: 2 }}>
            <SheetSide open={open} />
          </ScrollRegion>
        </>
      }
    />
  );
}

const HOURS_A_DAY = 24;
const DAYS_FROM_HOURS = 36;

/** "6 to 24 hours", "2 to 21 days". */
export function hoursWords([from, to]: readonly [number, number]): string {
  if (from < DAYS_FROM_HOURS) return `${from} to ${to} hours`;
  return `${Math.round((from / HOURS_A_DAY) * 10) / 10} to ${Math.round(to / HOURS_A_DAY)} days`;
}

const FIGURE_HEIGHT = 120;
const FIGURE_WIDTH = 118;

function Heading({ open: { sheet, figures } }: { open: OpenSheet }) {
  const { common, scientific, also, synonyms } = sheet.names;
  const [young, grown] = figures;
  return (
    <Box sx={{ display: "flex", gap: 3, alignItems: "flex-end" }}>
      <Box sx={{ flex: 1, minWidth: 0 }}>
        <Typography variant="h1" component="h1" sx={{ fontSize: { xs: "2.1rem", md: "2.9rem" } }}>
          {common.charAt(0).toUpperCase() + common.slice(1)}
        </Typography>
        <Box sx={{ fontFamily: FONT.name, fontStyle: "italic", fontSize: "1.25rem", pt: 0.75 }}>{scientific}</Box>
        {also.length > 0 && <Box sx={{ color: tone.inkSoft, pt: 0.5 }}>also {wordList(also, "and")}</Box>}
        {synonyms.length > 0 && (
          <Box sx={{ color: tone.inkSoft, lineHeight: 1.35 }}>
            older names <span style={{ fontFamily: FONT.name, fontStyle: "italic" }}>{wordList(synonyms, "and")}</span>
          </Box>
        )}
        <Box sx={{ color: tone.inkSoft, pt: 0.5, fontSize: "0.9375rem" }}>
          Where nothing else is said, the statements are {basisOf(sheet, "default").words}.
        </Box>
      </Box>
      {[young, grown].map(
        (figure, index) =>
          figure !== undefined && (
            <Box
              // biome-ignore lint/suspicious/noArrayIndexKey: the young one stands before the grown one
              key={index}
              sx={{ display: { xs: index === 0 ? "none" : "block", md: "block" }, flex: "none" }}
            >
              <Drawing
                figure={figure}
                scale={Math.min(
                  FIGURE_HEIGHT / (figure.top - figure.bottom),
                  FIGURE_WIDTH / (figure.right - figure.left),
                )}
                label={index === 0 ? "a young body as the sheet tells it" : "a grown body as the sheet tells it"}
              />
            </Box>
          ),
      )}
    </Box>
  );
}

function Musts({ sheet }: { sheet: Sheet }) {
  return (
    <Box component="section" sx={{ pt: 2.75 }}>
      <Typography variant="h3" component="h2">
        Has to be seen before it may be named{" "}
        <span style={{ fontWeight: 450, color: tone.inkSoft, fontSize: "0.9375rem" }}>
          {basisOf(sheet, "musts").words}
        </span>
      </Typography>
      <Box component="ol" sx={{ m: 0, mt: 0.5, pl: 2.75, lineHeight: 1.5 }}>
        {sheet.musts.map((must) => (
          <li key={must.says}>{must.says}</li>
        ))}
        {sheet.agesNeeded > 1 && <li>seen on bodies of {sheet.agesNeeded} different ages</li>}
      </Box>
      {sheet.everyBody.length > 0 && (
        <Box sx={{ color: tone.inkSoft, pt: 0.5 }}>
          {wordList(sheet.everyBody, "and").replaceAll("-", " ")}: on every single body that is kept.
        </Box>
      )}
    </Box>
  );
}
