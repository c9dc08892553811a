import { followEach, type Reckoning } from "../clearance/reckon";
import { addDays, type Day } from "../climate/days";
import type { CaseFile } from "../format/schema";
import { byStage } from "../population/layout";
import { exp, ln } from "../numerics/exponential";
import { assessFile } from "./assess";

/** How many animals of a case could walk or fly off, day by day: what its neighbours stand beside. Plain data. */
export interface CaseNumbers {
  /** The day of the first entry: that of the first find. */
  readonly from: Day;
  /** Expected mobile animals at the end of each day. */
  readonly daily: readonly number[];
  /** How fast they grew before the first find, per day (a logarithm), and for how many days before it they are believed. */
  readonly growthPerDay: number;
  readonly generationDays: number;
}

/** The numbers of a case; null where it cannot be reckoned. */
export function numbersOf(file: CaseFile): CaseNumbers | null {
  const assessed = assessFile(file);
  if (!assessed.ok) return null;
  const { reckoning, expanded } = assessed;
  const { from, daily } = mobileDaily(reckoning);
  const { pest } = reckoning.timeline.layout;
  const { dt, firstC } = reckoning.timeline;
  const degreeDays = pest.stages.filter((stage) => !stage.femaleEggs).reduce((sum, stage) => sum + stage.degreeDays, 0);
  return {
    from: addDays(expanded.dayZero as Day, from),
    daily,
    growthPerDay: Math.max(0, ln(reckoning.growth.perStep) / dt),
    generationDays: degreeDays / (Math.min(firstC, pest.upperC) - pest.lowerC),
  };
}

/** Mobile animals at the end of each day from the first find to the moment asked about, the mean over the scenarios. */
function mobileDaily(reckoning: Reckoning): { from: number; daily: number[] } {
  const { timeline, past, firstFind, asOfStep, weights } = reckoning;
  const { layout, dt } = timeline;
  const mobile = layout.pest.stages.map(({ mobile: moves }): number => (moves ? 1 : 0));
  const from = Math.floor(past[firstFind]!.step * dt + 1e-9);
  const until = Math.max(from, Math.ceil(asOfStep * dt - 1e-9) - 1);
  const daily = Array.from({ length: until - from + 1 }, () => 0);
  const note = (scenario: number, step: number, m: Float64Array) => {
    const end = step * dt;
    if (Math.abs(end - Math.round(end)) > 1e-9) return;
    const day = Math.round(end) - 1 - from;
    if (day < 0 || day >= daily.length) return;
    const stages = byStage(layout, m);
    daily[day]! += weights[scenario]! * mobile.reduce((sum, one, stage) => sum + one * stages[stage]!, 0);
  };
  followEach(reckoning, note).forEach((m, scenario) => note(scenario, asOfStep, m));
  return { from, daily };
}

/**
 * Mobile animals of a case on a day: as reckoned from its first find on; before it fewer the longer before, for one generation;
 * nothing from the day after the last that is known. @example mobileOn(numbers, dayBeforeTheFind) // numbers.daily[0] · e^(−r)
 */
export function mobileOn({ daily, growthPerDay, generationDays }: CaseNumbers, daysSinceFind: number): number {
  if (daysSinceFind >= 0) return daily[daysSinceFind] ?? 0;
  return -daysSinceFind <= generationDays ? (daily[0] ?? 0) * exp(growthPerDay * daysSinceFind) : 0;
}
