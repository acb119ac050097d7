/** Puts bodies up for later: those that lack nothing, in a way that their kinds allow, under a code of its own. */
import {
  kindKey,
  newCode,
  notPutUpAs,
  type PotItem,
  tickSchema,
  WAY_FACTS,
  WAYS,
  type Way,
} from "@jittery-cap/core/kitchen";
import Button from "@mui/material/Button";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useState } from "react";
import { useNavigate } from "react-router";
import { keepTouch, together, touchNow } from "../documents/documents.ts";
import { make } from "../documents/keep-fields.ts";
import { Section } from "../layout/section.tsx";
import { ExpectedDry } from "./expected-dry.tsx";
import { useMet } from "./met.ts";
import { bodyLine } from "./pot-lines.ts";
import { PutUpLine } from "./put-up-line.tsx";
import type { Kitchen } from "./use-kitchen.ts";

/** What of a chance a code is made. */
const chance = (): number => (crypto.getRandomValues(new Uint32Array(1))[0] ?? 0) / 2 ** 32;

interface NewJar {
  readonly code: string;
  readonly way: Way;
  readonly kinds: readonly string[];
  readonly items: readonly PotItem[];
  /** What was ticked: a find and a condition. */
  readonly ticked: ReadonlySet<string>;
}

/** Keeps a jar, and empties the basket of what went into it: both or neither. */
const keepJar = ({ code, way, kinds, items, ticked }: NewJar) =>
  together(async () => {
    const at = new Date().toISOString();
    await make("batch", {
      code,
      way,
      kinds: [...kinds],
      from: items.map(({ find, body }) => ({ find, body })),
      madeAt: at,
      gramsIn: items.reduce((sum, one) => sum + one.grams, 0),
      ticks: [...ticked].flatMap((one) => {
        const [find, condition] = one.split(" ");
        const tick = tickSchema.safeParse({ find, code: condition, at });
        return tick.success && items.some((item) => item.find === find) ? [tick.data] : [];
      }),
      took: [],
      recalls: [],
    });
    for (const { find, body } of items)
      await keepTouch(
        "find",
        find,
        touchNow([{ kind: "set-body", body, field: "parted", value: { how: "emptied", at } }]),
      );
  });

interface WayChoiceProps {
  readonly way: Way;
  readonly onChoose: (way: Way) => void;
}

function WayChoice({ way, onChoose }: WayChoiceProps) {
  return (
    <ToggleButtonGroup
      exclusive
      value={way}
      onChange={(_event, next: Way | null) => next !== null && onChoose(next)}
      aria-label="How it is put up"
      sx={{ flexWrap: "wrap" }}
    >
      {WAYS.map((one) => (
        <ToggleButton key={one} value={one}>
          {WAY_FACTS[one].name}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
}

export function PutUp({ kitchen }: { readonly kitchen: Kitchen }) {
  const navigate = useNavigate();
  const [way, setWay] = useState<Way>("dried");
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const [isRefused, setRefused] = useState(false);
  const food = kitchen.carried.filter((one) => one.compartment !== "apart-from-food");
  const met = useMet(
    kitchen.decisions.flatMap(({ current }) =>
      current !== undefined && food.some((one) => one.find === current.id) ? [current] : [],
    ),
  );
  const lines = food.map((one) =>
    bodyLine(one, {
      kitchen,
      met,
      ticked,
      besides: "",
      way: way === "infusion" ? "infusion" : "jar",
      at: kitchen.now.getTime(),
    }),
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
    const code = newCode(new Set(kitchen.batches.map(({ content }) => content.code)), chance);
    const isKept = await keepJar({ code, way, kinds: first.kinds, items, ticked }).then(
      () => true,
      () => false,
    );
    setRefused(!isKept);
    if (isKept) void navigate(`/kitchen/store/${code}`);
  };
  if (food.length === 0) return null;
  return (
    <Section title="Put up" about={WAY_FACTS[way].how}>
      <WayChoice way={way} onChoose={setWay} />
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
      {(way === "dried" || way === "powder") && going.length > 0 && <ExpectedDry going={going} kitchen={kitchen} />}
      {isRefused && (
        <p role="alert" className="stands">
          Not put up: this device could not keep it. Nothing of it is written down.
        </p>
      )}
      <Button variant="contained" size="large" disabled={!canPut} onClick={() => void put()}>
        Put up
      </Button>
    </Section>
  );
}
