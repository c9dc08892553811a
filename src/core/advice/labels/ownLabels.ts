import { isBottles, type Bottle } from "../../knowledge/household/bottles";
import type { ProductId } from "../../knowledge/household/products";
import { isWorkId, type CourseId, type Limits } from "../planning/doses";

const drenches: Partial<Record<CourseId, ProductId>> = {
  drenchNeem: "neem",
  drenchBti: "bti",
  drenchPeroxide: "peroxide",
  systemic: "throughTheRoots",
};

/**
 * What the labels of the keeper's own bottles say of a course; null for what none of them says, and for what comes in no bottle. Of
 * several bottles of the same the strictest holds.
 * @example ownLimits([], "soap") // both null
 */
export function ownLimits(
  bottles: readonly Bottle[],
  course: CourseId,
): { readonly [one in keyof Limits]: number | null } {
  const product = isWorkId(course) ? drenches[course] : course;
  const own = product ? bottles.filter((bottle) => isBottles(bottle, product)) : [];
  const days = own.flatMap(({ everyDays }) => everyDays ?? []);
  const times = own.flatMap(({ mostTimes }) => mostTimes ?? []);
  return {
    smallestIntervalDays: days.length > 0 ? Math.max(...days) : null,
    mostTimes: times.length > 0 ? Math.min(...times) : null,
  };
}
