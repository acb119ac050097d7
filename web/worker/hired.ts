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

interface Hired<Told> {
  readonly remote: Remote<Told>;
  /** Never resolves; rejects when the thread breaks down or is dismissed, so that nobody waits for it in vain. */
  readonly broken: Promise<never>;
  readonly dismiss: (why: string) => void;
  /** When it last answered anything, by the clock of the page. */
  heardAt: number;
}

type Asked<Told> = <Reply>(question: (remote: Remote<Told>) => Promise<Reply>) => Promise<Reply>;

/**
 * How a thread is asked. It works on one question after the other: one that stands behind many is not late while they are
 * answered. What is asked rejects where the question itself fails, and where the thread is dead; the next one begins anew.
 * @param hire begins the thread
 */
export function hiring<Told>(hire: () => Worker, { silence, atMost }: Patience): Asked<Told> {
  let hired: Hired<Told> | undefined;
  return async (question) => {
    hired ??= begin<Told>(hire());
    const asked = hired;
    const late = lateness(asked, silence, atMost);
    try {
      const heard = question(asked.remote).then(
        (reply) => ({ reply }),
        (fault: unknown) => ({ fault }),
      );
      const told = await Promise.race([heard, asked.broken, late.tooLate]);
      asked.heardAt = performance.now();
      // the thread lives and says that this cannot be answered: the others need not suffer for it
      if ("fault" in told) throw told.fault;
      return told.reply;
    } catch (error) {
      if (error instanceof Dead) {
        asked.dismiss(error.message);
        if (hired === asked) hired = undefined;
      }
      throw error;
    } finally {
      late.stop();
    }
  };
}

/** The thread says nothing any more. */
class Dead extends Error {}

function begin<Told>(worker: Worker): Hired<Told> {
  let breakDown: (error: Error) => void = () => undefined;
  const broken = new Promise<never>((_resolve, reject) => {
    breakDown = reject;
  });
  worker.addEventListener("error", () => breakDown(new Dead("the thread broke down")));
  worker.addEventListener("messageerror", () => breakDown(new Dead("the thread could not be understood")));
  // a breakdown while nobody is asking is met by the next question
  broken.catch(() => undefined);
  const dismiss = (why: string) => {
    worker.terminate();
    breakDown(new Dead(why));
  };
  return { remote: wrap<Told>(worker), broken, dismiss, heardAt: performance.now() };
}

function lateness(asked: Hired<unknown>, silence: number, atMost: number) {
  const begunAt = performance.now();
  let timer: ReturnType<typeof setTimeout> | undefined;
  const tooLate = new Promise<never>((_resolve, reject) => {
    let isOver = false;
    const look = () => {
      const now = performance.now();
      const left = Math.min(silence - (now - Math.max(begunAt, asked.heardAt)), atMost - (now - begunAt));
      if (left <= 0 && isOver) return reject(new Dead("the thread did not answer"));
      // a page that stood still (a phone put away) hears what was answered meanwhile before it says that nothing was
      isOver = left <= 0;
      timer = setTimeout(look, isOver ? silence * WAKING : Math.ceil(left));
    };
    look();
  });
  tooLate.catch(() => undefined);
  return { tooLate, stop: () => clearTimeout(timer) };
}
