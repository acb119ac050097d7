/** House rules: where practitioners differ, both schools' reasons; a change shows which open finds change their answer. */
import {
  type Answer,
  canonicalJson,
  experienceMissing,
  FIRST_YEARS,
  type Find,
  HOUSE_RULES,
  isDefault,
  type Rules,
} from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Typography from "@mui/material/Typography";
import { useEffect, useRef, useState } from "react";
import { Link, useParams } from "react-router";
import { DarkHalf } from "../card/dark-half.tsx";
import { SplitCard } from "../card/split-card.tsx";
import { StateOfView } from "../card/state-of-view.tsx";
import { Trail } from "../card/trail.tsx";
import { VERDICT_WORDS } from "../card/verdict-words.ts";
import { listFinds } from "../device/api.ts";
import { settle, useSettled } from "../device/settled.ts";
import { Choice } from "../find/choice.tsx";
import { useFind } from "../state/find-state.ts";
import { TOUCH, tone } from "../theme/tokens.ts";
import { askJudge } from "../worker/judge.ts";

interface Turned {
  readonly label: string;
  readonly from: Answer["verdict"];
  readonly to: Answer["verdict"];
}

/** The finds whose answer turns with other rules; those that are decided are left as they were. */
async function turnedBy(finds: readonly Find[], rules: Rules): Promise<readonly Turned[]> {
  const turned: Turned[] = [];
  for (const find of finds) {
    const [before, after] = [await askJudge(find), await askJudge({ ...find, rules })];
    if (before.verdict !== after.verdict)
      turned.push({ label: find.label ?? "a find without a name", from: before.verdict, to: after.verdict });
  }
  return turned;
}

export function RulesView() {
  const { id = "" } = useParams();
  const { status, find, answer, answerState, lastMove, open, change } = useFind();
  const [finds, setFinds] = useState<readonly Find[] | "unknown">("unknown");
  const [turned, setTurned] = useState<readonly Turned[] | "unknown">();
  // an older question's answer never takes the place of a newer one's
  const asked = useRef(0);
  const [missing, setMissing] = useState<string>();
  const own = useSettled((state) => state.settled.rules);
  useEffect(() => void open(id), [id, open]);
  useEffect(
    () => void listFinds().then((listed) => setFinds(listed === undefined ? "unknown" : listed.map((one) => one.find))),
    [],
  );
  if (status !== "open" || find?.id !== id) return <StateOfView view="decide" status={status} />;
  const rules: Rules = find.rules ?? {};
  const isOwn = canonicalJson(own) === canonicalJson(rules);
  const set = (next: Rules) => {
    setTurned(undefined);
    for (const { rule } of HOUSE_RULES) {
      const value = next[rule];
      const plain = value === undefined || isDefault(rule, value) ? null : value;
      if ((find.rules?.[rule] ?? null) !== plain) change({ kind: "set-rule", field: rule, value: plain });
    }
    if (finds === "unknown") return setTurned("unknown");
    // those already decided carry their own rules, frozen
    const undecided = finds.filter((one) => one.bodies.every((body) => body.ending === undefined));
    asked.current += 1;
    const question = asked.current;
    const told = (found: readonly Turned[] | "unknown") => void (asked.current === question && setTurned(found));
    turnedBy(undecided, next).then(told, () => told("unknown"));
  };
  return (
    <SplitCard
      darkShare={0.4}
      light={
        <>
          <Trail view="decide" findId={find.id} />
          <Box sx={{ px: { xs: 2.5, md: 3.5 }, pt: 2.5, pb: 3, flex: 1, minHeight: 0, overflowY: "auto" }}>
            <Typography variant="h2" component="h1">
              House rules for {find.label ?? "this find"}
            </Typography>
            <Typography sx={{ color: tone.inkSoft, pb: 1 }}>
              Where people who know differ. The rules are kept with each find and each decision.{" "}
              <Link to={`/decide/${find.id}`} style={{ color: tone.ink }}>
                Back to the answer
              </Link>
            </Typography>
            <ButtonBase
              onClick={() => set(FIRST_YEARS)}
              sx={{ minHeight: TOUCH, px: 1.5, border: `1px solid ${tone.ink}`, bgcolor: tone.paper, fontWeight: 600 }}
            >
              My first years: everything at its strictest
            </ButtonBase>
            <ButtonBase
              onClick={() => void settle({ rules })}
              sx={{
                mt: 1,
                mr: 1,
                minHeight: TOUCH,
                px: 1.5,
                border: `1px solid ${tone.boneLine}`,
                bgcolor: tone.paper,
              }}
            >
              {isOwn ? "Every new find begins with these" : "Begin every new find with these"}
            </ButtonBase>
            {missing !== undefined && (
              <Box role="alert" sx={{ mt: 1.5, pl: 1.5, borderLeft: `4px solid ${tone.rust}`, fontWeight: 600 }}>
                {missing}
              </Box>
            )}
            {turned !== undefined && (
              <Box role="status" data-testid="turned" sx={{ mt: 1.5, pl: 1.5, borderLeft: `4px solid ${tone.ochre}` }}>
                {turned === "unknown" ? (
                  "Whether other open finds change their answer is not known: the log or the answer could not be had."
                ) : turned.length === 0 ? (
                  "By these rules no other open find changes its answer."
                ) : (
                  <>
                    <b>By these rules:</b>
                    {turned.map((one) => (
                      <Box key={one.label}>
                        {one.label}: {VERDICT_WORDS[one.from].toLowerCase()}, then {VERDICT_WORDS[one.to].toLowerCase()}
                      </Box>
                    ))}
                  </>
                )}
              </Box>
            )}
            {HOUSE_RULES.map(({ rule, matter, schools }) => (
              <Box key={rule} component="section" aria-label={matter} data-rule={rule} sx={{ pt: 2.5 }}>
                <Typography variant="h3" component="h2" sx={{ pb: 1 }}>
                  {matter}
                </Typography>
                <Box
                  sx={{
                    display: "grid",
                    gap: 1,
                    gridTemplateColumns: { xs: "1fr", md: `repeat(${schools.length}, 1fr)` },
                  }}
                >
                  {schools.map((school) => {
                    const chosen =
                      rules[rule] === undefined ? isDefault(rule, school.value) : rules[rule] === school.value;
                    return (
                      <Box key={school.value} sx={{ display: "grid", alignContent: "start" }}>
                        <Choice
                          quiet
                          label={`${school.name}${isDefault(rule, school.value) ? " (default)" : ""}`}
                          state={String(school.value)}
                          chosen={chosen}
                          onChoose={() => {
                            // unknown finds show no experience
                            const why = experienceMissing(rule, school.value, finds === "unknown" ? [] : finds);
                            setMissing(why);
                            if (why === undefined) set({ ...rules, [rule]: school.value });
                          }}
                        />
                        <Box sx={{ color: tone.inkSoft, fontSize: "0.9375rem", pt: 0.5, lineHeight: 1.3 }}>
                          {school.reason}
                        </Box>
                      </Box>
                    );
                  })}
                </Box>
              </Box>
            ))}
          </Box>
        </>
      }
      dark={<DarkHalf answer={answer} state={answerState} lastMove={lastMove} />}
    />
  );
}
