/** A line between whoever asks and a server: slow, cut again and again, or ending every answer in the middle. */
import { connect, createServer, type Server, type Socket } from "node:net";

export interface Manner {
  /** There, and back, ms. */
  readonly delayMs: number;
  /** Of each connection, each way. */
  readonly bytesPerSecond: number;
  /** An answer is cut off after so many bytes of its connection. */
  readonly cutAfterBytes: number;
}

const WHOLE: Manner = { delayMs: 0, bytesPerSecond: Number.POSITIVE_INFINITY, cutAfterBytes: Number.POSITIVE_INFINITY };
/** No more than this lies on the line, bytes. */
const MOST_ON_THE_LINE = 65_536;

export class Line {
  manner: Manner = WHOLE;
  /** Connections that were cut. */
  cuts = 0;
  private port: number;
  private readonly server: Server;
  private readonly open = new Set<Socket>();

  /** @param port where the line leads, on this machine */
  constructor(port: number) {
    this.port = port;
    this.server = createServer((near) => this.join(near));
  }

  /** @returns the port at which the line begins */
  begin(): Promise<number> {
    return new Promise((resolve) =>
      this.server.listen(0, "127.0.0.1", () => {
        const address = this.server.address();
        resolve(typeof address === "object" && address !== null ? address.port : 0);
      }),
    );
  }

  /** From now on: what is left out is as on a line without a fault. */
  become(manner: Partial<Manner>): void {
    this.manner = { ...WHOLE, ...manner };
  }

  /** Leads somewhere else from now on; what is open stays. */
  leadTo(port: number): void {
    this.port = port;
  }

  /** Cuts all that is open. */
  cut(): void {
    this.cuts += this.open.size;
    for (const socket of this.open) socket.destroy();
  }

  async stop(): Promise<void> {
    const stopped = new Promise((resolve) => this.server.close(resolve));
    for (const socket of this.open) socket.destroy();
    await stopped;
  }

  private join(near: Socket): void {
    const far = connect(this.port, "127.0.0.1");
    this.open.add(near);
    const part = () => {
      near.destroy();
      far.destroy();
      this.open.delete(near);
    };
    near.on("close", part).on("error", part);
    far.on("close", part).on("error", part);
    this.carry(near, far, Number.POSITIVE_INFINITY, part);
    this.carry(far, near, this.manner.cutAfterBytes, part);
  }

  /** Carries one way: each piece leaves when the one before it has, and arrives after the delay. */
  private carry(from: Socket, to: Socket, most: number, part: () => void): void {
    const { delayMs, bytesPerSecond } = this.manner;
    let carried = 0;
    let lying = 0;
    let freeAt = 0;
    let before = Promise.resolve();
    const bring = (piece: Buffer, isEnd: boolean, at: number) => {
      before = before.then(async () => {
        await new Promise((later) => setTimeout(later, Math.max(0, at - performance.now())));
        lying -= piece.length;
        if (!to.destroyed) to.write(piece);
        if (isEnd) {
          this.cuts += 1;
          to.end();
          part();
        }
        if (lying < MOST_ON_THE_LINE) from.resume();
      });
    };
    from.on("data", (piece: Buffer) => {
      const left = most - carried;
      const taken = piece.length >= left ? piece.subarray(0, left) : piece;
      carried += taken.length;
      lying += taken.length;
      freeAt = Math.max(freeAt, performance.now()) + (taken.length / bytesPerSecond) * 1000;
      bring(taken, carried >= most, freeAt + delayMs);
      if (lying >= MOST_ON_THE_LINE) from.pause();
    });
    from.on("end", () => before.then(() => to.end()));
  }
}
