/** A find that waits for somebody's eyes: who asks, how long it waits, who looks at it. */
import { CIRCLE_ROUTES, type ReplyOf } from "@jittery-cap/core/api";
import Button from "@mui/material/Button";
import { Link } from "react-router";
import { askedPath, findPath } from "../addresses.ts";
import { ask as send } from "../api/client.ts";

interface AskLineProps {
  readonly ask: ReplyOf<(typeof CIRCLE_ROUTES)["listAsks"]>["asks"][number];
  readonly onChanged: () => void;
}

const MINUTE_MS = 60_000;
const LENGTHS = [
  ["day", 24 * 60 * MINUTE_MS],
  ["hour", 60 * MINUTE_MS],
  ["minute", MINUTE_MS],
] as const;

/** How long ago a moment is, in its largest unit. */
function since(moment: string): string {
  const ms = Date.now() - new Date(moment).getTime();
  const [unit, length] = LENGTHS.find(([, one]) => ms >= one) ?? [];
  if (unit === undefined || length === undefined) return "a moment";
  return new Intl.NumberFormat(undefined, { style: "unit", unit, unitDisplay: "long" }).format(
    Math.max(0, Math.floor(ms / length)),
  );
}

export function AskLine({ ask, onChanged }: AskLineProps) {
  const isMine = ask.find !== undefined;
  const isOpen = ask.answeredAt === undefined;
  const take = (takes: boolean) =>
    send(CIRCLE_ROUTES.takeAsk, { params: { id: ask.id }, body: { take: takes } }).then(onChanged);
  const withdraw = () => send(CIRCLE_ROUTES.withdrawAsk, { params: { id: ask.id } }).then(onChanged);
  return (
    <li className="line around" data-ask={ask.id}>
      <div className="strong">
        {isMine ? `You asked ${ask.circleName}` : ask.by}
        {ask.note === "" ? "" : `: ${ask.note}`}
      </div>
      <div className="soft small">
        {isOpen ? `waits for ${since(ask.askedAt)}` : `answered ${since(ask.answeredAt ?? ask.askedAt)} ago`}
        {isMine ? "" : `, in ${ask.circleName}`}
        {ask.takenBy === undefined ? "" : `; ${ask.takenByMe ? "you look" : `${ask.takenBy} looks`} at it`}
      </div>
      <div className="actions">
        {isOpen && !isMine && ask.takenBy === undefined && (
          <Button variant="outlined" onClick={() => void take(true)}>
            I look at it
          </Button>
        )}
        {isOpen && !isMine && ask.takenByMe && (
          <>
            <Button variant="contained" component={Link} to={askedPath(ask.id)}>
              Say what you see
            </Button>
            <Button variant="quiet" onClick={() => void take(false)}>
              Not after all
            </Button>
          </>
        )}
        {isMine && ask.find !== undefined && (
          <Button variant="quiet" component={Link} to={findPath(ask.find, "decide")}>
            The find
          </Button>
        )}
        {isMine && isOpen && (
          <Button variant="quiet" onClick={() => void withdraw()}>
            Ask no longer
          </Button>
        )}
      </div>
    </li>
  );
}
