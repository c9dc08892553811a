import type { Act } from "@/core/acts/acts";
import { workOf } from "@/core/acts/works";
import { planInForce, treatmentsToCome, type PlanStep } from "@/core/advice/plans/plans";
import type { PlantRecord } from "@/core/record/cases/record";
import { planOfUnnamed } from "@/core/advice/unnamed/unnamed";
import { addDays, type Day } from "@/core/shared/days";
import type { Plant } from "@/core/record/facts/descriptions";
import type { PlannedDose } from "@/core/record/facts/kinds/programme";
import { groupBy } from "@/core/shared/groupBy";
import { costOf, drawsOf, lastingOf, type Lasting, type Level, type Use } from "@/core/advice/household/cupboard";
import { volumeFor } from "@/core/knowledge/mixes/sprayVolume";
import type { PestId } from "@/core/knowledge/pests/pests";
import { isWork } from "@/core/advice/planning/doses";
import { inParallel } from "@/db/query";
import { scopeOf, today, type Context } from "../../shared/context";
import { levelsNow } from "../levelsNow";
import { plantsInCase } from "../../cases/openCases";

export interface CupboardView {
  readonly day: Day;
  readonly levels: readonly Level[];
  /** What the plans in force ask for against what is left. */
  readonly lasting: readonly Lasting[];
  /** What was used cost within a year, and by each open case since it began, the dearest first; in the keeper's money. */
  readonly yearCost: number;
  readonly caseCosts: readonly { caseId: string; plant: Plant; pest: PestId; cost: number }[];
}

const YEAR_DAYS = 365;

/** The bottles, how much is left in them by what was written down, and whether that will do for what is planned. */
export async function readCupboard(context: Context): Promise<CupboardView> {
  const scope = scopeOf(context, "read");
  const day = today(context);
  const { bottles, alcoholPercent } = context.collection;
  const [inCase, { from, levels }] = await inParallel(
    scope,
    () => plantsInCase(scope),
    () => levelsNow(context, scope),
  );
  const planned = inCase.flatMap(({ record }) => plannedUses(record, day));
  const byCase = groupBy(from, ({ caseId }) => caseId);
  const open = inCase.flatMap(({ record }) =>
    record.cases.filter((one) => one.open).map((found) => ({ found, record })),
  );
  return {
    day,
    levels,
    lasting: lastingOf(drawsOf(planned, { bottles, alcoholPercent }), levels),
    yearCost: costOf(
      from.filter((one) => one.day > addDays(day, -YEAR_DAYS)),
      bottles,
    ),
    caseCosts: open
      .map(({ found, record }) => {
        const own = found.aliases.flatMap((id) => byCase.get(id) ?? []);
        return { caseId: found.id, plant: record.plant, pest: found.pest, cost: costOf(own, bottles) };
      })
      .filter(({ cost }) => cost > 0)
      .toSorted((a, b) => b.cost - a.cost),
  };
}

/** What the plans of a plant still ask for; what is late is done today. */
function plannedUses(record: PlantRecord, day: Day): Use[] {
  const open = record.cases.filter((one) => one.open);
  const plans = [...open.map((found) => planInForce(found, record.cases, record)), planOfUnnamed(record)];
  return plans.flatMap((plan) => (plan ? treatmentsToCome(plan).map((step) => useOf(step, record.plant, day)) : []));
}

function useOf({ dueOn, dose }: PlanStep & { readonly dose: PlannedDose }, plant: Plant, day: Day): Use {
  return { day: dueOn < day ? day : dueOn, act: actOf(dose, plant), caseId: null };
}

function actOf(dose: PlannedDose, { growthForm: form, potCm }: Plant): Act {
  if (isWork(dose)) return workOf(dose.work).act({ form, potCm });
  const { mix, technique } = dose;
  return { kind: "contact", mix, technique, volumeMl: volumeFor(technique, potCm), spots: [] };
}
