/** A test of twenty: find by find, then the paper. It can be left and gone on with. */
import { type TestItem, type Try, TWENTY, testOutcome } from "@jittery-cap/core/trainer";
import Button from "@mui/material/Button";
import { useLiveQuery } from "dexie-react-hooks";
import { useEffect, useMemo, useState } from "react";
import { useParams } from "react-router";
import { useShelf } from "../sheets/use-shelf.ts";
import { VERDICT_WORDS } from "../standing/verdict-words.ts";
import { askUntilAnswered } from "../worker/ask-again.ts";
import { askPractice } from "./ask-practice.ts";
import { Covered, NoExercise, PracticeFrame } from "./practice-frame.tsx";
import { keepTry, sittings } from "./use-practice.ts";
import { useSheetLines } from "./use-sheet-lines.ts";
import { WholeExercise } from "./whole-exercise.tsx";

export function TestView() {
  const { seed = "" } = useParams();
  const [items, setItems] = useState<readonly TestItem[]>();
  const [isFailed, setFailed] = useState(false);
  const [refusal, setRefusal] = useState<string>();
  const edition = useShelf("edition", (remote) => remote.edition());
  // the find that is shown stays until somebody goes on, although it is kept already
  const [shown, setShown] = useState<number>();
  const tries = useLiveQuery(async () => {
    const of = (await sittings()).filter(({ content }) => content.test === seed);
    return of.flatMap(({ content }) => content.tries);
  }, [seed]);
  useEffect(() => {
    const onReply = (told: readonly TestItem[]) => {
      setFailed(false);
      setItems(told);
    };
    return askUntilAnswered({ ask: () => askPractice("test", seed), onReply, onFailure: () => setFailed(true) }).stop;
  }, [seed]);
  const done = useMemo(() => new Map((tries ?? []).map((one) => [one.seed, one])), [tries]);
  const next = items?.findIndex((item) => !done.has(item.seed));
  const at = shown ?? (next === -1 ? undefined : next);
  if (items === undefined || tries === undefined || isFailed || edition.state === "failed")
    return (
      <PracticeFrame
        label="A test of twenty"
        light={<NoExercise state={isFailed || edition.state === "failed" ? "failed" : "looking"} />}
        dark={<Covered>{null}</Covered>}
      />
    );
  const item = at === undefined ? undefined : items[at];
  if (item === undefined || at === undefined) return <TestPaper seed={seed} items={items} done={done} />;
  return (
    <WholeExercise
      key={item.seed}
      item={item}
      title={`“${seed}”: find ${at + 1} of ${TWENTY}`}
      today={undefined}
      refusal={refusal}
      keep={(one) => {
        setShown(at);
        const by = edition.state === "told" ? edition.reply : "";
        keepTry({ ...one, exercise: "whole", seed: item.seed, edition: by }, seed).then(setRefusal, () =>
          setRefusal("This device could not keep it: it does not count."),
        );
      }}
      onNext={() => setShown(undefined)}
    />
  );
}

interface TestPaperProps {
  readonly seed: string;
  readonly items: readonly TestItem[];
  readonly done: ReadonlyMap<string, Try>;
}

/** The paper with the result. */
function TestPaper({ seed, items, done }: TestPaperProps) {
  const { nameOf } = useSheetLines();
  const tries = items.flatMap((item) => done.get(item.seed) ?? []);
  const { right, letThrough, thrownAway, isPassed } = testOutcome(tries);
  const last = tries.at(-1)?.at;
  return (
    <PracticeFrame
      label="The paper"
      isLow
      light={
        <div data-testid="test-paper">
          <h1 className="view-title">{isPassed ? "No danger in the basket" : `${letThrough.length} let through`}</h1>
          <p className="lead-in">
            Test “{seed}”, twenty made finds, five of them deadly
            {last === undefined ? "" : `, ended ${new Date(last).toLocaleDateString()}`}. {right.some} of {right.of}{" "}
            were judged as what was seen carries; {thrownAway} good {thrownAway === 1 ? "one was" : "ones were"} left
            for nothing.
          </p>
          <p className="strong">
            This paper permits nothing. Made finds are not mushrooms: show what you find to somebody who knows.
          </p>
          <div className="table-scroll">
            <table className="figures">
              <thead>
                <tr>
                  <th scope="col">Find</th>
                  <th scope="col">It was</th>
                  <th scope="col">You said</th>
                  <th scope="col" className="amount">
                    Minutes
                  </th>
                </tr>
              </thead>
              <tbody>
                {items.map((item, index) => {
                  const one = done.get(item.seed);
                  return (
                    <tr key={item.seed}>
                      <td>{index + 1}</td>
                      <th scope="row">{nameOf(item.sheet)}</th>
                      <td>
                        {one?.verdict === undefined ? "" : VERDICT_WORDS[one.verdict]}
                        {one?.isLetThrough === true && <b className="danger-ink"> let through</b>}
                        {one?.isLetThrough !== true && one?.isRight === false && <span> not right</span>}
                      </td>
                      <td className="amount">{one?.minutes ?? ""}</td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
          </div>
          <Button className="above-2 not-printed" onClick={() => window.print()}>
            Print it
          </Button>
        </div>
      }
      dark={
        <>
          <p className="said">{letThrough.length === 0 ? "Nothing came through" : "These came through"}</p>
          <ul className="lines">
            {letThrough.map((sheet) => (
              <li key={sheet} className="line practice-weak">
                <b>{nameOf(sheet)}</b>
              </li>
            ))}
          </ul>
        </>
      }
    />
  );
}
