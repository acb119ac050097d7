/** Begins a tasting: somebody who may, one body that is cleared and lacks nothing, and one new kind at a time. */
import {
  EATER_REFUSAL_WORDS,
  isUnderWay,
  refusedAltogether,
  tastingStage,
  wildDaysBefore,
} from "@jittery-cap/core/kitchen";
import Button from "@mui/material/Button";
import { useState } from "react";
import { make } from "../documents/keep-fields.ts";
import { ChooseFrom } from "../layout/choose-from.tsx";
import { Section } from "../layout/section.tsx";
import { useCommonNames } from "../sheets/use-common-names.ts";
import { useMet } from "./met.ts";
import { PersonDialog } from "./person-dialog.tsx";
import { bodyLine } from "./pot-lines.ts";
import { type Kitchen, localDay, nextMorning } from "./use-kitchen.ts";

/** Why a person may not begin a tasting of a kind now, or undefined where they may. */
export function tastingRefused(kitchen: Kitchen, person: string, kinds: readonly string[]): string | undefined {
  const now = kitchen.now.getTime();
  const eater = kitchen.people.find(({ id }) => id === person);
  if (eater === undefined) return "nobody is chosen";
  const days = wildDaysBefore(
    kitchen.meals.map(({ content }) => content),
    person,
    now,
    localDay,
  );
  const [altogether] = refusedAltogether(eater, days);
  if (altogether !== undefined) return EATER_REFUSAL_WORDS[altogether];
  if (eater.had?.some((one) => kinds.includes(one.kind) && one.trouble) === true)
    return EATER_REFUSAL_WORDS["had-trouble"];
  const own = kitchen.tastings.filter(({ content }) => content.person === person);
  if (own.some(({ content }) => content.felt.length > 0 && content.kinds.some((kind) => kinds.includes(kind))))
    return "a tasting of it ended with something felt";
  if (own.some(({ content }) => isUnderWay(tastingStage(content, now, nextMorning))))
    return EATER_REFUSAL_WORDS["other-tasting"];
  if (own.some(({ content }) => localDay(Date.parse(content.begunAt)) === localDay(now)))
    return EATER_REFUSAL_WORDS["second-new-kind"];
  return undefined;
}

export function BeginTasting({ kitchen }: { readonly kitchen: Kitchen }) {
  const names = useCommonNames();
  const [person, setPerson] = useState("");
  const [chosen, setChosen] = useState("");
  const [isNew, setNew] = useState(false);
  const bodies = kitchen.carried.filter((one) => one.compartment !== "apart-from-food");
  const body = bodies.find((one) => `${one.find} ${one.body}` === chosen);
  const met = useMet(kitchen.decisions.flatMap(({ current }) => (current?.id === body?.find ? (current ?? []) : [])));
  // what can be ticked is asked before each portion; what is for others, the record or the table has to be there
  const lacks =
    body === undefined
      ? []
      : bodyLine(body, {
          kitchen,
          met,
          ticked: new Set(),
          besides: "",
          way: "pot",
          at: kitchen.now.getTime(),
        }).missing.filter(({ code, byTick }) => byTick !== true && code !== "tasting" && code !== "no-weight");
  const refused = body === undefined ? undefined : tastingRefused(kitchen, person, body.kinds);
  const begin = async () => {
    if (body === undefined || refused !== undefined || lacks.length > 0) return;
    await make("tasting", {
      person,
      kinds: [...body.kinds],
      find: body.find,
      body: body.body,
      begunAt: new Date().toISOString(),
      portions: [],
      felt: [],
    });
    setChosen("");
  };
  return (
    <Section title="Begin a tasting" about="Of one kind that is named and cleared, cooked as its sheet asks.">
      <div className="actions">
        <ChooseFrom label="Who tastes" value={person} onChange={setPerson}>
          <option value="">who</option>
          {kitchen.people.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </ChooseFrom>
        <Button onClick={() => setNew(true)}>Somebody new</Button>
        <ChooseFrom label="Which body" value={chosen} onChange={setChosen}>
          <option value="">which body</option>
          {bodies.map((one) => (
            <option key={`${one.find} ${one.body}`} value={`${one.find} ${one.body}`}>
              {one.body} of {one.label}: {one.kinds.map((kind) => names.get(kind) ?? kind).join(" or ")}
            </option>
          ))}
        </ChooseFrom>
        <Button
          variant="contained"
          disabled={body === undefined || person === "" || refused !== undefined || lacks.length > 0}
          onClick={() => void begin()}
        >
          Begin
        </Button>
      </div>
      {bodies.length === 0 && <p className="soft">Nothing that is cleared lies in the basket.</p>}
      {person !== "" && refused !== undefined && <p className="stands">Not now: {refused}.</p>}
      {lacks.map(({ code, text }) => (
        <p key={code + text} className="stands">
          {text}
        </p>
      ))}
      {isNew && <PersonDialog eater={undefined} onClose={() => setNew(false)} onKept={setPerson} />}
    </Section>
  );
}
