/** The person's own house rules, for every new find; kept on this device. */
import { type Rules, rulesSchema } from "@jittery-cap/core";

const KEY = "jittery-cap rules";

/** The rules that a new find begins with; none where none were settled, or they cannot be read. */
export function ownRules(): Rules | undefined {
  try {
    const parsed = rulesSchema.safeParse(JSON.parse(localStorage.getItem(KEY) ?? "null"));
    return parsed.success && Object.keys(parsed.data).length > 0 ? parsed.data : undefined;
  } catch {
    return undefined;
  }
}

/** Settles the rules for every new find. */
export function keepOwnRules(rules: Rules): void {
  localStorage.setItem(KEY, JSON.stringify(rules));
}
