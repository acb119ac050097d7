/** Naming one of some: by touch or digit, then how sure, then what came of it is kept. */
import { useCallback, useState } from "react";
import type { ExerciseParts } from "./exercise-parts.tsx";
import { TENTHS } from "./how-sure.tsx";
import { useDigits } from "./use-digits.ts";

/** @param item the states to choose among, and the right one */
export function useNaming(
  { choices, answer }: { readonly choices: readonly string[]; readonly answer: string },
  { keep }: Pick<ExerciseParts, "keep">,
) {
  const [said, setSaid] = useState<string>();
  const [sure, setSure] = useState<number>();
  const isTold = sure !== undefined;
  const finish = useCallback(
    (tenths: number) => {
      if (said === undefined || isTold) return;
      setSure(tenths);
      keep({ isRight: said === answer, sure: tenths / TENTHS, answered: said });
    },
    [said, isTold, answer, keep],
  );
  useDigits((digit) => {
    const choice = choices[digit - 1];
    if (said !== undefined) finish(digit);
    else if (choice !== undefined) setSaid(choice);
  });
  return { said, setSaid, sure, finish, isTold };
}
