/** The find as far as it was looked at, and the looks that can be asked for. */
import { figureText } from "@jittery-cap/core";
import { type OfferedLook, placeOfLook, type TakenLook } from "@jittery-cap/core/trainer";
import { type ReactNode, useState } from "react";
import { BodiesRow } from "../specimen/bodies-row.tsx";
import type { WholeState } from "../worker/practice-room.ts";
import { MadeFigure } from "./made-figure.tsx";
import { costWords } from "./practice-words.ts";

type Look = Pick<TakenLook, "test" | "body">;

interface WholeLooksProps {
  readonly state: WholeState;
  readonly looks: readonly Look[];
  readonly onLook: (look: Look) => void;
  readonly answer: ReactNode;
  readonly title: string | undefined;
}

const minutesSpent = ({ minutes, waitHours }: WholeState): string => {
  const whole = `${Number.isInteger(minutes) ? minutes : minutes.toFixed(1)} ${minutes === 1 ? "minute" : "minutes"} spent`;
  return waitHours >= 6 ? `${whole}, and a night` : whole;
};

export function WholeLooks({ state, looks, onLook, answer, title }: WholeLooksProps) {
  const { find, offered, taken, conditions } = state;
  const [chosen, setChosen] = useState<string>("A");
  const body = find.bodies.find(({ id }) => id === chosen) ?? find.bodies[0];
  const isOf = (look: Look) => look.body === undefined || look.body === body?.id;
  // a look stays where it stands when it was taken: nothing moves under a thumb
  const all = [...taken, ...offered].filter(isOf).sort((one, other) => placeOfLook(one) - placeOfLook(other));
  // what was asked for is on its way: it is not asked for twice
  const isWaiting = looks.length > taken.length;
  return (
    <div className="practice-whole">
      <div className="practice-whole-figure">
        {body !== undefined && <MadeFigure find={find} body={body} />}
        {find.bodies.length > 1 && <BodiesRow find={find} chosen={body?.id ?? ""} onChoose={setChosen} height={84} />}
        {body !== undefined && <p className="unseen">{figureText(find, body)}</p>}
      </div>
      <div>
        {/* what a look showed is said to who does not see it */}
        <p className="unseen" role="status">
          {taken.length === 0 ? "" : `${taken.at(-1)?.text}: ${taken.at(-1)?.saw}`}
        </p>
        {title !== undefined && <p className="soft">{title}</p>}
        <h1 className="view-title">{minutesSpent(state)}</h1>
        <p className="lead-in">{conditions.join(" · ")}. What do you look at?</p>
        <ul className="lines practice-looks">
          {all.map((look) =>
            "saw" in look ? (
              <li key={`${look.test} ${look.body}`} className="line practice-look-taken" data-taken={look.test}>
                <b>{look.text}</b>
                <span className="soft">{look.saw}</span>
              </li>
            ) : (
              <LookLine key={`${look.test} ${look.body}`} look={look} isWaiting={isWaiting} onLook={onLook} />
            ),
          )}
        </ul>
        {answer}
      </div>
    </div>
  );
}

interface LookLineProps {
  readonly look: OfferedLook;
  readonly isWaiting: boolean;
  readonly onLook: (look: Look) => void;
}

function LookLine({ look, isWaiting, onLook }: LookLineProps) {
  const { test, body, text } = look;
  return (
    <li className="line">
      <button
        type="button"
        data-look={test}
        className="practice-look"
        disabled={isWaiting}
        onClick={() => onLook({ test, ...(body === undefined ? {} : { body }) })}
      >
        <span className="strong">{text}</span>
        <span className="soft one-line">{costWords(look)}</span>
      </button>
    </li>
  );
}
