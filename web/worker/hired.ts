/** A thread that is hired at the first question, dismissed when it says nothing any more, and hired anew at the next. */
import { type Remote, wrap } from "comlink";

/** How long is waited, ms. */
export interface Patience {
  /** A thread from which nothing at all is heard for so long, while something is asked of it, is taken for dead. */
  readonly silence: number;
  /** No question waits longer, however much else is answered meanwhile. */
  readonly atMost: number;
}

/** As a share of the silence: so long a page that wakes has for what was answered while it stood still. */
const WAKING = 0.1;

/** The thread says nothing any more. */
class Dead extends Error {}

interface Hired<Told> {
  readonly remote: Remote<Told>;
  /** Whoever waits for an answer; told at once when there will be none. */
  readonly waiting: Set<(dead: Dead) => void>;
  readonly dismiss: (why: string) => void;
  /** When it last answered anything, by the clock of the page. */
  heardAt: number;
}

type Ask<Told> = <Reply>(question: (remote: Remote<Told>) => Promise<Reply>) => Promise<Reply>;

/**
 * How a thread is asked. It works on one question after the other: one that stands behind many is not late while they are
 * answered. What is asked rejects where the question itself fails, and where the thread is dead; the next one begins anew.
 * @param hire begins the thread
 */
export function hiring<Told>(hire: () => Worker, patience: Patience): Ask<Told> {
  let hired: Hired<Told> | undefined;
  // a thread that cannot be begun at all is an answer too
  return async (question) => {
    hired ??= begin<Told>(hire(), (gone) => {
      if (hired === gone) hired = undefined;
    });
    return answerOf(hired, question, patience);
  };
}

function begin<Told>(worker: Worker, onGone: (gone: Hired<Told>) => void): Hired<Told> {
  const hired: Hired<Told> = {
    remote: wrap<Told>(worker),
    waiting: new Set(),
    heardAt: performance.now(),
    dismiss: (why) => {
      worker.terminate();
      onGone(hired);
      for (const tell of [...hired.waiting]) tell(new Dead(why));
    },
  };
  worker.addEventListener("error", () => hired.dismiss("the thread broke down"));
  worker.addEventListener("messageerror", () => hired.dismiss("the thread could not be understood"));
  return hired;
}

function answerOf<Told, Reply>(
  hired: Hired<Told>,
  question: (remote: Remote<Told>) => Promise<Reply>,
  { silence, atMost }: Patience,
): Promise<Reply> {
  const begunAt = performance.now();
  return new Promise<Reply>((resolve, reject) => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    let isOver = false;
    const settled = () => {
      clearTimeout(timer);
      hired.waiting.delete(giveUp);
    };
    const giveUp = (dead: Dead) => {
      settled();
      reject(dead);
    };
    const look = () => {
      const now = performance.now();
      const left = Math.min(silence - (now - Math.max(begunAt, hired.heardAt)), atMost - (now - begunAt));
      if (left <= 0 && isOver) return hired.dismiss("the thread did not answer");
      // a page that stood still (a phone put away) hears what was answered meanwhile before it says that nothing was
      isOver = left <= 0;
      timer = setTimeout(look, isOver ? silence * WAKING : Math.ceil(left));
    };
    hired.waiting.add(giveUp);
    look();
    const hear = (tell: () => void) => {
      hired.heardAt = performance.now();
      settled();
      tell();
    };
    // where the question itself fails, the thread lives: the others need not suffer for it
    question(hired.remote).then(
      (reply) => hear(() => resolve(reply)),
      (fault: unknown) => hear(() => reject(fault)),
    );
  });
}
