import { addDays, daysBetween, type Day } from "../climate/days";
import type { Look, Plant, Treatment } from "../facts/records";
import { animalsIn } from "../inspection/severity";
import { ONE_SIDE, seeChances, type Search } from "../inspection/see";
import { mixes } from "../mixing/mixes";
import { pestOf, type PestId } from "../pests/pests";
import { spotsOf, type GrowthFormId } from "../plants/growthForms";
import type { SpotId } from "../plants/spots";
import type { RemedyId } from "../remedies/remedies";
import { fileRemedies, type CaseFileInput } from "../format/schema";

/** Where a plant stood from a day on, and how warm it was there; ascending, the first reaching back to the beginning. */
export interface Warmth {
  readonly since: Day;
  readonly meanC: number;
}

export interface CaseFacts {
  readonly pest: PestId;
  readonly plant: Pick<Plant, "growthForm">;
  /** Looks since the case began and its treatments, those that stand, in any order. */
  readonly looks: readonly Look[];
  readonly treatments: readonly Treatment[];
  readonly warmth: readonly Warmth[];
  /** The last day the file speaks of. */
  readonly asOf: Day;
}

type FileEvent = CaseFileInput["events"][number];

/**
 * Writes what is on record of a case as a case file, asked about at the end of the day `asOf`. Null while no look has found
 * anything. Moments are written in UTC; a day's warmth is that of the place where the plant stood.
 * A find that the look's own tool and spots could not have made (the animals were met by chance) counts as one made with a
 * loupe on the whole plant, so that it is not lost.
 */
export function caseFileFrom({ pest, plant, looks, treatments, warmth, asOf }: CaseFacts): CaseFileInput | null {
  const recorded = [
    ...looks.map((look) => ({ at: look.at, id: look.id, event: inspectionOf(look, pest, plant) })),
    ...treatments.map((t) => ({ at: t.at, id: t.id, event: treatmentOf(t, plant) })),
  ].toSorted((a, b) => a.at.getTime() - b.at.getTime() || a.id.localeCompare(b.id));
  const firstFind = recorded.findIndex(({ event }) => event.type === "inspection" && event.found > 0);
  // What was done before the first find cannot change the answer, and the find is then day 0.
  const events = recorded.slice(Math.max(firstFind, 0)).map(({ event }) => event);
  const first = events[0];
  if (firstFind < 0 || !first) return null;
  const from = first.at.slice(0, 10) as Day;
  return {
    format: "wary-petal.case",
    version: 1,
    pest,
    plant: { growthForm: plant.growthForm },
    temperature: { from, dailyMeanC: dailyMeans(warmth, from, asOf) },
    timeStepDays: 0.25,
    scenarios: "all",
    events,
    asOf: addDays(asOf, 1),
  };
}

function inspectionOf(look: Look, pest: PestId, { growthForm }: CaseFacts["plant"]): FileEvent {
  const find = look.finds.find((one) => one.pest === pest);
  const there = spotsOf(growthForm);
  const spots = look.spots.filter((spot) => there.includes(spot));
  const search = { tool: look.tool, spots };
  const visible = seeChances(pestOf(pest), pest, growthForm, search).some(([open, sheltered]) => open + sheltered > 0);
  const blind = find !== undefined && !visible;
  // Of a plant that was not turned, half of what was looked at was seen.
  const halfSeen = !look.turned && !blind && spots.length > 0;
  const seen = halfSeen
    ? oneSided(pest, growthForm, search)
    : ({ look: { with: blind ? "loupe" : look.tool, spots: blind ? [...there] : spots } } as const);
  return {
    type: "inspection",
    at: look.at.toISOString(),
    found: find ? animalsIn(find) : 0,
    removed: find?.removed ?? false,
    ...(spots.length > 0 || blind ? seen : { see: {} }),
  };
}

function oneSided(
  pest: PestId,
  form: GrowthFormId,
  search: Search,
): Pick<Extract<FileEvent, { type: "inspection" }>, "see"> {
  const chances = seeChances(pestOf(pest), pest, form, search);
  return {
    see: Object.fromEntries(
      pestOf(pest).stages.map(({ id }, i) => [id, [chances[i]![0] * ONE_SIDE, chances[i]![1] * ONE_SIDE]]),
    ),
  };
}

function treatmentOf(treatment: Treatment, { growthForm }: CaseFacts["plant"]): FileEvent {
  const there = spotsOf(growthForm);
  const spots: SpotId[] = treatment.spots.filter((spot) => there.includes(spot));
  return {
    type: "treatment",
    at: treatment.at.toISOString(),
    remedy: nameInFile(mixes[treatment.mix].remedy),
    technique: treatment.technique,
    ...(spots.length > 0 && { spots }),
  };
}

function nameInFile(remedy: RemedyId): keyof typeof fileRemedies {
  const names = Object.keys(fileRemedies) as (keyof typeof fileRemedies)[];
  return names.find((name) => fileRemedies[name] === remedy)!;
}

function dailyMeans(warmth: readonly Warmth[], from: Day, to: Day): number[] {
  const days = Math.max(1, daysBetween(from, to) + 1);
  return Array.from({ length: days }, (_, i) => {
    const day = addDays(from, i);
    return (warmth.findLast(({ since }) => since <= day) ?? warmth[0]!).meanC;
  });
}
