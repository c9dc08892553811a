import type { Day } from "../../shared/days";
import { degreeDaysPerDay } from "../../climate/degreeDays";
import { pestOf, type PestId } from "../../knowledge/pests/pests";
import { spotsOf, type GrowthFormId } from "../../knowledge/plants/growthForms";
import { spots, type Spot } from "../../knowledge/plants/spots";
import { isReckoned, suspectIds, type SuspectId } from "../../knowledge/signs/suspects";

export const seasons = ["winter", "spring", "summer", "autumn"] as const;
export type Season = (typeof seasons)[number];
export type Hemisphere = "north" | "south";

/** How near a pest that the collection has now stands to the plant, from far to near. */
export const nearnesses = ["collection", "seller", "place", "beside", "here"] as const;
export type Nearness = (typeof nearnesses)[number];

export interface Circumstances {
  readonly form: GrowthFormId;
  /** Mean temperature where the plant stands, °C. */
  readonly meanC: number;
  readonly season: Season;
  /** Pests that plants of this kind have more often than others; none where the kind is not known. */
  readonly prone?: readonly PestId[];
  /** Pests the collection has now, and how near. */
  readonly nearby: Readonly<Partial<Record<PestId, Nearness>>>;
}

/** How likely each pest is before any sign is looked at, each 0–1 and independent of the others. */
export type Priors = Readonly<Record<SuspectId, number>>;

/** On a plant of any form, at 22 °C, in no special season, in a collection without open cases (HOUSE). */
const usual: Priors = {
  spiderMite: 0.16,
  thrips: 0.12,
  mealybug: 0.16,
  rootMealybug: 0.04,
  softScale: 0.08,
  armouredScale: 0.06,
  fungusGnat: 0.12,
  aphid: 0.08,
  whitefly: 0.03,
  flatMite: 0.02,
  rootAphid: 0.01,
};

/** What multiplies the odds in a season (HOUSE): dry heated air brings mites, wet mix in poor light gnats, soft growth aphids. */
const inSeason: Partial<Record<SuspectId, Partial<Record<Season, number>>>> = {
  spiderMite: { winter: 1.5, summer: 1.3 },
  thrips: { summer: 1.5, spring: 1.2 },
  fungusGnat: { winter: 1.4, autumn: 1.3 },
  aphid: { spring: 1.8, winter: 0.6 },
  mealybug: { autumn: 1.2, winter: 1.2 },
  whitefly: { summer: 1.4, autumn: 1.2 },
};

/** What multiplies the odds of a pest that the collection has now (HOUSE). */
const byNearness: Record<Nearness, number> = { collection: 1.5, seller: 2.5, place: 4, beside: 6, here: 10 };

/** What multiplies the odds of a pest that the kind is prone to (HOUSE). */
const PRONE = 1.6;

/** The temperature at which the usual odds hold: what counts where nothing is known of the warmth. */
export const USUAL_C = 22;
/** How much warmth or cold may change the odds. */
const LEAST = 0.3;
const MOST = 1.6;

/**
 * How likely each pest is on this plant before any sign is looked at: the usual odds, multiplied by how much of the pest's
 * hiding places the growth form has (0.3 + share), how fast the pest grows there compared with 22 °C (0.3–1.6), the season, whether the kind is prone to it,
 * and how near the collection has it. Of pests that are told by their signs only the usual odds and the season are known. Gives probabilities above 0 and below 1. Source: our own estimates (HOUSE).
 * @example priorsFor({ form: "trailingVine", meanC: 22, season: "winter", nearby: {} }).spiderMite // ≈ 0.26
 */
export function priorsFor({ form, meanC, season, nearby, prone = [] }: Circumstances): Priors {
  const entries = suspectIds.map((pest) => {
    if (!isReckoned(pest)) {
      const odds = (usual[pest] / (1 - usual[pest])) * (inSeason[pest]?.[season] ?? 1);
      return [pest, odds / (1 + odds)] as const;
    }
    const near = nearby[pest];
    const odds =
      (usual[pest] / (1 - usual[pest])) *
      (0.3 + shareOfPlaces(form, pest)) *
      Math.min(MOST, Math.max(LEAST, degreeDaysPerDay(pestOf(pest), meanC) / degreeDaysPerDay(pestOf(pest), USUAL_C))) *
      (inSeason[pest]?.[season] ?? 1) *
      (prone.includes(pest) ? PRONE : 1) *
      (near ? byNearness[near] : 1);
    return [pest, odds / (1 + odds)] as const;
  });
  return Object.fromEntries(entries) as Record<SuspectId, number>;
}

/** How much of the places where a pest sits there are on this form, 0–1. */
function shareOfPlaces(form: GrowthFormId, pest: PestId): number {
  const there = spotsOf(form);
  let total = 0;
  let here = 0;
  for (const [id, spot] of Object.entries(spots) as [keyof typeof spots, Spot][]) {
    const weight = spot.weight[pest] ?? 0;
    total += weight;
    if (there.includes(id)) here += weight;
  }
  return here / total;
}

/** Of two ways in which a pest is near, the nearer. @example nearer("seller", "place") // "place" */
export function nearer(a: Nearness | undefined, b: Nearness): Nearness {
  return a !== undefined && nearnesses.indexOf(a) >= nearnesses.indexOf(b) ? a : b;
}

/**
 * The season of the calendar month (1–12), by the months as weather services count them.
 * Throws RangeError for another month. @example seasonOf(7, "south") // "winter"
 */
export function seasonOf(month: number, hemisphere: Hemisphere): Season {
  if (!(Number.isInteger(month) && month >= 1 && month <= 12)) throw new RangeError(`no month: ${month}`);
  const shifted = (month % 12) + (hemisphere === "south" ? 6 : 0);
  return seasons[Math.floor((shifted % 12) / 3)]!;
}

/**
 * The first day of the next spring after a day: March on the northern half of the earth, September on the southern.
 * @example springAfter("2026-11-26", "north") // "2027-03-01"
 */
export function springAfter(day: Day, hemisphere: Hemisphere): Day {
  const begins = hemisphere === "north" ? "03-01" : "09-01";
  const year = Number(day.slice(0, 4));
  const own = `${day.slice(0, 4)}-${begins}` as Day;
  return own > day ? own : (`${String(year + 1).padStart(4, "0")}-${begins}` as Day);
}
