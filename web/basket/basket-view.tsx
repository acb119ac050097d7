/** Basket: what is carried home, in its compartments, against the person's own limits. */
import {
  basketOf,
  type Carried,
  COMPARTMENTS,
  type Compartment,
  ENDING_WORDS,
  figureOf,
  TAKEN_BACK_WORDS,
  wordList,
} from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Typography from "@mui/material/Typography";
import { useCallback, useEffect, useState } from "react";
import { Link } from "react-router";
import { SplitCard } from "../card/split-card.tsx";
import { Trail } from "../card/trail.tsx";
import { changeFind } from "../device/change-find.ts";
import { latestDecisions, type ShownDecision } from "../device/decisions.ts";
import { deliver } from "../device/outbox.ts";
import { settle, useSettled } from "../device/settled.ts";
import { Drawing } from "../find/drawing.tsx";
import { TOUCH, tone } from "../theme/tokens.ts";
import { Limits } from "./limits.tsx";

const PART_WORDS: Readonly<Record<Compartment, { readonly name: string; readonly about: string }>> = {
  "cook-only": {
    name: "Cooked only",
    about: "Poisonous raw, or to be boiled first: apart from all that is eaten raw.",
  },
  others: { name: "The others", about: "Each kind in a paper bag of its own." },
  "apart-from-food": {
    name: "Apart from food",
    about: "Not named yet, or no longer cleared: in a box of its own, never with food.",
  },
};

export function BasketView() {
  const [decisions, setDecisions] = useState<readonly ShownDecision[] | "unreachable">();
  const limits = useSettled((state) => state.settled.limits);
  const unsent = useSettled((state) => state.unsent);
  const load = useCallback(() => void latestDecisions().then((all) => setDecisions(all ?? "unreachable")), []);
  useEffect(load, [load]);
  const carried =
    decisions === undefined || decisions === "unreachable"
      ? []
      : basketOf(decisions.map((one) => ({ ...one, current: one.current })));
  const isKnown = decisions !== undefined && decisions !== "unreachable";
  const food = carried.filter((one) => one.compartment !== "apart-from-food");
  return (
    <SplitCard
      darkShare={0.45}
      darkFirst={false}
      light={
        <>
          <Trail view="basket" />
          <Box sx={{ px: { xs: 2.5, md: 3.5 }, pt: 2.5, pb: 3, flex: 1, minHeight: 0, overflowY: "auto" }}>
            <Typography variant="h2" component="h1">
              Basket
            </Typography>
            {decisions === "unreachable" && (
              <Box role="alert">The server cannot be reached: what is in the basket is not known. Hold it all.</Box>
            )}
            {decisions !== undefined && decisions !== "unreachable" && carried.length === 0 && (
              <Typography sx={{ pt: 1 }}>
                Nothing is decided to be carried home. A find is decided under Decide.
              </Typography>
            )}
            {COMPARTMENTS.map((part) => {
              const here = carried.filter((one) => one.compartment === part);
              if (here.length === 0) return null;
              return (
                <Box
                  key={part}
                  component="section"
                  aria-label={PART_WORDS[part].name}
                  data-compartment={part}
                  sx={{ pt: 2.25 }}
                >
                  <Typography variant="h3" component="h2">
                    {PART_WORDS[part].name}
                  </Typography>
                  <Box sx={{ color: tone.inkSoft, fontSize: "0.9375rem", pb: 0.5 }}>{PART_WORDS[part].about}</Box>
                  {here.map((one) => (
                    <CarriedLine
                      key={`${one.find} ${one.body}`}
                      carried={one}
                      decisions={decisions === undefined || decisions === "unreachable" ? [] : decisions}
                      onWeighed={load}
                    />
                  ))}
                </Box>
              );
            })}
          </Box>
        </>
      }
      dark={
        <Box sx={{ p: { xs: 2.5, md: 3.25 }, pt: { md: 9 }, overflowY: "auto" }}>
          <Typography variant="h1" component="p">
            {isKnown ? `${food.length} ${food.length === 1 ? "body" : "bodies"}` : "Not known"}
          </Typography>
          <Typography sx={{ color: tone.onDarkSoft, pt: 1, pb: 2 }}>
            In paper or mesh; never in plastic for longer than the walk. Kinds apart. In the cold at home, a few days.
          </Typography>
          <Limits
            carried={isKnown ? carried : undefined}
            limits={limits}
            onSet={(next) => void settle({ limits: [...next] })}
          />
          {unsent && (
            <Box sx={{ color: tone.onDarkSoft, pt: 1 }}>Kept on this device; the server has not heard of it yet.</Box>
          )}
        </Box>
      }
    />
  );
}

/** How large a body is drawn in its line, px. */
const PICTURE = 56;

function CarriedLine({
  carried,
  decisions,
  onWeighed,
}: {
  carried: Carried;
  decisions: readonly ShownDecision[];
  onWeighed: () => void;
}) {
  const { find, label, body, ending, weightG, takenBack, off, toComeOff } = carried;
  const [grams, setGrams] = useState(weightG);
  const decision = decisions.find((one) => one.find.id === find);
  const decided = decision?.current ?? decision?.find;
  // one that is gone from the record is drawn as it was decided
  const record = (decided?.bodies ?? []).concat(decision?.find.bodies ?? []).find((one) => one.id === body);
  const figure = decided === undefined || record === undefined ? undefined : figureOf(decided, record, 0);
  const weigh = async () => {
    const query = record?.measures?.capCm === undefined ? "" : `?capCm=${record.measures.capCm}`;
    const response = await fetch(`/api/stand-ins/scale${query}`).catch(() => undefined);
    const content: unknown = await response?.json().catch(() => undefined);
    const read =
      typeof content === "object" && content !== null && "grams" in content && typeof content.grams === "number"
        ? content.grams
        : undefined;
    if (read === undefined) return;
    const kept = await changeFind(find, {
      kind: "set-body",
      body,
      field: "measures",
      value: JSON.parse(JSON.stringify({ ...record?.measures, weightG: read })),
    });
    if (kept) setGrams(read);
    // what is in the basket is asked of the server: the weight has to be there first
    await deliver(find);
    onWeighed();
  };
  return (
    <Box
      data-carried={`${find} ${body}`}
      sx={{
        display: "flex",
        columnGap: 1.5,
        rowGap: 0.5,
        alignItems: "center",
        flexWrap: "wrap",
        py: 1,
        borderTop: `1px solid ${tone.boneLine}`,
      }}
    >
      <Box sx={{ width: PICTURE, flex: "none", display: "flex", justifyContent: "center" }}>
        {figure !== undefined && (
          <Drawing
            figure={figure}
            scale={Math.min(PICTURE / (figure.top - figure.bottom), PICTURE / (figure.right - figure.left))}
          />
        )}
      </Box>
      <Box sx={{ flex: "1 1 200px" }}>
        <Link to={`/decide/${find}`} style={{ color: tone.ink, fontWeight: 700 }}>
          {body} of {label}
        </Link>
        <Box
          sx={{
            color: takenBack === undefined ? tone.inkSoft : tone.rust,
            fontWeight: takenBack === undefined ? 450 : 700,
            fontSize: "0.9375rem",
          }}
        >
          {takenBack === undefined ? ENDING_WORDS[ending] : TAKEN_BACK_WORDS[takenBack]}
          {off.length > 0 && takenBack === undefined ? ` · ${wordList([...off], "and")} off` : ""}
        </Box>
        {toComeOff.length > 0 && (
          <Box sx={{ color: tone.rust, fontSize: "0.9375rem", fontWeight: 600 }}>
            still to come off: {wordList([...toComeOff], "and")}
          </Box>
        )}
      </Box>
      <Box sx={{ color: tone.inkSoft }}>{grams === undefined ? "not weighed" : `${grams} g`}</Box>
      <ButtonBase
        onClick={() => void weigh()}
        sx={{ minHeight: TOUCH, px: 1.5, border: `1px solid ${tone.boneLine}`, bgcolor: tone.paper }}
      >
        Weigh (simulated scale)
      </ButtonBase>
    </Box>
  );
}
