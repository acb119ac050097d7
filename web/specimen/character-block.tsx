/** One character: its name, how to look, what turns on it, its states, and the answers that are no state. */

import type { MaskUse } from "@jittery-cap/core";
import { type Body, CHARACTER_WORDS, type Change, type CharacterId, definitionOf, type Find } from "@jittery-cap/core";
import useEventCallback from "@mui/utils/useEventCallback";
import { memo } from "react";
import { Link } from "react-router";
import { usePreferences } from "../device/preferences.ts";
import { blockId } from "./block-id.ts";
import { Choice, choiceLabel, isPictured, pictureFor } from "./choice.tsx";
import { Choices } from "./choices.tsx";
import { ExtraAnswers } from "./extra-answers.tsx";
import { GlossButton } from "./gloss-button.tsx";
import { HOW_TO_LOOK } from "./how-to-look.ts";
import { isSmell, knowsAll } from "./nose.ts";
import { useObserver } from "./observer.ts";
import { chooseState, chosenStates, entryOf } from "./observing.ts";
import { OtherLooks } from "./other-looks.tsx";
import { Stakes } from "./stakes.tsx";
import { useHold } from "./use-hold.ts";

interface CharacterBlockProps {
  readonly find: Find;
  readonly body: Body;
  readonly character: CharacterId;
  readonly active: boolean;
  /** Names of the dangers that turn on it. */
  readonly stakes: readonly string[];
  readonly masks: readonly MaskUse[];
  readonly onChange: (change: Change) => void;
  readonly onActivate: () => void;
  /** Where an answer goes on by itself: whether several states are told, and how to turn that. */
  readonly isSeveral?: boolean | undefined;
  readonly onSeveral?: (() => void) | undefined;
}

const ROW = 10;
/** The key of a state by its place: plain, with shift, with alt. */
function keyOf(index: number): string | undefined {
  const digit = String((index + 1) % ROW);
  return index < ROW ? digit : index < 2 * ROW ? `⇧${digit}` : index < 3 * ROW ? `⌥${digit}` : undefined;
}

const sentence = (text: string): string => `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;

/** All that a block shows of the record: where that is the same, a touch elsewhere leaves it as it stands. */
const told = ({ find, body, character }: CharacterBlockProps): string =>
  JSON.stringify([
    body.id,
    body.seen?.filter((entry) => entry.character === character),
    definitionOf(character).of === "site" ? chosenStates(find, body, character) : undefined,
    find.observers,
  ]);

const looksSame = (one: CharacterBlockProps, other: CharacterBlockProps): boolean =>
  one.character === other.character &&
  one.active === other.active &&
  one.onChange === other.onChange &&
  one.onSeveral === other.onSeveral &&
  one.isSeveral === other.isSeveral &&
  one.stakes.join() === other.stakes.join() &&
  JSON.stringify(one.masks) === JSON.stringify(other.masks) &&
  told(one) === told(other);

/** Said where a smell was named that the finder's nose has not met. */
function GuessNote({ states }: { readonly states: readonly string[] }) {
  const known = usePreferences((state) => state.smellsKnown);
  if (knowsAll(states, known)) return null;
  return (
    <div role="note" className="block-mask">
      Not among the smells that you have met: it counts as a guess. <Link to="/settings">Your nose</Link>
    </div>
  );
}

export const CharacterBlock = memo(function CharacterBlock(props: CharacterBlockProps) {
  const { find, body, character, active, stakes, masks, onChange, onActivate, isSeveral = false, onSeveral } = props;
  const observer = useObserver();
  const { states, of, many } = definitionOf(character);
  const chosen = chosenStates(find, body, character, observer);
  const entry = of === "site" ? undefined : entryOf(body, character, observer);
  const { plain, term } = CHARACTER_WORDS[character];
  const headingId = `character-${character}`;
  const choose = useEventCallback((state: string) => {
    onActivate();
    onChange(chooseState(find, body, character, state, observer));
  });
  const hold = useHold(
    many && onSeveral !== undefined
      ? (state) => {
          if (!isSeveral) onSeveral();
          choose(state);
        }
      : undefined,
  );
  const pictured = states.some((state) => isPictured(pictureFor(character, state)));
  return (
    <section
      id={blockId(character)}
      aria-labelledby={headingId}
      data-character={character}
      className={active ? "block block-active" : "block"}
    >
      <div className="block-head">
        <div className="block-title">
          <h2 id={headingId}>{plain}</h2>
          {term !== undefined && <span className="soft small">{term}</span>}
          <GlossButton character={character} />
          <Stakes names={stakes} />
        </div>
        <div className="soft small">{HOW_TO_LOOK[character]}</div>
      </div>
      {masks.map((mask) => (
        <div key={mask.mask} role="note" className="block-mask">
          {sentence(mask.why)} {mask.lift !== undefined && <b>{sentence(mask.lift)}</b>}
        </div>
      ))}
      <Choices labelledBy={headingId} className={pictured ? "choices choices-pictured" : "choices"} hold={hold}>
        {states.map((state, index) => (
          <Choice
            key={state}
            label={choiceLabel(character, state)}
            chosen={chosen.includes(state)}
            doubtful={entry?.sure === false}
            digit={active ? keyOf(index) : undefined}
            picture={pictureFor(character, state)}
            character={character}
            state={state}
            onChoose={choose}
          />
        ))}
      </Choices>
      {many && onSeveral !== undefined && (
        <Choice quiet label="more than one of these (or hold one down)" chosen={isSeveral} onChoose={onSeveral} />
      )}
      {isSmell(character) && observer === undefined && <GuessNote states={chosen} />}
      {of === "body" && (
        <>
          <ExtraAnswers body={body} character={character} onChange={onChange} onActivate={onActivate} />
          <OtherLooks find={find} body={body} character={character} />
        </>
      )}
    </section>
  );
}, looksSame);
