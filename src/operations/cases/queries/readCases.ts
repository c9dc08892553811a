import type { Case } from "@/core/record/cases/cases";
import type { Day } from "@/core/shared/days";
import { planInForce } from "@/core/advice/plans/plans";
import type { OutcomeId } from "@/core/record/facts/kinds/closing";
import type { Due } from "@/core/schedule/programmes/programme";
import { riskNotAsked } from "@/core/schedule/programmes/programme";
import { dueOf } from "@/core/schedule/programmes/programmes";
import type { PlantCard } from "@/core/schedule/state/plantCard";
import * as cases from "@/db/stores/cases/cases";
import * as plantStates from "@/db/stores/plants/plantStates";
import { dayOf, scopeOf, today, type Context } from "../../shared/context";
import { plantsInCase } from "../openCases";
import { cardOf } from "../../plants/plantCard";

export interface OpenCaseLine {
  readonly found: Case;
  readonly plant: PlantCard;
  readonly planned: boolean;
  /** The next treatment; null where none is left. */
  readonly next: Due | null;
}

export interface ClosedCaseLine {
  readonly id: string;
  readonly pest: Case["pest"];
  readonly plant: PlantCard;
  readonly outcome: OutcomeId;
  readonly closedOn: Day;
}

export interface CasesView {
  readonly open: readonly OpenCaseLine[];
  readonly closed: readonly ClosedCaseLine[];
}

const CLOSED_SHOWN = 20;

/** Open cases, those without a plan first, then by the next treatment; and the cases closed last. */
export async function readCases(context: Context): Promise<CasesView> {
  const scope = scopeOf(context, "read");
  const day = today(context);
  const { lookEveryDays } = context.collection;
  const lines = (await plantsInCase(scope)).flatMap(({ listed, record }): OpenCaseLine[] => {
    const due = dueOf({ record, lookEveryDays, risk: riskNotAsked, petalsOf: () => listed.petals }, day);
    return record.cases
      .filter((found) => found.open)
      .map((found) => ({
        found,
        plant: cardOf(listed, day),
        planned: planInForce(found, record.cases, record) !== null,
        next: due.find((one) => one.what === "treat" && one.caseId === found.id) ?? null,
      }));
  });
  const urgency = (line: OpenCaseLine) => (line.planned ? (line.next?.on ?? "9999") : "0000");
  const closed = await cases.closedLately(scope, CLOSED_SHOWN);
  const listed = new Map(
    (await plantStates.of(scope, [...new Set(closed.map((one) => one.plantId))])).map((row) => [row.id, row]),
  );
  return {
    open: lines.toSorted(
      (a, b) => urgency(a).localeCompare(urgency(b)) || a.found.openedAt.getTime() - b.found.openedAt.getTime(),
    ),
    closed: closed.flatMap(({ id, pest, plantId, closedAt, outcome }): ClosedCaseLine[] => {
      const row = listed.get(plantId);
      if (!row || !closedAt || !outcome) return [];
      return [{ id, pest, plant: cardOf(row, day), outcome, closedOn: dayOf(context, closedAt) }];
    }),
  };
}
