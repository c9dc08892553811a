"use client";

import type { FieldValues, Path, UseFormReturn } from "react-hook-form";
import type { GrowthFormId } from "@/core/knowledge/plants/growthForms";
import { ChoiceField, SelectField, TextField } from "../fields/fields";
import { SpotsField } from "../fields/SpotsField";
import { actFields, type ActField, type Draft } from "./actFields";
import { QuantityField } from "../fields/QuantityField";

/** So many options stand as buttons of their own. */
const MOST_BUTTONS = 4;

/** The parameters of an act, to be filled in; `part` chooses those that are shown. */
export function ActFields<T extends FieldValues>({
  form,
  draft,
  growthForm,
  part = () => true,
}: {
  form: UseFormReturn<T>;
  draft: Draft;
  growthForm: GrowthFormId;
  part?: (field: ActField) => boolean;
}) {
  return actFields[draft.kind]
    .filter((field) => part(field) && (field.when?.(draft) ?? true))
    .map(({ name: own, label, hint, as, of, options }) => {
      const field = { form, name: `act.${own}` as Path<T>, label, hint };
      switch (as) {
        case "choice": {
          const some = options!(draft, growthForm);
          // More than a few would push everything else off a phone.
          const Choice = some.length > MOST_BUTTONS ? SelectField : ChoiceField;
          return <Choice key={own} {...field} options={some} />;
        }
        case "spots":
          return <SpotsField key={own} {...field} growthForm={growthForm} />;
        case "number":
          return of ? (
            <QuantityField key={own} {...field} of={of} />
          ) : (
            <TextField key={own} {...field} inputMode="decimal" />
          );
        case "text":
          return <TextField key={own} {...field} />;
      }
    });
}
