/** The questions that are told rather than seen, each with its words and the change it makes. */
import {
  AGES,
  type Body,
  type Change,
  CONCERNS,
  FIRMNESSES,
  type Find,
  LARVAE,
  LIFTS,
  PRINT_PAPERS,
  WEARS,
} from "@jittery-cap/core";
import type { Question } from "./stations.ts";
import { NumberBlock, ToldBlock } from "./told-block.tsx";

interface ToldQuestionProps {
  readonly question: Exclude<Question, { kind: "character" }>;
  readonly find: Find;
  readonly body: Body;
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

export function ToldQuestion({ question, find, body, onChange }: ToldQuestionProps) {
  switch (question.kind) {
    case "body":
      return <BodyQuestion field={question.field} body={body} onChange={onChange} />;
    case "weather":
      return <WeatherQuestion field={question.field} find={find} onChange={onChange} />;
    case "concerns":
      return (
        <ToldBlock
          name="concerns"
          title="Is the ground clean?"
          hint="Fungi gather what is in the ground. Mark what holds; nothing marked means none of these."
          options={words(CONCERNS, CONCERN_WORDS)}
          chosen={find.site?.concerns ?? []}
          onChoose={(value) =>
            onChange({
              kind: "set-site",
              field: "concerns",
              value: listWith(find.site?.concerns ?? [], value),
            })
          }
        />
      );
    case "print":
      return <PrintQuestion body={body} onChange={onChange} />;
  }
}

function listWith(list: readonly string[], value: string): string[] | null {
  const next = list.includes(value) ? list.filter((one) => one !== value) : [...list, value];
  return next.length === 0 ? null : next;
}

function BodyQuestion({
  field,
  body,
  onChange,
}: {
  field: Extract<Question, { kind: "body" }>["field"];
  body: Body;
  onChange: (change: Change) => void;
}) {
  const set = (value: string | boolean | string[] | null) =>
    onChange({ kind: "set-body", body: body.id, field, value });
  const one = (value: string) => set(body[field] === value ? null : value);
  switch (field) {
    case "age":
      return (
        <ToldBlock
          name="age"
          title="How old is it?"
          hint="The gills of a button prove nothing."
          options={words(AGES)}
          chosen={[body.age ?? ""]}
          onChoose={one}
        />
      );
    case "lifted":
      return (
        <ToldBlock
          name="lifted"
          title="How was it lifted?"
          hint="Only a body dug out whole shows its foot."
          options={words(LIFTS, LIFT_WORDS)}
          chosen={[body.lifted ?? ""]}
          onChoose={one}
        />
      );
    case "firmness":
      return (
        <ToldBlock
          name="firmness"
          title="Firm?"
          options={words(FIRMNESSES)}
          chosen={[body.firmness ?? ""]}
          onChoose={one}
        />
      );
    case "larvae":
      return (
        <ToldBlock
          name="larvae"
          title="Tunnels of larvae"
          options={words(LARVAE)}
          chosen={[body.larvae ?? ""]}
          onChoose={one}
        />
      );
    case "keep":
      return (
        <ToldBlock
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
          name="wear"
          title="What has happened to it"
          hint="Rain, handling and frost take rings, scales, warts and smells."
          options={words(WEARS)}
          chosen={body.wear ?? []}
          onChoose={(value) => set(listWith(body.wear ?? [], value))}
        />
      );
    case "measures":
      return (
        <NumberBlock
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
            onChange({
              kind: "set-body",
              body: body.id,
              field,
              value: Object.keys(next).length === 0 ? null : JSON.parse(JSON.stringify(next)),
            });
          }}
        />
      );
  }
}

function WeatherQuestion({
  field,
  find,
  onChange,
}: {
  field: Extract<Question, { kind: "weather" }>["field"];
  find: Find;
  onChange: (change: Change) => void;
}) {
  const set = (value: string | number | boolean | null) => onChange({ kind: "set-weather", field, value });
  const told = find.weather?.[field];
  const yesNo = (title: string, hint?: string) => (
    <ToldBlock
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

function PrintQuestion({ body, onChange }: { body: Body; onChange: (change: Change) => void }) {
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
      value: print === null ? null : JSON.parse(JSON.stringify(value === "laid" ? open : print)),
    });
  };
  const laid =
    body.print?.laidAt === undefined
      ? undefined
      : `Laid ${new Date(body.print.laidAt).toLocaleString()}. No print is no result, never a pass.`;
  return (
    <ToldBlock
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
