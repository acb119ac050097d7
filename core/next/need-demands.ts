/** The demands of many thousand needs on the set of tests, gone through in their arrays. */
import { type Demand, type Demands, listed } from "./cover.ts";
import { addBrought, familiesIn, HARD, type Needs, type OnBody, type Result } from "./needs.ts";

/*
 * A need asks for enough families and, where nothing hard speaks against it, for something hard: two demands. They go by
 * number: twice the need's place for the families, one more for the hard one.
 */
const placeOf = (number: number): number => number >> 1;
const asksHard = (number: number): boolean => number % 2 === 1;

/**
 * The demands of needs as they stand now, and some others beside them. What all tests together could not meet is not asked.
 * @param others demands that are no need's, all of which can be met
 */
export function demandsOf(needs: Needs, others: readonly Demand[]): Demands {
  const { start, choices, order } = asked(needs);
  const beside = listed(others);
  return {
    hardest: (taken, most) => {
      const speaking = start.slice();
      taken.forEach((isTaken, test) => {
        if (isTaken === 1) addBrought(needs.bodies, test, speaking);
      });
      const unmet = unmetBy(speaking, needs.asked);
      // what the tests of those before would bring: no two demands that join at once share a test
      const spoken = new Set<number>();
      const touched = new Int32Array(start.length);
      const joining: Demand[] = [];
      const join = (demand: Demand) => {
        joining.push(demand);
        if (joining.length === most) return;
        for (const test of demand.groups.flat()) {
          if (spoken.has(test)) continue;
          spoken.add(test);
          addBrought(needs.bodies, test, touched);
        }
      };
      const waiting = beside.unmet(taken);
      let next = 0;
      const besideUpTo = (limit: number) => {
        for (let one = waiting[next]; one !== undefined && one.choices < limit; one = waiting[next]) {
          next += 1;
          if (joining.length < most && !one.tests.some((test) => spoken.has(test))) join(one.demand);
        }
      };
      for (let at = 0; joining.length < most; at += 1) {
        at = nextUntouched(order, at, unmet, start, touched);
        const number = order[at];
        if (number === undefined) break;
        besideUpTo(choices[number] ?? 0);
        if (joining.length < most && nextUntouched(order, at, unmet, start, touched) === at)
          join(demandAt(needs, start, number));
      }
      besideUpTo(Number.POSITIVE_INFINITY);
      return joining;
    },
  };
}

/** From a place of the order on, the first that is not met and that shares no test with those that touched it. */
function nextUntouched(
  order: Uint32Array,
  from: number,
  unmet: Uint8Array,
  start: Int32Array,
  touched: Int32Array,
): number {
  for (let at = from; at < order.length; at += 1) {
    const number = order[at] ?? 0;
    if (unmet[number] === 0) continue;
    const place = placeOf(number);
    const further = (touched[place] ?? 0) & ~(start[place] ?? 0);
    if ((further & (asksHard(number) ? HARD : ~HARD)) === 0) return at;
  }
  return order.length;
}

/** By number, 1 where what speaks against its need does not meet a demand. */
function unmetBy(speaking: Int32Array, asked: number): Uint8Array {
  const unmet = new Uint8Array(2 * speaking.length);
  for (let place = 0; place < speaking.length; place += 1) {
    const spoken = speaking[place] ?? 0;
    if (familiesIn(spoken) < asked) unmet[2 * place] = 1;
    if ((spoken & HARD) === 0) unmet[2 * place + 1] = 1;
  }
  return unmet;
}

/** All of them one by one, each once: for a solver. */
export function eachDemand(needs: Needs, others: readonly Demand[]): Demand[] {
  const { start, order } = asked(needs);
  const all = Array.from(order, (number) => demandAt(needs, start, number));
  return [...new Map([...all, ...others].map((demand) => [JSON.stringify(demand), demand])).values()];
}

/** A demand as groups of tests: one for each family that does not speak yet, or one of all that are hard. */
function demandAt({ bodies, rows, asked }: Needs, start: Int32Array, number: number): Demand {
  const place = placeOf(number);
  const row = rows[place] ?? 0;
  const results = bodies.find(({ end }) => place < end)?.results ?? [];
  if (asksHard(number)) {
    const hard = results.filter(({ hits }) => (hits[row] ?? 0) > 1);
    return { atLeast: 1, groups: [hard.map(({ option }) => option)] };
  }
  const spoken = start[place] ?? 0;
  const byFamily = new Map<number, number[]>();
  for (const { option, family, hits } of results) {
    if ((spoken & family) !== 0 || (hits[row] ?? 0) === 0) continue;
    const group = byFamily.get(family);
    if (group === undefined) byFamily.set(family, [option]);
    else group.push(option);
  }
  return { atLeast: asked - familiesIn(spoken), groups: [...byFamily.values()] };
}

interface Asked {
  /** What speaks against the needs before any test. */
  readonly start: Int32Array;
  /** By number, among how many results a demand may choose. */
  readonly choices: Uint16Array;
  /** The numbers of those that can be met, the fewest choices first, of equals as they come. */
  readonly order: Uint32Array;
}

function asked(needs: Needs): Asked {
  const start = needs.speaking.slice();
  const all = start.slice();
  const choices = new Uint16Array(2 * start.length);
  for (const on of needs.bodies) {
    for (const option of on.byOption.keys()) addBrought([on], option, all);
    addChoices(needs, on, choices);
  }
  return { start, choices, order: byChoices(choices, unmetBy(start, needs.asked), unmetBy(all, needs.asked)) };
}

/** Counts, by number, the results that one body's demands may choose from. */
function addChoices({ speaking, rows }: Needs, { byOption, start, end }: OnBody, choices: Uint16Array): void {
  for (const { results, soMany, soManyHard } of byOption.values())
    for (let place = start; place < end; place += 1) {
      const some = soMany[place - start] ?? 0;
      if (some === 0) continue;
      const spoken = (speaking[place] ?? 0) & ~HARD;
      const further = spoken === 0 ? some : beside(results, spoken, rows[place] ?? 0);
      choices[2 * place] = (choices[2 * place] ?? 0) + further;
      choices[2 * place + 1] = (choices[2 * place + 1] ?? 0) + (soManyHard[place - start] ?? 0);
    }
}

/** How many of some results speak against a row under families that do not speak yet. */
function beside(results: readonly Result[], spoken: number, row: number): number {
  let further = 0;
  for (const { family, hits } of results) if ((spoken & family) === 0 && (hits[row] ?? 0) > 0) further += 1;
  return further;
}

/** The numbers that are unmet at first and not with all tests, sorted by counting. */
function byChoices(choices: Uint16Array, atFirst: Uint8Array, withAll: Uint8Array): Uint32Array {
  const numbers = new Uint32Array(choices.length);
  let count = 0;
  let most = 0;
  for (let number = 0; number < choices.length; number += 1) {
    if (atFirst[number] === 0 || withAll[number] === 1) continue;
    numbers[count] = number;
    count += 1;
    most = Math.max(most, choices[number] ?? 0);
  }
  const from = new Uint32Array(most + 2);
  for (let at = 0; at < count; at += 1) {
    const after = (choices[numbers[at] ?? 0] ?? 0) + 1;
    from[after] = (from[after] ?? 0) + 1;
  }
  for (let one = 1; one < from.length; one += 1) from[one] = (from[one] ?? 0) + (from[one - 1] ?? 0);
  const order = new Uint32Array(count);
  for (let at = 0; at < count; at += 1) {
    const number = numbers[at] ?? 0;
    const place = from[choices[number] ?? 0] ?? 0;
    order[place] = number;
    from[choices[number] ?? 0] = place + 1;
  }
  return order;
}
