/** What a new person tells: what others call them, and what they sign in with. */
import type { FieldErrors, UseFormRegister } from "react-hook-form";
import { Field } from "./field.tsx";

export interface NewPerson {
  readonly name: string;
  readonly signInName: string;
  readonly password: string;
}

interface NewPersonFieldsProps {
  readonly told: UseFormRegister<NewPerson>;
  readonly errors: FieldErrors<NewPerson>;
}

export function NewPersonFields({ told, errors }: NewPersonFieldsProps) {
  return (
    <>
      <Field label="What others call you" fill="name" told={told("name")} error={errors.name} />
      <Field
        label="Sign-in name"
        fill="username"
        about="Small letters and digits."
        told={told("signInName")}
        error={errors.signInName}
      />
      <Field
        label="Password"
        type="password"
        fill="new-password"
        about="Twelve characters or more: four or five words that belong to nothing."
        told={told("password")}
        error={errors.password}
      />
    </>
  );
}
