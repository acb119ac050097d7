/** A folder on a disk of its own that can be filled to the brim, or frozen. Both need root: without it there is none. */
import { execFileSync } from "node:child_process";
import { closeSync, mkdirSync, openSync, rmSync, writeSync } from "node:fs";
import { join } from "node:path";

const MEGABYTE = 1_048_576;
const run = (command: string, ...words: readonly string[]) => execFileSync(command, words, { stdio: "ignore" });

export class Room {
  readonly folder: string;
  private readonly image: string;

  /** @param megabytes how large the disk is */
  constructor(beside: string, megabytes: number) {
    this.folder = join(beside, "disk");
    this.image = join(beside, "disk.image");
    mkdirSync(this.folder, { recursive: true });
    run("truncate", "-s", `${megabytes}M`, this.image);
    run("mkfs.ext4", "-q", "-F", "-m", "0", this.image);
    run("mount", "-o", "loop", this.image, this.folder);
  }

  /** Whether this machine lets us make one. */
  static isPossible(): boolean {
    return process.getuid?.() === 0;
  }

  /** Fills what is left, to the last block. @returns bytes */
  fill(): number {
    const file = openSync(this.filler(), "a");
    const block = Buffer.alloc(MEGABYTE);
    let filled = 0;
    try {
      for (let size = MEGABYTE; size >= 512; )
        try {
          filled += writeSync(file, block, 0, size);
        } catch {
          size /= 2;
        }
    } finally {
      closeSync(file);
    }
    return filled;
  }

  empty(): void {
    rmSync(this.filler(), { force: true });
  }

  /** Lets the disk stand still: whoever writes waits. */
  freeze(isFrozen: boolean): void {
    run("fsfreeze", isFrozen ? "-f" : "-u", this.folder);
  }

  remove(): void {
    run("umount", this.folder);
    rmSync(this.image, { force: true });
  }

  private filler = (): string => join(this.folder, "filler");
}
