/** A person's own settings as a document: one a person, under the person's own id. */
import { z } from "zod";
import { withField } from "../../find/apply-change.ts";
import { canonicalJson } from "../../find/canonical.ts";
import { setRuleSchema } from "../../find/changes.ts";
import { HOUSE_RULES } from "../../settings/house-rules.ts";
import { type Settings, settingsSchema, stricterSettings } from "../../settings/settings.ts";
import type { DocumentKind } from "../kind.ts";

/** What may be changed of a person's own settings: one rule, or the limits together. */
export const settingsChangeSchema = z.discriminatedUnion("kind", [
  setRuleSchema,
  z.strictObject({ kind: z.literal("set-limits"), limits: settingsSchema.shape.limits }),
]);
export type SettingsChange = z.infer<typeof settingsChangeSchema>;

export const settingsKind: DocumentKind<Settings, SettingsChange> = {
  kind: "settings",
  version: 1,
  schema: settingsSchema,
  changes: settingsChangeSchema,
  upgrades: [],
  canArchive: false,
  canonical: (settings) => settings,
  draft: (settings, change) => {
    if (change.kind === "set-limits")
      return {
        ok: true,
        value: {
          content: { ...settings, limits: change.limits },
          inverse: { kind: "set-limits", limits: settings.limits },
        },
      };
    const before = settings.rules[change.field] ?? null;
    return {
      ok: true,
      value: {
        content: { ...settings, rules: withField(settings.rules, change.field, change.value) },
        inverse: setRuleSchema.parse({ kind: "set-rule", field: change.field, value: before }),
      },
    };
  },
  reach: (change) => ({
    touches: [change.kind === "set-limits" ? "limits" : `rules/${change.field}`],
    reliesOn: [],
  }),
  // settled apart on two devices: the stricter rule of the two, and the limits of both
  merge: (_base, mine, theirs) => stricterSettings(mine, theirs),
  between: (before, after) => [
    ...HOUSE_RULES.filter(({ rule }) => before.rules[rule] !== after.rules[rule]).map(({ rule }) =>
      setRuleSchema.parse({ kind: "set-rule", field: rule, value: after.rules[rule] ?? null }),
    ),
    ...(canonicalJson(before.limits) === canonicalJson(after.limits)
      ? []
      : [{ kind: "set-limits" as const, limits: after.limits }]),
  ],
  listed: () => ({}),
};
