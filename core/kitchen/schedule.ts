/**
 * The schedule of a meal: tasks with least times, what they need and what comes before what, so that everything is ready
 * together. Worked out backwards from the moment of serving, where "as late as possible" becomes "as early as possible": there
 * it is the resource-constrained project scheduling problem, solved by branch and bound over active schedules (serial
 * generation; Sprecher, Kolisch and Drexl 1995 show that they hold an optimum). Exact while the bound on nodes is not reached,
 * which meals of a household do not come near.
 */

/** What the kitchen has of each thing that a task holds while it runs. */
export interface Stove {
  readonly rings: number;
  readonly pans: number;
  readonly pots: number;
  /** People who clean and cut; what cooks by itself needs nobody. */
  readonly hands: number;
}
export const STOVE_PARTS = ["rings", "pans", "pots", "hands"] as const satisfies readonly (keyof Stove)[];

export interface Task {
  readonly id: string;
  /** Its least time, whole minutes, at least one. */
  readonly minutes: number;
  readonly needs: Partial<Stove>;
  /** Tasks that have to be over before it begins. */
  readonly after: readonly string[];
}

/** A task with its time, minutes from the first one's beginning. */
export interface Slot {
  readonly task: string;
  readonly from: number;
  readonly to: number;
}

export interface Schedule {
  readonly slots: readonly Slot[];
  /** From the first beginning until all is ready, minutes. */
  readonly minutes: number;
  /** Minutes that what is ready before the end has to wait, together. */
  readonly waiting: number;
  /** Whether no better one exists; false only where the search was cut short. */
  readonly isBest: boolean;
}

export class ScheduleError extends Error {}

/** Nodes of the search after which the best schedule so far is given. */
const NODES = 100_000;

/**
 * The shortest schedule, and of the shortest the one in which least stands waiting at the end.
 * @throws ScheduleError for a task without time, one that needs more than there is, an unknown or a circular order
 */
export function scheduleOf(tasks: readonly Task[], stove: Stove): Schedule {
  const problem = backwards(tasks, stove);
  const search = new Search(problem);
  search.run();
  const { starts, length, waiting } = search.best;
  const slots = tasks.map(({ id, minutes }, index) => {
    const ends = length - (starts[index] ?? 0);
    return { task: id, from: ends - minutes, to: ends };
  });
  return { slots, minutes: length, waiting, isBest: !search.isCut };
}

/** The tasks as the search needs them: what comes after a task in the kitchen comes before it here. */
interface Backwards {
  readonly minutes: readonly number[];
  readonly needs: readonly (readonly number[])[];
  readonly has: readonly number[];
  /** Tasks that a task waits for, here: those that follow it in the kitchen. */
  readonly waitsFor: readonly (readonly number[])[];
  /** Longest way from a task's beginning to the end, here, with itself. */
  readonly tail: readonly number[];
  /** Whether nothing follows it in the kitchen: what is served. */
  readonly isLast: readonly boolean[];
}

function backwards(tasks: readonly Task[], stove: Stove): Backwards {
  const has = STOVE_PARTS.map((part) => stove[part]);
  if (has.some((count) => !Number.isInteger(count) || count < 0)) throw new ScheduleError("the stove has odd parts");
  const place = new Map(tasks.map(({ id }, index) => [id, index]));
  if (place.size < tasks.length) throw new ScheduleError("two tasks have one name");
  const needs = tasks.map(({ id, minutes, needs: wanted }) => {
    if (!Number.isInteger(minutes) || minutes < 1) throw new ScheduleError(`${id} has no time`);
    return STOVE_PARTS.map((part, index) => {
      const count = wanted[part] ?? 0;
      if (!Number.isInteger(count) || count < 0) throw new ScheduleError(`${id} has odd needs`);
      if (count > (has[index] ?? 0)) throw new ScheduleError(`${id} needs more ${part} than there are`);
      return count;
    });
  });
  const waitsFor: number[][] = tasks.map(() => []);
  tasks.forEach(({ id, after }, index) => {
    for (const before of after) {
      const found = place.get(before);
      if (found === undefined) throw new ScheduleError(`${id} comes after ${before}, which there is not`);
      waitsFor[found]?.push(index);
    }
  });
  const minutes = tasks.map((task) => task.minutes);
  return {
    minutes,
    needs,
    has,
    waitsFor,
    tail: tailsOf(tasks, place),
    isLast: waitsFor.map((followers) => followers.length === 0),
  };
}

/** Longest way from each task back to the first beginning. @throws ScheduleError for a circle */
function tailsOf(tasks: readonly Task[], place: ReadonlyMap<string, number>): readonly number[] {
  const tails = new Map<number, number>();
  const under = new Set<number>();
  const of = (index: number): number => {
    const known = tails.get(index);
    if (known !== undefined) return known;
    if (under.has(index)) throw new ScheduleError("the order runs in a circle");
    under.add(index);
    const task = tasks[index];
    const before = (task?.after ?? []).map((id) => of(place.get(id) ?? index));
    const tail = (task?.minutes ?? 0) + Math.max(0, ...before);
    under.delete(index);
    tails.set(index, tail);
    return tail;
  };
  return tasks.map((_task, index) => of(index));
}

interface Best {
  readonly starts: readonly number[];
  readonly length: number;
  readonly waiting: number;
}

class Search {
  private readonly problem: Backwards;
  private readonly starts: number[];
  /** What is held of each part at each minute. */
  private readonly held: number[][];
  private nodes = 0;
  /** What was reached of each state that matters for what is still to come. */
  private readonly reached = new Map<string, (readonly [length: number, waiting: number])[]>();
  isCut = false;
  best: Best = { starts: [], length: Number.POSITIVE_INFINITY, waiting: Number.POSITIVE_INFINITY };

  constructor(problem: Backwards) {
    this.problem = problem;
    const horizon = problem.minutes.reduce((sum, one) => sum + one, 0);
    this.starts = problem.minutes.map(() => -1);
    this.held = problem.has.map(() => new Array<number>(horizon + 1).fill(0));
  }

  run(): void {
    this.place(0, 0, 0, 0);
  }

  /** Places one more task, at its earliest; schedules are met in the order of their beginnings, each once. */
  private place(placed: number, last: number, length: number, waiting: number): void {
    const { minutes, tail, isLast } = this.problem;
    if (placed === minutes.length) {
      if (isBetter(length, waiting, this.best)) this.best = { starts: [...this.starts], length, waiting };
      return;
    }
    if (!isBetter(this.bound(last, length), waiting + this.leastWaiting(last), this.best)) return;
    if (this.isOutdone(last, length, waiting)) return;
    if (this.nodes >= NODES) {
      this.isCut = true;
      return;
    }
    this.nodes += 1;
    const open = this.eligible().map((index) => ({ index, start: this.earliest(index) }));
    // one that would have fitted in before: this is not as early as it can be, and the other is met elsewhere
    if (open.some(({ start }) => start < last)) return;
    // whatever begins after another could be over would leave a hole that the other fits into
    const over = Math.min(...open.map(({ index, start }) => start + (minutes[index] ?? 0)));
    for (const { index, start } of open) {
      if (start >= over) continue;
      const grown = Math.max(length, start + (minutes[index] ?? 0));
      const waits = waiting + (isLast[index] === true ? start : 0);
      const least = Math.max(grown, start + (tail[index] ?? 0));
      if (!isBetter(least, waits, this.best)) continue;
      this.hold(index, start, 1);
      this.starts[index] = start;
      this.place(placed + 1, start, grown, waits);
      this.starts[index] = -1;
      this.hold(index, start, -1);
    }
  }

  /** The tasks that could be next, the one with the longest way behind it first. */
  private eligible(): readonly number[] {
    const { waitsFor, tail } = this.problem;
    return this.starts
      .flatMap((start, index) =>
        start < 0 && (waitsFor[index] ?? []).every((other) => (this.starts[other] ?? -1) >= 0) ? [index] : [],
      )
      .sort((one, other) => (tail[other] ?? 0) - (tail[one] ?? 0));
  }

  private earliest(index: number): number {
    const { minutes, waitsFor, needs, has } = this.problem;
    const length = minutes[index] ?? 0;
    let start = Math.max(
      0,
      ...(waitsFor[index] ?? []).map((other) => (this.starts[other] ?? 0) + (minutes[other] ?? 0)),
    );
    for (let minute = start; minute < start + length; minute += 1) {
      const isFull = (needs[index] ?? []).some(
        (count, part) => count > 0 && (this.held[part]?.[minute] ?? 0) + count > (has[part] ?? 0),
      );
      if (isFull) start = minute + 1;
    }
    return start;
  }

  private hold(index: number, start: number, sign: 1 | -1): void {
    const length = this.problem.minutes[index] ?? 0;
    (this.problem.needs[index] ?? []).forEach((count, part) => {
      const row = this.held[part];
      if (count === 0 || row === undefined) return;
      for (let minute = start; minute < start + length; minute += 1) row[minute] = (row[minute] ?? 0) + sign * count;
    });
  }

  /**
   * Whether the same tasks, with the same ones still running, were placed before at no greater cost. What comes after depends
   * on nothing else.
   */
  private isOutdone(last: number, length: number, waiting: number): boolean {
    const ends = this.starts.map((start, index) => {
      if (start < 0) return "-";
      const end = start + (this.problem.minutes[index] ?? 0);
      return end > last ? end : "";
    });
    const key = `${last} ${ends.join()}`;
    const before = this.reached.get(key) ?? [];
    if (before.some(([itsLength, itsWaiting]) => itsLength <= length && itsWaiting <= waiting)) return true;
    before.push([length, waiting]);
    this.reached.set(key, before);
    return false;
  }

  /** What is served and not placed waits at the least as long as if the scarcest part served the shortest first. */
  private leastWaiting(last: number): number {
    const { minutes, needs, has, isLast } = this.problem;
    const open = this.starts.flatMap((start, index) => (start < 0 && isLast[index] === true ? [index] : []));
    let most = last * open.length;
    has.forEach((count, part) => {
      const free = new Array<number>(Math.max(1, count)).fill(last);
      const lengths = open
        .filter((index) => (needs[index]?.[part] ?? 0) > 0)
        .map((index) => minutes[index] ?? 0)
        .sort((one, other) => one - other);
      let sum = last * (open.length - lengths.length);
      lengths.forEach((length, turn) => {
        const at = turn % free.length;
        sum += free[at] ?? last;
        free[at] = (free[at] ?? last) + length;
      });
      most = Math.max(most, sum);
    });
    return most;
  }

  /** No schedule from here is shorter: what is not placed begins at the last beginning at the earliest. */
  private bound(last: number, length: number): number {
    const { tail, minutes, needs, has } = this.problem;
    let longest = length;
    const work = has.map(() => 0);
    this.starts.forEach((start, index) => {
      if (start >= 0) return;
      longest = Math.max(longest, last + (tail[index] ?? 0));
      needs[index]?.forEach((count, part) => {
        work[part] = (work[part] ?? 0) + count * (minutes[index] ?? 0);
      });
    });
    work.forEach((minutesOfPart, part) => {
      const count = has[part] ?? 0;
      if (count === 0) return;
      let heldAfter = 0;
      const row = this.held[part] ?? [];
      for (let minute = last; minute < row.length; minute += 1) heldAfter += row[minute] ?? 0;
      longest = Math.max(longest, last + Math.ceil((minutesOfPart + heldAfter) / count));
    });
    return longest;
  }
}

const isBetter = (length: number, waiting: number, best: Best): boolean =>
  length < best.length || (length === best.length && waiting < best.waiting);
