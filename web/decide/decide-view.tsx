/** Decide: the answer and its reasons on the light half, what speaks against and for each danger on the dark one. */
import {
  type Answer,
  type BodyVerdict,
  CONDITION_WORDS,
  conditionsMet,
  type Find,
  figureOf,
  type IfWrong,
} from "@jittery-cap/core";
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import { Link, useParams } from "react-router";
import { ScrollRegion } from "../card/scroll-region.tsx";
import { SplitCard } from "../card/split-card.tsx";
import { StateOfView } from "../card/state-of-view.tsx";
import { Trail } from "../card/trail.tsx";
import { VERDICT_WORDS } from "../card/verdict-words.ts";
import type { Witness } from "../device/packets.ts";
import { Drawing } from "../find/drawing.tsx";
import { stationOfTest } from "../find/stations.ts";
import { useFind } from "../state/find-state.ts";
import { tone } from "../theme/tokens.ts";
import { askIfWrong } from "../worker/judge.ts";
import { EndingsPanel } from "./endings-panel.tsx";
import { EvidenceBoard } from "./evidence-board.tsx";
import { SecondEyes } from "./second-eyes.tsx";

export function DecideView() {
  const { id = "" } = useParams();
  const { status, find, answer, answerState, open } = useFind();
  const [chosen, setChosen] = useState<string>();
  const [witnesses, setWitnesses] = useState<readonly Witness[]>([]);
  const [wrongs, setWrongs] = useState<readonly IfWrong[]>();
  useEffect(() => void open(id), [id, open]);
  useEffect(() => {
    if (find === undefined) return;
    let overtaken = false;
    setWrongs(undefined);
    askIfWrong(find).then(
      (found) => overtaken || setWrongs(found),
      () => undefined,
    );
    return () => {
      overtaken = true;
    };
  }, [find]);
  // an answer to another state of the record is no answer here
  if (status !== "open" || find?.id !== id || answer === undefined || answerState !== "fresh")
    return <StateOfView view="decide" status={status} />;
  return (
    <SplitCard
      darkShare={2.2}
      darkFirst={false}
      light={
        <>
          <Trail view="decide" findId={find.id} />
          <ScrollRegion label="The answer" sx={{ px: { xs: 2.5, md: 3.5 }, pt: { xs: 2, md: 3 }, pb: 3 }}>
            <Typography
              variant="h1"
              component="h1"
              data-verdict={answer.verdict}
              data-state={answerState}
              sx={{ fontSize: { xs: "2.5rem", md: "3.4rem" } }}
            >
              {VERDICT_WORDS[answer.verdict]}
            </Typography>
            <Box sx={{ color: tone.inkSoft, pt: 0.5 }}>{find.label ?? "this find"}</Box>
            <Reasons answer={answer} />
            <Conditions answer={answer} met={conditionsMet(find, answer, witnesses)} />
            <Way answer={answer} findId={find.id} />
            <Bodies answer={answer} find={find} />
            <SecondEyes key={`eyes ${find.id}`} find={find} onHeard={setWitnesses} />
            <EndingsPanel key={find.id} find={find} answer={answer} />
            <Box sx={{ pt: 2 }}>
              <Link to={`/rules/${find.id}`} style={{ color: tone.ink }}>
                The house rules behind this answer
              </Link>
            </Box>
            <Typography sx={{ color: tone.inkSoft, fontSize: "0.9375rem", pt: 2.5 }}>
              Sheets of edition {answer.edition}. The answer knows only the kinds on this shelf, and gives no leave to
              eat anything.
            </Typography>
          </ScrollRegion>
        </>
      }
      dark={<EvidenceBoard answer={answer} chosen={chosen} onChoose={setChosen} wrongs={wrongs} />}
    />
  );
}

function Reasons({ answer }: { answer: Answer }) {
  return (
    <Box
      component="ul"
      aria-label="Reasons"
      sx={{ listStyle: "none", p: 0, m: 0, pt: 1.5, display: "grid", gap: 1, maxWidth: "62ch" }}
    >
      {answer.reasons.map((reason) => (
        <Box
          component="li"
          key={reason.code + reason.text}
          data-reason={reason.code}
          sx={{ fontSize: "1.125rem", lineHeight: 1.4 }}
        >
          {reason.text}
        </Box>
      ))}
    </Box>
  );
}

function Conditions({ answer, met }: { answer: Answer; met: ReadonlySet<string> }) {
  if (answer.conditions === undefined) return null;
  return (
    <Section title="Before anything is cooked">
      <Box component="ol" sx={{ m: 0, pl: 2.5, display: "grid", gap: 0.5 }}>
        {answer.conditions.map((code) => (
          <li key={code} data-condition={code} data-met={met.has(code)}>
            {CONDITION_WORDS[code]} {met.has(code) && <b>Done.</b>}
          </li>
        ))}
      </Box>
      {[...handlingWords(answer)].map(([words, names]) => (
        <Box key={words} data-handling sx={{ pt: 1.5, maxWidth: "62ch" }}>
          <b>If it is the {names.join(" or the ")}:</b> {words}
        </Box>
      ))}
    </Section>
  );
}

/** How what may be kept is handled, in words; kinds that are handled alike are told together. */
function handlingWords(answer: Answer): ReadonlyMap<string, readonly string[]> {
  const told = new Map<string, string[]>();
  for (const { name, parts, cooking, warnings } of answer.handling ?? []) {
    const words = `${parts}; ${cooking}. ${warnings.join(" ")}`.trim();
    told.set(words, [...(told.get(words) ?? []), name]);
  }
  return told;
}

const timeWords = (minutes: number, hours: number) => `${minutes} min${hours > 0 ? `, then ${hours} h` : ""}`;

function Way({ answer, findId }: { answer: Answer; findId: string }) {
  const { tests, minutes, waitHours, cannotSettle, further, nothingHelps } = answer.next;
  if (tests.length + cannotSettle.length + further.length === 0 && nothingHelps === undefined) return null;
  return (
    <Section
      title={
        tests.length === 0
          ? "What cannot be settled here"
          : `The shortest way to an answer: ${timeWords(minutes, waitHours)}`
      }
    >
      <Box component="ol" aria-label="Next tests" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {tests.map((test, index) => {
          const station = stationOfTest(test)?.id ?? "bodies";
          return (
            <Box
              component="li"
              key={`${test.test}-${test.body ?? ""}`}
              data-test={test.test}
              sx={{ borderTop: index === 0 ? 0 : `1px solid ${tone.boneLine}` }}
            >
              <Box
                component={Link}
                to={`/find/${findId}/${station}`}
                sx={{
                  display: "flex",
                  gap: 1.75,
                  alignItems: "center",
                  minHeight: 44,
                  color: tone.ink,
                  textDecoration: "none",
                  "&:hover": { textDecoration: "underline" },
                }}
              >
                <b>{index + 1}</b>
                <Box component="span" sx={{ flex: 1 }}>
                  {test.text}
                </Box>
                <Box component="span" sx={{ color: tone.inkSoft, whiteSpace: "nowrap", fontSize: "0.9375rem" }}>
                  {timeWords(test.minutes, test.waitHours)}
                </Box>
              </Box>
            </Box>
          );
        })}
      </Box>
      {nothingHelps !== undefined && <Typography data-nothing-helps>{nothingHelps}</Typography>}
      {further.map((one) => (
        <Typography key={one.text} sx={{ pt: 1 }}>
          {one.text}
        </Typography>
      ))}
      {cannotSettle.slice(0, SETTLED_NOT).map((one) => (
        <Typography key={one.sheet + one.body} sx={{ pt: 1, color: tone.inkSoft }}>
          {one.why.charAt(0).toUpperCase() + one.why.slice(1)}.
        </Typography>
      ))}
      {cannotSettle.length > SETTLED_NOT && (
        <Typography sx={{ pt: 1, color: tone.inkSoft }}>
          {cannotSettle.length - SETTLED_NOT} more stand likewise: they are on the board.
        </Typography>
      )}
    </Section>
  );
}

/** So many dangers that no test settles are told one by one; the board shows them all. */
const SETTLED_NOT = 3;

function Bodies({ answer, find }: { answer: Answer; find: Find }) {
  return (
    <Section title="Each body on its own">
      <Box component="ul" aria-label="Bodies" sx={{ listStyle: "none", m: 0, p: 0 }}>
        {answer.bodies.map((verdict) => (
          <BodyLine key={verdict.body} verdict={verdict} find={find} />
        ))}
      </Box>
    </Section>
  );
}

const PICTURE = 54;

function BodyLine({ verdict, find }: { verdict: BodyVerdict; find: Find }) {
  const body = find.bodies.find((one) => one.id === verdict.body);
  if (body === undefined) return null;
  const figure = figureOf(find, body, 0);
  return (
    <Box
      component="li"
      data-body={verdict.body}
      data-body-verdict={verdict.verdict}
      sx={{
        display: "grid",
        gridTemplateColumns: "64px 1fr auto",
        columnGap: 2,
        alignItems: "center",
        borderTop: `1px solid ${tone.boneLine}`,
        minHeight: 70,
        py: 1,
      }}
    >
      <Box sx={{ display: "flex", justifyContent: "center" }}>
        <Drawing
          figure={figure}
          scale={Math.min(PICTURE / (figure.top - figure.bottom), 60 / (figure.right - figure.left))}
        />
      </Box>
      <Box>
        <b>
          {body.id}, {body.age ?? "age not told"}
        </b>
        <Box sx={{ color: tone.inkSoft, fontSize: "0.9375rem", lineHeight: 1.3 }}>
          {verdict.reasons[0]?.text ?? "Every danger of this shelf that counts here is past doubt for it."}
        </Box>
      </Box>
      <Box
        sx={{
          minWidth: 92,
          textAlign: "center",
          border: `1px solid ${tone.ink}`,
          bgcolor: verdict.kept ? tone.paper : "transparent",
          borderStyle: verdict.kept ? "solid" : "dashed",
          px: 1.25,
          py: 1,
          fontWeight: 650,
        }}
      >
        {verdict.kept ? VERDICT_WORDS[verdict.verdict] : "not kept"}
      </Box>
    </Box>
  );
}

function Section({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <Box component="section" sx={{ pt: 2.75 }}>
      <Typography variant="h3" component="h2" sx={{ pb: 0.75 }}>
        {title}
      </Typography>
      {children}
    </Box>
  );
}
