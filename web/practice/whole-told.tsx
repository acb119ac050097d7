/** What came of a whole find: what it was, the shortest way beside the way taken, what each look could have told. */
import { Link } from "react-router";
import { sheetPath } from "../addresses.ts";
import { VERDICT_WORDS } from "../standing/verdict-words.ts";
import type { WholeState, WholeTold } from "../worker/practice-room.ts";
import { Told } from "./exercise-parts.tsx";
import { MadeFigure } from "./made-figure.tsx";
import { outcomeWords } from "./outcome-words.ts";
import { costWords } from "./practice-words.ts";

export function WholeTaught({ told, state }: { readonly told: WholeTold; readonly state: WholeState }) {
  const { kind, shortest, looks, course } = told;
  const [body] = state.find.bodies;
  return (
    <div className="practice-whole">
      <div className="practice-whole-figure">
        {body !== undefined && <MadeFigure find={state.find} body={body} />}
        <p>
          <Link to={sheetPath(kind.id)} className="strong">
            {kind.common}
          </Link>{" "}
          <span className="scientific">{kind.scientific}</span>
        </p>
      </div>
      <div data-testid="whole-told" data-kind={kind.id}>
        <Told isRight={told.isRight}>{outcomeWords(told)}</Told>
        {course !== undefined && (
          <p className="practice-course" data-testid="course">
            {course} This round ends here.
          </p>
        )}
        <dl className="practice-ways">
          <Way
            name="Your way"
            looks={state.taken.length}
            minutes={state.minutes}
            waitHours={state.waitHours}
            end={told.said.verdict}
          />
          <Way
            name="The shortest"
            looks={shortest.looks.length}
            minutes={shortest.minutes}
            waitHours={shortest.waitHours}
            end={shortest.verdict}
          />
        </dl>
        <h2 className="section-title">What each look told, or would have</h2>
        <div className="table-scroll">
          <table className="figures">
            <thead>
              <tr>
                <th scope="col">Look</th>
                <th scope="col">Costs</th>
                <th scope="col" className="amount">
                  Dangers it moves away
                </th>
              </tr>
            </thead>
            <tbody>
              {[...looks]
                .filter((look) => look.isTaken || look.isOnShortest || look.movesAway.length > 0)
                .sort(
                  (one, other) =>
                    Number(other.isTaken) - Number(one.isTaken) || other.movesAway.length - one.movesAway.length,
                )
                .map((look) => (
                  <tr key={`${look.test} ${look.body}`}>
                    <th scope="row" className={look.isTaken ? "" : "plain"}>
                      {look.text}
                      <span className="soft small block-text">
                        {[look.isTaken ? "you looked" : "", look.isOnShortest ? "on the shortest way" : ""]
                          .filter((one) => one !== "")
                          .join(" · ")}
                      </span>
                    </th>
                    <td className="one-line">{costWords(look)}</td>
                    <td className="amount">{look.movesAway.length}</td>
                  </tr>
                ))}
            </tbody>
          </table>
        </div>
      </div>
    </div>
  );
}

interface WayProps {
  readonly name: string;
  readonly looks: number;
  readonly minutes: number;
  readonly waitHours: number;
  readonly end: WholeTold["verdict"];
}

function Way({ name, looks, minutes, waitHours, end }: WayProps) {
  return (
    <div>
      <dt className="soft">{name}</dt>
      <dd>
        <b>
          {minutes % 1 === 0 ? minutes : minutes.toFixed(1)} min{waitHours >= 6 ? " and a night" : ""}
        </b>{" "}
        {looks} {looks === 1 ? "look" : "looks"}, then {VERDICT_WORDS[end].toLowerCase()}
      </dd>
    </div>
  );
}

/** The dark half, uncovered: what stands by what was seen. */
export function WholeUncovered({ told }: { readonly told: WholeTold }) {
  const { nearest, least, said, verdict, reasons } = told;
  const named = nearest.find((one) => one.id === said.nearest);
  return (
    <>
      <p className="soft">By what you had seen</p>
      <p className="said">{VERDICT_WORDS[verdict]}</p>
      {reasons.slice(0, 3).map((reason) => (
        <p key={reason} className="small">
          {reason}
        </p>
      ))}
      <ul className="lines above-2">
        {nearest.map(({ id, common, tier, mistakes }) => (
          <li key={id} className="line practice-stands" data-danger={id}>
            <span aria-hidden="true" className="practice-strokes">
              {Array.from({ length: Math.min(mistakes, 6) }, (_unused, index) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: strokes have no names of their own, only their places
                <i key={index} />
              ))}
            </span>
            <span className={tier === "deadly" ? "grow strong" : "grow"}>{common}</span>
            <b>{mistakes}</b>
          </li>
        ))}
      </ul>
      {said.nearest !== undefined && (
        <p className="above-2">
          {told.isNearestRight === true
            ? `You named one of the nearest${told.isDistanceRight === true ? ", and its distance" : `; it is ${least} away`}.`
            : `You named another${named === undefined ? "" : `, which is ${named.mistakes} away`}; the nearest is ${least} away.`}
        </p>
      )}
    </>
  );
}
