/** How this device is used: units, the part of the world, what it does by itself, numbers to ring. House rules stand with each find. */
import { WEIGHT_UNITS } from "@jittery-cap/core";
import TextField from "@mui/material/TextField";
import ToggleButton from "@mui/material/ToggleButton";
import Typography from "@mui/material/Typography";
import { type Preferences, usePreferences } from "../device/preferences.ts";
import { ChooseRegion } from "../layout/choose-region.tsx";
import { Section } from "../layout/section.tsx";
import { SplitCard } from "../layout/split-card.tsx";
import { Trail } from "../layout/trail.tsx";
import { Choices } from "../specimen/choices.tsx";

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
  const { region, emergency, weightUnit, prefer } = preferences;
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
            <Section title="Weights">
              <Choices label="Unit of weight" className="actions">
                {WEIGHT_UNITS.map((unit) => (
                  <ToggleButton
                    key={unit}
                    value={unit}
                    selected={unit === weightUnit}
                    onChange={() => prefer({ weightUnit: unit })}
                  >
                    {unit}
                  </ToggleButton>
                ))}
              </Choices>
            </Section>
            <Section title="What it does by itself">
              {SWITCHES.map((one) => (
                <SwitchLine key={one.of} {...one} isOn={preferences[one.of]} onTurn={prefer} />
              ))}
            </Section>
          </div>
        </>
      }
      dark={
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
      }
    />
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
