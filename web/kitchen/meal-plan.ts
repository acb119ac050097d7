/** A meal worked out: its schedule against the clock, who may have what, and what is still open before anybody eats. */
import { theKind } from "@jittery-cap/core";
import {
  type AtTable,
  type CookingTask,
  isOver,
  isUnderWay,
  type KindInPot,
  kindKey,
  knownKinds,
  type Meal,
  type Schedule,
  ScheduleError,
  type Share,
  scheduleOf,
  sharesOf,
  tasksOf,
  tastingStage,
  wildDaysBefore,
} from "@jittery-cap/core/kitchen";
import { type Kitchen, localDay, nextMorning } from "./use-kitchen.ts";

const MINUTE_MS = 60_000;

/** A task with its times by the clock, milliseconds. */
export interface TimedTask {
  readonly task: CookingTask;
  readonly from: number;
  readonly to: number;
}

export interface Cooking {
  readonly tasks: readonly TimedTask[];
  readonly schedule: Schedule | undefined;
  /** Why there is no schedule: the stove lacks something. */
  readonly fault: string | undefined;
  /** When the first task begins, and when all is ready. */
  readonly beginsAt: number;
  readonly readyAt: number;
}

/** The schedule of a meal: backwards from when it is to be ready, or forwards from when it was begun. */
export function cookingOf(meal: Meal, pot: readonly KindInPot[]): Cooking {
  const tasks = tasksOf(pot);
  const wanted = Date.parse(meal.at);
  if (meal.begun !== undefined) return begunCooking(meal.begun, tasks);
  try {
    const schedule = scheduleOf(tasks, meal.stove);
    const beginsAt = wanted - schedule.minutes * MINUTE_MS;
    return {
      tasks: tasks.flatMap((task) => {
        const slot = schedule.slots.find((one) => one.task === task.id);
        return slot === undefined
          ? []
          : [{ task, from: beginsAt + slot.from * MINUTE_MS, to: beginsAt + slot.to * MINUTE_MS }];
      }),
      schedule,
      fault: undefined,
      beginsAt,
      readyAt: beginsAt + schedule.minutes * MINUTE_MS,
    };
  } catch (error) {
    if (!(error instanceof ScheduleError)) throw error;
    return { tasks: [], schedule: undefined, fault: `The stove: ${error.message}`, beginsAt: wanted, readyAt: wanted };
  }
}

/** What is cooked goes by the schedule as it was begun; what has no place in it, or wants longer than it has there, is a fault. */
function begunCooking({ at, slots }: NonNullable<Meal["begun"]>, tasks: readonly CookingTask[]): Cooking {
  const beginsAt = Date.parse(at);
  const minutes = Math.max(...slots.map(({ to }) => to));
  const timed: TimedTask[] = [];
  let fault: string | undefined;
  for (const task of tasks) {
    const slot = slots.find((one) => one.task === task.id);
    if (slot === undefined) fault = `${task.says} It has no time in the cooking that was begun`;
    else {
      if (slot.to - slot.from < task.minutes)
        fault = `${task.says} It wants longer than it has in the cooking that was begun`;
      timed.push({ task, from: beginsAt + slot.from * MINUTE_MS, to: beginsAt + slot.to * MINUTE_MS });
    }
  }
  return { tasks: timed, schedule: undefined, fault, beginsAt, readyAt: beginsAt + minutes * MINUTE_MS };
}

/** Who sits there, with what is known of them. Somebody whom this device does not know is served nothing. */
export function tableOf(meal: Meal, kitchen: Kitchen, servedAt: number): readonly AtTable[] {
  const tastings = kitchen.tastings.map(({ content }) => content);
  const now = kitchen.now.getTime();
  return meal.seats.flatMap(({ person, lastAlcoholAt }) => {
    const eater = kitchen.people.find(({ id }) => id === person);
    if (eater === undefined) return [];
    const tasted = knownKinds(tastings, person, now, nextMorning);
    const told = (eater.had ?? []).filter(({ trouble }) => !trouble).map(({ kind }) => kind);
    const own = tastings.filter((one) => one.person === person);
    const today = localDay(servedAt);
    const underWay = own.find(
      (one) =>
        isUnderWay(tastingStage(one, now, nextMorning)) ||
        one.portions.some(({ at }) => localDay(Date.parse(at)) === today),
    );
    return [
      {
        eater,
        today: { lastAlcoholAt, tasting: underWay === undefined ? undefined : kindKey(underWay.kinds) },
        known: new Set([...tasted, ...told]),
        troubled: new Set(own.flatMap(({ felt, kinds }) => (felt.length > 0 ? kinds : []))),
        wildDays: wildDaysBefore(
          kitchen.meals.map(({ content }) => content),
          person,
          servedAt,
          localDay,
        ),
      },
    ];
  });
}

export function sharesAt(
  meal: Meal,
  pot: readonly KindInPot[],
  table: readonly AtTable[],
  servedAt: number,
): readonly Share[] {
  const without = new Map(meal.seats.map(({ person, without: kinds = [] }) => [person, new Set(kinds)]));
  return sharesOf(
    table,
    pot.map(({ handling }) => handling),
    servedAt,
    (person) => without.get(person) ?? new Set(),
  );
}

/** What has to be before anything is served, each in a line; nothing where all of it is. */
export function stillOpen(meal: Meal, pot: readonly KindInPot[], cooking: Cooking, now: number): readonly string[] {
  if (isOver(meal)) return [];
  const smelled = new Set(meal.pans.filter(({ smell }) => smell === "mushroom").map(({ kind }) => kind));
  const open: string[] = [];
  if (pot.length === 0) open.push("Nothing may come to the pot yet");
  if (meal.seats.length === 0) open.push("Nobody sits at the table");
  if (cooking.fault !== undefined) open.push(cooking.fault);
  if (meal.begun === undefined) open.push("Cooking has not begun");
  else if (now < cooking.readyAt) open.push(`No kind is under its least time before ${timeWords(cooking.readyAt)}`);
  for (const { handling } of pot)
    if (handling.panTells && !smelled.has(kindKey(handling.kinds)))
      open.push(`Smell the pan of ${theKind(handling.name)}`);
  return open;
}

export const timeWords = (moment: number): string =>
  new Date(moment).toLocaleTimeString([], { hour: "2-digit", minute: "2-digit" });
