/**
 * Loaded into a server before it: a clock that jumps. At each SIGUSR2 it shows the next of the offsets in CLOCK_OFFSETS (ms against
 * the real one, with commas between); it begins with the first. Timers run on: they know no clock.
 */
const offsets = (process.env.CLOCK_OFFSETS ?? "0").split(",").map(Number);
let at = 0;
const Real = Date;

class Jumping extends Real {
  constructor(...told: readonly unknown[]) {
    if (told.length === 0) super(Real.now() + (offsets[at] ?? 0));
    // every other way of making a date says which
    else super(...(told as [number]));
  }

  static override now(): number {
    return Real.now() + (offsets[at] ?? 0);
  }
}

Object.defineProperty(globalThis, "Date", { value: Jumping, configurable: true, writable: true });
process.on("SIGUSR2", () => {
  at = (at + 1) % offsets.length;
});
