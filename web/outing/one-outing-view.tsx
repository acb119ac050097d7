/** One outing: where was searched and for how long, what was found, what is open; and its end. */
import { cleanTrack, minutesOf, type Search } from "@jittery-cap/core/season";
import Alert from "@mui/material/Alert";
import TextField from "@mui/material/TextField";
import { Link, useParams } from "react-router";
import { findPath } from "../addresses.ts";
import { NumberField } from "../layout/number-field.tsx";
import { ScrollRegion } from "../layout/scroll-region.tsx";
import { Section } from "../layout/section.tsx";
import { SplitCard } from "../layout/split-card.tsx";
import { Trail } from "../layout/trail.tsx";
import { dayOf, lastingWords, longDayWords, timeWords } from "../season/local-day.ts";
import { useCommonNames } from "../sheets/use-common-names.ts";
import { EndOuting } from "./end-outing.tsx";
import { LeftToGrow } from "./left-to-grow.tsx";
import { changeOuting } from "./on-the-way.ts";
import { OpenThings } from "./open-things.tsx";
import { TrackLine } from "./track-line.tsx";
import { nameOf, useOuting, type WholeOuting } from "./use-outing.ts";
import "./outing.css";

export function OneOutingView() {
  const { id } = useParams();
  const outing = useOuting(id);
  return (
    <SplitCard
      darkFirst={false}
      light={
        <>
          <Trail />
          <ScrollRegion label="The outing" className="page">
            {outing === undefined && <p className="soft">Looking for it.</p>}
            {outing === null && <Alert severity="error">There is no such outing on this device.</Alert>}
            {outing !== undefined && outing !== null && <Told outing={outing} />}
          </ScrollRegion>
        </>
      }
      dark={
        <ScrollRegion label="What is open" className="dark-page">
          {outing !== undefined && outing !== null && <OpenThings outing={outing} />}
        </ScrollRegion>
      }
    />
  );
}

function Told({ outing }: { readonly outing: WholeOuting }) {
  const { id, content, finds, points } = outing;
  const names = useCommonNames();
  const from = Date.parse(content.begunAt);
  const until = content.endedAt === undefined ? undefined : Date.parse(content.endedAt);
  return (
    <>
      <h1 className="view-title">{longDayWords(dayOf(from))}</h1>
      <p className="lead-in">
        {timeWords(from)}
        {until === undefined ? ", not ended" : ` to ${timeWords(until)}, ${lastingWords((until - from) / 60_000)}`}
        {content.companions.length > 0 && `, with ${content.companions.map(({ name }) => name).join(", ")}`}
        {content.sky !== undefined &&
          `. ${Math.round(content.sky.rainMm)} mm of rain in the days that count, about ${Math.round(content.sky.meanTempC)} °C`}
      </p>
      <Section title="Where was searched">
        {content.searches.length === 0 && <p className="soft">No search was told.</p>}
        {content.searches.map((search) => (
          <SearchLine key={search.id} search={search} outing={outing} />
        ))}
      </Section>
      <Section title={finds.length === 1 ? "One find" : `${finds.length} finds`}>
        <ul className="lines">
          {finds.map(({ id: find, content: record }, index) => (
            <li key={find} className="open-line">
              <Link to={findPath(find)}>
                {timeWords(Date.parse(record.foundAt ?? content.begunAt))} {nameOf(record, index, names)}
              </Link>
              <span className="soft small">{foundBy(content, find)}</span>
            </li>
          ))}
        </ul>
        {content.nothing.length > 0 && (
          <p className="soft above">
            Nothing here, {content.nothing.length === 1 ? "once" : `${content.nothing.length} times`}.
          </p>
        )}
      </Section>
      {(points.length > 0 || content.endedAt === undefined) && (
        <Section title="The way">
          <TrackLine id={id} track={cleanTrack(points)} />
        </Section>
      )}
      <Section title="Left to grow on">
        <LeftToGrow place={content.searches.at(-1)?.place} />
      </Section>
      <Section title="In your own words">
        <TextField
          key={content.note ?? ""}
          multiline
          minRows={2}
          fullWidth
          defaultValue={content.note ?? ""}
          slotProps={{ htmlInput: { "aria-label": "In your own words", maxLength: 4000 } }}
          onBlur={(event) => {
            const note = event.target.value.trim();
            if (note !== (content.note ?? "")) void changeOuting(id, () => ({ note: note === "" ? null : note }));
          }}
        />
      </Section>
      <EndOuting outing={outing} />
    </>
  );
}

function foundBy({ foundBy: all }: WholeOuting["content"], find: string): string {
  const by = all.find((one) => one.find === find);
  return by === undefined ? "" : ` found by ${by.name}`;
}

function SearchLine({ search, outing }: { readonly search: Search; readonly outing: WholeOuting }) {
  const { id, content, places } = outing;
  const place = places.find((one) => one.id === search.place);
  const until = content.endedAt === undefined ? Date.now() : Date.parse(content.endedAt);
  const change = (next: Partial<Search>) =>
    changeOuting(id, ({ searches }) => ({
      searches: searches.map((one) => (one.id === search.id ? { ...one, ...next } : one)),
    }));
  return (
    <div className="search-line">
      <span>
        <b>{place?.content.name ?? "a place that is not kept"}</b>
        <span className="soft small block-text">
          from {timeWords(Date.parse(search.from))}
          {search.nothing === true && ", nothing there"}
          {search.weeded !== undefined && `, weeded: ${search.weeded}`}
        </span>
      </span>
      <NumberField
        label={`Minutes searched at ${place?.content.name ?? "a place"}`}
        unit="min"
        value={Math.round(minutesOf(search, until))}
        onSet={(value) => value !== null && value >= 0 && void change({ minutes: value })}
      />
    </div>
  );
}
