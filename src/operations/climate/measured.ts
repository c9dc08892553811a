import { addDays } from "@/core/shared/days";
import type { Scope } from "@/db/connection";
import * as climate from "@/db/stores/climate/climate";
import { dayIn } from "@/zones";

/** Days that were measured bear on what is reckoned for so long: more than a year. */
const BEARING_DAYS = 400;

/** The days of every place that were measured within the last year and a little more. */
export function measuredLately(scope: Scope): Promise<climate.KeptDay[]> {
  return climate.daysFrom(scope, addDays(dayIn(scope.now, scope.timeZone), -BEARING_DAYS));
}

/** The place itself if it was measured, else the nearest around it that was; null where none was. */
export function measuredAt(
  all: readonly { readonly id: string; readonly parentId: string | null }[],
  placeId: string,
  measured: ReadonlySet<string>,
): string | null {
  for (let at: string | null = placeId; at !== null; at = all.find(({ id }) => id === at)?.parentId ?? null)
    if (measured.has(at)) return at;
  return null;
}
