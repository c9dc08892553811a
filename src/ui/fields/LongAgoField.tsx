"use client";

import { useState } from "react";
import { useWatch, type FieldValues, type Path, type UseFormReturn } from "react-hook-form";
import { LONG_AGO_DAYS } from "@/core/record/cases/outsideModel";
import { SwitchField } from "./fields";

const DAY_MS = 86_400_000;

/** Asks about a moment that lies years back: a mistyped year is likelier than so late an entry. */
export function LongAgoField<T extends FieldValues>({
  form,
  at,
  name,
}: {
  form: UseFormReturn<T>;
  at: Path<T>;
  name: Path<T>;
}) {
  const moment = new Date(useWatch({ control: form.control, name: at }) as string);
  const [now] = useState(() => Date.now());
  // A little early rather than a little late: the server decides, and may ask for what is shown here only.
  if (!(now - moment.getTime() > (LONG_AGO_DAYS - 2) * DAY_MS)) return null;
  return (
    <SwitchField
      form={form}
      name={name}
      label={`Yes, really ${moment.getFullYear()}`}
      hint="That is more than two years ago. It is kept on record but not used in calculations."
    />
  );
}
