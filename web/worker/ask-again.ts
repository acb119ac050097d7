/** A question that is asked until there is an answer: a device that was too busy for it may have the time later. */

/** The wait before it is asked again: the first, doubled each time, and the longest, ms. */
const FIRST_WAIT = 2000;
const LONGEST_WAIT = 60_000;

interface Hearing<Reply> {
  readonly ask: () => Promise<Reply>;
  readonly onReply: (reply: Reply) => void;
  /** Each time there was none; it is asked again. */
  readonly onFailure: () => void;
}

export interface Asking {
  /** Resolves after the first answer or failure. */
  readonly first: Promise<void>;
  /** Nothing is asked or heard any more. */
  readonly stop: () => void;
}

/** Asks now, and again after each failure, until it is answered or stopped. */
export function askUntilAnswered<Reply>({ ask, onReply, onFailure }: Hearing<Reply>): Asking {
  let isStopped = false;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const turn = (wait: number): Promise<void> =>
    ask().then(
      (reply) => {
        if (!isStopped) onReply(reply);
      },
      () => {
        if (isStopped) return;
        onFailure();
        timer = setTimeout(() => void turn(Math.min(2 * wait, LONGEST_WAIT)), wait);
      },
    );
  return {
    first: turn(FIRST_WAIT),
    stop: () => {
      isStopped = true;
      clearTimeout(timer);
    },
  };
}
