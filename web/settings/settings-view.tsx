/** How this device is used: units, the part of the world, smells known, what it does by itself, numbers to ring. House rules stand with each find. */
import { LENGTH_UNITS, TEMPERATURE_UNITS, type Units, WEIGHT_UNITS } from "@jittery-cap/core";
import TextField from "@mui/material/TextField";
import ToggleButton from "@mui/material/ToggleButton";
import Typography from "@mui/material/Typography";
import { type Preferences, usePreferences } from "../device/preferences.ts";
import { ChooseRegion } from "../layout/choose-region.tsx";
import { Section } from "../layout/section.tsx";
import { SplitCard } from "../layout/split-card.tsx";
import { Trail } from "../layout/trail.tsx";
import { Choices } from "../specimen/choices.tsx";
import { NAMED_SMELLS } from "../specimen/nose.ts";
import { NoseChoice } from "../specimen/nose-choice.tsx";

type Switch = "goesOn" | "sounds" | "speaks";

const SWITCHES: readonly { readonly of: Switch; readonly name: string; readonly about: string }[] = [
  {
    of: "goesOn",
    name: "Go on by itself",
    about: "On a phone an answer leads to the next question that matters. Undo leads back to it.",
  },
  { of: "sounds", name: "Sounds", about: "The clock sounds at ten seconds, a minute and five minutes." },
  { of: "speaks", name: "Voice", about: "A hands-free run speaks each step." },
];

export function SettingsView() {
  const preferences = usePreferences();
  const { region, emergency, weightUnit, units, smellsKnown, prefer } = preferences;
  return (
    <SplitCard
      darkFirst={false}
      light={
        <>
          <Trail />
          <div className="page scroll">
            <Typography variant="h2" component="h1">
              Settings
            </Typography>
            <Section
              title="Part of the world"
              about="A new find begins with it, and says so at Ground: set it right there when you are somewhere else."
            >
              <ChooseRegion
                region={region ?? undefined}
                none="told find by find"
                onChoose={(chosen) => prefer({ region: chosen ?? null })}
              />
            </Section>
            <UnitsInUse units={units} weightUnit={weightUnit} prefer={prefer} />
            <Section
              title="Your nose"
              about={
                smellsKnown.length === 0
                  ? "Touch the smells that you have met. As long as none is touched, all of them count as known."
                  : `You have met ${smellsKnown.length} of ${NAMED_SMELLS.length}. Any other that you name on a find counts as a guess: it keeps a danger standing, and moves none away.`
              }
            >
              <NoseChoice
                label="Smells that you have met"
                known={smellsKnown}
                onKnow={(known) => prefer({ smellsKnown: [...known] })}
              />
            </Section>
            <Section title="What it does by itself">
              {SWITCHES.map((one) => (
                <SwitchLine key={one.of} {...one} isOn={preferences[one.of]} onTurn={prefer} />
              ))}
            </Section>
          </div>
        </>
      }
      dark={<WhenIll emergency={emergency} prefer={prefer} />}
    />
  );
}

interface Preferring {
  readonly prefer: (preferences: Partial<Preferences>) => void;
}

function UnitsInUse({ units, weightUnit, prefer }: Pick<Preferences, "units" | "weightUnit"> & Preferring) {
  return (
    <Section
      title="Units"
      about="Records keep centimetres and degrees Celsius; what the judge says and the history keep them too."
    >
      <UnitLine
        name="weights"
        of={WEIGHT_UNITS}
        chosen={weightUnit}
        onChoose={(unit) => prefer({ weightUnit: unit })}
      />
      <UnitLine
        name="sizes and rain"
        of={LENGTH_UNITS}
        chosen={units.length}
        words={LENGTH_WORDS}
        onChoose={(length) => prefer({ units: { ...units, length } })}
      />
      <UnitLine
        name="the air"
        of={TEMPERATURE_UNITS}
        chosen={units.temperature}
        onChoose={(temperature) => prefer({ units: { ...units, temperature } })}
      />
    </Section>
  );
}

function WhenIll({ emergency, prefer }: Pick<Preferences, "emergency"> & Preferring) {
  return (
    <div className="dark-page scroll">
      <Section
        title="When somebody is ill"
        about="Numbers of your own: the poison centre, the ambulance, somebody who knows mushrooms. They stay on this device."
      >
        <TextField
          defaultValue={emergency}
          multiline
          fullWidth
          minRows={4}
          placeholder="one number a line"
          slotProps={{ htmlInput: { "aria-label": "Your own emergency numbers", maxLength: 400 } }}
          onBlur={(event) => prefer({ emergency: event.target.value.trim() })}
        />
      </Section>
      <p className="soft">
        Do not wait for signs: some poisons show themselves after a day, when it is late. Keep what is left of the
        mushrooms and of the meal.
      </p>
    </div>
  );
}

const LENGTH_WORDS: Readonly<Record<Units["length"], string>> = { cm: "cm and mm", in: "inches" };

interface UnitLineProps<Unit extends string> {
  readonly name: string;
  readonly of: readonly Unit[];
  readonly chosen: Unit;
  /** What stands on the buttons, where the unit itself says too little. */
  readonly words?: Readonly<Record<Unit, string>>;
  readonly onChoose: (unit: Unit) => void;
}

function UnitLine<Unit extends string>({ name, of, chosen, words, onChoose }: UnitLineProps<Unit>) {
  return (
    <div className="line around actions">
      <Choices label={`Unit of ${name}`} className="actions">
        {of.map((unit) => (
          <ToggleButton key={unit} value={unit} selected={unit === chosen} onChange={() => onChoose(unit)}>
            {words?.[unit] ?? unit}
          </ToggleButton>
        ))}
      </Choices>
      <span className="soft small grow">{name}</span>
    </div>
  );
}

interface SwitchLineProps {
  readonly of: Switch;
  readonly name: string;
  readonly about: string;
  readonly isOn: boolean;
  readonly onTurn: (preferences: Partial<Preferences>) => void;
}

function SwitchLine({ of, name, about, isOn, onTurn }: SwitchLineProps) {
  return (
    <div className="line around actions">
      <ToggleButton value={of} selected={isOn} onChange={() => onTurn({ [of]: !isOn })}>
        {name}: {isOn ? "on" : "off"}
      </ToggleButton>
      <span className="soft small grow">{about}</span>
    </div>
  );
}
