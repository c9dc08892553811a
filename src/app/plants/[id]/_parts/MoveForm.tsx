"use client";

import { useRouter } from "next/navigation";
import { useWatch } from "react-hook-form";
import { v7 as uuidv7 } from "uuid";
import { movePlantAction } from "@/app/_parts/actions";
import { movePlant } from "@/core/record/facts/kinds/placement";
import type { MoveView } from "@/operations/plants/queries/readApart";
import { SelectField, SubmitRow } from "@/ui/fields/fields";
import { MomentField } from "@/ui/fields/MomentField";
import { useCommand } from "@/ui/fields/useCommand";
import { pestName } from "@/wording/names/names";
import { wouldCatchSentence } from "@/wording/advice/spread/carries";

/** Where a plant goes, and what it risks there, said before the press. */
export function MoveForm({
  plantId,
  targets,
  placeId,
  now,
}: {
  plantId: string;
  targets: MoveView["targets"];
  placeId: string;
  now: string;
}) {
  const router = useRouter();
  const { form, submit, trouble } = useCommand({
    schema: movePlant,
    action: movePlantAction,
    defaults: () => ({ id: uuidv7(), plantId, placeId, at: now }),
    done: () => router.push(`/plants/${plantId}`),
  });
  const chosen = useWatch({ control: form.control, name: "placeId" });
  const target = targets.find(({ id }) => id === chosen);
  return (
    <form onSubmit={submit} noValidate>
      <SelectField form={form} name="placeId" label="To" options={targets.map(({ id, name }) => [id, name])} />
      {target && target.finds.length > 0 && (
        <p className="alert alert-danger py-2" role="note">
          Not clear there yet: {target.finds.map(({ code, pest }) => `${code}, ${pestName(pest)}`).join("; ")}. What
          stands next to it may catch it.
        </p>
      )}
      {target && (
        <p aria-live="polite">
          {target.plants === 0
            ? "Nothing is there yet."
            : `${target.plants === 1 ? "One plant stands" : `${target.plants} plants stand`} there.`}{" "}
          {wouldCatchSentence(target.wouldCatch)}
        </p>
      )}
      <MomentField form={form} name="at" label="When" />
      <SubmitRow form={form} trouble={trouble} label="Move it" />
    </form>
  );
}
