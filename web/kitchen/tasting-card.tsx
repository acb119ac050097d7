/** One tasting: its three steps, what is next and from when, what is kept raw, what was felt. */
import { isUnderWay, keptUntil, kindKey, TASTING_STEPS, tastingStage } from "@jittery-cap/core/kitchen";
import type { Kept } from "../documents/documents.ts";
import { useCommonNames } from "../sheets/use-common-names.ts";
import { stageWords, whenWords } from "./stage-words.ts";
import { TastingCalendar } from "./tasting-calendar.tsx";
import { TastingUnderWay } from "./tasting-under-way.tsx";
import { type Kitchen, nextMorning } from "./use-kitchen.ts";

interface TastingCardProps {
  readonly tasting: Kept<"tasting">;
  readonly kitchen: Kitchen;
}

export function TastingCard({ tasting: { id, content }, kitchen }: TastingCardProps) {
  const names = useCommonNames();
  const stage = tastingStage(content, kitchen.now.getTime(), nextMorning);
  const person = kitchen.people.find((one) => one.id === content.person)?.name ?? "Somebody else";
  const kept = keptUntil(content);
  const isCleared = kitchen.decisions.some(
    ({ find, today }) => find.id === content.find && today.cleared.includes(content.body),
  );
  return (
    <section
      className="section"
      data-tasting={kindKey(content.kinds)}
      data-stage={stage.kind}
      aria-label={`${person}: ${kindKey(content.kinds)}`}
    >
      <h2 className="section-title">
        {person}: {content.kinds.map((kind) => names.get(kind) ?? kind.replaceAll("-", " ")).join(" or ")}
      </h2>
      <p className="large strong">{stageWords(stage)}</p>
      <ol className="tasting-steps">
        {TASTING_STEPS.map(({ name, grams }, index) => {
          const had = content.portions[index];
          return (
            <li key={name} data-had={had !== undefined}>
              <b>{name}</b> <span className="soft">up to {grams} g</span>
              <div className="small">
                {had === undefined ? "not yet" : `${had.grams} g, ${whenWords(Date.parse(had.at))}`}
              </div>
            </li>
          );
        })}
      </ol>
      {content.raw !== undefined && (
        <p className="small">
          Raw one: {content.raw.where}
          {kept === undefined ? "" : `, until ${whenWords(kept.raw)}; a dried slice until ${whenWords(kept.slice)}`}.
        </p>
      )}
      {content.felt.map(({ at, what }) => (
        <p key={at} className="stands">
          Felt {whenWords(Date.parse(at))}: {what}
        </p>
      ))}
      {isUnderWay(stage) && !isCleared && (
        <p className="stands">Today's answer does not clear it any more: no further portion.</p>
      )}
      {isUnderWay(stage) && <TastingUnderWay id={id} tasting={content} stage={stage} isCleared={isCleared} />}
      {isUnderWay(stage) && <TastingCalendar id={id} tasting={content} stage={stage} person={person} />}
    </section>
  );
}
