/** Another password, by the old one. */
import { PEOPLE_ROUTES, type ReplyOf } from "@jittery-cap/core/api";
import Button from "@mui/material/Button";
import { useState } from "react";
import { ask } from "../api/client.ts";
import { Section } from "../layout/section.tsx";
import { Field } from "./field.tsx";
import { useToldForm } from "./told-form.ts";

type OwnPerson = ReplyOf<(typeof PEOPLE_ROUTES)["readMe"]>;

export function NewPassword({ onDone }: { readonly onDone: (me: OwnPerson) => void }) {
  const [isChanged, setIsChanged] = useState(false);
  const form = useToldForm<{ old: string; password: string }, (typeof PEOPLE_ROUTES)["changePassword"]>(
    PEOPLE_ROUTES.changePassword.body,
    { old: "", password: "" },
    (body) => ask(PEOPLE_ROUTES.changePassword, { body }),
    (me) => {
      setIsChanged(true);
      onDone(me);
    },
  );
  return (
    <Section title="Password" about="A new one signs you out everywhere but here.">
      {isChanged ? (
        <p role="status">The new password holds.</p>
      ) : (
        <form onSubmit={(event) => void form.submit(event)} noValidate aria-label="Password" className="people-form">
          <Field
            label="Old password"
            type="password"
            fill="current-password"
            told={form.told("old")}
            error={form.errors.old ?? (form.refusal === undefined ? undefined : { message: form.refusal })}
          />
          <Field
            label="New password"
            type="password"
            fill="new-password"
            about="Twelve characters or more: four or five words that belong to nothing."
            told={form.told("password")}
            error={form.errors.password}
          />
          <Button type="submit" variant="outlined" disabled={form.isSubmitting}>
            Change it
          </Button>
        </form>
      )}
    </Section>
  );
}
