"use client";

import { useWatch, type UseFormReturn } from "react-hook-form";
import { growthFormIds, type GrowthFormId } from "@/core/knowledge/plants/growthForms";
import { growthFormNames } from "@/wording/names/names";
import { unknownIn, type Plants, type Row } from "./rows";
import { named } from "@/ui/fields/options";
import { SelectBox } from "@/ui/fields/SelectBox";

/** So many names are asked at a time; the next come up as they are answered. */
const SHOWN = 10;

/** What nobody has said and no name tells: asked once for all rows alike. */
export function Unknown({ form }: { form: UseFormReturn<Plants> }) {
  const rows = useWatch({ control: form.control, name: "plants" }) as Row[];
  const unknown = unknownIn(rows);
  if (unknown.length === 0) return null;
  const set = (at: readonly number[], growth: string) => {
    for (const i of at) form.setValue(`plants.${i}.growthForm`, growth as GrowthFormId);
    // What else is wrong with a row is told only once it says how it grows.
    void form.trigger("plants");
  };
  return (
    <fieldset className="mb-3">
      <legend className="h3">What are these?</legend>
      <p className="small mb-2">
        These names are not in the table. Say once how each grows: hiding places, cautions and plans depend on it.
      </p>
      <div className="row gx-2">
        {unknown.slice(0, SHOWN).map(({ name, at }) => (
          <SelectBox
            key={name.toLowerCase()}
            className="col-sm-6 mb-2"
            label={at.length > 1 ? `${name}, ${at.length} rows` : name}
            value=""
            options={[["", "Choose the closest"], ...named(growthFormIds, growthFormNames)]}
            onPick={(form) => set(at, form)}
          />
        ))}
      </div>
      {unknown.length > SHOWN && <p className="small mb-0">And {unknown.length - SHOWN} more names after these.</p>}
    </fieldset>
  );
}
