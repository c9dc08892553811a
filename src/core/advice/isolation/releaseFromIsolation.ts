import type { CarriageQuestion } from "../../model/carriage/carriage";
import { addDays, dayNumber, type Day } from "../../shared/days";
import { seeChances } from "../../model/inspection/see";
import { pestOf } from "../../knowledge/pests/pests";
import type { GrowthFormId } from "../../knowledge/plants/growthForms";
import type { Asked } from "../spread/ask";
import { carriesOf, type ReckonAll, type WayBack } from "../spread/carries";
import type { WayToLook } from "../tonight/tonight";

/** Looks at a plant that stands apart are a week apart (common practice); after so many it is no use to count on. */
const EVERY_DAYS = 7;
const MOST_LOOKS = 10;
/** The schools let a new plant join after a week, or after four (common practice). */
const SCHOOL_WEEKS = [1, 4] as const;

/**
 * For each way to look how many weekly clean looks from `first` on bring the chance that a plant carries something below `limit`,
 * and when that is; never fewer than `least`. A way that does not within ten looks is left out. `until` is the time up to which
 * `asked` reaches; what came to the plant on its last day goes on coming.
 * @example // "may join on 18 Dec if the looks of 27 Nov, 4, 11 and 18 Dec are clean"
 */
export async function releasesFromIsolation(
  asked: readonly Asked[],
  form: GrowthFormId,
  ways: readonly WayToLook[],
  first: Day,
  until: number,
  limit: number,
  least: number,
  reckonAll: ReckonAll,
): Promise<WayBack[]> {
  const found = await Promise.all(
    ways.map(async ({ id: way, tool, search }): Promise<WayBack[]> => {
      const days: Day[] = [];
      const after: number[] = [];
      const enough = () => after.findIndex((p, i) => p < limit && i + 1 >= least) + 1;
      while (days.length < MOST_LOOKS && (enough() === 0 || days.length < Math.max(...SCHOOL_WEEKS))) {
        days.push(addDays(first, EVERY_DAYS * days.length));
        const questions = asked.map((one) => withLooks(one, form, search, days, until));
        after.push(carriesOf(asked, await reckonAll(questions)).p);
      }
      const looks = days.slice(0, enough());
      return looks.length === 0 ? [] : [{ way, tool, looks, p: after[looks.length - 1]!, after }];
    }),
  );
  return found.flat();
}

function withLooks(
  { pest, question }: Asked,
  form: GrowthFormId,
  search: WayToLook["search"],
  looks: readonly Day[],
  until: number,
): CarriageQuestion {
  const zero = until - question.asOfDays;
  const see = seeChances(pestOf(pest), pest, form, search);
  const end = dayNumber(looks.at(-1)!) + 1 - zero;
  return {
    ...question,
    streams: question.streams.map((stream) =>
      stream.untilDays >= question.asOfDays - 1e-9 ? { ...stream, untilDays: end } : stream,
    ),
    // At the end of the day, after everything that is on record.
    events: [
      ...question.events,
      ...looks.map((day) => ({
        kind: "inspection" as const,
        atDays: dayNumber(day) + 1 - zero,
        found: 0,
        removed: false,
        see,
      })),
    ],
    looks: [],
    asOfDays: end,
  };
}
