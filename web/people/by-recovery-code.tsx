/** Coming in again by a code from paper, with a new password. */
import { PEOPLE_ROUTES, type ReplyOf } from "@jittery-cap/core/api";
import Button from "@mui/material/Button";
import { ask } from "../api/client.ts";
import { Field } from "./field.tsx";
import { useToldForm } from "./told-form.ts";

type OwnPerson = ReplyOf<(typeof PEOPLE_ROUTES)["readMe"]>;

interface ByRecoveryCodeProps {
  readonly onDone: (person: OwnPerson) => Promise<void>;
  readonly onBack: () => void;
}

export function ByRecoveryCode({ onDone, onBack }: ByRecoveryCodeProps) {
  const form = useToldForm<
    { signInName: string; code: string; password: string },
    (typeof PEOPLE_ROUTES)["signInByCode"]
  >(
    PEOPLE_ROUTES.signInByCode.body,
    { signInName: "", code: "", password: "" },
    (body) => ask(PEOPLE_ROUTES.signInByCode, { body }),
    onDone,
  );
  return (
    <form onSubmit={(event) => void form.submit(event)} noValidate aria-label="By a recovery code">
      <p className="soft">Each code opens once. Everywhere else you are signed out by it.</p>
      <Field
        label="Sign-in name"
        fill="username"
        told={form.told("signInName")}
        error={form.errors.signInName}
        hasFocus
      />
      <Field label="Recovery code" fill="one-time-code" told={form.told("code")} error={form.errors.code} />
      <Field
        label="New password"
        type="password"
        fill="new-password"
        about="Twelve characters or more: four or five words that belong to nothing."
        told={form.told("password")}
        error={form.errors.password}
      />
      {form.refusal !== undefined && (
        <p role="alert" className="stands">
          {form.refusal}
        </p>
      )}
      <div className="actions people-actions">
        <Button type="submit" variant="contained" disabled={form.isSubmitting}>
          Come in
        </Button>
        <Button variant="quiet" onClick={onBack}>
          Back
        </Button>
      </div>
    </form>
  );
}
