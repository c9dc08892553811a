import { deficitKPa } from "@/core/climate/vapour";
import type { DaySummary } from "@/core/climate/samples";
import type { Cells } from "@/core/record/format/csvFacts";
import { readingsFromRows, type ReadingProblem } from "@/core/record/format/csvReadings";
import { today, type Context } from "../../shared/context";
import { transact, refuse, type Outcome } from "../../shared/outcome";
import { knownPlace } from "../../shared/checks";
import { believedDays, putDays, type Doubted } from "../climateDays";
import { instantOf } from "@/zones";
import { momentIn } from "../../transfer/importFacts";

/** What came of a table of readings. */
export interface ReadingsImported {
  /** Days that are new, and days that stood there already. */
  readonly added: number;
  readonly known: number;
  readonly samples: number;
  readonly doubted: Doubted;
}

/** Rows that could not be read: nothing was brought in. */
export interface ReadingsRefused {
  readonly refused: readonly ReadingProblem[];
}

/** No table of a place is longer: a reading every ten minutes for two years. */
const MOST_READINGS = 110_000;
const HOURS_OF_A_DAY = 24;

/**
 * Brings readings of a place from a table into the record, day by day: all of them or, where a row cannot be read, none. Twice is once;
 * of a day that comes again with more of its hours the fuller one counts.
 */
export function importReadings(
  context: Context,
  { placeId, rows }: { readonly placeId: string; readonly rows: readonly Cells[] },
): Promise<Outcome<ReadingsImported | ReadingsRefused>> {
  return transact(context, "record", placeId, async (scope) => {
    await knownPlace(scope, placeId);
    if (rows.length === 0) refuse("", "no_rows");
    if (rows.length > MOST_READINGS) refuse("", "too_many_rows");
    const read = readingsFromRows(rows, (cell) => {
      const moment = momentIn(cell, context);
      return moment === null ? null : new Date(moment);
    });
    if (read.problems.length > 0) return { refused: read.problems };
    const { days, doubted } = believedDays(context, read.samples);
    const summed = read.days.flatMap((day): DaySummary[] => {
      // Noon of its day where the place is, or now on the day itself: a fact is never of the future.
      const noon = instantOf(`${day.day}T12:00`, context.collection.timeZone);
      const at = noon < context.now ? noon : context.now;
      if (day.day > today(context)) return [];
      const deficit = day.humidity === null ? null : deficitKPa(day.meanC, Math.min(100, Math.max(0, day.humidity)));
      return [{ ...day, at, deficitKpa: deficit, hours: HOURS_OF_A_DAY, samples: 2 }];
    });
    const all = [...days, ...summed];
    const added = await putDays(scope, placeId, "file", "", all);
    return { added, known: all.length - added, samples: read.samples.length + read.days.length, doubted };
  });
}
