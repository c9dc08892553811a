import { daysBetween } from "@/core/shared/days";
import type { GnatRoomView } from "@/operations/seasons/queries/readGnatRoom";

interface Point {
  readonly at: number;
  readonly counted?: number;
  readonly mean?: number;
  readonly span?: readonly [number, number];
}

/** Counts as a week's worth, what was expected of them, and what is to come; day 0 is the first reckoned. */
export function pointsOf({ counts, judged, begin }: Pick<GnatRoomView, "counts" | "judged" | "begin">): Point[] {
  const weekly = (count: number, days: number) => Math.round((70 * count) / days) / 10;
  const onCards = counts.filter(({ what }) => what === "cards");
  const points = new Map<number, Point>();
  for (const { day: on, count, days } of onCards)
    points.set(daysBetween(begin, on), { at: daysBetween(begin, on), counted: weekly(count, days) });
  for (const { atDay, mean, low, high } of judged?.expected ?? []) {
    const days = onCards.find((one) => daysBetween(begin, one.day) === atDay)?.days ?? 7;
    points.set(atDay, {
      ...points.get(atDay),
      at: atDay,
      mean: weekly(mean, days),
      span: [weekly(low, days), weekly(high, days)],
    });
  }
  for (const { fromDay, mean, low, high } of judged?.weeks ?? []) {
    const at = fromDay + 7;
    points.set(at, { ...points.get(at), at, mean, span: [low, high] });
  }
  return [...points.values()].toSorted((a, b) => a.at - b.at);
}
