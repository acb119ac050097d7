/**
 * `npm run test:faults`: server, database, disk, clock and line fail, each in its way, while people record; a line of figures for each,
 * and 1 at the end where anything that was acknowledged is lost or half of anything was kept. WHAT: one of them alone.
 */
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { halves, slowVisit } from "./regime/browsing.ts";
import { pause, say } from "./regime/child.ts";
import { Line } from "./regime/line.ts";
import type { Load } from "./regime/load.ts";
import { Machine, type Place } from "./regime/machine.ts";
import { Room } from "./regime/room.ts";

const PEOPLE = Number(process.env.PEOPLE ?? 8);
/** How long a fault lasts, and the calm around it, s. */
const [FAULT_S, CALM_S] = [10, 3];
const DAY_MS = 24 * 60 * 60 * 1000;
/** Small, so that the last block is soon reached. */
const DISK_MEGABYTES = 260;
const LOG_BYTES = 16 * 1_048_576;

/** A machine of its own for one fault. */
async function onMachine(more: Partial<Place>, work: (machine: Machine) => Promise<boolean>): Promise<boolean> {
  const folder = mkdtempSync(join(tmpdir(), "jittery-faults-"));
  const machine = new Machine({
    folder,
    databasePort: Number(process.env.DATABASE_PORT ?? 3495),
    serverPort: Number(process.env.PORT ?? 8495),
    environment: { LOG_LEVEL: "silent" },
    ...more,
  });
  try {
    await machine.begin();
    return await work(machine);
  } finally {
    await machine.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** People record, a fault comes three times, and goes; tells what came of it. */
async function under(what: string, load: Load, fault: () => Promise<string | undefined>): Promise<boolean> {
  load.begin(PEOPLE);
  await pause(CALM_S);
  let told: string | undefined;
  for (let time = 0; time < 3; time++) {
    told = (await fault()) ?? told;
    await pause(CALM_S);
  }
  await load.end();
  const { isGood, words } = await load.summary();
  const longest = `the longest wait ${(load.figures.longestMs / 1000).toFixed(1)} s`;
  say(`${what}: ${words}; ${longest}${told === undefined ? "" : `; ${told}`}`);
  return isGood;
}

/** What the server says of itself, and how long it took to. */
async function health(address: string): Promise<string> {
  const begun = performance.now();
  const reply = await fetch(`${address}/api/health`, { signal: AbortSignal.timeout(8000) }).catch(() => undefined);
  return `asked meanwhile how it is, it said ${reply?.status ?? "nothing"} after ${((performance.now() - begun) / 1000).toFixed(1)} s`;
}

const frozen = (what: "server" | "database") => () =>
  onMachine({}, (machine) =>
    under(`the ${what} frozen three times for ${FAULT_S} s`, machine.load(), async () => {
      machine.freeze(what, true);
      await pause(FAULT_S / 2);
      const said = what === "database" ? await health(machine.address) : undefined;
      await pause(FAULT_S / 2);
      machine.freeze(what, false);
      return said;
    }),
  );

/** Something happens to the disk under the database. */
async function onDisk(what: string, fault: (room: Room, machine: Machine) => Promise<string>): Promise<boolean> {
  if (!Room.isPossible()) {
    say(`${what}: not tried, for want of root`);
    return true;
  }
  const beside = mkdtempSync(join(tmpdir(), "jittery-disk-"));
  const room = new Room(beside, DISK_MEGABYTES);
  try {
    return await onMachine({ folder: join(room.folder, "machine"), logBytes: LOG_BYTES }, (machine) =>
      under(what, machine.load(), () => fault(room, machine)),
    );
  } finally {
    room.remove();
    rmSync(beside, { recursive: true, force: true });
  }
}

const fullDisk = () =>
  onDisk(`the disk full three times for ${FAULT_S} s`, async (room, machine) => {
    room.fill();
    await pause(FAULT_S / 2);
    // what the database gave back meanwhile is taken as well
    room.fill();
    await pause(FAULT_S / 2);
    const said = await health(machine.address);
    room.empty();
    return machine.endedByItself === 0
      ? said
      : `${said}; the database ended by itself ${machine.endedByItself} times, and was started again`;
  });

const frozenDisk = () =>
  onDisk(`the disk frozen three times for ${FAULT_S} s`, async (room, machine) => {
    room.freeze(true);
    await pause(FAULT_S / 2);
    const said = await health(machine.address);
    await pause(FAULT_S / 2);
    room.freeze(false);
    return said;
  });

/** Everything goes over a line that is as bad as is told. */
const overLine = (what: string, make: (line: Line) => Promise<void>) => () =>
  onMachine({}, async (machine) => {
    const line = new Line(Number(new URL(machine.address).port));
    const port = await line.begin();
    try {
      return await under(what, machine.load(`http://127.0.0.1:${port}`), async () => {
        await make(line);
        const cuts = line.cuts;
        line.become({});
        line.cut();
        return cuts === 0 ? undefined : `${cuts} connections cut`;
      });
    } finally {
      await line.stop();
    }
  });

const slowLine = overLine(`a line of 300 ms each way and 8 kB/s, three times for ${FAULT_S} s`, async (line) => {
  line.become({ delayMs: 300, bytesPerSecond: 8000 });
  line.cut();
  await pause(FAULT_S);
});

const cutLine = overLine(`a line cut every fifth of a second, three times for ${FAULT_S} s`, async (line) => {
  for (let count = 0; count < FAULT_S * 5; count++) {
    await pause(0.2);
    line.cut();
  }
});

/** Later and earlier, within the time that a session lasts and beyond it, and back. */
const OFFSETS_DAYS = [0, 20, -20, 400, -400, 0];

const clock = () =>
  onMachine(
    {
      modules: [fileURLToPath(new URL("./regime/clock.ts", import.meta.url))],
      environment: { LOG_LEVEL: "silent", CLOCK_OFFSETS: OFFSETS_DAYS.map((days) => days * DAY_MS).join() },
    },
    async (machine) => {
      const load = machine.load();
      load.waitsSignedOut = true;
      load.begin(PEOPLE);
      for (const _offset of OFFSETS_DAYS.slice(1)) {
        await pause(CALM_S * 2);
        machine.signal("SIGUSR2");
      }
      await pause(CALM_S * 2);
      await load.end();
      const { isGood, words } = await load.summary();
      say(`the server's clock at ${OFFSETS_DAYS.join(", ")} days, one after the other: ${words}`);
      return isGood;
    },
  );

const FAULTS: Readonly<Record<string, () => Promise<boolean>>> = {
  "frozen-server": frozen("server"),
  "frozen-database": frozen("database"),
  "full-disk": fullDisk,
  "frozen-disk": frozenDisk,
  "slow-line": slowLine,
  "cut-line": cutLine,
  clock,
  "slow-visit": () => onMachine({}, slowVisit),
  halves: () => onMachine({}, halves),
};

const { WHAT } = process.env;
if (WHAT !== undefined && FAULTS[WHAT] === undefined)
  throw new Error(`WHAT: expected one of ${Object.keys(FAULTS).join(", ")}`);
let isGood = true;
for (const [name, fault] of Object.entries(FAULTS))
  if (WHAT === undefined || WHAT === name) isGood = (await fault()) && isGood;
process.exit(isGood ? 0 : 1);
