/** Signing in by a name with a password, or by a passkey. */
import { PEOPLE_ROUTES, type ReplyOf } from "@jittery-cap/core/api";
import Button from "@mui/material/Button";
import { useState } from "react";
import { ask } from "../api/client.ts";
import { Field } from "./field.tsx";
import { signWithPasskey } from "./passkey.ts";
import { useToldForm } from "./told-form.ts";

type OwnPerson = ReplyOf<(typeof PEOPLE_ROUTES)["readMe"]>;

interface ByPasswordProps {
  readonly hasPasskeys: boolean;
  /** Who was here before. */
  readonly name: string | undefined;
  readonly onDone: (person: OwnPerson) => Promise<void>;
  readonly onLost: () => void;
}

export function ByPassword({ hasPasskeys, onDone, onLost }: ByPasswordProps) {
  const [refusal, setRefusal] = useState<string>();
  const form = useToldForm<{ signInName: string; password: string }, (typeof PEOPLE_ROUTES)["signInByPassword"]>(
    PEOPLE_ROUTES.signInByPassword.body,
    { signInName: "", password: "" },
    (body) => ask(PEOPLE_ROUTES.signInByPassword, { body }),
    onDone,
  );
  const byPasskey = async () => {
    const outcome = await signWithPasskey();
    if (outcome.kind === "ok") await onDone(outcome.value);
    else setRefusal(outcome.kind === "refused" ? outcome.problem.detail : outcome.text);
  };
  const why = form.refusal ?? refusal;
  return (
    <form onSubmit={(event) => void form.submit(event)} noValidate aria-label="Sign in">
      <Field label="Sign-in name" fill="username" told={form.told("signInName")} error={form.errors.signInName} />
      <Field
        label="Password"
        type="password"
        fill="current-password"
        told={form.told("password")}
        error={form.errors.password}
      />
      {why !== undefined && (
        <p role="alert" className="stands">
          {why}
        </p>
      )}
      <div className="actions people-actions">
        <Button type="submit" variant="contained" disabled={form.isSubmitting}>
          Sign in
        </Button>
        {hasPasskeys && (
          <Button variant="outlined" onClick={() => void byPasskey()}>
            With a passkey
          </Button>
        )}
        <Button variant="quiet" onClick={onLost}>
          By a recovery code
        </Button>
      </div>
    </form>
  );
}
