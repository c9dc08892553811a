import type { InspectionEvent, TreatmentEvent } from "../population/events";
import { layoutOf, spread, type Layout } from "../population/layout";
import type { LastingSteps, Surroundings } from "../population/passage";
import { DEEP, NOWHERE } from "../population/sites";
import { stepFor } from "../population/step";
import type { Find } from "./anchor";
import { CaseProblem } from "./caseProblem";
import type { CaseHistory } from "./history";
import { reaches, type Scenario } from "./scenarios";

/** An inspection on its step, with the chance to see one animal by type. */
export interface PlacedInspection extends Find {
  readonly kind: "inspection";
  readonly step: number;
  /** Its place in the case's list of events. */
  readonly index: number;
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
  /** The temperature at which the ages of the animals first found are those of a growing population, °C. */
  readonly firstC: number;
}

/** More steps than this are not reckoned. */
const MOST_STEPS = 40_000;

/**
 * Lays a case out on time steps: each time falls on the nearest step. The step is the case's own, halved until no animal
 * passes more than one substage in it on the warmest of its days, nor at the warmth that its first ages are taken for.
 * Throws {@link CaseProblem} where that makes more than {@link MOST_STEPS} up to `untilDays` or an event.
 */
export function timelineOf(history: CaseHistory, untilDays: number): Timeline {
  const { pest, sites, dailyMeanC, timeStepDays, events } = history;
  const layout = layoutOf(pest);
  // Where it is too cold to grow the ages are those of the last time it was warm enough.
  const firstC = Math.max(dailyMeanC[0]!, pest.lowerC + 5);
  const warmest = dailyMeanC.reduce((most, meanC) => Math.max(most, meanC), firstC);
  const dt = stepFor(layout, warmest, timeStepDays);
  const most = events.reduce((last, event) => Math.max(last, event.atDays), untilDays) / dt;
  if (!(most <= MOST_STEPS))
    throw new CaseProblem(null, `needs ${Math.ceil(most)} steps of time, at most ${MOST_STEPS} are reckoned`);
  const placed: PlacedEvent[] = [];
  const lasting: LastingSteps[] = [];
  for (const [index, event] of events.entries()) {
    const step = stepAt(dt, event.atDays);
    if (event.kind === "lasting")
      lasting.push({ from: step, until: stepAt(dt, event.untilDays), effect: event.effect });
    else if (event.kind === "treatment") placed.push(placeTreatment(layout, event, step, index));
    else placed.push(placeInspection(layout, event, step, index));
  }
  return { layout, sites, dailyMeanC, dt, events: placed.toSorted((a, b) => a.step - b.step), lasting, firstC };
}

/** The step nearest to a time in days. */
export function stepAt(dt: number, days: number): number {
  return Math.round(days / dt);
}

export function placeInspection(
  layout: Layout,
  { found, removed, see, among }: InspectionEvent,
  step: number,
  index: number,
): PlacedInspection {
  const seeing = spread(layout, (stage, site) => see[stage]![site]!);
  const types = among ? spread(layout, (stage) => (among.includes(stage) ? 1 : 0)) : null;
  return { kind: "inspection", step, index, found, removed, see: seeing, among: types };
}

export function placeTreatment(
  layout: Layout,
  { kill, reach, touch, cover }: TreatmentEvent,
  step: number,
  index: number,
): PlacedTreatment {
  const dies = reaches.map(({ escape, column }) =>
    spread(layout, (stage, site) => {
      const { where } = layout.pest.stages[stage]!;
      const hit = (touch ? touch[stage]! : (reach[where] ?? NOWHERE))[site]!;
      const covered = cover?.[where]?.[site] ?? 1;
      return kill[stage]![column] * covered * missedMore(hit, escape, site);
    }),
  );
  return { kind: "treatment", step, index, dies };
}

/** Where the hand did not go nothing is hit, however thorough it is; and what sits deep it misses as it always does. */
function missedMore(hit: number, escape: number, site: number): number {
  return hit === 0 || site === DEEP ? hit : 1 - Math.min(1, (1 - hit) * escape);
}

/** The chances to die, by type, that a treatment has in a scenario. */
export function diesIn(treatment: PlacedTreatment, scenario: Scenario): Float64Array {
  return treatment.dies[reaches.findIndex((reach) => reach.escape === scenario.escape)]!;
}
