import { addDays, weekdayOf, type Day } from "../../shared/days";

/** One plant of a programme that is carried out in batches. */
export interface BatchPlant {
  readonly plantId: string;
  readonly minutes: number;
  /** Whether it needs a place to dry. */
  readonly dries: boolean;
  /** The more it matters the sooner its turn comes. */
  readonly weight: number;
}

/** What one evening carries. */
export interface EveningRoom {
  readonly minutes: number;
  readonly helpers: number;
  readonly dryingPots: number;
}

export interface Batch {
  readonly day: Day;
  readonly plantIds: readonly string[];
  readonly minutes: number;
  readonly drying: number;
}

export interface Batches {
  readonly batches: readonly Batch[];
  /** What does not fit before the last day, in the order of its weight. */
  readonly left: readonly string[];
}

/** The days from one to another, both included, on which somebody works; weekdays 1 to 7. @example workDaysBetween(a, b, [6]).length // Saturdays */
export function workDaysBetween(from: Day, until: Day, weekdays: readonly number[]): readonly Day[] {
  const days: Day[] = [];
  for (let day = from; day <= until; day = addDays(day, 1)) if (weekdays.includes(weekdayOf(day))) days.push(day);
  return days;
}

/**
 * Plants into evenings: each, the weightiest first, on the first evening that still has the time and, if it must dry, the place for it;
 * where that leaves some over and all of them fit if the longest are placed first, they are placed so, the weightiest evenings first.
 * No evening carries more than its minutes times its hands, nor dries more pots than it can; each plant has its turn once or is left.
 * A plant that takes more than a whole evening is left. `days` ascending. @example inBatches([], [], room).left // []
 */
export function inBatches(plants: readonly BatchPlant[], days: readonly Day[], room: EveningRoom): Batches {
  const byWeight = plants.toSorted((a, b) => b.weight - a.weight || (a.plantId < b.plantId ? -1 : 1));
  const first = placed(byWeight, days.length, room);
  const other =
    first.left.length === 0
      ? first
      : placed(
          byWeight.toSorted((a, b) => b.minutes - a.minutes),
          days.length,
          room,
        );
  const { evenings, left } = other.left.length === 0 ? other : first;
  const weightOf = (all: readonly BatchPlant[]) => all.reduce((sum, { weight }) => sum + weight, 0);
  const order = first.left.length > 0 && other.left.length === 0;
  const sorted = order ? evenings.toSorted((a, b) => weightOf(b) - weightOf(a)) : evenings;
  return {
    batches: sorted.flatMap((all, i) => (all.length > 0 ? [batchOf(days[i]!, all)] : [])),
    left: left.map(({ plantId }) => plantId),
  };
}

/**
 * Batches without plants that have had their turn in them; what is left of a batch keeps its day, and one with nobody left is none.
 * @example withoutThose(batches, new Map()) // the same
 */
export function withoutThose({ batches, left }: Batches, had: ReadonlyMap<string, BatchPlant>): Batches {
  return {
    batches: batches.flatMap(({ day, plantIds, minutes, drying }) => {
      const gone = plantIds.flatMap((id) => had.get(id) ?? []);
      const ids = plantIds.filter((id) => !had.has(id));
      if (ids.length === 0) return [];
      return [
        {
          ...{ day, plantIds: ids },
          minutes: minutes - gone.reduce((sum, one) => sum + one.minutes, 0),
          drying: drying - gone.filter(({ dries }) => dries).length,
        },
      ];
    }),
    left: left.filter((id) => !had.has(id)),
  };
}

const batchOf = (day: Day, plants: readonly BatchPlant[]): Batch => ({
  day,
  plantIds: plants.map(({ plantId }) => plantId),
  minutes: plants.reduce((sum, { minutes }) => sum + minutes, 0),
  drying: plants.filter(({ dries }) => dries).length,
});

/** Each in its order on the first evening that has room for it. */
function placed(order: readonly BatchPlant[], count: number, { minutes: most, helpers, dryingPots }: EveningRoom) {
  const open = Array.from({ length: count }, () => ({ plants: [] as BatchPlant[], minutes: 0, drying: 0 }));
  const left: BatchPlant[] = [];
  for (const plant of order) {
    const drying = plant.dries ? 1 : 0;
    const fits = open.find((one) => one.minutes + plant.minutes <= most * helpers && one.drying + drying <= dryingPots);
    if (!fits) {
      left.push(plant);
      continue;
    }
    fits.plants.push(plant);
    fits.minutes += plant.minutes;
    fits.drying += drying;
  }
  const evenings = open.map(({ plants }) => plants);
  return { evenings, left };
}
