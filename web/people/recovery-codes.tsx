/** Codes on paper, for the day when nothing else opens. They are told once. */
import { PEOPLE_ROUTES, type ReplyOf } from "@jittery-cap/core/api";
import Button from "@mui/material/Button";
import { useState } from "react";
import { ask } from "../api/client.ts";
import { Section } from "../layout/section.tsx";
import { Field } from "./field.tsx";
import { useToldForm } from "./told-form.ts";

type Made = ReplyOf<(typeof PEOPLE_ROUTES)["makeRecoveryCodes"]>;

export function RecoveryCodes({ left, onMade }: { readonly left: number; readonly onMade: () => void }) {
  const [codes, setCodes] = useState<Made["codes"]>();
  const form = useToldForm<{ password: string }, (typeof PEOPLE_ROUTES)["makeRecoveryCodes"]>(
    PEOPLE_ROUTES.makeRecoveryCodes.body,
    { password: "" },
    (body) => ask(PEOPLE_ROUTES.makeRecoveryCodes, { body }),
    (made) => {
      setCodes(made.codes);
      onMade();
    },
  );
  return (
    <Section
      title="Recovery codes"
      about={
        left === 0
          ? "You have none. Without one, a lost password and a lost passkey shut you out."
          : `${left} of them still open once each. New ones make the old ones worthless.`
      }
    >
      {codes === undefined ? (
        <form
          onSubmit={(event) => void form.submit(event)}
          noValidate
          aria-label="Recovery codes"
          className="people-form"
        >
          <Field
            label="Your password"
            type="password"
            fill="current-password"
            told={form.told("password")}
            error={form.errors.password ?? (form.refusal === undefined ? undefined : { message: form.refusal })}
          />
          <Button type="submit" variant="outlined" disabled={form.isSubmitting}>
            Make new codes
          </Button>
        </form>
      ) : (
        <>
          <p className="strong">Write them down now: they are not told again.</p>
          <ol className="people-codes" data-testid="codes">
            {codes.map((code) => (
              <li key={code}>{code}</li>
            ))}
          </ol>
        </>
      )}
    </Section>
  );
}
