/** The patches of a place: each year's yield, what next year may bring, and that last year's name names nothing of this year's. */
import { type KeptPlace, PATCH_FORMS, type Patch, type PatchForm } from "@jittery-cap/core/season";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { uuidv7 } from "uuidv7";
import { ChooseFrom } from "../layout/choose-from.tsx";
import { Section } from "../layout/section.tsx";
import { dayWords } from "../season/local-day.ts";
import type { Season } from "../season/use-season.ts";
import { MetThere } from "./met-there.tsx";
import { yearsOf } from "./patch-years.ts";
import { PatchYears } from "./patch-years.tsx";
import type { SetPlace } from "./place-view.tsx";

const FORM_WORDS: Readonly<Record<PatchForm, string>> = {
  spot: "a spot",
  bed: "a bed",
  log: "a log",
  ring: "a ring",
  tree: "a tree",
};

interface PatchesProps {
  readonly place: KeptPlace;
  readonly season: Season;
  readonly onSet: SetPlace;
}

export function Patches({ place, season, onSet }: PatchesProps) {
  const { patches } = place.content;
  const change = (id: string, next: Partial<Patch>) =>
    onSet({ patches: patches.map((one) => (one.id === id ? { ...one, ...next } : one)) });
  return (
    <Section
      title="Patches"
      about="One kind at one spot. Other kinds have come up in the same bed: what stands there this year is named anew."
    >
      {patches.map((patch) => (
        <OnePatch
          key={patch.id}
          patch={patch}
          place={place}
          season={season}
          onChange={(next) => change(patch.id, next)}
        />
      ))}
      <NewPatch
        onNew={(name, form) => onSet({ patches: [...patches, { id: uuidv7(), name, form, met: [], weeded: [] }] })}
      />
    </Section>
  );
}

function OnePatch({
  patch,
  place,
  season,
  onChange,
}: {
  readonly patch: Patch;
  readonly place: KeptPlace;
  readonly season: Season;
  readonly onChange: (next: Partial<Patch>) => void;
}) {
  const [isOpen, setIsOpen] = useState(false);
  const years = yearsOf(patch);
  const met = (count: number, weight: number | undefined) =>
    onChange({
      met: [
        ...patch.met,
        { at: new Date().toISOString(), bodies: count, ...(weight === undefined ? {} : { grams: weight }) },
      ],
    });
  return (
    <article className="place-patch" data-patch={patch.name}>
      <h3>
        {patch.name} <span className="soft plain small">{FORM_WORDS[patch.form]}</span>
      </h3>
      <p className="soft small">
        {patch.kind === undefined
          ? "never named"
          : `once named ${season.nameOf(patch.kind)}; this year it is looked at anew`}
        {patch.weeded.length > 0 && `; weeded ${dayWords(patch.weeded.at(-1)?.slice(0, 10) ?? "")}`}
      </p>
      {years.length > 0 && <PatchYears years={years} />}
      <div className="actions above">
        <Button onClick={() => met(0, undefined)}>Looked, nothing there</Button>
        <Button aria-expanded={isOpen} onClick={() => setIsOpen(!isOpen)}>
          Something is there
        </Button>
        <Button variant="quiet" onClick={() => onChange({ weeded: [...patch.weeded, new Date().toISOString()] })}>
          Weeded it
        </Button>
      </div>
      {isOpen && (
        <MetThere
          place={place.id}
          patch={patch.id}
          onMet={(bodies, grams) => {
            met(bodies, grams);
            setIsOpen(false);
          }}
        />
      )}
    </article>
  );
}

function NewPatch({ onNew }: { readonly onNew: (name: string, form: PatchForm) => void }) {
  const [name, setName] = useState("");
  const [form, setForm] = useState<PatchForm>("spot");
  return (
    <form
      className="actions above-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (name.trim() === "") return;
        onNew(name.trim(), form);
        setName("");
      }}
    >
      <TextField
        label="Name of a new patch"
        value={name}
        onChange={(event) => setName(event.target.value)}
        slotProps={{ htmlInput: { maxLength: 200 } }}
      />
      <ChooseFrom
        label="What it is"
        value={form}
        onChange={(value) => setForm(PATCH_FORMS.find((one) => one === value) ?? "spot")}
      >
        {PATCH_FORMS.map((one) => (
          <option key={one} value={one}>
            {FORM_WORDS[one]}
          </option>
        ))}
      </ChooseFrom>
      <Button type="submit" disabled={name.trim() === ""}>
        New patch
      </Button>
    </form>
  );
}
