/** The shelf: every sheet, found by any name that anybody ever gave it, however misspelt. */
import type { NameMatch } from "@jittery-cap/core";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { Link } from "react-router";
import { sheetPath } from "../addresses.ts";
import { ScrollRegion } from "../layout/scroll-region.tsx";
import { SplitCard } from "../layout/split-card.tsx";
import { Trail } from "../layout/trail.tsx";
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
      width="wide"
      darkFirst={false}
      light={
        <>
          <Trail />
          <div className="page flat">
            <Typography variant="h2" component="h1">
              Sheets
            </Typography>
            <TextField
              value={query}
              onChange={(event) => setQuery(event.target.value)}
              placeholder="any name, old or new, spelt as it comes"
              fullWidth
              sx={{ mt: 1.5 }}
              slotProps={{
                htmlInput: {
                  "aria-label": "Find a sheet by name",
                  autoComplete: "off",
                  spellCheck: false,
                  type: "search",
                },
              }}
            />
          </div>
          <ScrollRegion label={searching ? "Names met" : "Sought kinds"} className="page">
            {searching ? (
              <Found matches={found.state === "told" ? found.reply : undefined} />
            ) : (
              <>
                <Typography variant="h3" component="h2" className="below">
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
          <div className="board-head">{dangers.length} dangers</div>
          <ScrollRegion label="Dangers" className="page">
            <Lines lines={dangers} />
          </ScrollRegion>
        </>
      }
    />
  );
}

function Found({ matches }: { readonly matches: readonly (NameMatch & SheetLine)[] | undefined }) {
  if (matches === undefined) return <div className="soft">Looking.</div>;
  if (matches.length === 0)
    return <div>No sheet has a name like that. What is not on the shelf is unknown here, and stays out.</div>;
  return (
    <ul aria-label="Sheets found" className="lines">
      {matches.map((match) => (
        <Line key={match.id} line={match} met={match.kind === "common" ? undefined : match} />
      ))}
    </ul>
  );
}

function Lines({ lines }: { readonly lines: readonly SheetLine[] }) {
  return (
    <ul className="lines shelf-lines">
      {lines.map((line) => (
        <Line key={line.id} line={line} />
      ))}
    </ul>
  );
}

const KIND_WORDS = { scientific: "its name", also: "also called", synonym: "older name", common: "called" } as const;

function Line({ line, met }: { readonly line: SheetLine; readonly met?: NameMatch | undefined }) {
  return (
    <li data-sheet={line.id} data-tier={line.tier} className="shelf-line">
      <Link to={sheetPath(line.id)}>
        <span className="grow">
          <span className="shelf-name">{line.common}</span>{" "}
          <span className="scientific small soft">{line.scientific}</span>
          {met !== undefined && met.name !== line.scientific && (
            <span className="soft small block-text">
              {KIND_WORDS[met.kind]} {met.name}
            </span>
          )}
        </span>
        <span className="soft small shelf-tier">{line.tier}</span>
      </Link>
    </li>
  );
}
