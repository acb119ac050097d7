/** Puts bodies up for later: those that lack nothing, in a way that their kinds allow, under a code of its own. */
import { CONDITION_WORDS } from "@jittery-cap/core";
import {
  dryingFactor,
  kindKey,
  type Missing,
  newCode,
  notPutUpAs,
  WAY_FACTS,
  WAYS,
  type Way,
} from "@jittery-cap/core/kitchen";
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useState } from "react";
import { useNavigate } from "react-router";
import { keepTouch, touchNow } from "../documents/documents.ts";
import { Section } from "../layout/section.tsx";
import { BodyPicture } from "./body-picture.tsx";
import { make } from "./keep.ts";
import { useMet } from "./met.ts";
import { bodyLine, type PotLine } from "./pot-lines.ts";
import type { Kitchen } from "./use-kitchen.ts";

/** What of a chance a code is made. */
const chance = (): number => (crypto.getRandomValues(new Uint32Array(1))[0] ?? 0) / 2 ** 32;

export function PutUp({ kitchen }: { readonly kitchen: Kitchen }) {
  const navigate = useNavigate();
  const [way, setWay] = useState<Way>("dried");
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const food = kitchen.carried.filter((one) => one.compartment !== "apart-from-food");
  const met = useMet(
    kitchen.decisions.flatMap(({ current }) =>
      current !== undefined && food.some((one) => one.find === current.id) ? [current] : [],
    ),
  );
  const lines = food.map((one) =>
    bodyLine(one, { kitchen, met, ticked, besides: "", way: way === "infusion" ? "infusion" : "jar" }),
  );
  const going = lines.filter(({ key }) => chosen.includes(key));
  const barred = going.flatMap(({ handling }) =>
    handling === undefined
      ? []
      : (notPutUpAs(way, { infusionOnly: handling.infusionOnly, kitchen: { pickles: handling.pickles } }) ?? []),
  );
  const isOneKind = new Set(going.map(({ handling }) => kindKey(handling?.kinds ?? []))).size <= 1;
  const canPut =
    going.length > 0 && isOneKind && barred.length === 0 && going.every(({ missing }) => missing.length === 0);
  const put = async () => {
    const items = going.flatMap(({ item }) => item ?? []);
    const [first] = items;
    if (!canPut || first === undefined) return;
    const at = new Date().toISOString();
    const code = newCode(new Set(kitchen.batches.map(({ content }) => content.code)), chance);
    await make("batch", {
      code,
      way,
      kinds: first.kinds,
      from: items.map(({ find, body }) => ({ find, body })),
      madeAt: at,
      gramsIn: items.reduce((sum, one) => sum + one.grams, 0),
      ticks: [],
      took: [],
      recalls: [],
    });
    for (const { find, body } of items)
      await keepTouch(
        "find",
        find,
        touchNow([{ kind: "set-body", body, field: "parted", value: { how: "emptied", at } }]),
      );
    void navigate(`/kitchen/store/${code}`);
  };
  if (food.length === 0) return null;
  return (
    <Section title="Put up" about={WAY_FACTS[way].how}>
      <ToggleButtonGroup
        exclusive
        value={way}
        onChange={(_event, next: Way | null) => next !== null && setWay(next)}
        aria-label="How it is put up"
      >
        {WAYS.map((one) => (
          <ToggleButton key={one} value={one}>
            {WAY_FACTS[one].name}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <ul className="lines">
        {lines.map((line) => (
          <PutUpLine
            key={line.key}
            line={line}
            isChosen={chosen.includes(line.key)}
            onChoose={(isChosen) =>
              setChosen(isChosen ? [...chosen, line.key] : chosen.filter((one) => one !== line.key))
            }
            onTick={(condition) => setTicked(new Set([...ticked, `${line.key.split(" ")[0]} ${condition}`]))}
          />
        ))}
      </ul>
      {!isOneKind && <p className="stands">Kinds lie apart, each in a jar of its own.</p>}
      {barred.length > 0 && (
        <p className="stands">
          Not {WAY_FACTS[way].name.toLowerCase()}: {barred[0]}.
        </p>
      )}
      {(way === "dried" || way === "powder") && going.length > 0 && <Expected going={going} kitchen={kitchen} />}
      <Button variant="contained" size="large" disabled={!canPut} onClick={() => void put()}>
        Put up
      </Button>
    </Section>
  );
}

interface PutUpLineProps {
  readonly line: PotLine;
  readonly isChosen: boolean;
  readonly onChoose: (isChosen: boolean) => void;
  readonly onTick: (condition: string) => void;
}

function PutUpLine({ line, isChosen, onChoose, onTick }: PutUpLineProps) {
  return (
    <li className="line pot-line" data-put-up={line.key}>
      <BodyPicture decision={line.decision} body={line.item?.body ?? line.key.split(" ")[1] ?? ""} />
      <FormControlLabel
        className="grow"
        label={<b>{line.name}</b>}
        control={<Checkbox checked={isChosen} onChange={(event) => onChoose(event.target.checked)} />}
      />
      {isChosen && (
        <div className="stack">
          {line.missing.map((one) => (
            <MissingLine key={one.code + one.text} missing={one} onTick={onTick} />
          ))}
        </div>
      )}
    </li>
  );
}

function MissingLine({
  missing: { text, condition, byTick },
  onTick,
}: {
  readonly missing: Missing;
  readonly onTick: (condition: string) => void;
}) {
  return (
    <div className="stands small">
      {condition === undefined ? text : CONDITION_WORDS[condition]}{" "}
      {condition !== undefined && byTick === true && <Button onClick={() => onTick(condition)}>tick</Button>}
    </div>
  );
}

/** What is to be expected of it, by own weights of the same kind and the rule of ten to one. */
function Expected({ going, kitchen }: { readonly going: readonly PotLine[]; readonly kitchen: Kitchen }) {
  const kind = kindKey(going[0]?.handling?.kinds ?? []);
  const own = kitchen.batches.flatMap(({ content: { kinds, way, gramsIn, gramsOut } }) =>
    kindKey(kinds) === kind && (way === "dried" || way === "powder") && gramsOut !== undefined
      ? [{ gramsIn, gramsOut }]
      : [],
  );
  const { ratio, low, high, weighings } = dryingFactor(own);
  const grams = going.reduce((sum, { item }) => sum + (item?.grams ?? 0), 0);
  return (
    <p data-testid="expected">
      {Math.round(grams)} g fresh, about <b>{Math.round(grams / ratio)} g</b> dry ({Math.round(grams / high)} to{" "}
      {Math.round(grams / low)}, nine times of ten; by the rule of ten to one
      {weighings === 0 ? "" : ` and ${weighings} of your own weighings`}).
    </p>
  );
}
