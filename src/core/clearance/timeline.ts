import type { InspectionEvent, TreatmentEvent } from "../population/events";
import { layoutOf, spread, type Layout } from "../population/layout";
import type { LastingSteps, Surroundings } from "../population/passage";
import { stepFor } from "../population/step";
import type { CaseHistory } from "./history";
import { reaches, type Scenario } from "./scenarios";

/** An inspection on its step, with the chance to see one animal by type. */
export interface PlacedInspection {
  readonly kind: "inspection";
  readonly step: number;
  /** Its place in the case's list of events. */
  readonly index: number;
  readonly found: number;
  readonly removed: boolean;
  readonly see: Float64Array;
}

/** A treatment on its step, with the chance by type that an animal dies, for each of {@link reaches}. */
export interface PlacedTreatment {
  readonly kind: "treatment";
  readonly step: number;
  readonly index: number;
  readonly dies: readonly Float64Array[];
}

export type PlacedEvent = PlacedInspection | PlacedTreatment;

/** A case laid out on the steps of its model. */
export interface Timeline extends Surroundings {
  /** Inspections and treatments by step, those of one step in the order recorded. */
  readonly events: readonly PlacedEvent[];
  readonly lasting: readonly LastingSteps[];
}

/**
 * Lays a case out on time steps: each time falls on the nearest step. The step is the case's own, halved until no animal
 * passes more than one substage in it on the warmest of its days.
 */
export function timelineOf(history: CaseHistory): Timeline {
  const { pest, sites, dailyMeanC, timeStepDays, events } = history;
  const layout = layoutOf(pest);
  const dt = stepFor(layout, Math.max(...dailyMeanC), timeStepDays);
  const placed: PlacedEvent[] = [];
  const lasting: LastingSteps[] = [];
  for (const [index, event] of events.entries()) {
    const step = stepAt(dt, event.atDays);
    if (event.kind === "lasting")
      lasting.push({ from: step, until: stepAt(dt, event.untilDays), effect: event.effect });
    else if (event.kind === "treatment") placed.push(placeTreatment(layout, event, step, index));
    else placed.push(placeInspection(layout, event, step, index));
  }
  return { layout, sites, dailyMeanC, dt, events: placed.toSorted((a, b) => a.step - b.step), lasting };
}

/** The step nearest to a time in days. */
export function stepAt(dt: number, days: number): number {
  return Math.round(days / dt);
}

export function placeInspection(
  layout: Layout,
  { found, removed, see }: InspectionEvent,
  step: number,
  index: number,
): PlacedInspection {
  const seeing = spread(layout, (stage, site) => see[stage]![site as 0 | 1]);
  return { kind: "inspection", step, index, found, removed, see: seeing };
}

export function placeTreatment(
  layout: Layout,
  { kill, reach, touch }: TreatmentEvent,
  step: number,
  index: number,
): PlacedTreatment {
  const dies = reaches.map(({ escape, column }) =>
    spread(layout, (stage, site) => {
      const there = touch ? touch[stage] : reach[layout.pest.stages[stage]!.where];
      const hit = there?.[site as 0 | 1] ?? 0;
      // Where the hand did not go nothing is hit, however thorough the hand is.
      return hit > 0 ? kill[stage]![column] * (1 - Math.min(1, (1 - hit) * escape)) : 0;
    }),
  );
  return { kind: "treatment", step, index, dies };
}

/** The chances to die, by type, that a treatment has in a scenario. */
export function diesIn(treatment: PlacedTreatment, scenario: Scenario): Float64Array {
  return treatment.dies[reaches.findIndex((reach) => reach.escape === scenario.escape)]!;
}
