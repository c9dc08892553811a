"use client";

import { useId } from "react";
import { Controller, get, type FieldValues, type Path, type UseFormReturn } from "react-hook-form";
import { spotsOf, type GrowthFormId } from "@/core/knowledge/plants/growthForms";
import type { SpotId } from "@/core/knowledge/plants/spots";
import { toggled } from "../toggled";
import { FieldProblem } from "./fields";
import { SpotsPicker } from "../forms/SpotsPicker";

/** Hiding places of a growth form, pressed on its drawing or in the list beside it. */
export function SpotsField<T extends FieldValues>({
  form,
  name,
  label,
  growthForm,
}: {
  form: UseFormReturn<T>;
  name: Path<T>;
  label: string;
  growthForm: GrowthFormId;
}) {
  const id = useId();
  const message = (get(form.formState.errors, name) as { message?: string } | undefined)?.message;
  return (
    <fieldset className="mb-3" aria-describedby={`${id}-problem`} id={id} tabIndex={-1}>
      <legend className="fs-6 fw-semibold mb-1">{label}</legend>
      <Controller
        control={form.control}
        name={name}
        render={({ field }) => {
          const ticked = (field.value ?? []) as readonly SpotId[];
          return (
            <SpotsPicker
              form={growthForm}
              order={spotsOf(growthForm)}
              ticked={ticked}
              onPress={(spot) => field.onChange(toggled(ticked, spot))}
            />
          );
        }}
      />
      <FieldProblem id={id} message={message} />
    </fieldset>
  );
}
