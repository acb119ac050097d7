/** What is told about a body, the weather or the ground: no evidence of kind, but of what can be trusted. */

import { unitShown } from "@jittery-cap/core";
import type { ReactNode } from "react";
import { usePreferences } from "../device/preferences.ts";
import { NumberField } from "../layout/number-field.tsx";
import { blockId } from "./block-id.ts";
import { Choice } from "./choice.tsx";
import { Choices } from "./choices.tsx";

interface Option {
  readonly value: string;
  readonly label: string;
}

interface ToldBlockProps {
  readonly title: string;
  readonly hint?: string | undefined;
  readonly options: readonly Option[];
  readonly chosen: readonly string[];
  readonly onChoose: (value: string) => void;
  readonly name: string;
  readonly active: boolean;
  /** Drawings of the options, where they can be drawn. */
  readonly pictureOf?: ((value: string) => ReactNode) | undefined;
}

/** A heading with a row of words to choose from. */
export function ToldBlock({ title, hint, options, chosen, onChoose, name, active, pictureOf }: ToldBlockProps) {
  return (
    <Block title={title} hint={hint} name={name} active={active}>
      <Choices label={title} className="choices choices-pictured">
        {options.map((option, index) => (
          <Choice
            key={option.value}
            quiet
            digit={active ? String((index + 1) % 10) : undefined}
            drawing={pictureOf?.(option.value)}
            label={option.label}
            chosen={chosen.includes(option.value)}
            state={option.value}
            onChoose={() => onChoose(option.value)}
          />
        ))}
      </Choices>
    </Block>
  );
}

interface NumberBlockProps {
  readonly title: string;
  readonly hint?: string;
  readonly name: string;
  readonly active: boolean;
  readonly fields: readonly {
    readonly key: string;
    readonly label: string;
    /** The unit in which the record keeps it. */
    readonly unit: string;
    readonly value: number | undefined;
  }[];
  readonly onSet: (key: string, value: number | null) => void;
}

/** A heading with numbers to enter; a number is taken when the field is left. */
export function NumberBlock({ title, hint, name, active, fields, onSet }: NumberBlockProps) {
  const units = usePreferences((state) => state.units);
  const shown = fields.map((field) => ({ ...field, as: unitShown(field.unit, units) }));
  return (
    <Block title={title} hint={hint} name={name} active={active}>
      <div className="numbers">
        {shown.map(({ key, label, value, as: { unit, shown, kept } }) => (
          // biome-ignore lint/a11y/noLabelWithoutControl: the field inside is one
          <label key={key} className="number">
            {label}
            <NumberField
              label={`${label}, ${unit}`}
              unit={unit}
              value={value === undefined ? undefined : shown(value)}
              onSet={(next) => onSet(key, next === null ? null : kept(next))}
            />
          </label>
        ))}
      </div>
    </Block>
  );
}

interface BlockProps {
  readonly title: string;
  readonly hint?: string | undefined;
  readonly name: string;
  readonly active: boolean;
  readonly children: ReactNode;
}

function Block({ title, hint, name, active, children }: BlockProps) {
  return (
    <section id={blockId(name)} data-told={name} className={active ? "block block-active" : "block"}>
      <div className="block-head">
        <div className="block-title">
          <h2>{title}</h2>
        </div>
        {hint !== undefined && <div className="soft small">{hint}</div>}
      </div>
      {children}
    </section>
  );
}
