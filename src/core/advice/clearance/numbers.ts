import type { Remains } from "../../model/carriage/carriage";
import { followEach, type Reckoning } from "../../model/clearance/reckon";
import { addDays, type Day } from "../../shared/days";
import type { CaseFile } from "../../record/format/schema";
import { byStage } from "../../model/population/layout";
import { exp, ln } from "../../shared/exponential";
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
  /** What may be left at the moment asked about; null where that is not the end of the case. */
  readonly left: Remains | null;
}

/**
 * The numbers of a case, and what may be left of it where the file asks about its end (`ended`); null where it cannot be reckoned.
 */
export function numbersOf(file: CaseFile, ended: boolean): CaseNumbers | null {
  const assessed = assessFile(file);
  if (!assessed.ok) return null;
  const { reckoning, expanded } = assessed;
  const { from, daily, now } = mobileDaily(reckoning);
  const { pest } = reckoning.timeline.layout;
  const { dt, firstC } = reckoning.timeline;
  const degreeDays = pest.stages.filter((stage) => !stage.femaleEggs).reduce((sum, stage) => sum + stage.degreeDays, 0);
  return {
    from: addDays(expanded.dayZero as Day, from),
    daily,
    growthPerDay: Math.max(0, ln(reckoning.growth.perStep) / dt),
    generationDays: degreeDays / (Math.min(firstC, pest.upperC) - pest.lowerC),
    left: ended ? leftOf(reckoning, now) : null,
  };
}

/** The shares are kept to four digits: there are some hundred of them. */
const DIGITS = 4;

function leftOf({ pClear, weights, timeline }: Reckoning, now: readonly Float64Array[]): Remains | null {
  const byType = Array.from({ length: timeline.layout.types }, (_, i) =>
    now.reduce((sum, m, scenario) => sum + weights[scenario]! * m[i]!, 0),
  );
  const expected = byType.reduce((sum, n) => sum + n, 0);
  if (!(expected > 0)) return null;
  return { pAny: 1 - pClear, expected, types: byType.map((n) => Number((n / expected).toPrecision(DIGITS))) };
}

/** Mobile animals at the end of each day from the first find to the moment asked about, the mean over the scenarios. */
function mobileDaily(reckoning: Reckoning): { from: number; daily: number[]; now: Float64Array[] } {
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
  const now = followEach(reckoning, note);
  now.forEach((m, scenario) => note(scenario, asOfStep, m));
  return { from, daily, now };
}

/**
 * Mobile animals of a case on a day: as reckoned from its first find on; before it fewer the longer before, for one generation;
 * nothing from the day after the last that is known. @example mobileOn(numbers, dayBeforeTheFind) // numbers.daily[0] · e^(−r)
 */
export function mobileOn({ daily, growthPerDay, generationDays }: CaseNumbers, daysSinceFind: number): number {
  if (daysSinceFind >= 0) return daily[daysSinceFind] ?? 0;
  return -daysSinceFind <= generationDays ? (daily[0] ?? 0) * exp(growthPerDay * daysSinceFind) : 0;
}
