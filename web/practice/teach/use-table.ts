/** The table of a round: which find it shows, how far that was looked at, and what it tells the phones. */
import { type ReplyOf, ROUTES } from "@jittery-cap/core/api";
import type { Shown } from "@jittery-cap/core/trainer";
import { useCallback, useEffect, useState } from "react";
import { ask as askServer, valueOrNothing } from "../../api/client.ts";
import type { WholeState } from "../../worker/practice-room.ts";
import { askResult, askWhole } from "../ask-practice.ts";
import { useRound } from "./use-round.ts";

export interface Look {
  readonly test: string;
  readonly body?: string;
}

export interface Table {
  readonly round: ReplyOf<typeof ROUTES.readRound> | undefined;
  readonly isMissing: boolean;
  /** The find that is shown, from nought; undefined before the first. */
  readonly at: number | undefined;
  readonly looks: readonly Look[];
  readonly state: WholeState | undefined;
  /** What was uncovered of it. */
  readonly told: Shown | undefined;
  readonly refusal: string | undefined;
  readonly look: (look: Look) => void;
  readonly goTo: (at: number) => void;
  readonly uncover: () => Promise<void>;
}

const NO_SHEETS = "The sheets cannot be had just now: it stays covered.";

export function useTable(id: string): Table {
  const read = useCallback(() => valueOrNothing(ROUTES.readRound, { params: { id } }), [id]);
  const [token, setToken] = useState<string>();
  const { told: round, isMissing, ask } = useRound(token, read);
  const [at, setAt] = useState<number>();
  const [looks, setLooks] = useState<readonly Look[]>([]);
  const [state, setState] = useState<WholeState>();
  const [refusal, setRefusal] = useState<string>();
  useEffect(() => setToken(round?.token), [round?.token]);
  const shown = round?.shown;
  // a page that is opened again goes on where the table was
  useEffect(() => {
    if (at !== undefined || shown === undefined) return;
    setLooks(shown.looks.map(({ test, body }) => ({ test, ...(body === undefined ? {} : { body }) })));
    setAt(shown.at);
  }, [at, shown]);
  const { sheet, seed } = (at === undefined ? undefined : round?.items[at]) ?? {};
  const told = shown?.told !== undefined && shown.at === at ? shown : undefined;
  const isTold = told !== undefined;

  const show = useCallback(
    async (next: Shown) => {
      const outcome = await askServer(ROUTES.showRound, { params: { id }, body: { shown: next } });
      setRefusal(refusalOf(outcome));
      await ask();
    },
    [id, ask],
  );

  useEffect(() => {
    if (sheet === undefined || seed === undefined || at === undefined || isTold) return;
    let isOver = false;
    askWhole(sheet, seed, looks).then(
      (now) => {
        if (isOver) return;
        setState(now);
        void show(shownOf(at, now));
      },
      () => !isOver && setRefusal(NO_SHEETS),
    );
    return () => {
      isOver = true;
    };
  }, [sheet, seed, at, looks, isTold, show]);

  const uncover = async () => {
    if (sheet === undefined || seed === undefined || at === undefined || state === undefined) return;
    const answer = await toldOf(sheet, seed, looks);
    if (answer === undefined) setRefusal(NO_SHEETS);
    else await show({ ...shownOf(at, state), told: answer });
  };
  const goTo = (next: number) => {
    setLooks([]);
    setState(undefined);
    setAt(next);
  };
  const look = (one: Look) => setLooks([...looks, one]);
  return { round, isMissing, at, looks, state, told, refusal, look, goTo, uncover };
}

function refusalOf(outcome: Awaited<ReturnType<typeof askServer>>): string | undefined {
  if (outcome.kind === "ok") return undefined;
  return outcome.kind === "refused" ? outcome.problem.detail : `${outcome.text} The phones see what was shown before.`;
}

/** What of a made find the phones see; the table's own house rules stay at home, as they do in a packet. */
const shownOf = (
  at: number,
  { find: { rules: _rules, ...find }, conditions, taken, minutes, dangers }: WholeState,
): Shown => ({
  at,
  find,
  conditions: [...conditions],
  looks: taken.map(({ test, body, text, saw }) => ({
    test,
    ...(body === undefined ? {} : { body }),
    text,
    saw: saw.slice(0, 1000),
  })),
  minutes,
  dangers: dangers.map(({ id, common, tier }) => ({ id, common, tier })),
});

/** What it was; undefined where the sheets cannot be had. */
async function toldOf(sheet: string, seed: string, looks: readonly Look[]): Promise<Shown["told"]> {
  const said = { verdict: "hold", sure: 0 } as const;
  const result = await askResult(sheet, seed, looks, said).catch(() => undefined);
  if (result === undefined) return undefined;
  const { kind, verdict, reasons, least, nearest, isDanger } = result;
  return {
    kind: { id: kind.id, common: kind.common, tier: kind.tier },
    scientific: kind.scientific,
    isDanger,
    verdict,
    reasons: reasons.slice(0, 6).map((reason) => reason.slice(0, 600)),
    least,
    nearest: nearest.filter((one) => one.mistakes === least).map((one) => one.id),
  };
}
