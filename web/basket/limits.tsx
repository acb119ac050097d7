/** The person's own limits for a day, counted down; the program does not know the law. */
import { type Carried, canonicalJson, countLimits, type Limit, type LimitState, ofDay } from "@jittery-cap/core";
import { placeLimits } from "@jittery-cap/core/season";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useLiveQuery } from "dexie-react-hooks";
import { useState } from "react";
import { isReadable, listKept, readKept } from "../documents/documents.ts";
import { ChooseFrom } from "../layout/choose-from.tsx";
import { useCommonNames } from "../sheets/use-common-names.ts";

/** The places that ask something, and where the finds stand that are carried. */
async function placesAsking(finds: readonly string[]) {
  const places = (await listKept("place", Number.POSITIVE_INFINITY)).filter(isReadable);
  const kept = await Promise.all([...new Set(finds)].map((find) => readKept("find", find)));
  return {
    places,
    stood: new Map(kept.flatMap((one) => (one === undefined ? [] : [[one.id, one.content.place] as const]))),
  };
}

interface LimitsProps {
  /** Undefined where what is carried is not known: then nothing is counted. */
  readonly carried: readonly Carried[] | undefined;
  readonly limits: readonly Limit[];
  readonly onSet: (limits: readonly Limit[]) => void;
}

export function Limits({ carried: known, limits, onSet }: LimitsProps) {
  const carried = known ?? [];
  const dayOf = (moment: string) => new Date(moment).toDateString();
  const namesOf = useCommonNames();
  const limitWords = ({ place: where, kind: what }: Limit) =>
    `${where === undefined ? "" : `${where}, `}${what === "all" ? "together" : (namesOf.get(what) ?? what.replaceAll("-", " "))}`;
  const ofToday = ofDay(carried, new Date().toDateString(), dayOf);
  const states = countLimits(ofToday, limits);
  const finds = ofToday.map(({ find }) => find);
  const asking = useLiveQuery(() => placesAsking(finds), [finds.join()]);
  const ofPlaces = asking === undefined ? [] : placeLimits(ofToday, asking.places, (find) => asking.stood.get(find));
  const placeName = (id: string) => asking?.places.find((one) => one.id === id)?.content.name ?? "a place";
  const add = (limit: Limit) => {
    if (limits.every((one) => canonicalJson(one) !== canonicalJson(limit))) onSet([...limits, limit]);
  };
  return (
    <section aria-label="Limits" data-testid="limits">
      <h2 className="section-title">Your limits for a day</h2>
      <div className="section-about">
        Enter what the law of the place and its owner allow. The program does not know the law.
      </div>
      {states.map((state, index) => (
        <div key={canonicalJson(state.limit)} data-over={state.over} className="line limit">
          <span className="soft">{limitWords(state.limit)}</span>
          <span className="grow">{known === undefined ? "not known" : stateWords(state)}</span>
          <Button variant="quiet" onClick={() => onSet(limits.filter((_one, at) => at !== index))}>
            drop
          </Button>
        </div>
      ))}
      {ofPlaces.map(({ place: of, state }) => (
        <div
          key={`${of} ${canonicalJson(state.limit)}`}
          data-over={state.over}
          className="line limit"
          data-testid="place-limit"
        >
          <span className="soft">
            {placeName(of)}, {limitWords(state.limit)}, as it asks
          </span>
          <span className="grow">{known === undefined ? "not known" : stateWords(state)}</span>
        </div>
      ))}
      <NewLimit carried={carried} namesOf={namesOf} onAdd={add} />
    </section>
  );
}

interface NewLimitProps {
  readonly carried: readonly Carried[];
  readonly namesOf: ReadonlyMap<string, string>;
  readonly onAdd: (limit: Limit) => void;
}

function NewLimit({ carried, namesOf, onAdd }: NewLimitProps) {
  const [text, setText] = useState("");
  const [kind, setKind] = useState("all");
  const [place, setPlace] = useState("");
  const places = [...new Set(carried.flatMap((one) => (one.place === undefined ? [] : [one.place])))].sort();
  const kinds = [...new Set(carried.flatMap((one) => one.kinds))].sort();
  const add = (unit: "grams" | "pieces") => {
    const value = Number(text.replace(",", "."));
    if (!(value > 0) || (unit === "pieces" && !Number.isInteger(value))) return;
    onAdd({ kind, ...(place === "" ? {} : { place }), [unit]: value });
    setText("");
  };
  return (
    <div className="actions above">
      <TextField
        value={text}
        onChange={(event) => setText(event.target.value)}
        placeholder="how much"
        sx={{ width: 120 }}
        slotProps={{ htmlInput: { inputMode: "decimal", "aria-label": "A limit" } }}
      />
      <ChooseFrom label="Of what" value={kind} onChange={setKind}>
        <option value="all">all together</option>
        {kinds.map((one) => (
          <option key={one} value={one}>
            {namesOf.get(one) ?? one.replaceAll("-", " ")}
          </option>
        ))}
      </ChooseFrom>
      <ChooseFrom label="Where" value={place} onChange={setPlace}>
        <option value="">anywhere</option>
        {places.map((one) => (
          <option key={one} value={one}>
            {one}
          </option>
        ))}
      </ChooseFrom>
      {(["grams", "pieces"] as const).map((unit) => (
        <Button key={unit} onClick={() => add(unit)}>
          {unit}
        </Button>
      ))}
    </div>
  );
}

/** "5 of 10 pieces", "400 of 1000 g, 2 not weighed: over it". */
function stateWords({ limit, pieces, grams, unweighed, over }: LimitState): string {
  const so =
    limit.grams === undefined
      ? `${pieces} of ${limit.pieces} pieces`
      : `${grams} of ${limit.grams} g${unweighed > 0 ? `, ${unweighed} not weighed` : ""}`;
  return over ? `${so}: over it` : so;
}
