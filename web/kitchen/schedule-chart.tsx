/** The schedule against the clock: the table, and each ring of the stove. */
import type { Stove } from "@jittery-cap/core/kitchen";
import { type Cooking, type TimedTask, timeWords } from "./meal-plan.ts";

const DOING_WORDS = { clean: "clean", boil: "boil", "pour-off": "water away", fry: "fry", stems: "stems" } as const;
const QUARTER_MS = 15 * 60_000;
/** So many hours are named at the most. */
const NAMED = 6;

interface Lane {
  readonly name: string;
  readonly tasks: readonly TimedTask[];
}

/** What a ring holds after each other; what needs none is done at the table. */
export function lanesOf(tasks: readonly TimedTask[], rings: number): readonly Lane[] {
  const onRings: TimedTask[][] = Array.from({ length: rings }, () => []);
  const byStart = [...tasks].sort((one, other) => one.from - other.from);
  for (const task of byStart) {
    if ((task.task.needs.rings ?? 0) === 0) continue;
    const free = onRings.find((ring) => ring.every((other) => other.to <= task.from));
    free?.push(task);
  }
  return [
    { name: "table", tasks: byStart.filter(({ task }) => (task.needs.rings ?? 0) === 0) },
    ...onRings.flatMap((ring, index) => (ring.length === 0 ? [] : [{ name: `ring ${index + 1}`, tasks: ring }])),
  ];
}

interface ScheduleChartProps {
  readonly cooking: Cooking;
  readonly stove: Stove;
  readonly now: Date;
}

export function ScheduleChart({ cooking, stove, now }: ScheduleChartProps) {
  const { beginsAt, readyAt, tasks } = cooking;
  const span = Math.max(1, readyAt - beginsAt) * 1.06;
  const place = (moment: number) => `${((moment - beginsAt) / span) * 100}%`;
  const step = QUARTER_MS * Math.max(1, Math.ceil((readyAt - beginsAt) / QUARTER_MS / NAMED));
  const hours: number[] = [];
  for (let at = Math.ceil(beginsAt / step) * step; at < readyAt - step / 3; at += step) hours.push(at);
  const at = now.getTime();
  return (
    <div className="schedule" data-testid="schedule">
      <div className="schedule-hours" aria-hidden="true">
        {hours.map((hour) => (
          <span key={hour} style={{ left: place(hour) }}>
            {timeWords(hour)}
          </span>
        ))}
        <span className="schedule-end" style={{ left: place(readyAt) }} />
        {at > beginsAt && at < readyAt && <span className="schedule-now" style={{ left: place(at) }} />}
      </div>
      <ol className="lines" aria-label="The schedule">
        {lanesOf(tasks, stove.rings).map(({ name, tasks: own }) => (
          <li key={name} className="schedule-lane">
            <b>{name}</b>
            <div>
              {own.map(({ task, from, to }) => (
                <div
                  key={task.id}
                  className="schedule-bar"
                  data-task={task.id}
                  data-state={at >= to ? "over" : at >= from ? "now" : "to-come"}
                  style={{ left: place(from), width: `calc(${((to - from) / span) * 100}% - 2px)` }}
                  title={`${timeWords(from)} to ${timeWords(to)}: ${task.says}`}
                >
                  <b>{DOING_WORDS[task.doing]}</b> {task.name}
                  <span className="unseen">
                    , {timeWords(from)} to {timeWords(to)}
                  </span>
                </div>
              ))}
            </div>
          </li>
        ))}
      </ol>
    </div>
  );
}
