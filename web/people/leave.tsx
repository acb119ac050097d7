/** Leaving for good, asked for twice: by the password and by the name. */
import { PEOPLE_ROUTES, type ReplyOf } from "@jittery-cap/core/api";
import Button from "@mui/material/Button";
import { useState } from "react";
import { ask } from "../api/client.ts";
import { Section } from "../layout/section.tsx";
import { forgetHere } from "./change-hands.ts";
import { Field } from "./field.tsx";
import { useToldForm } from "./told-form.ts";

export function Leave({ me }: { readonly me: ReplyOf<(typeof PEOPLE_ROUTES)["readMe"]> }) {
  const [isAsked, setIsAsked] = useState(false);
  const form = useToldForm<{ signInName: string; password: string }, (typeof PEOPLE_ROUTES)["leaveForGood"]>(
    PEOPLE_ROUTES.leaveForGood.body.required({ password: true }),
    { signInName: "", password: "" },
    (body) => ask(PEOPLE_ROUTES.leaveForGood, { body }),
    () => forgetHere(me.id),
  );
  return (
    <Section
      title="Leave for good"
      about="Everything that is yours is deleted, here and on the server, and cannot be brought back. What you saw on other people's finds stays, without your name: their answers rest on it."
    >
      {isAsked ? (
        <form
          onSubmit={(event) => void form.submit(event)}
          noValidate
          aria-label="Leave for good"
          className="people-form"
        >
          <Field
            label={`Your sign-in name (${me.signInName ?? me.name})`}
            fill="off"
            told={form.told("signInName")}
            error={form.errors.signInName}
          />
          <Field
            label="Your password"
            type="password"
            fill="current-password"
            told={form.told("password")}
            error={form.errors.password ?? (form.refusal === undefined ? undefined : { message: form.refusal })}
          />
          <div className="actions people-actions">
            <Button type="submit" variant="contained" disabled={form.isSubmitting}>
              Delete all that is mine
            </Button>
            <Button variant="quiet" onClick={() => setIsAsked(false)}>
              Stay
            </Button>
          </div>
        </form>
      ) : (
        <Button variant="outlined" onClick={() => setIsAsked(true)}>
          Leave for good
        </Button>
      )}
    </Section>
  );
}
