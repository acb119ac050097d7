/** The first person, who keeps this server and invites the others: whoever reads the word that it printed. */
import { PEOPLE_ROUTES, type ReplyOf } from "@jittery-cap/core/api";
import Button from "@mui/material/Button";
import type { FieldErrors, UseFormRegister } from "react-hook-form";
import { ask } from "../api/client.ts";
import { Field } from "./field.tsx";
import { type NewPerson, NewPersonFields } from "./new-person-fields.tsx";
import { useToldForm } from "./told-form.ts";

type OwnPerson = ReplyOf<(typeof PEOPLE_ROUTES)["readMe"]>;
type First = NewPerson & { readonly word: string };

interface FirstPersonProps {
  /** Whether there is another way in above it. */
  readonly isBeside: boolean;
  readonly onDone: (person: OwnPerson) => Promise<void>;
}

export function FirstPerson({ isBeside, onDone }: FirstPersonProps) {
  const form = useToldForm<First, (typeof PEOPLE_ROUTES)["beFirst"]>(
    PEOPLE_ROUTES.beFirst.body,
    { word: "", name: "", signInName: "", password: "" },
    (body) => ask(PEOPLE_ROUTES.beFirst, { body }),
    onDone,
  );
  return (
    <form onSubmit={(event) => void form.submit(event)} noValidate aria-label="The first person">
      {isBeside && <h2 className="section-title people-beside">Or as yourself</h2>}
      <p className="soft">
        Nobody has signed in here yet. The setup word stands where the server was started. Whoever is first keeps the
        server, and invites the others.
      </p>
      <Field label="Setup word" fill="off" told={form.told("word")} error={form.errors.word} />
      <NewPersonFields
        // the word is looked after above; the others are these
        told={form.told as unknown as UseFormRegister<NewPerson>}
        errors={form.errors as FieldErrors<NewPerson>}
      />
      {form.refusal !== undefined && (
        <p role="alert" className="stands">
          {form.refusal}
        </p>
      )}
      <div className="actions people-actions">
        <Button type="submit" variant="contained" disabled={form.isSubmitting}>
          Begin
        </Button>
      </div>
    </form>
  );
}
