"use client";

import { useRouter } from "next/navigation";
import { v7 as uuidv7 } from "uuid";
import { recordTreatmentAction } from "@/app/_parts/actions";
import { recordTreatment } from "@/core/facts/deeds";
import { doseOf, type Plan } from "@/core/facts/records";
import { mixes, mixIds, type MixId } from "@/core/mixing/mixes";
import { spotsOf, type GrowthFormId } from "@/core/plants/growthForms";
import type { SpotId } from "@/core/plants/spots";
import { remedyOf, type TechniqueId } from "@/core/remedies/remedies";
import { objections, type Bearer } from "@/core/suitability/suitability";
import { Amounts, type Measuring } from "@/ui/Amounts";
import { Cautions } from "@/ui/Cautions";
import { ChoiceField, NoteField, SelectField, SubmitRow, SwitchField, TextField } from "@/ui/fields/fields";
import { SpotsField } from "@/ui/fields/SpotsField";
import { useDeed } from "@/ui/fields/useDeed";
import { dayInWords } from "@/wording/dates";
import { mixNames, techniqueNames } from "@/wording/names";

interface Props {
  caseId: string;
  plan: Plan | null;
  plant: Bearer;
  growthForm: GrowthFormId;
  volumeMl: number;
  measuring: Measuring;
  nowLocal: string;
  /** Where to go when it is written down. */
  then: string;
}

const isBelow = (spot: SpotId) => spot === "roots" || spot === "pot";

/** What was put on, how, how much and where; the cautions and amounts stand before the act. */
export function TreatForm({ caseId, plan, plant, growthForm, volumeMl, measuring, nowLocal, then }: Props) {
  const router = useRouter();
  const open = plan?.steps.filter((step) => step.kind === "treat" && step.doneOn === null) ?? [];
  const next = plan && (open[0] ? doseOf(plan, open[0]) : plan);
  const { form, submit, trouble } = useDeed({
    schema: recordTreatment,
    action: recordTreatmentAction,
    defaults: () => ({
      id: uuidv7(),
      caseId,
      stepId: open[0]?.id ?? "",
      mix: next?.mix ?? ("alcoholHalf" as MixId),
      technique: next?.technique ?? ("dab" as TechniqueId),
      volumeMl: String(volumeMl),
      spots: spotsOf(growthForm).filter((spot) => !isBelow(spot)),
      at: nowLocal,
      note: "",
      alreadyDone: false,
    }),
    done: () => {
      router.push(then);
      router.refresh();
    },
  });
  const mix = form.watch("mix") as MixId;
  const technique = form.watch("technique") as TechniqueId;
  const typed = Number(String(form.watch("volumeMl")).replace(",", "."));
  const refused = objections(plant, mix, technique).some((o) => o.level === "refuse");
  const techniques = remedyOf(mixes[mix].remedy).techniques;
  return (
    <form onSubmit={submit} noValidate>
      <SelectField form={form} name="mix" label="Mix" options={mixIds.map((id) => [id, mixNames[id]])} />
      <Cautions mix={mix} plant={plant} technique={technique} />
      <TextField
        form={form}
        name="volumeMl"
        label="How much, mL"
        inputMode="decimal"
        hint="Estimated from the pot; write what you used."
      />
      {typed > 0 && typed <= 20_000 && (
        <details className="mb-3">
          <summary>How to mix it</summary>
          <Amounts mix={mix} totalMl={typed} measuring={measuring} />
        </details>
      )}
      <ChoiceField
        form={form}
        name="technique"
        label="How"
        options={(techniques.includes(technique) ? techniques : [technique, ...techniques]).map((id) => [
          id,
          techniqueNames[id],
        ])}
      />
      <SpotsField form={form} name="spots" label="Which places you reached" growthForm={growthForm} />
      {open.length > 0 && (
        <SelectField
          form={form}
          name="stepId"
          label="Which step this carries out"
          options={[...open.map((step) => [step.id, dayInWords(step.dueOn)] as const), ["", "none, an extra one"]]}
        />
      )}
      <TextField form={form} name="at" label="When" type="datetime-local" />
      <NoteField form={form} name="note" label="Note" />
      {refused && (
        <SwitchField
          form={form}
          name="alreadyDone"
          label="It has happened already; write it down all the same"
          hint="Watch the plant closely for the next days."
        />
      )}
      <SubmitRow form={form} trouble={trouble} label="Treated" />
    </form>
  );
}
