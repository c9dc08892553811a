import { addDays, weekdayOf, type Day } from "../climate/days";

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
 * Plants into evenings: each, the weightiest first, on the first evening that still has the time and, if it must dry, the place for it.
 * No evening carries more than its minutes times its hands, nor dries more pots than it can; each plant has its turn once or is left.
 * A plant that takes more than a whole evening is left. `days` ascending. @example inBatches([], [], room).left // []
 */
export function inBatches(plants: readonly BatchPlant[], days: readonly Day[], room: EveningRoom): Batches {
  const capacity = room.minutes * room.helpers;
  const open = days.map((day) => ({ day, plantIds: [] as string[], minutes: 0, drying: 0 }));
  const left: string[] = [];
  const order = plants.toSorted((a, b) => b.weight - a.weight || (a.plantId < b.plantId ? -1 : 1));
  for (const { plantId, minutes, dries } of order) {
    const need = dries ? 1 : 0;
    const evening = open.find((one) => one.minutes + minutes <= capacity && one.drying + need <= room.dryingPots);
    if (!evening) {
      left.push(plantId);
      continue;
    }
    evening.plantIds.push(plantId);
    evening.minutes += minutes;
    evening.drying += need;
  }
  return { batches: open.filter(({ plantIds }) => plantIds.length > 0), left };
}
