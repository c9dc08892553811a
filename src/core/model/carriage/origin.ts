import { exp, ln } from "../../shared/exponential";
import type { PerSite } from "../population/sites";
import { colonyIn, comingAt, flowOf, reckonCarriage, type CarriageQuestion } from "./carriage";
import { AGAIN, Course, UNSEEN } from "./carriageHistory";

/** A look that found something, on a plant on which nothing had been seen before. */
export interface FirstFind {
  /** For each stage the chance that one of it was seen. */
  readonly see: readonly PerSite[];
  /** How many were seen; 1 or more. */
  readonly found: number;
}

/** Seen by one in a million: what it takes away, a million times over, is how many would be seen. */
const THIN = 1e-6;
/** How fast it grew is known to within so much, either way, with these weights (HOUSE). */
const GROWN = [
  [0.4, 0.25],
  [1, 0.5],
  [2.5, 0.25],
] as const;

/**
 * Where a pest probably came from, once it has been found: of each way (the arrival first, then the streams of the question in their
 * order) its share, taken together with how many were found. A colony that was given to the plant a week ago has few animals yet; one
 * that has been there for months has many. The question is that of the moment before the look; its own `looks` are not asked. Where
 * no way could have come to what was seen, the shares of all that may be there ({@link reckonCarriage}).
 * Throws as reckonCarriage does. Source: Bayes' rule over the ways; numbers of a line that has not died out are taken as geometric
 * (Kendall 1948, from memory), and all others of the same way to stand beside it.
 */
export function reckonOrigin(question: CarriageQuestion, { see, found }: FirstFind): readonly number[] {
  const thin = see.map((sites) => sites.map((p) => p * THIN) as unknown as PerSite);
  const course = new Course({ ...question, looks: [see, thin] });
  const { begin, end, dt } = course;
  const chance = (step: number) => course.lostAt(step, UNSEEN) - course.lostAt(step, AGAIN);
  const number = (step: number) => (course.lostAt(step, UNSEEN) - course.lostAt(step, AGAIN + 1)) / THIN;
  const likely = (mean: number) => GROWN.reduce((sum, [by, weight]) => sum + weight * geometric(found, mean, by), 0);

  const streams = question.streams.map((stream) => {
    const flow = flowOf(stream, dt, begin, end);
    let finds = 0;
    let all = 0;
    for (let step = begin; step < end; step++) {
      finds += comingAt(flow, step) * chance(step);
      all += comingAt(flow, step) * number(step);
    }
    let sum = 0;
    for (let step = begin; step < end; step++) {
      const coming = comingAt(flow, step) * chance(step);
      // Whoever came in this step is seen with those of the same way that came on others.
      if (coming > 0) sum += coming * likely(number(step) / chance(step) + all);
    }
    // Of a stream that would be found more than once it counts once.
    return finds > 0 ? (sum * (1 - exp(-finds))) / finds : 0;
  });
  const came = (future: number) => colonyIn(question.arrival, course, future);
  const pFind = came(UNSEEN) - came(AGAIN);
  const mean = (came(UNSEEN) - came(AGAIN + 1)) / THIN;
  const ways = [pFind > 0 ? pFind * likely(mean / pFind) : 0, ...streams];
  const total = ways.reduce((sum, one) => sum + one, 0);
  return total > 0 ? ways.map((one) => one / total) : reckonCarriage({ ...question, looks: [] }).routes;
}

/** The chance of so many (1 or more) where the mean is `mean`, taken `by` times as much above 1. */
function geometric(found: number, mean: number, by: number): number {
  const more = Math.max(0, mean - 1) * by;
  const past = Math.max(0, found - 1);
  if (more === 0) return past === 0 ? 1 : 0;
  return exp(past * ln(more / (1 + more))) / (1 + more);
}
