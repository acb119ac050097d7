/** Tastings of which the next portion may be had, or that wait for something, as the log reminds of them. */
import { isUnderWay, tastingStage } from "@jittery-cap/core/kitchen";
import { useLiveQuery } from "dexie-react-hooks";
import { Link } from "react-router";
import { isReadable, listKept } from "../documents/documents.ts";
import { useNow } from "../field-tests/use-now.ts";
import { stageWords } from "./stage-words.ts";
import { nextMorning } from "./use-kitchen.ts";

const MOST = 50;

export function TastingsDue() {
  const now = useNow();
  const tastings = useLiveQuery(() => listKept("tasting", MOST)) ?? [];
  const open = tastings
    .filter(isReadable)
    .map(({ id, content }) => ({ id, stage: tastingStage(content, now.getTime(), nextMorning) }))
    .filter(({ stage }) => isUnderWay(stage));
  if (open.length === 0) return null;
  return (
    <ul className="log-open">
      {open.map(({ id, stage }) => (
        <li key={id}>
          <Link to="/kitchen/tastings">
            <b>A first tasting</b>
            <span className="soft small">{stageWords(stage)}</span>
          </Link>
        </li>
      ))}
    </ul>
  );
}
