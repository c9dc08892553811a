import { v7 as uuidv7 } from "uuid";
import { addDays, type Day } from "@/core/climate/days";
import type { AdoptPlan } from "@/core/facts/deeds";
import { genusNamed } from "@/core/plants/genera";
import { objections } from "@/core/suitability/suitability";
import * as facts from "@/db/stores/facts";
import * as plans from "@/db/stores/plans";
import { lockOpenCase } from "./checks";
import type { Context } from "./context";
import { perform, refuse, type Outcome } from "./outcome";
import { refreshPlantStates } from "./refreshPlantStates";

/** Looks that a plan asks for after its last treatment: a week and two weeks later (common practice). */
const LOOKS_AFTER_DAYS = [7, 14] as const;

/**
 * Adopts a plan for a case: its treatments, and a look a week and two weeks after the last. The plan adopted last is the
 * one in force; those before it stay on record.
 */
export function adoptPlan(context: Context, deed: AdoptPlan): Promise<Outcome<{ id: string }>> {
  return perform(context, deed.id, async (scope) => {
    if (await facts.isRecorded(scope, "plans", deed.id)) return { id: deed.id };
    const { found, plant } = await lockOpenCase(scope, deed.caseId);
    const first = deed.dates[0]!;
    if (first < found.openedOn) refuse("dates", "before_case");
    const bearer = { sensitivities: genusNamed(plant.genus)?.sensitivities ?? [], inFlower: plant.inFlower };
    for (const { mix, technique } of deed.knockDown ? [deed, deed.knockDown] : [deed]) {
      const against = objections(bearer, mix, technique);
      if (against.some((o) => o.level === "refuse")) refuse("mix", "advised_against", { objections: against });
    }

    const { dates, knockDown = null, pOver = null, ...plan } = deed;
    const step = (kind: "treat" | "look", dueOn: Day) => ({
      id: uuidv7({ msecs: context.now.getTime() }),
      kind,
      dueOn,
    });
    const last = dates.at(-1)!;
    const steps = [
      ...dates.map((date) => step("treat", date)),
      ...LOOKS_AFTER_DAYS.map((days) => step("look", addDays(last, days))),
    ];
    await plans.add(scope, { ...plan, knockDown, pOver, adoptedAt: context.now }, steps, context.now);
    await refreshPlantStates(context, scope, [plant.id]);
    return { id: deed.id };
  });
}
