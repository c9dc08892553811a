import { clearanceRule, type Clearance, type Sureness } from "../../model/clearance/rule";
import type { Day } from "../../shared/days";
import { treats } from "../../acts/acts";
import { standing } from "../../record/facts/facts";
import { animalsIn } from "../../model/inspection/severity";
import { isOutsideModel } from "../../record/cases/outsideModel";
import type { Case } from "../../record/cases/cases";
import { inspectionsOn } from "../../record/cases/inspections";
import type { Plan } from "../plans/plans";
import type { PlantFacts } from "../../record/cases/record";
import type { WarmthBetween } from "../../record/cases/warmth";

/** The rule of clearance on a case's facts as they stand. */
export function ruleOf(
  found: Case,
  { looks, acts }: Pick<PlantFacts, "looks" | "acts">,
  warmth: WarmthBetween,
  today: Day,
  sureness: Sureness | null,
): Clearance {
  const counts = (fact: { readonly at: Date; readonly recordedAt: Date }) =>
    fact.at >= found.openedAt && !isOutsideModel(fact);
  return clearanceRule(
    {
      pest: found.pest,
      warmth,
      looks: standing(inspectionsOn({ looks, acts }))
        .filter(counts)
        .map((look) => {
          const find = look.finds.find((f) => f.pest === found.pest);
          return { at: look.at.getTime(), day: look.day, live: find ? animalsIn(find) : 0 };
        }),
      // What does nothing to this pest leaves its looks as they are.
      treatments: standing(acts)
        .filter((one) => counts(one) && treats(one.act, found.pest))
        .map(({ at, day }) => ({ at: at.getTime(), day })),
    },
    today,
    sureness,
  );
}

/** What has happened since a plan was adopted that changes what it promises. */
export interface PlanChanges {
  readonly lateDays: number;
  /** The last day since on which live animals were found, if any. */
  readonly foundOn: Day | null;
  /** How much warmer it is now than when the plan was adopted, °C; 0 where it is as warm. */
  readonly warmerByC: number;
}

/** What has changed since the plan of a case was adopted; nothing without a plan. */
export function changesSince(
  plan: Plan | null,
  found: Case,
  { looks }: Pick<PlantFacts, "looks">,
  warmth: WarmthBetween,
  today: Day,
  lateDays: number,
): PlanChanges {
  if (!plan) return { lateDays, foundOn: null, warmerByC: 0 };
  const again = standing(looks).filter(
    (look) => look.at > plan.adoptedAt && look.finds.some((find) => find.pest === found.pest),
  );
  const [then] = warmth(plan.adoptedOn, plan.adoptedOn);
  const [now] = warmth(today, today);
  const warmerByC = then === undefined || now === undefined ? 0 : now - then;
  return { lateDays, foundOn: again.at(-1)?.day ?? null, warmerByC };
}
