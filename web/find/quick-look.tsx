/** The rest of the troop: one more at a touch, one more like this, and the quick look in four touches. */
import {
  type Body,
  CHARACTER_WORDS,
  type Find,
  quickLookCount,
  sameAsModel,
  stateWords,
  TOUCHES,
  type Touch,
  type TouchState,
  touchesOf,
} from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Typography from "@mui/material/Typography";
import { Link } from "react-router";
import { useFind } from "../state/find-state.ts";
import { TOUCH, tone } from "../theme/tokens.ts";

interface QuickLookProps {
  readonly find: Find;
  readonly body: Body;
  readonly onAddBody: () => void;
  readonly onAddLike: () => void;
}

const TOUCH_WORDS: Readonly<Record<Touch, { readonly name: string; readonly station: string }>> = {
  under: { name: "Under", station: "under" },
  stem: { name: "Ring and stem", station: "stem" },
  foot: { name: "Foot", station: "foot" },
  cut: { name: "Cut", station: "cut" },
};

export function QuickLook({ find, body, onAddBody, onAddLike }: QuickLookProps) {
  const changeTogether = useFind((state) => state.changeTogether);
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
    <Box component="section" aria-labelledby="quick-look" data-testid="quick-look" sx={{ pb: 2.75 }}>
      <Typography id="quick-look" variant="h3" component="h3">
        The rest of the troop
      </Typography>
      <Box sx={{ color: tone.inkSoft, fontSize: "0.9375rem", pb: 1 }}>
        {done} of {all} {all === 1 ? "body" : "bodies"} with a quick look. Every one that goes along needs its own.
      </Box>
      {others.length > 0 && (
        <Box sx={{ display: "grid", gap: 1, gridTemplateColumns: { xs: "1fr 1fr", md: "repeat(4, 1fr)" }, pb: 1 }}>
          {touches.map(({ state: touch, model }) => (
            <TouchTile
              key={touch.touch}
              touch={touch}
              findId={find.id}
              model={model.id}
              onSame={() => changeTogether(sameAsModel(body, touch))}
            />
          ))}
        </Box>
      )}
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
        <Plain onClick={onAddBody}>One more body</Plain>
        <Plain onClick={onAddLike}>{`Add one that looks like ${body.id}`}</Plain>
      </Box>
    </Box>
  );
}

function TouchTile({
  touch,
  findId,
  model,
  onSame,
}: {
  touch: TouchState;
  findId: string;
  model: string;
  onSame: () => void;
}) {
  const { name, station } = TOUCH_WORDS[touch.touch];
  const shows = touch.model.flatMap(({ character, states = [] }) =>
    states.map((state) =>
      state === "none" ? `${CHARACTER_WORDS[character].plain} none` : stateWords(character, state),
    ),
  );
  return (
    <Box
      data-touch={touch.touch}
      data-done={touch.done}
      sx={{
        border: `1px solid ${touch.done ? tone.ink : tone.boneLine}`,
        bgcolor: tone.paper,
        display: "flex",
        flexDirection: "column",
      }}
    >
      <Box sx={{ px: 1.25, pt: 1, flex: 1 }}>
        <Box sx={{ fontWeight: 700 }}>{name}</Box>
        <Box sx={{ fontSize: "0.9375rem", color: tone.inkSoft, lineHeight: 1.25, pb: 0.75 }}>
          {touch.done
            ? "looked at"
            : shows.length === 0
              ? `${model} was not looked at there`
              : `on ${model}: ${shows.slice(0, 3).join(", ")}`}
        </Box>
      </Box>
      {!touch.done && shows.length > 0 && (
        <Plain onClick={onSame} wide>
          I looked: the same
        </Plain>
      )}
      {!touch.done && (
        <Box
          component={Link}
          to={`/find/${findId}/${station}`}
          replace
          sx={{
            display: "flex",
            alignItems: "center",
            px: 1.25,
            minHeight: TOUCH - 6,
            color: tone.ink,
            fontSize: "0.9375rem",
          }}
        >
          {shows.length > 0 ? "not the same" : "look"}
        </Box>
      )}
    </Box>
  );
}

function Plain({ onClick, children, wide = false }: { onClick: () => void; children: string; wide?: boolean }) {
  return (
    <ButtonBase
      onClick={onClick}
      sx={{
        minHeight: TOUCH,
        px: 1.5,
        fontSize: "1rem",
        fontWeight: 600,
        border: wide ? 0 : `1px solid ${tone.ink}`,
        borderTop: `1px solid ${wide ? tone.boneLine : tone.ink}`,
        bgcolor: wide ? tone.boneDeep : tone.paper,
        "&:hover": { bgcolor: tone.boneDeep, textDecoration: wide ? "underline" : undefined },
      }}
    >
      {children}
    </ButtonBase>
  );
}
