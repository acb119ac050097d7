/** One's own past finds, months later, without the answer: what would you say of it now? */
import { type Body, CHARACTER_WORDS, type Find, stateWords, type Verdict, wordList } from "@jittery-cap/core";
import { chanceOf, pickSome } from "@jittery-cap/core/trainer";
import Alert from "@mui/material/Alert";
import { useLiveQuery } from "dexie-react-hooks";
import { useEffect, useMemo, useState } from "react";
import { Link } from "react-router";
import { findPath } from "../addresses.ts";
import { isReadable, listKept } from "../documents/documents.ts";
import { BodiesRow } from "../specimen/bodies-row.tsx";
import type { ShownAnswer } from "../standing/shown-answer.ts";
import { VERDICT_WORDS } from "../standing/verdict-words.ts";
import { askUntilAnswered } from "../worker/ask-again.ts";
import { askJudge } from "../worker/judge.ts";
import type { SheetLine } from "../worker/judge.worker.ts";
import { askPractice } from "./ask-practice.ts";
import { GoOn, Told } from "./exercise-parts.tsx";
import { TENTHS } from "./how-sure.tsx";
import { MadeFigure } from "./made-figure.tsx";
import { NearestQuestion } from "./nearest-question.tsx";
import { pastFinds } from "./own-finds.ts";
import { Covered, NoExercise, PracticeFrame } from "./practice-frame.tsx";
import { keepTry, type Practice, usePractice } from "./use-practice.ts";
import { WholeAnswer } from "./whole-answer.tsx";
import type { Nearest as SaidNearest } from "./whole-exercise.tsx";

export function OwnView() {
  const practice = usePractice();
  const finds = useLiveQuery(async () =>
    (await listKept("find", Number.POSITIVE_INFINITY)).filter(isReadable).map(({ content }) => content),
  );
  const [turn, setTurn] = useState(0);
  const [seed] = useState(() => String(Date.now()));
  const isReady = practice !== undefined;
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is tried meanwhile does not change the order of those to come
  const past = useMemo(
    () =>
      finds === undefined || practice === undefined
        ? undefined
        : pastFinds(finds, Date.now(), new Set(lately(practice)), seed),
    [finds, isReady, seed],
  );
  const find = past?.[turn];
  if (practice === undefined || find === undefined)
    return (
      <PracticeFrame
        label="Your finds"
        isLow
        light={
          <>
            <h1 className="view-title">Your own finds</h1>
            {past === undefined ? (
              <NoExercise state={practice?.isFailed === true ? "failed" : "looking"} />
            ) : (
              <p className="lead-in">
                {turn === 0
                  ? "No find of yours is two months old and looked at enough. They come here when they are."
                  : "That was the last of them for now."}{" "}
                <Link to="/practice/next">Go on with made ones</Link>
              </p>
            )}
          </>
        }
        dark={<Covered>{null}</Covered>}
      />
    );
  return <OneOwn key={find.id} find={find} practice={practice} onNext={() => setTurn(turn + 1)} />;
}

const AGAIN_MS = 90 * 86_400_000;

/** Finds that were judged anew within three months. */
const lately = ({ tries }: Practice): string[] =>
  tries.flatMap(({ exercise, seed, at }) =>
    exercise === "own" && Date.now() - Date.parse(at) < AGAIN_MS ? [seed] : [],
  );

interface OneOwnProps {
  readonly find: Find;
  readonly practice: Practice;
  readonly onNext: () => void;
}

/** How the judge sees it today, and the dangers that can be named. */
function useJudged(find: Find) {
  const [answer, setAnswer] = useState<ShownAnswer>();
  const [named, setNamed] = useState<readonly SheetLine[]>([]);
  const [isFailed, setFailed] = useState(false);
  useEffect(() => {
    return askUntilAnswered({
      ask: () => Promise.all([askJudge(find), askPractice("dangers")]),
      onReply: ([told, all]) => {
        setFailed(false);
        setAnswer(told);
        setNamed(toChoose(told, all, find.id));
      },
      onFailure: () => setFailed(true),
    }).stop;
  }, [find]);
  return { answer, named, isFailed };
}

function OneOwn({ find, practice, onNext }: OneOwnProps) {
  const [chosen, setChosen] = useState(find.bodies[0]?.id ?? "A");
  const { answer, named, isFailed } = useJudged(find);
  const [nearest, setNearest] = useState<SaidNearest>();
  const [verdict, setVerdict] = useState<Verdict>();
  const [sure, setSure] = useState<number>();
  const [refusal, setRefusal] = useState<string>();
  const isTold = sure !== undefined && answer !== undefined;
  const least = answer?.dangers[0]?.mistakes ?? 0;
  const finish = (tenths: number) => {
    if (verdict === undefined || answer === undefined || sure !== undefined) return;
    setSure(tenths);
    const own = answer.dangers.find((one) => one.sheet === nearest?.sheet);
    keepTry({
      exercise: "own",
      seed: find.id,
      edition: answer.edition,
      isRight: verdict === answer.verdict,
      sure: tenths / TENTHS,
      verdict,
      ...(nearest === undefined ? {} : { isNearestRight: own?.mistakes === least }),
    }).then(setRefusal, () => setRefusal("This device could not keep it: it does not count."));
  };
  const body = find.bodies.find(({ id }) => id === chosen) ?? find.bodies[0];
  return (
    <PracticeFrame
      label="Your finds"
      light={
        <div className="practice-whole practice-own">
          <div className="practice-whole-figure">
            {body !== undefined && <MadeFigure find={find} body={body} />}
            {find.bodies.length > 1 && <BodiesRow find={find} chosen={chosen} onChoose={setChosen} height={84} />}
          </div>
          <div>
            <h1 className="view-title">What would you say of it now?</h1>
            <p className="lead-in">
              Yours, of {find.foundAt === undefined ? "an unknown day" : new Date(find.foundAt).toLocaleDateString()}
              {find.bodies.length === 1 && body?.age !== undefined && `, one body, ${body.age}`}. This is what you saw
              then.
            </p>
            {isFailed && <Alert severity="error">The judge cannot be had just now: nothing is counted.</Alert>}
            {body !== undefined && <SeenThen body={body} />}
            {isTold ? (
              <>
                <Told isRight={verdict === answer.verdict}>{VERDICT_WORDS[answer.verdict]}</Told>
                <p>
                  <Link to={findPath(find.id, "history")}>What you did with it then</Link>
                </p>
                <GoOn today={practice.today} onNext={onNext} refusal={refusal} />
              </>
            ) : (
              // asked only when it can be told: a touch is never lost
              answer !== undefined && <WholeAnswer verdict={verdict} onVerdict={setVerdict} onSure={finish} />
            )}
          </div>
        </div>
      }
      dark={
        isTold ? (
          <Nearest answer={answer} />
        ) : (
          <Covered>
            <NearestQuestion dangers={named} said={nearest} onSay={setNearest} />
          </Covered>
        )
      }
    />
  );
}

/** What was seen of a body then. */
function SeenThen({ body: { seen = [] } }: { readonly body: Body }) {
  return (
    <dl className="practice-seen">
      {seen.map((entry) => (
        <div key={`${entry.character} ${entry.by ?? ""} ${entry.at ?? ""}`}>
          <dt>{CHARACTER_WORDS[entry.character].plain}</dt>
          <dd>
            {entry.states === undefined
              ? "could not be looked at"
              : wordList(
                  entry.states.map((state) => stateWords(entry.character, state)),
                  "and",
                )}
            {entry.sure === false ? ", unsure" : ""}
          </dd>
        </div>
      ))}
    </dl>
  );
}

/** By what was seen then: the answer, its reasons, the nearest dangers. */
function Nearest({ answer }: { readonly answer: ShownAnswer }) {
  return (
    <>
      <p className="said">{VERDICT_WORDS[answer.verdict]}</p>
      {answer.reasons.slice(0, 3).map((reason) => (
        <p key={reason.code} className="small">
          {reason.text}
        </p>
      ))}
      <ul className="lines above-2">
        {answer.dangers.slice(0, 5).map((danger) => (
          <li key={danger.sheet} className="line practice-stands">
            <span className={danger.tier === "deadly" ? "grow strong" : "grow"}>{danger.name}</span>
            <b>{danger.mistakes}</b>
          </li>
        ))}
      </ul>
    </>
  );
}

/** Two of the nearest and two others, in an order that tells nothing. */
function toChoose(answer: ShownAnswer, all: readonly SheetLine[], seed: string): readonly SheetLine[] {
  const chance = chanceOf(seed, "own named");
  const near = answer.dangers.slice(0, 2).map((danger) => danger.sheet);
  const lines = all.filter(({ id }) => near.includes(id));
  const deadly = all.filter(({ id, tier }) => tier === "deadly" && !near.includes(id));
  const four = [...lines, ...pickSome(chance, deadly, 4 - lines.length)];
  return pickSome(chance, four, four.length);
}
