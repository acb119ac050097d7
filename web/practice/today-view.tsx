/** Practice today: what comes next, how much is due, and every exercise by itself. */
import { EXERCISE_WORDS, EXERCISES, type Exercise, type Today } from "@jittery-cap/core/trainer";
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import { useEffect, useState } from "react";
import { Link, useNavigate } from "react-router";
import { testPath } from "../addresses.ts";
import { usePreferences } from "../device/preferences.ts";
import { ChooseRegion } from "../layout/choose-region.tsx";
import type { Confusion } from "../worker/practice-room.ts";
import { askPractice } from "./ask-practice.ts";
import { PracticeFrame } from "./practice-frame.tsx";
import { standsWords } from "./practice-words.ts";
import { type Practice, usePractice } from "./use-practice.ts";
import { Weakest } from "./weakest.tsx";

const ABOUT: Readonly<Record<Exercise, string>> = {
  whole: "A made find, undrawn. Each look costs its minutes; then leave, hold or basket.",
  look: "Which foot, which ring, how do these gills meet the stem?",
  two: "A deadly one and what it is taken for: which one look decides it?",
  nothing: "A record and a day: what of it counts, and what is only not seen?",
  lamp: "A print or a stain by lamp, in shade, under leaves.",
  own: "Finds of your own, months later, without the answer.",
};

export function TodayView() {
  const practice = usePractice();
  const [ahead, setAhead] = useState<readonly Confusion[]>();
  const learning = practice?.learning;
  useEffect(() => {
    if (learning !== undefined) askPractice("ahead", learning()).then(setAhead, () => setAhead([]));
  }, [learning]);
  return (
    <PracticeFrame
      label="Practice today"
      isLow
      light={<Light practice={practice} />}
      dark={practice === undefined ? null : <Weakest tries={practice.tries} ahead={ahead} />}
    />
  );
}

function Light({ practice }: { readonly practice: Practice | undefined }) {
  const today = practice?.today;
  const navigate = useNavigate();
  const [seed, setSeed] = useState("");
  return (
    <>
      <h1 className="view-title">{titleOf(today)}</h1>
      {practice?.isFailed === true && (
        <Alert severity="error">The sheets cannot be had just now, so nothing can be practised.</Alert>
      )}
      <p className="lead-in">
        {today === undefined ? "Looking at what you practised." : standsWords(today, practice?.tries.length ?? 0)}
      </p>
      <Button variant="contained" size="large" component={Link} to="/practice/next">
        {today?.isEnough === true ? "Go on all the same" : (practice?.tries.length ?? 0) === 0 ? "Begin" : "Go on"}
      </Button>
      <ul className="lines above-3">
        {EXERCISES.map((exercise) => (
          <li key={exercise} className="line">
            <Link to={`/practice/${exercise}`} className="practice-exercise">
              <b>{EXERCISE_WORDS[exercise]}</b>
              <span className="soft">{ABOUT[exercise]}</span>
            </Link>
          </li>
        ))}
      </ul>
      <section className="section" aria-labelledby="twenty">
        <h2 id="twenty" className="section-title">
          A test of twenty
        </h2>
        <p className="section-about">
          Twenty finds, five of them deadly. The same word makes the same test for everybody. Passing it permits
          nothing.
        </p>
        <form
          className="actions"
          onSubmit={(event) => {
            event.preventDefault();
            if (seed.trim() !== "") void navigate(testPath(seed.trim()));
          }}
        >
          <input
            aria-label="The word that makes the test"
            className="practice-word"
            placeholder="any word"
            maxLength={60}
            value={seed}
            onChange={(event) => setSeed(event.target.value)}
          />
          <Button type="submit" size="large" disabled={seed.trim() === ""}>
            Take it
          </Button>
        </form>
      </section>
      <section className="section" aria-labelledby="teach">
        <h2 id="teach" className="section-title">
          For a table, or a club night
        </h2>
        <p className="section-about">
          One screen shows a find, everybody answers from their own phone, and it is uncovered together.
        </p>
        <Button component={Link} to="/practice/teach" size="large">
          Teach a round
        </Button>
      </section>
      <Where />
    </>
  );
}

function titleOf(today: Today | undefined): string {
  if (today === undefined) return "Practice";
  if (today.isEnough) return "Enough for today";
  const left = Math.max(1, Math.ceil(10 - today.minutes));
  return left === 1 ? "One minute is left" : `${TEN[left] ?? left} minutes ${today.tries === 0 ? "a day" : "are left"}`;
}
const TEN: Readonly<Record<number, string>> = {
  2: "Two",
  3: "Three",
  4: "Four",
  5: "Five",
  6: "Six",
  7: "Seven",
  8: "Eight",
  9: "Nine",
  10: "Ten",
};

/** Where somebody learned first: the local double of what was good there is asked for more. */
function Where() {
  const learnedIn = usePreferences((state) => state.learnedIn);
  const region = usePreferences((state) => state.region);
  const prefer = usePreferences((state) => state.prefer);
  return (
    <section className="section" aria-labelledby="learned">
      <h2 id="learned" className="section-title">
        Where you go, and where you learned
      </h2>
      <p className="section-about">
        Who comes from elsewhere takes the local deadly one for the good one of home. What stands where you go comes
        first.
      </p>
      <div className="fields">
        <ChooseRegion
          label="Where I go"
          none="where I go: not told"
          region={region ?? undefined}
          onChoose={(now) => prefer({ region: now ?? null })}
        />
        <ChooseRegion
          label="Where I learned first"
          none="where I learned first: the same"
          region={learnedIn ?? undefined}
          onChoose={(now) => prefer({ learnedIn: now ?? null })}
        />
      </div>
    </section>
  );
}
