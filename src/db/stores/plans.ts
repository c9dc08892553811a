import type { Plan, PlanStep } from "@/core/facts/records";
import type { Scope } from "../connection";
import { dayOf, insert, insertAll, rows } from "../query";

/**
 * A treatment step is done by the treatment that names it. A look step is done by any look at the plant from the day before it is due
 * (but not before the plan) until the next look step.
 */
const steps = `
  select json_agg(json_build_object('id', st.id, 'planId', st.plan_id, 'kind', st.kind, 'dueOn', st.due_on,
    'doneOn', case st.kind
      when 'treat' then (
        select ${dayOf("t.treated_at")} from treatments t
        where t.collection_id = :c and t.step_id = st.id and t.voided_at is null)
      else (
        select min(${dayOf("k.looked_at")}) from looks k
        where k.collection_id = :c and k.plant_id = s.plant_id and k.voided_at is null
          and k.looked_at > n.adopted_at and (k.looked_at at time zone :tz)::date >= st.due_on - 1
          and (k.looked_at at time zone :tz)::date < coalesce((
            select min(later.due_on) - 1 from plan_steps later
            where later.collection_id = :c and later.plan_id = st.plan_id and later.kind = 'look'
              and later.due_on > st.due_on), 'infinity'))
    end) order by st.due_on, st.kind desc)
  from plan_steps st where st.collection_id = :c and st.plan_id = n.id`;

const select = `
  select n.id, n.case_id as "caseId", n.mix, n.technique, n.basis, n.p_over as "pOver",
    case when n.knock_mix is null then null
      else json_build_object('mix', n.knock_mix, 'technique', n.knock_technique) end as "knockDown",
    n.adopted_at as "adoptedAt",
    ${dayOf("n.adopted_at")} as "adoptedOn", n.void_reason as "voidReason", coalesce((${steps}), '[]') as steps
  from plans n join cases s on s.collection_id = n.collection_id and s.id = n.case_id
  where n.collection_id = :c`;

/** Every plan of cases, oldest first, voided ones included. */
export async function ofCases(scope: Scope, caseIds: readonly string[]): Promise<Plan[]> {
  if (caseIds.length === 0) return [];
  return rows<Plan>(scope, `${select} and n.case_id in (:caseIds) order by n.adopted_at, n.recorded_at`, { caseIds });
}

export async function find(scope: Scope, id: string): Promise<Plan | null> {
  return (await rows<Plan>(scope, `${select} and n.id = :id`, { id }))[0] ?? null;
}

/** The plan in force per case: the one adopted last that is not voided. */
export function inForce(plans: readonly Plan[], caseId: string): Plan | null {
  return plans.findLast((plan) => plan.caseId === caseId && plan.voidReason === null) ?? null;
}

export async function add(
  scope: Scope,
  plan: Omit<Plan, "adoptedOn" | "steps" | "voidReason" | "knockDown" | "pOver"> &
    Partial<Pick<Plan, "knockDown" | "pOver">>,
  planSteps: readonly Omit<PlanStep, "doneOn" | "planId">[],
  recordedAt: Date,
): Promise<void> {
  const { knockDown, ...rest } = plan;
  const knock = { knockMix: knockDown?.mix, knockTechnique: knockDown?.technique };
  await insert(scope, "Plan", { ...rest, ...knock, recordedAt });
  await insertAll(
    scope,
    "PlanStep",
    planSteps.map((step) => ({ ...step, planId: plan.id })),
  );
}
