/** The shelf: every sheet, found by any name that anybody ever gave it, however misspelt. */
import type { NameMatch } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import InputBase from "@mui/material/InputBase";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { Link } from "react-router";
import { ScrollRegion } from "../card/scroll-region.tsx";
import { SplitCard } from "../card/split-card.tsx";
import { Trail } from "../card/trail.tsx";
import { FONT, TOUCH, tone } from "../theme/tokens.ts";
import type { SheetLine } from "../worker/judge.worker.ts";
import { ShelfState } from "./shelf-state.tsx";
import { useShelf } from "./use-shelf.ts";

export function ShelfView() {
  const [query, setQuery] = useState("");
  const shelf = useShelf("all", (remote) => remote.listSheets());
  const found = useShelf(query, (remote) => remote.searchNames(query));
  if (shelf.state !== "told") return <ShelfState state={shelf.state} />;
  const { dangers, sought } = shelf.reply;
  const searching = query.trim().length > 1;
  return (
    <SplitCard
      darkShare={1}
      darkFirst={false}
      light={
        <>
          <Trail view="sheets" />
          <Box sx={{ px: { xs: 2.5, md: 3.5 }, pt: 2.5, flex: "none" }}>
            <Typography variant="h2" component="h1">
              Sheets
            </Typography>
            <InputBase
              value={query}
              onChange={(event) => setQuery(event.target.value)}
              placeholder="any name, old or new, spelt as it comes"
              inputProps={{ "aria-label": "Find a sheet by name", autoComplete: "off", spellCheck: false }}
              sx={{
                mt: 1.5,
                width: "100%",
                minHeight: TOUCH,
                px: 1.5,
                bgcolor: tone.paper,
                border: `2px solid ${tone.ink}`,
                fontSize: "1.125rem",
                "& input::placeholder": { color: tone.inkSoft, opacity: 1 },
              }}
            />
          </Box>
          <ScrollRegion
            label={searching ? "Names met" : "Sought kinds"}
            sx={{ px: { xs: 2.5, md: 3.5 }, pt: 2, pb: 4 }}
          >
            {searching ? (
              <Found matches={found.state === "told" ? found.reply : undefined} />
            ) : (
              <>
                <Typography variant="h3" component="h2" sx={{ pb: 0.5 }}>
                  {sought.length} sought kinds and their harmless company
                </Typography>
                <Lines lines={sought} />
              </>
            )}
          </ScrollRegion>
        </>
      }
      dark={
        <>
          <Box
            sx={{
              minHeight: 55,
              px: { xs: 2.5, md: 3 },
              display: "flex",
              alignItems: "center",
              fontWeight: 700,
              flex: "none",
            }}
          >
            {dangers.length} dangers
          </Box>
          <ScrollRegion label="Dangers" sx={{ px: { xs: 2.5, md: 3 }, pb: 3 }}>
            <Lines lines={dangers} dark />
          </ScrollRegion>
        </>
      }
    />
  );
}

function Found({ matches }: { matches: readonly (NameMatch & SheetLine)[] | undefined }) {
  if (matches === undefined) return <Box sx={{ color: tone.inkSoft }}>Looking.</Box>;
  if (matches.length === 0)
    return <Box>No sheet has a name like that. What is not on the shelf is unknown here, and stays out.</Box>;
  return (
    <Box component="ul" aria-label="Sheets found" sx={{ listStyle: "none", m: 0, p: 0 }}>
      {matches.map((match) => (
        <Line key={match.id} line={match} met={match.kind === "common" ? undefined : match} />
      ))}
    </Box>
  );
}

function Lines({ lines, dark = false }: { lines: readonly SheetLine[]; dark?: boolean }) {
  return (
    <Box
      component="ul"
      sx={{ listStyle: "none", m: 0, p: 0, columnWidth: dark ? undefined : { md: 300 }, columnGap: 4 }}
    >
      {lines.map((line) => (
        <Line key={line.id} line={line} dark={dark} />
      ))}
    </Box>
  );
}

const KIND_WORDS = { scientific: "its name", also: "also called", synonym: "older name", common: "called" } as const;

function Line({ line, met, dark = false }: { line: SheetLine; met?: NameMatch | undefined; dark?: boolean }) {
  const soft = dark ? tone.onDarkSoft : tone.inkSoft;
  return (
    <Box component="li" data-sheet={line.id} sx={{ breakInside: "avoid" }}>
      <Box
        component={Link}
        to={`/sheet/${line.id}`}
        sx={{
          display: "flex",
          alignItems: "center",
          gap: 1.5,
          minHeight: TOUCH - 4,
          color: dark ? tone.onDark : tone.ink,
          textDecoration: "none",
          borderTop: `1px solid ${dark ? tone.mossLine : tone.boneLine}`,
          "&:hover": { textDecoration: "underline", textUnderlineOffset: 4 },
        }}
      >
        <Box component="span" sx={{ flex: 1, minWidth: 0, lineHeight: 1.2, py: 0.5 }}>
          <span style={{ fontWeight: line.tier === "deadly" ? 750 : 550 }}>{line.common}</span>{" "}
          <span style={{ fontFamily: FONT.name, fontStyle: "italic", color: soft, fontSize: "0.9375rem" }}>
            {line.scientific}
          </span>
          {met !== undefined && met.name !== line.scientific && (
            <Box component="span" sx={{ display: "block", color: soft, fontSize: "0.9375rem" }}>
              {KIND_WORDS[met.kind]} {met.name}
            </Box>
          )}
        </Box>
        <span style={{ color: dark && line.tier === "deadly" ? tone.salmon : soft, fontSize: "0.9375rem" }}>
          {line.tier}
        </span>
      </Box>
    </Box>
  );
}
