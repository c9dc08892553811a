"use client";

import type { FieldValues, Path, UseFormReturn } from "react-hook-form";
import { SwitchField } from "../fields/fields";

/** What nobody advises may have happened all the same: asked for beside a refusal. */
export function AlreadyDone<T extends FieldValues & { alreadyDone?: unknown }>({ form }: { form: UseFormReturn<T> }) {
  return (
    <SwitchField
      form={form}
      name={"alreadyDone" as Path<T>}
      label="It has already been done; record it anyway"
      hint="Watch the plant closely for the next few days."
    />
  );
}
