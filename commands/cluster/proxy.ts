/** The usual proxy in front of both: of the nodes it uses the first that is well, of the servers all that are. */
import { type ChildProcess, spawn } from "node:child_process";
import { writeFileSync } from "node:fs";
import { join } from "node:path";
import { NODES, portsOf } from "./nodes.ts";

export const DATABASE_PORT = 3470;
export const FRONT_PORT = 8470;
export const SERVER_PORTS = [8471, 8472] as const;

/** The proxy's configuration. */
function configuration(): string {
  return `global
  maxconn 2000
defaults
  timeout connect 1s
  timeout client 60s
  timeout server 60s
  timeout check 1s
listen database
  mode tcp
  bind 127.0.0.1:${DATABASE_PORT}
  option httpchk GET /
  default-server inter 500 fall 2 rise 2 on-marked-down shutdown-sessions
${NODES.map((node) => `  server node${node} 127.0.0.1:${portsOf(node).clients} check port ${portsOf(node).health}${node === 1 ? "" : " backup"}`).join("\n")}
listen application
  mode http
  bind 127.0.0.1:${FRONT_PORT}
  option forwardfor
  option httpchk
  http-check send meth GET uri /api/alive hdr Host localhost
  balance roundrobin
  retries 2
  option redispatch
  default-server inter 500 fall 2 rise 1
${SERVER_PORTS.map((port) => `  server server${port} 127.0.0.1:${port} check`).join("\n")}
`;
}

/** Starts the proxy. @returns how to stop it */
export async function startProxy(folder: string): Promise<() => Promise<void>> {
  const file = join(folder, "haproxy.cfg");
  writeFileSync(file, configuration());
  const child: ChildProcess = spawn("haproxy", ["-f", file, "-db"], { stdio: ["ignore", "ignore", "ignore"] });
  await new Promise<void>((resolve, reject) => {
    child.once("error", () => reject(new Error("haproxy cannot be run: install it")));
    child.once("exit", (code) => reject(new Error(`haproxy ended with ${code}`)));
    setTimeout(resolve, 1500);
  });
  child.removeAllListeners("exit");
  return async () => {
    const ended = new Promise((resolve) => child.once("exit", resolve));
    child.kill("SIGTERM");
    await ended;
  };
}
