"use client";

import { zodResolver } from "@hookform/resolvers/zod";
import { unstable_isUnrecognizedActionError as isUnrecognized } from "next/navigation";
import { useEffect, useState } from "react";
import { get, useForm, type DefaultValues, type FieldValues, type Path, type UseFormReturn } from "react-hook-form";
import type { z } from "zod";
import "@/wording/record/problems";
import { useCollectionIfAny } from "../shell/Collection";
import type { CommandResult } from "@/offline/commandResult";

export interface CommandForm<T extends FieldValues> {
  readonly form: UseFormReturn<T>;
  /** Goes to `<form onSubmit>`. */
  readonly submit: (event?: React.BaseSyntheticEvent) => Promise<void>;
  /** What went wrong beyond single fields; null while nothing has. */
  readonly trouble: string | null;
}

/** The application was renewed while the page was open: nothing of this page can be sent any more, and a new one is there. */
const RENEWED =
  "The application was updated after you opened this page. Reload it: what you typed is restored and can be sent.";
const LOST = "It could not be sent. What you typed is still here: check the connection and try again.";

/** The names of all fields of a form, those within others among them. */
function namesIn(values: object): string[] {
  return Object.entries(values).flatMap(([name, value]) =>
    value !== null && typeof value === "object" && !Array.isArray(value) ? [name, ...namesIn(value as object)] : [name],
  );
}

/**
 * A form that does one command in the collection its page is about. It checks with the same schema as the server, keeps everything
 * typed when saving fails, puts each problem at its field and the focus with it. Sending again is safe: the command's ids were
 * made here.
 */
export function useCommand<T extends FieldValues>(options: {
  schema: z.ZodType<unknown, T>;
  action: (collectionId: string, input: unknown) => Promise<CommandResult>;
  defaults: () => DefaultValues<NoInfer<T>>;
  done: (value: Record<string, unknown>) => void;
}): CommandForm<T> {
  const { schema, action, defaults, done } = options;
  const collectionId = useCollectionIfAny()?.id ?? "";
  const [defaultValues] = useState(defaults);
  const [trouble, setTrouble] = useState<string | null>(null);
  const form = useForm<T>({ resolver: zodResolver(schema as never) as never, defaultValues });

  // Which of a page's forms it is shows in its fields.
  const draftKey = `draft ${namesIn(defaultValues).join(" ")}`;
  useEffect(() => {
    const key = `${draftKey} ${location.pathname}`;
    const draft = sessionStorage.getItem(key);
    if (draft === null) return;
    sessionStorage.removeItem(key);
    // What a renewed form does not know any more is left out, and what it asks for beside it stays as it begins.
    form.reset({ ...defaultValues, ...(JSON.parse(draft) as DefaultValues<T>) });
  }, [draftKey, defaultValues, form]);

  const send = async () => {
    setTrouble(null);
    let result: CommandResult;
    try {
      // The raw values go, not the parsed ones: the server reads them with the same schema.
      result = await action(collectionId, form.getValues());
    } catch (error) {
      if (isUnrecognized(error))
        sessionStorage.setItem(`${draftKey} ${location.pathname}`, JSON.stringify(form.getValues()));
      setTrouble(isUnrecognized(error) ? RENEWED : LOST);
      return;
    }
    if (result.ok) return done(result.value);
    const shown = result.problems.filter(({ path }) => path !== "" && get(form.getValues(), path) !== undefined);
    shown.forEach(({ path, message }, i) => form.setError(path as Path<T>, { message }, { shouldFocus: i === 0 }));
    const rest = result.problems.filter((problem) => !shown.includes(problem));
    if (rest.length > 0) setTrouble(rest.map((problem) => problem.message).join(" "));
  };
  return { form, submit: form.handleSubmit(send), trouble };
}
