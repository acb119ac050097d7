/** The dark half of the table: who has answered; uncovered, what they said, the gravest first. */
import { type RoundAnswer, type Shown, tallyOf } from "@jittery-cap/core/trainer";
import { VERDICT_WORDS } from "../../standing/verdict-words.ts";
import { Covered } from "../practice-frame.tsx";

interface TableAnswersProps {
  readonly answers: readonly RoundAnswer[];
  readonly told: Shown["told"];
  readonly hasBegun: boolean;
  /** Of all finds so far. */
  readonly all: readonly RoundAnswer[];
}

export function TableAnswers({ answers, told, hasBegun, all }: TableAnswersProps) {
  if (told === undefined)
    return (
      <Covered until="you uncover it">
        <h2 className="practice-question" role="status">
          {hasBegun ? `${answers.length} ${answers.length === 1 ? "has" : "have"} answered` : "Nobody is asked yet"}
        </h2>
        <ul className="lines">
          {answers.map(({ guest, name }) => (
            <li key={guest} className="line practice-stands">
              {name}
            </li>
          ))}
        </ul>
      </Covered>
    );
  const tally = tallyOf(answers);
  // who would have eaten it stands first
  const order = ["basket", "hold", "leave"] as const;
  const ordered = [...answers].sort((one, other) => order.indexOf(one.verdict) - order.indexOf(other.verdict));
  return (
    <div data-testid="table-answers">
      <p className="said">{eatenWords(tally.basket, told)}</p>
      <p className="soft">
        {VERDICT_WORDS.leave} {tally.leave} · {VERDICT_WORDS.hold} {tally.hold} · {VERDICT_WORDS.basket} {tally.basket}
      </p>
      <ul className="lines">
        {ordered.map(({ guest, name, verdict, nearest, mistakes, sure }) => (
          <li key={guest} className="line practice-weak" data-verdict={verdict}>
            <span className={told.isDanger && verdict === "basket" ? "danger-ink strong" : "strong"}>
              {name}: {VERDICT_WORDS[verdict].toLowerCase()}
            </span>
            <span className="soft">
              {Math.round(sure * 10)} of ten sure
              {nearest === undefined
                ? ""
                : `; named ${told.nearest.includes(nearest) ? "one of the nearest" : "another danger"}${mistakes === undefined ? "" : `, ${mistakes} away`}`}
            </span>
          </li>
        ))}
      </ul>
      <p className="soft above-2">
        By what was seen: {VERDICT_WORDS[told.verdict].toLowerCase()}, the nearest danger {told.least} away.{" "}
        {all.length > answers.length ? `${all.length} answers in all.` : ""}
      </p>
    </div>
  );
}

function eatenWords(basket: number, { isDanger, verdict }: NonNullable<Shown["told"]>): string {
  const who = basket === 0 ? "Nobody" : basket === 1 ? "One" : String(basket);
  if (isDanger) return `${who} would have carried it home`;
  return verdict === "basket" ? `${who} took it, as may be` : `${who} took it too early`;
}
