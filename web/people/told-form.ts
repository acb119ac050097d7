/** A form that is looked through by the schema of the route it goes to, before and after it is sent. */
import { zodResolver } from "@hookform/resolvers/zod";
import type { ReplyOf, Route } from "@jittery-cap/core/api";
import { useState } from "react";
import { type DefaultValues, type FieldValues, type Path, useForm } from "react-hook-form";
import type { z } from "zod";
import type { Outcome } from "../api/client.ts";

/** What a form is, and what the server said to it. */
export function useToldForm<Told extends FieldValues, Of extends Route>(
  schema: z.ZodType<Told, Told>,
  defaults: DefaultValues<Told>,
  send: (told: Told) => Promise<Outcome<ReplyOf<Of>>>,
  onDone: (reply: ReplyOf<Of>) => void | Promise<void>,
) {
  const form = useForm<Told>({ resolver: zodResolver(schema), defaultValues: defaults });
  const [refusal, setRefusal] = useState<string>();
  const submit = form.handleSubmit(async (told) => {
    setRefusal(undefined);
    const outcome = await send(told as Told);
    if (outcome.kind === "ok") return onDone(outcome.value);
    if (outcome.kind === "unreachable") return setRefusal(outcome.text);
    const fields = outcome.problem.errors ?? [];
    // what the server says of a line stands under that line
    for (const { path, message } of fields)
      if (path in (defaults as object)) form.setError(path as Path<Told>, { message });
    if (!fields.some(({ path }) => path in (defaults as object))) setRefusal(outcome.problem.detail);
  });
  const { errors, isSubmitting } = form.formState;
  return { told: form.register, errors, isSubmitting, refusal, submit };
}
