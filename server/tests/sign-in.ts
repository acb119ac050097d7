/** Signing in at a server that was just started, as whoever started it would: by what it said, or with the demo by a touch. */
import type { ChildProcess } from "node:child_process";
import { LOCAL_PERSON } from "@jittery-cap/core/documents";

/** Who comes first where there is no demo. */
export const FIRST = { name: "Ilva Marrund", signInName: "ilva", password: "four damp birches leaning" } as const;

/** What a server says when it has started. */
export interface Told {
  readonly address: string;
  readonly word: string;
}

/** Waits until a server says where it is. */
export function addressOf(server: ChildProcess): Promise<string> {
  return new Promise((resolve, reject) => {
    server.once("exit", (code) => reject(new Error(`the server ended with ${code}`)));
    let said = "";
    server.stdout?.on("data", (data: Buffer) => {
      said += data.toString();
      const address = /http:\S+/.exec(said)?.[0];
      if (address !== undefined) resolve(address);
    });
  });
}

/** Waits until a server says where it is, and by which word the first person is made. */
export function toldBy(server: ChildProcess): Promise<Told> {
  return new Promise((resolve, reject) => {
    server.once("exit", (code) => reject(new Error(`the server ended with ${code}`)));
    let said = "";
    server.stdout?.on("data", (data: Buffer) => {
      said += data.toString();
      const address = /http:\S+/.exec(said)?.[0];
      const word = /setup word is (\S+)/.exec(said)?.[1];
      if (address !== undefined && word !== undefined) resolve({ address, word });
    });
  });
}

const send = (address: string, path: string, body: object) =>
  fetch(`${address}/api/sign-in/${path}`, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify(body),
  });

async function cookieOf(signed: Response): Promise<{ name: string; value: string }> {
  const [name = "", value = ""] = signed.headers.getSetCookie()[0]?.split(";")[0]?.split("=") ?? [];
  if (!signed.ok || value === "") throw new Error(`nobody could sign in: ${signed.status} ${await signed.text()}`);
  return { name, value };
}

/** The cookie of an invented person of the demo. */
export const cookieOfInvented = async (address: string, id: string) =>
  cookieOf(await send(address, "invented", { id }));

/** The cookie of the first person: with the demo the one whose finds they are, without it one made by the setup word. */
export async function cookieOfFirst({ address, word }: Told): Promise<{ name: string; value: string }> {
  const taken = await send(address, "invented", { id: LOCAL_PERSON });
  return cookieOf(taken.ok ? taken : await send(address, "first", { word, ...FIRST }));
}
