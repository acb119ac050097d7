/** What somebody sends who wishes a server ill: a request in order, of which one thing is something else. */
import { type Chance, pick } from "@jittery-cap/core/trainer";
import type { Asked } from "./requests.ts";

/** Values that programs stumble over. */
const ODD: readonly unknown[] = [
  null,
  true,
  "",
  " ",
  "\u0000",
  "\ud800",
  "\u202e\u0000",
  "😀".repeat(300),
  "x".repeat(70_000),
  "' OR 1=1 --",
  "../../../../etc/passwd",
  "%00%ff",
  "__proto__",
  "constructor",
  "0192f3c0-7a1e-7c64-9d53-0f6f5f2f9a10",
  "9999-12-31T23:59:59-14:00",
  "-000001-01-01T00:00:00Z",
  "2026-02-30T25:61:00Z",
  0,
  -0,
  -1,
  1e308,
  -1e308,
  2 ** 53,
  1.5,
  [],
  {},
  [[[[[[[[]]]]]]]],
  { __proto__: { isKeeper: true } },
  JSON.parse('{"__proto__":{"isKeeper":true}}'),
  { toString: "x", length: -1 },
  Array.from({ length: 3000 }, () => "a"),
];

type Step = string | number;

/** All places in a value, the root among them. */
function placesIn(value: unknown, at: readonly Step[] = []): (readonly Step[])[] {
  if (typeof value !== "object" || value === null) return [at];
  const inner = Array.isArray(value)
    ? value.flatMap((one, index) => placesIn(one, [...at, index]))
    : Object.entries(value).flatMap(([key, one]) => placesIn(one, [...at, key]));
  return [at, ...inner];
}

function putAt(value: unknown, [step, ...rest]: readonly Step[], put: unknown): unknown {
  if (step === undefined) return put;
  if (Array.isArray(value)) return value.map((one, index) => (index === step ? putAt(one, rest, put) : one));
  return Object.fromEntries(
    Object.entries(value as object).map(([key, one]) => [key, key === step ? putAt(one, rest, put) : one]),
  );
}

/** Makes one thing of a request something else: a value odd, left out, doubled, or one that it does not know beside it. */
export function spoilt(asked: Asked, chance: Chance): Asked {
  const parts = (["params", "query", "body"] as const).filter((part) => asked[part] !== undefined);
  const part = pick(chance, parts) ?? "query";
  const value: unknown = asked[part] ?? {};
  const place = pick(chance, placesIn(value)) ?? [];
  const odd = pick(chance, ODD);
  // in an address everything is text that can be written down at all
  if (part !== "body") {
    const key = place[0] ?? "stranger";
    const text = Buffer.from(typeof odd === "string" ? odd : (JSON.stringify(odd) ?? "")).toString();
    return { ...asked, [part]: { ...(value as object), [key]: text } };
  }
  return { ...asked, body: (pick(chance, WAYS) ?? putAt)(value, place, odd) as object };
}

/** Ways to spoil a body at a place. */
const WAYS: readonly ((value: unknown, place: readonly Step[], odd: unknown) => unknown)[] = [
  putAt,
  putAt,
  (value, place, odd) => putAt(value, place, [odd, odd]),
  (value, place) => (place.length === 0 ? {} : putAt(value, place, undefined)),
  (value, _place, odd) => ({ ...(value as object), stranger: odd }),
];
