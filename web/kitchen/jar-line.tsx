/** A jar: its code, what it is and of which finds, what is left and until when, and the ways out of the store. */
import { type Batch, keepsUntil, leftOf, TAKING_WORDS, WAY_FACTS } from "@jittery-cap/core/kitchen";
import Link from "@mui/material/Link";
import { useState } from "react";
import { Link as RouterLink } from "react-router";
import { findPath } from "../addresses.ts";
import { WeightField } from "../basket/weight-field.tsx";
import type { Kept } from "../documents/documents.ts";
import { setFields } from "../documents/keep-fields.ts";
import { useCommonNames } from "../sheets/use-common-names.ts";
import { TakeOut } from "./take-out.tsx";
import type { Kitchen } from "./use-kitchen.ts";

const DAY = { day: "numeric", month: "short", year: "numeric" } as const;
const dayWords = (moment: number) => new Date(moment).toLocaleDateString([], DAY);

interface JarLineProps {
  readonly jar: Kept<"batch">;
  readonly kitchen: Kitchen;
  readonly isRecalled: boolean;
  /** Whether all of its story is told. */
  readonly isOpen: boolean;
}

export function JarLine({ jar: { id, content }, kitchen, isRecalled, isOpen }: JarLineProps) {
  const names = useCommonNames();
  const [fault, setFault] = useState<string>();
  const left = leftOf(content);
  const until = keepsUntil(Date.parse(content.madeAt), content.way);
  const isOver = kitchen.now.getTime() > until;
  const finds = [...new Set(content.from.map(({ find }) => find))];
  return (
    <li className="jar" data-jar={content.code} data-recalled={isRecalled}>
      <RouterLink to={`/kitchen/store/${content.code}`} className="jar-code">
        {content.code}
      </RouterLink>
      <div>
        <div className="strong">
          {content.kinds.map((kind) => names.get(kind) ?? kind.replaceAll("-", " ")).join(" or ")}
        </div>
        <div className="small">
          {WAY_FACTS[content.way].name} {dayWords(Date.parse(content.madeAt))}, {leftWords(content, left)}
          {content.where === undefined ? "" : `, ${content.where}`}
        </div>
        <div className={isOver ? "stands small" : "soft small"}>
          {isOver ? "past its time: it goes" : `until ${dayWords(until)}`}
        </div>
        {content.way === "infusion" && <Infusion kinds={content.kinds} kitchen={kitchen} />}
        {isRecalled && <div className="stands">Called back: nothing of it is cooked.</div>}
        <div className="soft small">
          From{" "}
          {finds.map((find, index) => (
            <span key={find}>
              {index > 0 ? ", " : ""}
              <Link component={RouterLink} to={findPath(find, "decide")}>
                {kitchen.decisions.find((one) => one.find.id === find)?.find.label ?? "a find"}
              </Link>
            </span>
          ))}
        </div>
        {fault !== undefined && (
          <div role="alert" className="stands">
            Not taken: {fault}
          </div>
        )}
        {isOpen && <Story batch={content} />}
      </div>
      <div className="actions">
        {content.gramsOut === undefined ? (
          <WeightField
            label={`Weight of jar ${content.code}`}
            grams={undefined}
            onSet={(grams) => void setFields("batch", id, { gramsOut: grams }).then(setFault)}
          />
        ) : (
          left !== 0 && <TakeOut id={id} batch={content} left={left ?? 0} isBarred={isRecalled || isOver} />
        )}
      </div>
    </li>
  );
}

function leftWords({ gramsIn, gramsOut }: Batch, left: number | undefined): string {
  if (gramsOut === undefined || left === undefined) return `${Math.round(gramsIn)} g went in, not weighed since`;
  return left === 0 ? "nothing left" : `${Math.round(left)} of ${Math.round(gramsOut)} g left`;
}

/** How a cup is made; no claim is made for any effect. */
function Infusion({ kinds, kitchen }: { readonly kinds: readonly string[]; readonly kitchen: Kitchen }) {
  const cups = kinds.flatMap((kind) => kitchen.sheetOf(kind)?.handling.kitchen?.infusion ?? []);
  return cups.map(({ perCup, minutes, timesAWeek }) => (
    <div key={perCup} className="small">
      {perCup} to a cup, {minutes} minutes and more, {timesAWeek} times a week at the most. No claim is made for any
      effect. With medicines, pregnancy or an illness: ask the doctor first.
    </div>
  ));
}

function Story({ batch }: { readonly batch: Batch }) {
  return (
    <ul className="table-recorded small">
      <li>
        {Math.round(batch.gramsIn)} g in{batch.gramsOut === undefined ? "" : `, ${Math.round(batch.gramsOut)} g out`}
      </li>
      {batch.took.map(({ at, grams, how }) => (
        <li key={`${at} ${grams}`}>
          {dayWords(Date.parse(at))}: {Math.round(grams)} g {TAKING_WORDS[how]}
        </li>
      ))}
      {batch.recalls.map(({ at, did }) => (
        <li key={at}>
          {dayWords(Date.parse(at))}, called back: {did}
        </li>
      ))}
    </ul>
  );
}
