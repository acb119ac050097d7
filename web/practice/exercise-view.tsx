/** One exercise after another: of a kind, or whatever comes next. */
import { EXERCISE_WORDS, EXERCISES, type Exercise } from "@jittery-cap/core/trainer";
import { useParams } from "react-router";
import { RouteFault } from "../layout/route-fault.tsx";
import { LampExercise } from "./lamp-exercise.tsx";
import { LookExercise } from "./look-exercise.tsx";
import { NothingExercise } from "./nothing-exercise.tsx";
import { Covered, NoExercise, PracticeFrame } from "./practice-frame.tsx";
import { TwoExercise } from "./two-exercise.tsx";
import { useItem } from "./use-item.ts";
import { usePractice } from "./use-practice.ts";
import { WholeExercise } from "./whole-exercise.tsx";

/** "next" is no exercise of its own: it is whatever comes next of all. */
const isExercise = (word: string | undefined): word is Exercise =>
  word !== "own" && EXERCISES.some((one) => one === word);

export function ExerciseView() {
  const { exercise } = useParams();
  if (exercise !== "next" && !isExercise(exercise)) return <RouteFault isNowhere />;
  return <Exercising key={exercise} asked={exercise === "next" ? undefined : exercise} />;
}

function Exercising({ asked }: { readonly asked: Exercise | undefined }) {
  const practice = usePractice();
  const shown = useItem(practice, asked);
  const { item, state, next, keep, refusal } = shown;
  const title = asked === undefined ? "Practice" : EXERCISE_WORDS[asked];
  if (item === undefined || state !== "ready")
    return (
      <PracticeFrame
        label={title}
        isLow
        light={
          <>
            <h1 className="view-title">{title}</h1>
            <NoExercise state={state === "ready" ? "looking" : state} />
          </>
        }
        dark={<Covered>{null}</Covered>}
      />
    );
  const parts = { today: practice?.today, keep, onNext: next, refusal };
  switch (item.kind) {
    case "look":
      return <LookExercise key={item.seed} item={item} {...parts} />;
    case "two":
      return <TwoExercise key={item.seed} item={item} {...parts} />;
    case "nothing":
      return <NothingExercise key={item.seed} item={item} {...parts} />;
    case "lamp":
      return <LampExercise key={item.seed} item={item} {...parts} />;
    case "whole":
      return <WholeExercise key={item.seed} item={item} {...parts} />;
  }
}
