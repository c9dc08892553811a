import { caseFileFrom, type Warmth } from "@/core/case/fromFacts";
import type { CaseFileInput } from "@/core/format/schema";
import type { Day } from "@/core/climate/days";
import type { Case, Look, Placement, PlaceTemperature, Plant, Treatment } from "@/core/facts/records";

/** What is on record of a case, as the stores give it: voided facts among it. */
export interface CaseOnRecord {
  readonly found: Case;
  readonly plant: Plant;
  readonly looks: readonly Look[];
  readonly treatments: readonly Treatment[];
  readonly placements: readonly Placement[];
}

/** The case file of a case as of the end of a day; null while no look that stands has found anything. */
export function fileOfCase(
  { found, plant, looks, treatments, placements }: CaseOnRecord,
  temperatures: readonly PlaceTemperature[],
  asOf: Day,
): CaseFileInput | null {
  return caseFileFrom({
    pest: found.pest,
    plant,
    looks: looks.filter((look) => look.voidReason === null && look.at >= found.openedAt && look.day <= asOf),
    treatments: treatments.filter((t) => t.caseId === found.id && t.voidReason === null && t.day <= asOf),
    warmth: warmthAlong(placements, temperatures),
    asOf,
  });
}

/** How warm a plant had it, day by day: the places it stood in, each with its own temperatures. */
function warmthAlong(placements: readonly Placement[], temperatures: readonly PlaceTemperature[]): Warmth[] {
  const stood = placements.filter((p) => p.voidReason === null);
  return stood.flatMap((placement, i) => {
    const until = stood[i + 1]?.day ?? ("9999-12-31" as Day);
    const here = temperatures.filter((t) => t.placeId === placement.placeId);
    const atFirst = here.findLast((t) => t.since <= placement.day) ?? here[0];
    const changes = here.filter((t) => t.since > placement.day && t.since < until);
    return [
      ...(atFirst ? [{ since: placement.day, meanC: atFirst.meanC }] : []),
      ...changes.map(({ since, meanC }) => ({ since, meanC })),
    ];
  });
}
