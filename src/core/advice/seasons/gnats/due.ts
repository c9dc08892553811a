import { addDays, type Day } from "../../../shared/days";
import type { Running } from "../running";
import type { RoomAct, RoomCount } from "./fromRecord";
import type { GnatWayId } from "../../../acts/gnatWayIds";
import { wayOfAct } from "../../../acts/acts";
import { gnatWays } from "../../../acts/gnatWays";

/** What a room of gnats asks for. */
export type GnatDue =
  | { readonly what: "way"; readonly way: GnatWayId; readonly on: Day; readonly again: boolean }
  | { readonly what: "count"; readonly on: Day; readonly sinceDays: number }
  | { readonly what: "slice"; readonly on: Day };

/** Cards are counted so often, and slices lie so long (common practice). */
const COUNT_DAYS = 7;
const YEAR_DAYS = 365;

/**
 * What falls due next, way by way, and what is to be counted; the soonest first. A way kept up from before the programme began is not
 * asked for again before its time. `acts` and `counts` of the room, in any order.
 */
export function gnatDues(
  { chosen, begunOn }: Pick<Running<"gnats">, "chosen" | "begunOn">,
  acts: readonly Pick<RoomAct, "act" | "day">[],
  counts: readonly Pick<RoomCount, "what" | "day">[],
  today: Day,
): readonly GnatDue[] {
  const daysOf = (way: GnatWayId) =>
    acts
      .filter(({ act, day }) => wayOfAct(act) === way && day <= today)
      .map(({ act, day }) => ({ day, until: "days" in act ? addDays(day, act.days) : day }))
      .toSorted((a, b) => (a.day < b.day ? -1 : 1));
  const ways = chosen.ways.flatMap((way): GnatDue[] => {
    const { everyDays, mostTimes } = gnatWays[way];
    const done = daysOf(way);
    const last = done.at(-1);
    if (mostTimes && done.filter(({ day }) => addDays(day, YEAR_DAYS) > today).length >= mostTimes) return [];
    if (!last) return [{ what: "way", way, on: begunOn, again: false }];
    if (everyDays !== null)
      return [{ what: "way", way, on: later(addDays(last.day, everyDays), begunOn), again: true }];
    return last.until < today ? [{ what: "way", way, on: last.until, again: true }] : [];
  });
  const hung = daysOf("cards").at(-1);
  const counted = counts
    .filter(({ what }) => what === "cards")
    .map(({ day }) => day)
    .toSorted();
  const since = later(counted.at(-1) ?? hung?.day ?? begunOn, daysOf("cards")[0]?.day ?? begunOn);
  const count: GnatDue[] =
    hung === undefined ? [] : [{ what: "count", on: addDays(since, COUNT_DAYS), sinceDays: COUNT_DAYS }];
  const sliced = counts.some(({ what, day }) => what === "slice" && day >= begunOn);
  const slice: GnatDue[] = sliced ? [] : [{ what: "slice", on: begunOn }];
  return [...ways, ...count, ...slice].toSorted((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
}

const later = (a: Day, b: Day) => (a > b ? a : b);

/**
 * The ways as they will be carried out from `today` on for so many days, if everything is done on its day. Plans nothing twice a day.
 */
export function plannedWays(
  running: Pick<Running<"gnats">, "chosen" | "begunOn">,
  acts: readonly Pick<RoomAct, "act" | "day">[],
  today: Day,
  days: number,
): readonly { readonly way: GnatWayId; readonly day: Day }[] {
  const planned: { way: GnatWayId; day: Day }[] = [];
  const end = addDays(today, days);
  for (const due of gnatDues(running, acts, [], today)) {
    if (due.what !== "way") continue;
    const { everyDays, mostTimes } = gnatWays[due.way];
    const done = acts.filter(({ act, day }) => wayOfAct(act) === due.way && addDays(day, YEAR_DAYS) > today).length;
    let left = mostTimes ? mostTimes - done : Infinity;
    for (let day = later(due.on, today); day <= end && left > 0; left--) {
      planned.push({ way: due.way, day });
      if (everyDays === null) break;
      day = addDays(day, everyDays);
    }
  }
  return planned;
}
