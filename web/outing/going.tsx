/** On the way: one huge thing to touch, and the phone goes back into the pocket. */
import { lightOf, metresBetween, minutesFor, openSearch, turnRoundAt } from "@jittery-cap/core/season";
import Button from "@mui/material/Button";
import { useState } from "react";
import { Link } from "react-router";
import { findPath, outingPath } from "../addresses.ts";
import { useNow } from "../field-tests/use-now.ts";
import { FileButton } from "../layout/file-button.tsx";
import { lastingWords, timeWords } from "../season/local-day.ts";
import { useCommonNames } from "../sheets/use-common-names.ts";
import { LeavePlace } from "./leave-place.tsx";
import { foundHere, nothingHere, pictureHere } from "./on-the-way.ts";
import { useReceiver } from "./receiver.ts";
import { nameOf, type WholeOuting } from "./use-outing.ts";
import { type Met, WayLine } from "./way-line.tsx";
import { WhoFound } from "./who-found.tsx";

/** What is worth doing at that moment. Common practice, no source. */
const HABITS = [
  "Stand still, look round first. The rest of it later, or now.",
  "Where one is, look round: then low, against the light.",
  "Mounds in the needles, cracks in the moss: lift them with a finger.",
  "Arcs and rings go on in the grass, on both ends.",
  "What shares these trees with it? The deadly ones share them too.",
] as const;

interface GoingProps {
  readonly outing: WholeOuting;
}

export function Going({ outing }: GoingProps) {
  const { id, content, finds, places, points } = outing;
  const now = useNow();
  const names = useCommonNames();
  const silent = useReceiver((state) => state.silent);
  const [by, setBy] = useState<string>();
  const [said, setSaid] = useState<{ readonly words: string; readonly find?: string }>();
  const [isLeaving, setIsLeaving] = useState(false);
  const search = openSearch(content);
  const place = places.find((one) => one.id === search?.place);
  const found = async () => {
    const find = await foundHere(id, by);
    setSaid({ words: `Kept: ${timeWords(Date.now())}.`, find });
  };
  const nothing = async () => {
    await nothingHere(id);
    setSaid({ words: `Nothing here: ${timeWords(Date.now())}. That counts as much as a basket.` });
  };
  const picture = async (file: File) => {
    setSaid({ words: "The picture is kept.", find: await pictureHere(id, file, by) });
  };
  const minutes = (now.getTime() - Date.parse(content.begunAt)) / 60_000;
  return (
    <>
      <div className="outing-head">
        <h1>{place?.content.name ?? (search === undefined ? "On the way" : "Somewhere new")}</h1>
        <p className="soft">
          {lastingWords(minutes)} out{skyWords(content.sky)}
        </p>
        {silent !== undefined && (
          <p className="outing-silent" role="status">
            {silent} Finds are kept without a position.
          </p>
        )}
      </div>
      <WayLine points={points} met={metOn(outing, names)} />
      <WhoFound companions={content.companions} by={by} onBy={setBy} />
      <button type="button" className="outing-found" onClick={() => void found()}>
        <b>Found one here</b>
        <span>{HABITS[finds.length % HABITS.length]}</span>
      </button>
      <div className="outing-two">
        <Button onClick={() => void nothing()}>Nothing here</Button>
        <FileButton
          label="Picture"
          accept="image/jpeg,image/png,image/webp"
          onFile={(file) => void picture(file)}
          isCamera
        >
          Picture
        </FileButton>
      </div>
      <div className="outing-foot">
        <p role="status" className="outing-said">
          {said === undefined ? <TurnRound outing={outing} now={now} /> : said.words}{" "}
          {said?.find !== undefined && <Link to={findPath(said.find)}>Look at it now</Link>}
        </p>
        <div className="outing-last">
          <Link to={outingPath(id)}>{openWords(finds.length, outing.open.length)}</Link>
          <Button variant="quiet" onClick={() => setIsLeaving(true)}>
            Leave this place
          </Button>
          <Link to={outingPath(id)} className="strong">
            End the outing
          </Link>
        </div>
      </div>
      {isLeaving && <LeavePlace outing={outing} onClose={() => setIsLeaving(false)} />}
    </>
  );
}

const openWords = (finds: number, open: number): string =>
  `${finds === 0 ? "No finds" : finds === 1 ? "1 find" : `${finds} finds`}${open === 0 ? "" : `, ${open} open`}`;

const skyWords = (sky: WholeOuting["content"]["sky"]): string =>
  sky === undefined
    ? ""
    : ` · ${Math.round(sky.meanTempC)} °C of late · ${Math.round(sky.rainMm)} mm of rain that counts${sky.frostNights > 0 ? ` · ${sky.frostNights} nights of frost` : ""}`;

/** What was met on the way, with a position. */
function metOn({ finds, content }: WholeOuting, names: ReadonlyMap<string, string>): readonly Met[] {
  const found = finds.flatMap(({ id, content: find }, index): Met[] =>
    find.place?.lat === undefined || find.place.lon === undefined
      ? []
      : [
          {
            id,
            position: { lat: find.place.lat, lon: find.place.lon },
            name: nameOf(find, index, names),
            isNothing: false,
          },
        ],
  );
  const nothing = content.nothing.flatMap(({ id, position }): Met[] =>
    position === undefined ? [] : [{ id, position, name: "nothing", isNothing: true }],
  );
  return [...found, ...nothing];
}

/** When to turn round, by the light there and the way back to where the outing began. */
function TurnRound({ outing, now }: { readonly outing: WholeOuting; readonly now: Date }) {
  const [first, last] = [outing.points[0], outing.points.at(-1)];
  if (first === undefined || last === undefined) return "Where the sun sets is not known without a position.";
  const noon = new Date(now.getFullYear(), now.getMonth(), now.getDate(), 12);
  const { sets, allDay } = lightOf(noon, last.lat, last.lon);
  if (sets === undefined)
    return allDay === "light" ? "The sun does not set today." : "The sun does not rise today: bring a light.";
  const back = minutesFor(metresBetween(first, last), "walk");
  const turn = turnRoundAt(sets, back);
  if (now.getTime() > turn)
    return (
      <span className="stands">
        Turn round now: the sun is down at {timeWords(sets)} and it is {back} minutes back.
      </span>
    );
  return (
    <>
      Turn round by <b>{timeWords(turn)}</b>: the sun is down at {timeWords(sets)} and it is {back} minutes back.
    </>
  );
}
