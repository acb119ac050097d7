import { expect } from "chai";
import fc from "fast-check";
import loadHighs from "highs";
import { type Schedule, ScheduleError, STOVE_PARTS, type Stove, scheduleOf, type Task } from "./schedule.ts";

const STOVES: fc.Arbitrary<Stove> = fc.record({
  rings: fc.integer({ min: 1, max: 4 }),
  pans: fc.integer({ min: 1, max: 3 }),
  pots: fc.integer({ min: 1, max: 2 }),
  hands: fc.integer({ min: 1, max: 2 }),
});

const seldom = (minutes: fc.Arbitrary<number>) =>
  fc.oneof({ weight: 3, arbitrary: fc.constant(null) }, { weight: 1, arbitrary: minutes });

/** A kind's tasks: cleaned, boiled perhaps, fried; its stems by themselves perhaps. Times in steps, so that a solver is quick. */
const kind = (name: string): fc.Arbitrary<Task[]> =>
  fc
    .record({
      clean: fc.integer({ min: 1, max: 2 }),
      boil: seldom(fc.integer({ min: 2, max: 3 })),
      fry: fc.integer({ min: 3, max: 5 }),
      stems: seldom(fc.integer({ min: 4, max: 6 })),
    })
    .map(({ clean, boil, fry, stems }) => [
      { id: `clean ${name}`, minutes: clean, needs: { hands: 1 }, after: [] },
      ...(boil === null
        ? []
        : [{ id: `boil ${name}`, minutes: boil, needs: { rings: 1, pots: 1 }, after: [`clean ${name}`] }]),
      {
        id: `fry ${name}`,
        minutes: fry,
        needs: { rings: 1, pans: 1 },
        after: [boil === null ? `clean ${name}` : `boil ${name}`],
      },
      ...(stems === null
        ? []
        : [{ id: `stems ${name}`, minutes: stems, needs: { rings: 1, pans: 1 }, after: [`clean ${name}`] }]),
    ]);
const mealsOf = (most: number): fc.Arbitrary<Task[]> =>
  fc
    .integer({ min: 1, max: most })
    .chain((count) => fc.tuple(...Array.from({ length: count }, (_none, index) => kind(`kind ${index}`))))
    .map((kinds) => kinds.flat());

/** Time-indexed integer program of the same kitchen, forwards: its first aim is the length, its second what stands waiting. */
function asTimeIndexedProgram(tasks: readonly Task[], stove: Stove): string {
  const horizon = tasks.reduce((sum, one) => sum + one.minutes, 0);
  const at = (task: number, time: number) => `x${task}_${time}`;
  const times = (task: Task) => Array.from({ length: horizon - task.minutes + 1 }, (_none, time) => time);
  const starts = (index: number, task: Task, sign: string) =>
    times(task)
      .filter((time) => time > 0)
      .map((time) => `${sign} ${time} ${at(index, time)}`)
      .join(" ");
  const lasts = tasks.flatMap((task, index) =>
    tasks.some((one) => one.after.includes(task.id)) ? [] : [{ task, index }],
  );
  const weight = horizon * lasts.length + 1;
  const rows: string[] = [];
  tasks.forEach((task, index) => {
    rows.push(
      `${times(task)
        .map((time) => `+ ${at(index, time)}`)
        .join(" ")} = 1`,
    );
    rows.push(`length ${starts(index, task, "-")} >= ${task.minutes}`);
    for (const before of task.after) {
      const other = tasks.findIndex((one) => one.id === before);
      const first = tasks[other];
      if (first !== undefined)
        rows.push(`${starts(index, task, "+")} ${starts(other, first, "-")} >= ${first.minutes}`);
    }
  });
  for (const part of STOVE_PARTS)
    for (let time = 0; time < horizon; time += 1) {
      const running = tasks.flatMap((task, index) =>
        times(task)
          .filter((start) => (task.needs[part] ?? 0) > 0 && start <= time && time < start + task.minutes)
          .map((start) => `+ ${task.needs[part] ?? 0} ${at(index, start)}`),
      );
      if (running.length > 0) rows.push(`${running.join(" ")} <= ${stove[part]}`);
    }
  const aim = `${weight + lasts.length} length ${lasts.map(({ index, task }) => starts(index, task, "-")).join(" ")}`;
  const names = tasks.flatMap((task, index) => times(task).map((time) => at(index, time)));
  return `Minimize\n obj: ${aim}\nSubject To\n${rows.map((row, index) => ` c${index}: ${row}`).join("\n")}\nBinary\n ${names.join("\n ")}\nEnd`;
}

/** What is wrong with a schedule, by looking at every minute of it. */
function wrongIn({ slots, minutes }: Schedule, tasks: readonly Task[], stove: Stove): string[] {
  const slotOf = (id: string) => slots.find((one) => one.task === id);
  const wrong: string[] = [];
  for (const task of tasks) {
    const slot = slotOf(task.id);
    if (slot === undefined || slot.from < 0 || slot.to > minutes) wrong.push(`${task.id} is not within`);
    else if (slot.to - slot.from < task.minutes) wrong.push(`${task.id} is under its least time`);
    for (const before of task.after)
      if ((slotOf(before)?.to ?? 0) > (slot?.from ?? 0)) wrong.push(`${task.id} begins before ${before} is over`);
  }
  for (const part of STOVE_PARTS)
    for (let minute = 0; minute < minutes; minute += 1) {
      const held = tasks.reduce((sum, task) => {
        const slot = slotOf(task.id);
        return slot !== undefined && slot.from <= minute && minute < slot.to ? sum + (task.needs[part] ?? 0) : sum;
      }, 0);
      if (held > stove[part]) wrong.push(`${held} ${part} at minute ${minute}`);
    }
  return wrong;
}

/** The value of a column; an infeasible program has none. */
const primalOf = (column: object | undefined): number =>
  column !== undefined && "Primal" in column ? Math.round(Number(column.Primal)) : Number.NaN;

describe("the schedule of a meal", () => {
  it("is as short, and leaves as little standing, as an integer programming solver (HiGHS) finds on 150 meals", async () => {
    const highs = await loadHighs();
    let lengths = 0;
    for (const [tasks, stove] of fc.sample(
      fc.tuple(fc.oneof({ weight: 4, arbitrary: mealsOf(3) }, { weight: 1, arbitrary: mealsOf(4) }), STOVES),
      { numRuns: 150, seed: 23 },
    )) {
      const found = scheduleOf(tasks, stove);
      expect(wrongIn(found, tasks, stove)).to.deep.equal([]);
      expect(found.isBest).to.equal(true);
      const solved = highs.solve(asTimeIndexedProgram(tasks, stove));
      expect(solved.Status).to.equal("Optimal");
      const length = primalOf(solved.Columns.length);
      const lasts = tasks.filter((task) => tasks.every((one) => !one.after.includes(task.id)));
      const weight = tasks.reduce((sum, one) => sum + one.minutes, 0) * lasts.length + 1;
      const waiting =
        Math.round(solved.ObjectiveValue) - weight * length - lasts.reduce((sum, one) => sum + one.minutes, 0);
      expect([found.minutes, found.waiting], JSON.stringify({ tasks, stove })).to.deep.equal([length, waiting]);
      lengths += found.minutes;
    }
    expect(lengths).to.be.above(750);
  });

  it("has no kind under its least time and nothing held twice, also in minutes and for a full table", () => {
    fc.assert(
      fc.property(fc.tuple(mealsOf(4), STOVES), ([tasks, stove]) => {
        const minutes = tasks.map((task) => ({ ...task, minutes: task.minutes * 5 - 1 }));
        expect(wrongIn(scheduleOf(minutes, stove), minutes, stove)).to.deep.equal([]);
      }),
      { numRuns: 100 },
    );
  });

  it("ends everything at one moment where the stove has room for it", () => {
    const tasks: Task[] = [
      { id: "fry ceps", minutes: 15, needs: { rings: 1, pans: 1 }, after: [] },
      { id: "fry scaber stalks", minutes: 20, needs: { rings: 1, pans: 1 }, after: [] },
    ];
    const wide = scheduleOf(tasks, { rings: 2, pans: 2, pots: 1, hands: 1 });
    expect(wide.slots.map(({ to }) => to)).to.deep.equal([20, 20]);
    expect(wide.waiting).to.equal(0);
    // one ring: one has to wait, and the longer one goes first so that less stands waiting
    const narrow = scheduleOf(tasks, { rings: 1, pans: 2, pots: 1, hands: 1 });
    expect(narrow).to.deep.include({ minutes: 35, waiting: 15 });
    expect(narrow.slots.find(({ task }) => task === "fry ceps")).to.deep.include({ from: 20, to: 35 });
  });

  it("is refused with a word where it cannot be: no time, more than there is, an unknown or a circular order", () => {
    const stove: Stove = { rings: 1, pans: 1, pots: 0, hands: 1 };
    const one = (more: Partial<Task>): Task => ({ id: "fry", minutes: 15, needs: { rings: 1 }, after: [], ...more });
    for (const [tasks, words] of [
      [[one({ minutes: 0 })], "no time"],
      [[one({ minutes: -3 })], "no time"],
      [[one({ minutes: Number.NaN })], "no time"],
      [[one({ needs: { pots: 1 } })], "more pots than there are"],
      [[one({ needs: { pans: 0.5 } })], "odd needs"],
      [[one({ after: ["boil"] })], "which there is not"],
      [[one({ after: ["fry"] })], "circle"],
      [[one({}), one({})], "one name"],
    ] as const)
      expect(() => scheduleOf(tasks, stove)).to.throw(ScheduleError, words);
    expect(scheduleOf([], stove)).to.deep.include({ minutes: 0, slots: [] });
  });
});
