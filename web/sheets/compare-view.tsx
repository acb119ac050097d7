/** Two sheets on the two halves of the card; on the edge between them what separates them, hard things first. */
import { CHARACTER_WORDS, type Difference, type Figure, stateWords, wordList } from "@jittery-cap/core";
import { Link, useParams } from "react-router";
import { sheetPath } from "../addresses.ts";
import { ScrollRegion } from "../layout/scroll-region.tsx";
import { Trail } from "../layout/trail.tsx";
import { Drawing } from "../specimen/drawing.tsx";
import type { Comparison, SheetLine } from "../worker/judge.worker.ts";
import { PowerStrokes } from "./power-strokes.tsx";
import { ShelfState } from "./shelf-state.tsx";
import { useShelf } from "./use-shelf.ts";

export function CompareView() {
  const { one = "", other = "" } = useParams();
  const asked = useShelf(`${one} ${other}`, (remote) => remote.compare(one, other));
  if (asked.state !== "told" || asked.reply === undefined) return <ShelfState state={asked.state} />;
  return (
    <main data-half="light" className="compare">
      <Trail />
      <ScrollRegion label="What tells them apart" className="compare-both">
        <Heads comparison={asked.reply} />
        <Differences comparison={asked.reply} />
      </ScrollRegion>
    </main>
  );
}

function Heads({ comparison: { one, other, figures } }: { readonly comparison: Comparison }) {
  return (
    <div className="compare-row">
      <div className="compare-light compare-head">
        <Head line={one} figure={figures[0]} isFirst />
      </div>
      <div className="compare-about compare-middle">What tells them apart, the surest first</div>
      <div data-half="dark" className="compare-dark compare-head">
        <Head line={other} figure={figures[1]} />
      </div>
    </div>
  );
}

const FIGURE = 132;

interface HeadProps {
  readonly line: SheetLine;
  readonly figure: Figure | undefined;
  readonly isFirst?: boolean;
}

function Head({ line, figure, isFirst = false }: HeadProps) {
  const Title = isFirst ? "h1" : "h2";
  return (
    <>
      {figure !== undefined && (
        <div className="compare-figure">
          <Drawing
            figure={figure}
            scale={Math.min(FIGURE / (figure.top - figure.bottom), FIGURE / (figure.right - figure.left))}
            label={`${line.common}, a grown body as the sheet tells it`}
          />
        </div>
      )}
      <div className="grow" data-tier={line.tier}>
        <Title>
          <Link to={sheetPath(line.id)}>{line.common}</Link>
        </Title>
        <div className="scientific above">{line.scientific}</div>
        <div className="soft shelf-tier">{line.tier}</div>
      </div>
    </>
  );
}

function Differences({ comparison: { differences } }: { readonly comparison: Comparison }) {
  const hard = differences.filter((difference) => difference.hard);
  const soft = differences.filter((difference) => !difference.hard);
  if (differences.length === 0)
    return (
      <div className="compare-row">
        <div className="compare-light compare-cell">No one look tells these two apart. Only several together can.</div>
      </div>
    );
  return (
    <>
      {hard.map((difference) => (
        <Row key={difference.character} difference={difference} />
      ))}
      {soft.length > 0 && (
        <div className="compare-row">
          <div className="compare-light" />
          <div className="compare-middle soft">soft: these alone never rule out</div>
          <div className="compare-dark" />
        </div>
      )}
      {soft.map((difference) => (
        <Row key={difference.character} difference={difference} />
      ))}
    </>
  );
}

function Row({ difference }: { readonly difference: Difference }) {
  const { character, hard, age, power, one, other, hiddenBy } = difference;
  const say = (states: readonly string[]) => wordList(states.map((state) => stateWords(character, state)));
  return (
    <div data-difference={character} className="compare-row">
      <div className="compare-light compare-cell">
        {say(one)}
        {hiddenBy.length > 0 && <Hiding reasons={hiddenBy} />}
      </div>
      <div className="compare-middle">
        <PowerStrokes power={power} hard={hard} />
        <b className={hard ? "strong" : undefined}>{CHARACTER_WORDS[character].plain}</b>
        {age !== undefined && <div className="soft small">best seen {age}</div>}
      </div>
      <div data-half="dark" className="compare-dark compare-cell">
        {say(other)}
      </div>
    </div>
  );
}

function Hiding({ reasons }: { readonly reasons: readonly string[] }) {
  return (
    <details className="hiding soft small">
      <summary>what may hide it ({reasons.length})</summary>
      {reasons.map((why) => (
        <div key={why}>{why.charAt(0).toUpperCase() + why.slice(1)}.</div>
      ))}
    </details>
  );
}
