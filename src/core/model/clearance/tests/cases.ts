import fc from "fast-check";
import { sitesOn } from "../../inspection/sitesOn";
import { seeChances } from "../../inspection/see";
import { toolIds } from "../../inspection/tools";
import { pestIds, pestOf, type PestId } from "../../../knowledge/pests/pests";
import { spotsOf, type GrowthFormId } from "../../../knowledge/plants/growthForms";
import { applicationEvents } from "../../../acts/contact";
import { remedyIds, remedyOf, type RemedyId, type TechniqueId } from "../../../knowledge/remedies/remedies";
import type { InspectionEvent, PopulationEvent } from "../../population/events";
import type { CaseHistory } from "../history";

const FORM: GrowthFormId = "clumpingFoliage";

/** A look at every spot of the plant. */
export function fullLook(
  pest: PestId,
  atDays: number,
  found: number,
  {
    tool = "loupe",
    removed = false,
    form = FORM,
  }: { tool?: (typeof toolIds)[number]; removed?: boolean; form?: GrowthFormId } = {},
): InspectionEvent {
  const see = seeChances(pestOf(pest), pest, form, { tool, spots: spotsOf(form) });
  return { kind: "inspection", atDays, found, removed, see };
}

export function treat(pest: PestId, atDays: number, remedy: RemedyId, technique: TechniqueId = "spray") {
  return applicationEvents(pestOf(pest), { remedy, technique }, atDays);
}

export function historyOf(
  pest: PestId,
  meanC: number | readonly number[],
  events: readonly PopulationEvent[],
  { form = FORM, timeStepDays = 0.25 }: { form?: GrowthFormId; timeStepDays?: number } = {},
): CaseHistory {
  return {
    pest: pestOf(pest),
    sites: sitesOn(form, pest),
    dailyMeanC: typeof meanC === "number" ? [meanC] : meanC,
    timeStepDays,
    events,
  };
}

/** Any case with a first find, treatments and clean looks after it, and the day it is asked about. */
export const anyCase = fc
  .record({
    pest: fc.constantFrom(...pestIds),
    meanC: fc.array(fc.double({ min: 15, max: 30, noNaN: true }), { minLength: 1, maxLength: 30 }),
    found: fc.constantFrom(1, 1.4, 3, 5.5, 23, 100),
    removed: fc.boolean(),
    treatments: fc.array(fc.tuple(fc.integer({ min: 0, max: 40 }), fc.constantFrom(...remedyIds)), { maxLength: 6 }),
    looks: fc.array(
      fc.tuple(fc.integer({ min: 1, max: 50 }), fc.constantFrom("eye" as const, "lamp" as const, "loupe" as const)),
      {
        maxLength: 5,
      },
    ),
    asOf: fc.integer({ min: 51, max: 70 }),
  })
  .map(({ pest, meanC, found, removed, treatments, looks, asOf }) => {
    const events: PopulationEvent[] = [
      fullLook(pest, 0, found, { removed }),
      ...treatments.flatMap(([at, remedy]) => treat(pest, at, remedy, remedyOf(remedy).techniques[0]!)),
      ...looks.map(([at, tool]) => fullLook(pest, at, 0, { tool })),
    ];
    return { pest, history: historyOf(pest, meanC, events), asOf };
  });

/** A case as keepers run them: treated from the first day on at a steady pace, then looked at weekly and found clean. */
export const usualCase = fc
  .record({
    pest: fc.constantFrom(...pestIds),
    meanC: fc.array(fc.double({ min: 16, max: 29, noNaN: true }), { minLength: 1, maxLength: 30 }),
    found: fc.constantFrom(1, 1.4, 3, 5.5, 23, 100),
    remedy: fc.constantFrom(...remedyIds),
    every: fc.integer({ min: 3, max: 7 }),
    times: fc.integer({ min: 2, max: 6 }),
    looks: fc.integer({ min: 0, max: 3 }),
  })
  .map(({ pest, meanC, found, remedy, every, times, looks }) => {
    const last = (times - 1) * every;
    const events: PopulationEvent[] = [
      fullLook(pest, 0, found),
      ...Array.from({ length: times }, (_, i) => treat(pest, i * every, remedy, "sprayAndSwab")).flat(),
      ...Array.from({ length: looks }, (_, i) => fullLook(pest, last + 7 * (i + 1), 0, { tool: "lamp" })),
    ];
    return { pest, history: historyOf(pest, meanC, events), lastLook: last + 7 * looks };
  });
