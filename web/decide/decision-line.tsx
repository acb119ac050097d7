/** An earlier decision: what it was, by which sheets, and what of it holds today. */
import { ENDING_WORDS, isAmongFood, wordList } from "@jittery-cap/core";
import type { ShownDecision } from "../documents/decisions.ts";
import { VERDICT_WORDS } from "../standing/verdict-words.ts";

type Ending = ShownDecision["endings"][number];

/** "A in the basket, foot off (the rest is riddled)". */
const endingWords = ({ body, ending, reason, off }: Ending): string =>
  `${body} ${ENDING_WORDS[ending]}${off === undefined ? "" : `, ${wordList([...off], "and")} off`}${reason === undefined ? "" : ` (${reason})`}`;

/** What of a decision is not cleared any more; a full stop where all of it is. */
function takenBackWords(takenBack: readonly Ending[]): string {
  const bodies = wordList(
    takenBack.map((one) => one.body),
    "and",
  );
  if (takenBack.length === 0) return ".";
  return takenBack.length === 1
    ? `. ${bodies} is not cleared: take it out of the basket.`
    : `. ${bodies} are not cleared: take them out of the basket.`;
}

export function DecisionLine({ decision }: { readonly decision: ShownDecision }) {
  const { decidedAt, endings, edition, answer, today, isHeard, refused } = decision;
  const takenBack = endings.filter((one) => isAmongFood(one.ending) && !today.cleared.includes(one.body));
  const isOther = today.edition !== edition || today.verdict !== answer.verdict || takenBack.length > 0;
  return (
    <li data-decision={decision.id} className="line around">
      <b>
        {new Date(decidedAt).toLocaleString([], { day: "numeric", month: "short", hour: "2-digit", minute: "2-digit" })}
      </b>{" "}
      {endings.map(endingWords).join("; ")}.
      <div className="soft small">
        The answer then was {VERDICT_WORDS[answer.verdict].toLowerCase()}, by sheets of edition {edition}.
        {!isHeard && refused === undefined && " On this device only; the server judges it again when it hears of it."}
      </div>
      {refused !== undefined && (
        <div role="alert" className="stands">
          The server did not take it, and clears nothing of it: {refused}
        </div>
      )}
      {isOther && (
        <div className={takenBack.length === 0 ? "soft" : "stands"}>
          As the record and the sheets stand today: {VERDICT_WORDS[today.verdict].toLowerCase()}
          {takenBackWords(takenBack)}
        </div>
      )}
    </li>
  );
}
