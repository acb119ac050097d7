/**
 * How the server fares, in the open text format that collectors read: how long requests take by route and outcome, who listens, and
 * what the process itself uses. Told on a port of its own that only this machine reaches, and only where one is named. A label is the
 * pattern of a route, never an address: addresses hold the ids of what people keep.
 */
import { createServer, type Server } from "node:http";
import type { RequestHandler } from "express";
import { Counter, collectDefaultMetrics, Gauge, Histogram, Registry } from "prom-client";

/** Bounds of the boxes of a histogram, s: from an answer out of memory to one that nobody waits for. */
const BOUNDS = [0.002, 0.005, 0.01, 0.02, 0.05, 0.1, 0.2, 0.5, 1, 2, 5, 10];
const LOOPBACK = "127.0.0.1";

export class Metrics {
  private readonly registry = new Registry();
  private readonly seconds = new Histogram({
    name: "http_request_duration_seconds",
    help: "How long requests took, by the pattern of their route",
    labelNames: ["method", "route"],
    buckets: BOUNDS,
    registers: [this.registry],
  });
  private readonly requests = new Counter({
    name: "http_requests_total",
    help: "Requests by the pattern of their route and by their outcome",
    labelNames: ["method", "route", "status"],
    registers: [this.registry],
  });

  constructor() {
    collectDefaultMetrics({ register: this.registry });
  }

  /** Tells how many there are of something whenever it is asked. */
  gauge(name: string, help: string, count: () => number): void {
    new Gauge({
      name,
      help,
      registers: [this.registry],
      collect() {
        this.set(count());
      },
    });
  }

  /** Times every request that comes after it. */
  readonly timing: RequestHandler = (request, response, next) => {
    const end = this.seconds.startTimer();
    response.once("close", () => {
      const pattern: unknown = request.route?.path;
      const asked = { method: request.method, route: typeof pattern === "string" ? pattern : "other" };
      end(asked);
      this.requests.inc({ ...asked, status: String(response.statusCode) });
    });
    next();
  };

  /** All of it as text. */
  text(): Promise<string> {
    return this.registry.metrics();
  }

  /** Listens on a port of this machine alone. @throws where nothing can listen there */
  listen(port: number): Promise<Server> {
    const server = createServer((request, response) => {
      if (request.method !== "GET" || request.url !== "/metrics") {
        response.writeHead(404).end();
        return;
      }
      this.text().then(
        (text) => response.writeHead(200, { "content-type": this.registry.contentType }).end(text),
        () => response.writeHead(500).end(),
      );
    });
    return new Promise((resolve, reject) => {
      server.once("error", reject);
      server.listen(port, LOOPBACK, () => resolve(server));
    });
  }
}
