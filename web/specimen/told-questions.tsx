/** The questions that are told rather than seen, each with its words and the change it makes. */
import {
  AGES,
  ageSwatchOf,
  type Body,
  type Change,
  CONCERNS,
  FIRMNESSES,
  type Find,
  LARVAE,
  LIFTS,
  PRINT_PAPERS,
  setChange,
  WEARS,
} from "@jittery-cap/core";
import { Drawing } from "./drawing.tsx";
import type { Question } from "./stations.ts";
import { NumberBlock, ToldBlock } from "./told-block.tsx";

interface ToldQuestionProps {
  readonly question: Exclude<Question, { kind: "character" }>;
  readonly find: Find;
  readonly body: Body;
  /** Whether the keys answer this question. */
  readonly active: boolean;
  readonly onChange: (change: Change) => void;
}

const words = (values: readonly string[], labels: Readonly<Record<string, string>> = {}) =>
  values.map((value) => ({ value, label: labels[value] ?? value.replaceAll("-", " ") }));
const YES_NO = [
  { value: "true", label: "yes" },
  { value: "false", label: "no" },
];
const LIFT_WORDS = {
  standing: "still stands",
  whole: "dug out whole",
  pulled: "pulled, hole not seen",
  cut: "cut",
  broken: "broken",
  mown: "mown",
};
const CONCERN_WORDS = { city: "city ground", industrial: "industrial ground" };

export function ToldQuestion({ question, find, body, active, onChange }: ToldQuestionProps) {
  switch (question.kind) {
    case "body":
      return <BodyQuestion field={question.field} body={body} active={active} onChange={onChange} />;
    case "weather":
      return <WeatherQuestion field={question.field} find={find} active={active} onChange={onChange} />;
    case "concerns":
      return (
        <ToldBlock
          active={active}
          name="concerns"
          title="Is the ground clean?"
          hint="Fungi gather what is in the ground. Mark what holds; nothing marked means none of these."
          options={words(CONCERNS, CONCERN_WORDS)}
          chosen={find.site?.concerns ?? []}
          onChoose={(value) =>
            onChange(setChange({ kind: "set-site" }, "concerns", listWith(find.site?.concerns ?? [], value)))
          }
        />
      );
    case "print":
      return <PrintQuestion body={body} active={active} onChange={onChange} />;
  }
}

const AGE_HEIGHT = 56;

function AgePicture({ age }: { age: string }) {
  const known = AGES.find((one) => one === age);
  if (known === undefined) return null;
  const figure = ageSwatchOf(known);
  return (
    <Drawing
      figure={figure}
      scale={Math.min(AGE_HEIGHT / (figure.top - figure.bottom), 60 / (figure.right - figure.left))}
    />
  );
}

function listWith(list: readonly string[], value: string): string[] | null {
  const next = list.includes(value) ? list.filter((one) => one !== value) : [...list, value];
  return next.length === 0 ? null : next;
}

interface BodyQuestionProps {
  readonly field: Extract<Question, { kind: "body" }>["field"];
  readonly body: Body;
  readonly active: boolean;
  readonly onChange: (change: Change) => void;
}

/** Questions of a body with one answer out of a few. */
const ONE_OF = {
  age: {
    title: "How old is it?",
    hint: "The gills of a button prove nothing.",
    options: words(AGES),
    pictureOf: (age: string) => <AgePicture age={age} />,
  },
  lifted: {
    title: "How was it lifted?",
    hint: "Only a body dug out whole shows its foot.",
    options: words(LIFTS, LIFT_WORDS),
  },
  firmness: { title: "Firm?", options: words(FIRMNESSES) },
};

function BodyQuestion({ field, body, active, onChange }: BodyQuestionProps) {
  const set = (value: string | boolean | string[] | null) =>
    onChange(setChange({ kind: "set-body", body: body.id }, field, value));
  const one = (value: string) => set(body[field] === value ? null : value);
  switch (field) {
    case "age":
    case "lifted":
    case "firmness":
      return <ToldBlock active={active} name={field} {...ONE_OF[field]} chosen={[body[field] ?? ""]} onChoose={one} />;
    case "larvae":
      return (
        <>
          <ToldBlock
            active={active}
            name="larvae"
            title="Tunnels of larvae"
            options={words(LARVAE)}
            chosen={[body.larvae ?? ""]}
            onChoose={one}
          />
          <LarvaeInStem body={body} onChange={onChange} />
        </>
      );
    case "keep":
      return (
        <ToldBlock
          active={active}
          name="keep"
          title="Is it to be kept?"
          hint="Every body that is kept has to be cleared by itself."
          options={YES_NO}
          chosen={[String(body.keep ?? true)]}
          onChoose={(value) => set(value === "true")}
        />
      );
    case "wear":
      return (
        <ToldBlock
          active={active}
          name="wear"
          title="What has happened to it"
          hint="Rain, handling and frost take rings, scales, warts and smells."
          options={words(WEARS)}
          chosen={body.wear ?? []}
          onChoose={(value) => set(listWith(body.wear ?? [], value))}
        />
      );
    case "measures":
      return <MeasuresQuestion body={body} active={active} onChange={onChange} />;
  }
}

/** What is left of a record of fields, or nothing where none is. */
const orNothing = <Fields extends object>(fields: Fields): Fields | null =>
  Object.keys(fields).length === 0 ? null : fields;

function LarvaeInStem({ body, onChange }: Pick<BodyQuestionProps, "body" | "onChange">) {
  return (
    <ToldBlock
      active={false}
      name="larvaeParts"
      title="In the stem alone"
      hint="A clean cap on a riddled stem is kept as a cap; slice inward until tunnels begin."
      options={words(LARVAE)}
      chosen={[body.larvaeParts?.stem ?? ""]}
      onChoose={(value) => {
        const { stem, ...others } = body.larvaeParts ?? {};
        const next = stem === value ? others : { ...others, stem: value };
        onChange(setChange({ kind: "set-body", body: body.id }, "larvaeParts", orNothing(next)));
      }}
    />
  );
}

function MeasuresQuestion({ body, active, onChange }: Omit<BodyQuestionProps, "field">) {
  return (
    <NumberBlock
      active={active}
      name="measures"
      title="Size"
      fields={[
        { key: "capCm", label: "cap across", unit: "cm", value: body.measures?.capCm },
        { key: "stemLengthCm", label: "stem length", unit: "cm", value: body.measures?.stemLengthCm },
        { key: "stemWidthMm", label: "stem width", unit: "mm", value: body.measures?.stemWidthMm },
      ]}
      onSet={(key, value) => {
        const { [key]: _before, ...others }: Record<string, unknown> = { ...body.measures };
        const next = value === null ? others : { ...others, [key]: value };
        onChange(setChange({ kind: "set-body", body: body.id }, "measures", orNothing(next)));
      }}
    />
  );
}

function WeatherQuestion({
  field,
  find,
  active,
  onChange,
}: {
  field: Extract<Question, { kind: "weather" }>["field"];
  find: Find;
  active: boolean;
  onChange: (change: Change) => void;
}) {
  const set = (value: string | number | boolean | null) => onChange(setChange({ kind: "set-weather" }, field, value));
  const told = find.weather?.[field];
  const yesNo = (title: string, hint?: string) => (
    <ToldBlock
      active={active}
      name={field}
      title={title}
      hint={hint}
      options={YES_NO}
      chosen={[String(told)]}
      onChoose={(value) => set(String(told) === value ? null : value === "true")}
    />
  );
  const number = (title: string, label: string, unit: string) => (
    <NumberBlock
      active={active}
      name={field}
      title={title}
      fields={[{ key: field, label, unit, value: typeof told === "number" ? told : undefined }]}
      onSet={(_key, value) => set(value)}
    />
  );
  switch (field) {
    case "frostLastNight":
      return yesNo("Frost last night?", "Frost makes stain and smell worthless.");
    case "warmedInHand":
      return yesNo("Was the piece warmed in the hand?");
    case "cannotSmell":
      return yesNo("Is there nobody here who can smell it?");
    case "airTempC":
      return number("Air", "temperature", "°C");
    case "rain24hMm":
      return number("Rain", "in the last 24 hours", "mm");
    case "drySpellDays":
      return number("Dry spell", "days without rain", "days");
    case "printPaper":
      return (
        <ToldBlock
          active={active}
          name={field}
          title="Paper under the print"
          hint="White spores show on the black half, dark ones on the white."
          options={words(PRINT_PAPERS)}
          chosen={[String(told ?? "")]}
          onChoose={(value) => set(told === value ? null : value)}
        />
      );
  }
}

function PrintQuestion({
  body,
  active,
  onChange,
}: {
  body: Body;
  active: boolean;
  onChange: (change: Change) => void;
}) {
  const stage = body.print?.laidAt === undefined ? "not" : body.print.readAt === undefined ? "laid" : "read";
  const setStage = (value: string) => {
    const now = new Date().toISOString();
    const print =
      value === "not"
        ? null
        : { ...body.print, laidAt: body.print?.laidAt ?? now, ...(value === "read" ? { readAt: now } : {}) };
    const { readAt: _readAt, ...open } = print ?? {};
    onChange({
      kind: "set-body",
      body: body.id,
      field: "print",
      value: print === null ? null : value === "laid" ? open : print,
    });
  };
  const laid =
    body.print?.laidAt === undefined
      ? undefined
      : `Laid ${new Date(body.print.laidAt).toLocaleString()}. No print is no result, never a pass.`;
  return (
    <ToldBlock
      active={active}
      name="print"
      title="Where the print stands"
      hint={laid ?? "A few hours at the least, overnight as a rule, a day at most."}
      options={[
        { value: "not", label: "not laid" },
        { value: "laid", label: "under its cup" },
        { value: "read", label: "read" },
      ]}
      chosen={[stage]}
      onChoose={setStage}
    />
  );
}
