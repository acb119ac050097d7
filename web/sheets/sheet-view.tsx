/** A sheet, to be read: what is known of one kind, with the basis of every statement. */
import { type Sheet, wordList } from "@jittery-cap/core";
import { useParams } from "react-router";
import { ScrollRegion } from "../layout/scroll-region.tsx";
import { SplitCard } from "../layout/split-card.tsx";
import { Trail } from "../layout/trail.tsx";
import { Drawing } from "../specimen/drawing.tsx";
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
      darkFirst={false}
      light={
        <>
          <Trail />
          <ScrollRegion label="The sheet" className="page">
            <Heading open={open} />
            <Musts sheet={sheet} />
            <SheetCharacters sheet={sheet} />
          </ScrollRegion>
        </>
      }
      dark={
        <>
          <div className="sheet-tier">
            <b>
              {sheet.tier}
              {sheet.syndrome === undefined ? "" : `: ${sheet.syndrome}`}
            </b>
            {sheet.onsetHours !== undefined && (
              <span className="soft">{hoursWords(sheet.onsetHours)} until somebody falls ill</span>
            )}
          </div>
          <ScrollRegion label="Beside it">
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
    <div className="sheet-heading">
      <div className="grow">
        <h1>{common.charAt(0).toUpperCase() + common.slice(1)}</h1>
        <div className="scientific larger above">{scientific}</div>
        {also.length > 0 && <div className="soft above">also {wordList(also, "and")}</div>}
        {synonyms.length > 0 && (
          <div className="soft">
            older names <span className="scientific">{wordList(synonyms, "and")}</span>
          </div>
        )}
        <div className="soft above small">
          Where nothing else is said, the statements are {basisOf(sheet, "default").words}.
        </div>
      </div>
      {[young, grown].map(
        (figure, index) =>
          figure !== undefined && (
            <div
              // biome-ignore lint/suspicious/noArrayIndexKey: the young one stands before the grown one
              key={index}
              className={index === 0 ? "sheet-young" : undefined}
            >
              <Drawing
                figure={figure}
                scale={Math.min(
                  FIGURE_HEIGHT / (figure.top - figure.bottom),
                  FIGURE_WIDTH / (figure.right - figure.left),
                )}
                label={index === 0 ? "a young body as the sheet tells it" : "a grown body as the sheet tells it"}
              />
            </div>
          ),
      )}
    </div>
  );
}

function Musts({ sheet }: { sheet: Sheet }) {
  return (
    <section className="above-3">
      <h2 className="section-title">
        Has to be seen before it may be named <span className="plain soft small">{basisOf(sheet, "musts").words}</span>
      </h2>
      <ol className="sheet-musts">
        {sheet.musts.map((must) => (
          <li key={must.says}>{must.says}</li>
        ))}
        {sheet.agesNeeded > 1 && <li>seen on bodies of {sheet.agesNeeded} different ages</li>}
      </ol>
      {sheet.everyBody.length > 0 && (
        <div className="soft above">
          {wordList(sheet.everyBody, "and").replaceAll("-", " ")}: on every single body that is kept.
        </div>
      )}
    </section>
  );
}
