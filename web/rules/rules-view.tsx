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
  setChange,
} from "@jittery-cap/core";
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import Typography from "@mui/material/Typography";
import { useEffect, useRef, useState } from "react";
import { Link } from "react-router";
import { findPath } from "../addresses.ts";
import { isReadable, listKept } from "../documents/documents.ts";
import { settle, useSettings } from "../documents/settings.ts";
import { match } from "../documents/sync.ts";
import { summaryOfFind } from "../documents/verdicts.ts";
import { StandingDangers } from "../find/standing-dangers.tsx";
import { SplitCard } from "../layout/split-card.tsx";
import { Trail } from "../layout/trail.tsx";
import { useOpenFind, useSession } from "../session/session-context.tsx";
import { Choice } from "../specimen/choice.tsx";
import { VERDICT_WORDS } from "../standing/verdict-words.ts";

interface Turned {
  readonly label: string;
  readonly from: Answer["verdict"];
  readonly to: Answer["verdict"];
}

/** The finds whose answer turns with other rules; those that are decided are left as they were. */
async function turnedBy(finds: readonly Find[], rules: Rules): Promise<readonly Turned[]> {
  const turned: Turned[] = [];
  for (const find of finds) {
    const [before, after] = [await summaryOfFind(find), await summaryOfFind({ ...find, rules })];
    if (before.verdict !== after.verdict)
      turned.push({ label: find.label ?? "a find without a name", from: before.verdict, to: after.verdict });
  }
  return turned;
}

/** The open finds; unknown where this device cannot tell whether it knows all of them. */
async function openFinds(): Promise<readonly Find[] | "unknown"> {
  if (!(await match())) return "unknown";
  return (await listKept("find", LATEST)).filter(isReadable).map((one) => one.content);
}
/** So many of the latest finds are judged by other rules. */
const LATEST = 200;

export function RulesView() {
  const find = useOpenFind();
  const { changeTogether } = useSession();
  const [finds, setFinds] = useState<readonly Find[] | "unknown">("unknown");
  const [turned, setTurned] = useState<readonly Turned[] | "unknown">();
  // an older question's answer never takes the place of a newer one's
  const asked = useRef(0);
  const [missing, setMissing] = useState<string>();
  const own = useSettings((state) => state.settings.rules);
  useEffect(() => void openFinds().then(setFinds, () => setFinds("unknown")), []);
  const rules: Rules = find.rules ?? {};
  const isOwn = canonicalJson(own) === canonicalJson(rules);
  const set = (next: Rules) => {
    setTurned(undefined);
    // one touch, whatever many matters it settles: it is undone as one
    changeTogether(
      HOUSE_RULES.flatMap(({ rule }) => {
        const value = next[rule];
        const plain = value === undefined || isDefault(rule, value) ? null : value;
        return (find.rules?.[rule] ?? null) === plain ? [] : [setChange({ kind: "set-rule" }, rule, plain)];
      }),
    );
    if (finds === "unknown") return setTurned("unknown");
    // those already decided carry their own rules, frozen
    const undecided = finds.filter((one) => one.bodies.every((body) => body.ending === undefined));
    asked.current += 1;
    const question = asked.current;
    const told = (found: readonly Turned[] | "unknown") => void (asked.current === question && setTurned(found));
    turnedBy(undecided, next).then(told, () => told("unknown"));
  };
  const choose: MatterProps["onChoose"] = (rule, value) => {
    // unknown finds show no experience
    const why = experienceMissing(rule, value, finds === "unknown" ? [] : finds);
    setMissing(why);
    if (why === undefined) set({ ...rules, [rule]: value });
  };
  return (
    <SplitCard
      light={
        <>
          <Trail />
          <div className="page scroll">
            <Typography variant="h2" component="h1">
              House rules for {find.label ?? "this find"}
            </Typography>
            <Typography className="soft below">
              Where people who know differ. The rules are kept with each find and each decision.{" "}
              <Link to={findPath(find.id, "decide")}>Back to the answer</Link>
            </Typography>
            <div className="actions">
              <Button onClick={() => set(FIRST_YEARS)}>My first years: everything at its strictest</Button>
              <Button onClick={() => void settle({ rules })}>
                {isOwn ? "Every new find begins with these" : "Begin every new find with these"}
              </Button>
            </div>
            {missing !== undefined && (
              <Alert severity="error" sx={{ mt: 1.5 }}>
                {missing}
              </Alert>
            )}
            {turned !== undefined && <TurnedNote turned={turned} />}
            {HOUSE_RULES.map((one) => (
              <Matter key={one.rule} of={one} rules={rules} onChoose={choose} />
            ))}
          </div>
        </>
      }
      dark={<StandingDangers />}
    />
  );
}

type HouseRule = (typeof HOUSE_RULES)[number];

interface MatterProps {
  readonly of: HouseRule;
  readonly rules: Rules;
  readonly onChoose: (rule: HouseRule["rule"], value: HouseRule["schools"][number]["value"]) => void;
}

/** One matter on which people who know differ, with both schools' reasons. */
function Matter({ of: { rule, matter, schools }, rules, onChoose }: MatterProps) {
  return (
    <section aria-label={matter} data-rule={rule} className="section">
      <h2 className="section-title">{matter}</h2>
      <div className="columns">
        {schools.map(({ value, name, reason }) => (
          <div key={value} className="stack">
            <Choice
              quiet
              label={`${name}${isDefault(rule, value) ? " (default)" : ""}`}
              state={String(value)}
              chosen={rules[rule] === undefined ? isDefault(rule, value) : rules[rule] === value}
              onChoose={() => onChoose(rule, value)}
            />
            <span className="soft small">{reason}</span>
          </div>
        ))}
      </div>
    </section>
  );
}

/** What other finds would turn to; what is not known is said to be not known. */
function TurnedNote({ turned }: { readonly turned: readonly Turned[] | "unknown" }) {
  return (
    <Alert severity="warning" role="status" data-testid="turned" sx={{ mt: 1.5 }}>
      {turned === "unknown" &&
        "Whether other open finds change their answer is not known: the log or the answer could not be had."}
      {turned !== "unknown" && turned.length === 0 && "By these rules no other open find changes its answer."}
      {turned !== "unknown" && turned.length > 0 && <b>By these rules:</b>}
      {turned !== "unknown" &&
        turned.map((one) => (
          <div key={one.label}>
            {one.label}: {VERDICT_WORDS[one.from].toLowerCase()}, then {VERDICT_WORDS[one.to].toLowerCase()}
          </div>
        ))}
    </Alert>
  );
}
