/** The shortest way to an answer: each test leads to the question that it opens. What cannot be settled is said. */
import type { Change, Find } from "@jittery-cap/core";
import Button from "@mui/material/Button";
import { Link } from "react-router";
import { Section } from "../layout/section.tsx";
import { useSession } from "../session/session-context.tsx";
import { testPath } from "../specimen/place-of-test.ts";
import type { ShownAnswer } from "../standing/shown-answer.ts";
import { STAYS_HELD, staysHeld, timeWords, wayTitle } from "./way-words.ts";

/** So many dangers that no test settles are told one by one; the board shows them all. */
const SETTLED_NOT = 3;

export function Way({ answer, find }: { readonly answer: ShownAnswer; readonly find: Find }) {
  const { tests, cannotSettle, further, nothingHelps } = answer.next;
  if (tests.length + cannotSettle.length + further.length === 0 && nothingHelps === undefined) return null;
  const without = further.find((one) => one.leaveOut !== undefined);
  return (
    <Section title={wayTitle(answer)}>
      {without?.leaveOut !== undefined && <LeaveOut text={without.text} bodies={without.leaveOut} />}
      {tests.length > 0 && staysHeld(answer) && <p data-stays-held>{STAYS_HELD}</p>}
      <ol aria-label="Next tests" className="lines">
        {tests.map((test, index) => (
          <li key={`${test.test}-${test.body ?? ""}`} data-test={test.test} className="line">
            <Link to={testPath(find, test)} className="way-test">
              <b>{index + 1}</b>
              <span className="grow">{test.text}</span>
              <span className="soft small one-line">{timeWords(test.minutes, test.waitHours)}</span>
            </Link>
          </li>
        ))}
      </ol>
      {nothingHelps !== undefined && <p data-nothing-helps>{nothingHelps}</p>}
      {further.map((one) => one !== without && <p key={one.text}>{one.text}</p>)}
      {cannotSettle.slice(0, SETTLED_NOT).map((one) => (
        <p key={one.sheet + one.body} className="soft">
          {one.why.charAt(0).toUpperCase() + one.why.slice(1)}.
        </p>
      ))}
      {cannotSettle.length > SETTLED_NOT && (
        <p className="soft">{cannotSettle.length - SETTLED_NOT} more stand likewise: they are on the board.</p>
      )}
    </Section>
  );
}

/** Bodies that hold up the others, left out by one touch; below, where each body stands, they are kept again. */
function LeaveOut({ text, bodies }: { readonly text: string; readonly bodies: readonly string[] }) {
  const { changeTogether } = useSession();
  const leave = () =>
    changeTogether(bodies.map((body): Change => ({ kind: "set-body", body, field: "keep", value: false })));
  return (
    <div data-leave-out className="actions leave-out">
      <span className="grow">{text}</span>
      <Button onClick={leave}>Leave {bodies.join(" and ")} out</Button>
    </div>
  );
}
