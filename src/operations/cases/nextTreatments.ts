import { daysBetween, type Day } from "@/core/shared/days";
import { planInForce } from "@/core/advice/plans/plans";
import type { Plant } from "@/core/record/facts/descriptions";
import type { PlannedDose } from "@/core/record/facts/kinds/programme";
import { volumeFor } from "@/core/knowledge/mixes/sprayVolume";
import type { PestId } from "@/core/knowledge/pests/pests";
import { isWork, volumeOfDose } from "@/core/advice/planning/doses";
import { riskNotAsked } from "@/core/schedule/programmes/programme";
import { dueOf } from "@/core/schedule/programmes/programmes";
import type { PlantCard } from "@/core/schedule/state/plantCard";
import type { PlantInCase } from "./openCases";
import { cardOf } from "../plants/plantCard";

/** The next treatment of a plan, whether it is due or not. */
export interface NextTreatment {
  readonly plant: PlantCard;
  /** The case it is for, and its pest; null for what has no name. */
  readonly caseId: string | null;
  readonly pest: PestId | null;
  readonly stepId: string;
  readonly dueOn: Day;
  readonly planned: PlannedDose;
  /** Below 0 for what is not due yet. */
  readonly daysLate: number;
  /** Of a finished mix; 0 where nothing is mixed. */
  readonly volumeMl: number;
  readonly potCm: number;
}

/** What plans ask for next on some plants, and the open cases that have no plan. */
export function nextTreatments(inCase: readonly PlantInCase[], lookEveryDays: number, day: Day) {
  const treatments: NextTreatment[] = [];
  const unplanned: { caseId: string; pest: PestId; plant: PlantCard }[] = [];
  for (const { listed, record } of inCase) {
    const plant = cardOf(listed, day);
    const all = dueOf({ record, lookEveryDays, risk: riskNotAsked, petalsOf: () => listed.petals }, day);
    const open = record.cases.filter((one) => one.open);
    for (const found of open)
      if (!planInForce(found, record.cases, record)) unplanned.push({ caseId: found.id, pest: found.pest, plant });
    for (const found of [...open, null]) {
      const caseId = found?.id ?? null;
      const next = all.find((one) => one.what === "treat" && one.caseId === caseId);
      if (!next?.dose || !next.stepId) continue;
      const { on: dueOn, stepId, dose } = next;
      const daysLate = daysBetween(dueOn, day);
      treatments.push({
        plant,
        caseId,
        pest: found?.pest ?? null,
        ...onPlant(dose, record.plant),
        stepId,
        dueOn,
        daysLate,
      });
    }
  }
  return { treatments, unplanned };
}

function onPlant(planned: PlannedDose, { growthForm: form, potCm }: Plant) {
  const volumeMl = isWork(planned) ? volumeOfDose(planned, { form, potCm }) : volumeFor(planned.technique, potCm);
  return { planned, potCm, volumeMl };
}
