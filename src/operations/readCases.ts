import type { Case, Closing, PlanStep } from "@/core/facts/records";
import type { PlantCard } from "@/core/state/plantCard";
import * as cases from "@/db/stores/cases";
import * as plans from "@/db/stores/plans";
import * as plantStates from "@/db/stores/plantStates";
import { scopeOf, type Context } from "./context";
import { cardOf } from "./readBenches";
import { nextTreatment } from "./readToday";
import { refreshStale } from "./refreshStale";

export interface OpenCaseLine {
  readonly found: Case;
  readonly plant: PlantCard;
  readonly planned: boolean;
  readonly nextStep: PlanStep | null;
}

export interface CasesView {
  readonly open: readonly OpenCaseLine[];
  readonly closed: readonly { found: Case; plant: PlantCard; closing: Closing }[];
}

const CLOSED_SHOWN = 20;

/** Open cases, those without a plan first, then by the next treatment; and the cases closed last. */
export async function readCases(context: Context): Promise<CasesView> {
  const scope = scopeOf(context);
  await refreshStale(context);
  const [open, closed] = await Promise.all([cases.open(scope), cases.closedLately(scope, CLOSED_SHOWN)]);
  const plantIds = [...new Set([...open, ...closed].map((c) => c.plantId))];
  const [planned, closings, listed] = await Promise.all([
    plans.ofCases(
      scope,
      open.map((c) => c.id),
    ),
    cases.closings(
      scope,
      closed.map((c) => c.id),
    ),
    plantStates.of(scope, plantIds),
  ]);
  const cards = new Map(listed.map((plant) => [plant.id, cardOf(context, plant)]));
  const lines = open.map((found) => {
    const plan = plans.inForce(planned, found.id);
    return { found, plant: cards.get(found.plantId)!, planned: plan !== null, nextStep: plan && nextTreatment(plan) };
  });
  const urgency = (line: OpenCaseLine) => (line.planned ? (line.nextStep?.dueOn ?? "9999") : "0000");
  return {
    open: lines.toSorted((a, b) => urgency(a).localeCompare(urgency(b))),
    closed: closed.flatMap((found) => {
      const closing = closings.findLast((c) => c.caseId === found.id && c.voidReason === null);
      return closing ? [{ found, plant: cards.get(found.plantId)!, closing }] : [];
    }),
  };
}
