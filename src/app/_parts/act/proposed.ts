import { useEffect, useRef } from "react";
import type { UseFormReturn } from "react-hook-form";
import type { ActKindId } from "@/core/acts/acts";
import { workOf } from "@/core/acts/works";
import { ownStrength, type Bottle } from "@/core/knowledge/household/bottles";
import { mixes, type MixId } from "@/core/knowledge/mixes/mixes";
import { volumeFor } from "@/core/knowledge/mixes/sprayVolume";
import type { GrowthFormId } from "@/core/knowledge/plants/growthForms";
import { remedyOf, spotsFor, type TechniqueId } from "@/core/knowledge/remedies/remedies";
import type { PlannedDose } from "@/core/record/facts/kinds/programme";
import { draftOf, type ActedOn, type Draft } from "@/ui/acts/actFields";
import { noPlant } from "./actPlant";

/** The kind of act that a step asks for, on any plant. */
export function kindOfDose(dose: PlannedDose): ActKindId {
  return "work" in dose ? workOf(dose.work).act({ form: noPlant.growthForm, potCm: noPlant.potCm }).kind : "contact";
}

/** What the form begins with: the step that is next, or the first kind there is. */
export function plannedDraft(
  next: PlannedDose | null,
  kind: ActKindId,
  on: ActedOn,
  volumeMl: number | undefined,
): Draft {
  if (next && "work" in next) {
    const act = workOf(next.work).act({ form: on.growthForm, potCm: on.potCm });
    return { ...draftOf(act.kind, on), ...act };
  }
  return { ...draftOf(kind, on), ...next, ...(volumeMl && { volumeMl }) };
}

/**
 * A technique that the mix does not take gives way to one that it does; and the volume is that of the technique, until the keeper
 * writes another.
 */
export function useAmountOf(
  form: UseFormReturn,
  contact: { readonly mix: MixId; readonly technique: TechniqueId } | null,
  potCm: number,
  begun: number | undefined,
): void {
  const proposed = useRef<string | null>(null);
  const { mix, technique } = contact ?? {};
  useEffect(() => {
    if (!mix || !technique) return;
    const taken = remedyOf(mixes[mix].remedy).techniques;
    if (!taken.includes(technique)) return form.setValue("act.technique", taken[0]!);
    const now = String(form.getValues("act.volumeMl") ?? "");
    const usual = String(volumeFor(technique, potCm));
    // What was planned begins with its own estimate; any other draft with that of a dab.
    const first = proposed.current === null;
    if (first && begun !== undefined) {
      proposed.current = String(begun);
      return;
    }
    if (first || now === proposed.current || now === String(volumeFor("dab", potCm)))
      form.setValue("act.volumeMl", usual);
    proposed.current = usual;
  }, [form, mix, technique, potCm, begun]);
}

/** The places that a technique goes to are ticked, until the keeper ticks otherwise. */
export function useSpotsOf(form: UseFormReturn, technique: TechniqueId | null, growthForm: GrowthFormId): void {
  const ticked = useRef<string | null>(null);
  useEffect(() => {
    if (!technique) return;
    const now = JSON.stringify(form.getValues("act.spots"));
    const usual = spotsFor(technique, growthForm);
    if (ticked.current === null || ticked.current === now) form.setValue("act.spots", usual);
    ticked.current = JSON.stringify(usual);
  }, [form, technique, growthForm]);
}

/** A mix that the keeper's own label makes up is as strong as that says, until the keeper writes something else. */
export function useOwnStrength(form: UseFormReturn, mix: MixId | null, bottles: readonly Bottle[]): void {
  const proposed = useRef("");
  useEffect(() => {
    if (!mix) return;
    const own = String(ownStrength(bottles, mixes[mix].remedy) ?? "");
    if (String(form.getValues("act.strength") ?? "") === proposed.current) form.setValue("act.strength", own);
    proposed.current = own;
  }, [form, mix, bottles]);
}
