import { wetted } from "../../acts/effort";
import { workOf } from "../../acts/works";
import { remedyOf } from "../../knowledge/remedies/remedies";
import type {} from "./approaches";
import { eachOf, isWork, type Dose } from "./doses";

/** What a plant bears in a month, and what it has had to bear. */
export interface StressBudget {
  /** In soap washes of the whole plant within {@link MONTH_DAYS}. */
  readonly perMonth: number;
  /** What was put on before, by day (since the case's day 0), in the same measure. */
  readonly past: readonly { readonly day: number; readonly washes: number }[];
}

export const MONTH_DAYS = 30;

/** How hard one dose is on a plant, in soap washes of the whole plant (HOUSE). @example washesOf(soapSpray) // 1 */
export function washesOf(dose: Dose): number {
  return eachOf(dose).reduce((sum, one) => sum + harshnessOf(one), 0);
}

function harshnessOf(dose: Dose): number {
  return isWork(dose) ? workOf(dose.work).harshness : remedyOf(dose.remedy).harshness * wetted[dose.technique];
}

/** Whether a plant bears one dose more on a day, with all before it; `done` as {@link StressBudget} counts. */
export function bears({ perMonth, past }: StressBudget, done: StressBudget["past"], day: number, dose: Dose): boolean {
  const within = [...past, ...done].filter((one) => one.day > day - MONTH_DAYS && one.day <= day);
  return within.reduce((sum, { washes }) => sum + washes, washesOf(dose)) <= perMonth + 1e-9;
}
