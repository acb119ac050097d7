/** The rest of the troop: one more at a touch, one more like this, and the quick look in four touches. */
import {
  type Body,
  CHARACTER_WORDS,
  type Find,
  type QuickTouch,
  quickLookCount,
  sameAsModel,
  stateWords,
  TOUCHES,
  type TouchState,
  touchesOf,
} from "@jittery-cap/core";
import Button from "@mui/material/Button";
import { Link } from "react-router";
import { findPath } from "../addresses.ts";
import { useSession } from "../session/session-context.tsx";

interface QuickLookProps {
  readonly find: Find;
  readonly body: Body;
  readonly onAddBody: () => void;
  readonly onAddLike: () => void;
}

const TOUCH_WORDS: Readonly<Record<QuickTouch, { readonly name: string; readonly station: string }>> = {
  under: { name: "Under", station: "under" },
  stem: { name: "Ring and stem", station: "stem" },
  foot: { name: "Foot", station: "foot" },
  cut: { name: "Cut", station: "cut" },
};

export function QuickLook({ find, body, onAddBody, onAddLike }: QuickLookProps) {
  const { changeTogether } = useSession();
  const { done, all } = quickLookCount(find);
  const others = find.bodies.filter((one) => one.id !== body.id);
  // for each touch a body that shows it is the model; where none does, the first other one is named
  const touches = TOUCHES.map((touch) => {
    const models = others.flatMap((model) =>
      touchesOf(find, body, model)
        .filter((state) => state.touch === touch)
        .map((state) => ({ state, model })),
    );
    return models.find(({ state }) => state.model.length > 0) ?? models[0];
  }).filter((touch) => touch !== undefined);
  return (
    <section aria-labelledby="quick-look" data-testid="quick-look" className="block">
      <div className="block-title">
        <h2 id="quick-look">The rest of the troop</h2>
      </div>
      <div className="section-about">
        {done} of {all} {all === 1 ? "body" : "bodies"} with a quick look. Every one that goes along needs its own.
      </div>
      {others.length > 0 && (
        <div className="touches">
          {touches.map(({ state: touch, model }) => (
            <TouchTile
              key={touch.touch}
              touch={touch}
              findId={find.id}
              model={model.id}
              onSame={() => changeTogether(sameAsModel(body, touch))}
            />
          ))}
        </div>
      )}
      <div className="actions">
        <Button onClick={onAddBody}>One more body</Button>
        <Button onClick={onAddLike}>{`Add one that looks like ${body.id}`}</Button>
      </div>
    </section>
  );
}

interface TouchTileProps {
  readonly touch: TouchState;
  readonly findId: string;
  /** The body that shows it. */
  readonly model: string;
  readonly onSame: () => void;
}

function TouchTile({ touch, findId, model, onSame }: TouchTileProps) {
  const { name, station } = TOUCH_WORDS[touch.touch];
  const shows = touch.model.flatMap(({ character, states = [] }) =>
    states.map((state) =>
      state === "none" ? `${CHARACTER_WORDS[character].plain} none` : stateWords(character, state),
    ),
  );
  return (
    <div data-touch={touch.touch} data-done={touch.done} className="touch">
      <div className="touch-words">
        <b>{name}</b>
        <span className="soft small">
          {touch.done
            ? "looked at"
            : shows.length === 0
              ? `${model} was not looked at there`
              : `on ${model}: ${shows.slice(0, 3).join(", ")}`}
        </span>
      </div>
      {!touch.done && shows.length > 0 && <Button onClick={onSame}>I looked: the same</Button>}
      {!touch.done && (
        <Link to={findPath(findId, "record", station)} replace className="touch-else">
          {shows.length > 0 ? "not the same" : "look"}
        </Link>
      )}
    </div>
  );
}
