"use client";

import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { v7 as uuidv7 } from "uuid";
import { adoptPlanAction } from "@/app/_parts/actions";
import { addDays, isDay, type Day } from "@/core/climate/days";
import { adoptPlan, type AdoptPlan } from "@/core/facts/deeds";
import { mixes, mixesOf, type MixId } from "@/core/mixing/mixes";
import type { PestId } from "@/core/pests/pests";
import { proposeDates } from "@/core/planning/proposal";
import { remedyIds, remedyOf, type RemedyId, type TechniqueId } from "@/core/remedies/remedies";
import { schoolsFor } from "@/core/remedies/schools";
import type { Bearer } from "@/core/suitability/suitability";
import { Cautions } from "@/ui/Cautions";
import { ChoiceField, SelectField, SubmitRow } from "@/ui/fields/fields";
import { useDeed } from "@/ui/fields/useDeed";
import { mixNames, remedyNames, techniqueNames } from "@/wording/names";
import { DatesTable, type DatedOption } from "./DatesTable";

interface Props {
  caseId: string;
  pest: PestId;
  meanC: number;
  today: Day;
  plant: Bearer;
}

/** Remedy, mix and technique, then the dates: reckoned, of a school, or the keeper's own. */
export function PlanForm({ caseId, pest, meanC, today, plant }: Props) {
  const router = useRouter();
  const [remedy, setRemedy] = useState<RemedyId>("alcohol");
  const [first, setFirst] = useState<string>(today);
  const [own, setOwn] = useState({ everyDays: "7", times: "3" });
  const { form, submit, trouble } = useDeed({
    schema: adoptPlan,
    action: adoptPlanAction,
    defaults: () => ({
      id: uuidv7(),
      caseId,
      mix: "alcoholHalf" as MixId,
      technique: "dab" as TechniqueId,
      basis: "reckoned" as AdoptPlan["basis"],
      dates: [] as string[],
    }),
    done: () => router.push(`/cases/${caseId}`),
  });

  const start = isDay(first) ? first : null;
  const proposal = proposeDates(pest, remedy, meanC, start ?? today);
  const ownDays = spread(Number(own.everyDays), Number(own.times));
  const options: DatedOption[] = [
    { basis: "reckoned", days: proposal.dates.map((_, i) => i * proposal.intervalDays) },
    ...schoolsFor(remedy).map((school) => ({ basis: school.id as AdoptPlan["basis"], days: school.days })),
    { basis: "own", days: ownDays },
  ];
  const basis = form.watch("basis");
  const days = options.find((option) => option.basis === basis)?.days ?? [];
  const dates = start === null ? "" : days.map((d) => addDays(start, d)).join(" ");
  useEffect(() => {
    form.setValue("dates", dates === "" ? [] : dates.split(" "));
  }, [dates, form]);

  const choose = (next: RemedyId) => {
    setRemedy(next);
    const [usual] = remedyOf(next).techniques;
    form.setValue("mix", mixesOf(next)[0]!);
    form.setValue("technique", usual!);
    if (form.getValues("basis") !== "own") form.setValue("basis", "reckoned");
    form.clearErrors();
  };
  const mix = form.watch("mix") as MixId;
  return (
    <form onSubmit={submit} noValidate>
      <fieldset className="mb-3">
        <legend className="fs-6 fw-semibold mb-1">Remedy</legend>
        <div className="d-flex flex-wrap gap-2">
          {remedyIds.map((id) => (
            <div key={id}>
              <input
                type="radio"
                className="btn-check"
                name="remedy"
                id={`remedy-${id}`}
                checked={remedy === id}
                onChange={() => choose(id)}
              />
              <label className="btn btn-outline-primary" htmlFor={`remedy-${id}`}>
                {remedyNames[id]}
              </label>
            </div>
          ))}
        </div>
      </fieldset>
      <SelectField form={form} name="mix" label="Mix" options={mixesOf(remedy).map((id) => [id, mixNames[id]])} />
      <ChoiceField
        form={form}
        name="technique"
        label="How"
        options={remedyOf(remedy).techniques.map((id) => [id, techniqueNames[id]])}
      />
      {mixes[mix].remedy === remedy && (
        <Cautions mix={mix} plant={plant} technique={form.watch("technique") as TechniqueId} />
      )}
      <DatesTable
        form={form}
        options={options}
        proposal={proposal}
        first={first}
        onFirst={setFirst}
        own={own}
        onOwn={setOwn}
        start={start}
      />
      <SubmitRow form={form} trouble={trouble} label="Adopt this plan" />
    </form>
  );
}

/** Days 0, n, 2n … for a count; nothing that makes no sense gives dates. */
function spread(everyDays: number, times: number): number[] {
  if (!(everyDays >= 1 && everyDays <= 60 && times >= 1 && times <= 24)) return [];
  return Array.from({ length: Math.floor(times) }, (_, i) => i * Math.floor(everyDays));
}
