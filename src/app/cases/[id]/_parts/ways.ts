import type { DatedComparison, DatedWay } from "@/core/advice/plans/ask";
import type { DatedSchedule } from "@/core/advice/plans/schedules";
import { addDays, type Day } from "@/core/shared/days";
import type { Basis, PlannedDose } from "@/core/record/facts/kinds/programme";
import type { ApproachId } from "@/core/advice/planning/approaches";
import { HOPELESS, type WayId } from "@/core/advice/planning/compare";
import { pRight } from "@/core/advice/planning/score";
import { weigh } from "@/core/advice/planning/search";
import type { SchoolId } from "@/core/knowledge/remedies/schools";
import { approachNames, schoolNames, wayNames } from "@/wording/names/names";

/** One way to go about a case, as a row of the comparison. */
export interface Way {
  readonly id: WayId | SchoolId;
  readonly name: string;
  readonly basis: Basis;
  readonly badges: readonly string[];
  readonly schedule: DatedSchedule;
  /** Other dates of the same way, by what they are better at. */
  readonly others: readonly { readonly at: string; readonly schedule: DatedSchedule }[];
  /** Of treatments and looks, once. */
  readonly minutes: number;
}

/** What has been chosen, ready to be adopted. */
export interface Chosen {
  readonly basis: Basis;
  readonly dates: readonly Day[];
  readonly doses: readonly PlannedDose[];
}

export interface Rows {
  /** Those that get there: what is named first, then the least work. */
  readonly good: readonly Way[];
  /** Those that would with a bottle that is missing. */
  readonly bottled: readonly Way[];
  readonly short: readonly Way[];
  readonly schools: readonly Way[];
  readonly refused: readonly (Pick<DatedComparison["refused"][number], "id" | "why"> & { readonly name: string })[];
}

const isSchool = (id: ApproachId | SchoolId): id is SchoolId => !(id in approachNames);
const badgeNames = { leastWork: "least work", soonest: "soonest", gentlest: "gentlest" } as const;
const badgeIds = ["leastWork", "soonest", "gentlest"] as const;

/** The rows of a comparison, or of as much of it as there is. */
export function rowsOf(plans: readonly DatedWay[], comparison: DatedComparison | null): Rows {
  const rows = plans.map((plan) => ({
    ...plan,
    way: wayOf(plan, comparison),
    work: weigh({ ...plan.schedule, ...plan }),
  }));
  const getsThere = ({ schedule: { reaches, pClean } }: DatedWay) => reaches && pClean >= HOPELESS;
  const unnamed = ({ way }: (typeof rows)[number]) => Number(way.badges.length === 0);
  const good = rows.filter(getsThere).toSorted((a, b) => unnamed(a) - unnamed(b) || a.work - b.work);
  const short = rows.filter((plan) => !getsThere(plan));
  return {
    good: good.filter(({ bottleMissing }) => !bottleMissing).map(({ way }) => way),
    bottled: good.filter(({ bottleMissing }) => bottleMissing).map(({ way }) => way),
    short: short.toSorted((a, b) => pRight(b.schedule) - pRight(a.schedule)).map(({ way }) => way),
    schools: (comparison?.schools ?? []).map(({ school, schedule, minutes }) => {
      const row = { id: school, name: schoolNames[school], basis: school, badges: [], others: [] };
      return { ...row, schedule, minutes };
    }),
    refused: (comparison?.refused ?? []).map(({ id, why }) => {
      return { id, why, name: isSchool(id) ? schoolNames[id] : approachNames[id] };
    }),
  };
}

function wayOf({ approach, schedule, soonest, gentlest, minutes }: DatedWay, comparison: DatedComparison | null): Way {
  const oftener = comparison?.leastWork === approach ? comparison.oftener : null;
  const others = [
    { at: "Sooner", schedule: soonest },
    { at: "Gentler", schedule: gentlest },
    { at: "Every second day", schedule: oftener },
  ].flatMap(({ at, schedule: other }) => (other ? [{ at, schedule: other }] : []));
  const badges = badgeIds.filter((badge) => comparison?.[badge] === approach).map((badge) => badgeNames[badge]);
  return { id: approach, name: wayNames[approach], basis: "reckoned", badges, schedule, others, minutes };
}

/** Days 0, n, 2n … for a count; nothing that makes no sense gives dates. */
export function spread(everyDays: number, times: number): number[] {
  if (!(everyDays >= 1 && everyDays <= 60 && times >= 1 && times <= 24)) return [];
  return Array.from({ length: Math.floor(times) }, (_, i) => i * Math.floor(everyDays));
}

export function daysFrom(first: Day, days: readonly number[]): Day[] {
  return days.map((day) => addDays(first, day));
}
