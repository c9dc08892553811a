import { pouredIn, type Act } from "../../acts/acts";
import type { Poured, PouredSoil } from "../../acts/poured";
import { assertNever } from "../../shared/assertNever";
import { addDays, type Day } from "../../shared/days";
import { groupBy } from "../../shared/groupBy";
import { mixes, pour, type IngredientId, type MixId } from "../../knowledge/mixes/mixes";
import { DUNK_CARRIED_SHARE } from "../../knowledge/mixes/sprayVolume";

import { mL } from "../../units/volume";
import { inUse, labelled, type Bottle } from "../../knowledge/household/bottles";
import type { ActiveId } from "../../knowledge/household/products";

/** Something that was, or will be, put on: on which day, and under which case; null for none. */
export interface Use {
  readonly day: Day;
  readonly act: Act;
  readonly caseId: string | null;
}

/** What something takes out of the cupboard: of an active ingredient's bottles, in millilitres of what is in them. */
export interface Draw {
  readonly day: Day;
  readonly active: ActiveId;
  readonly ml: number;
  readonly caseId: string | null;
}

/** What draws are reckoned with. */
export interface Drawing {
  readonly bottles: readonly Bottle[];
  /** Of the keeper's alcohol, where no bottle in the cupboard says: per cent by volume. */
  readonly alcoholPercent: number;
}

const activeOf: Partial<Record<IngredientId, ActiveId>> = {
  soap: "soap",
  oil: "oil",
  neemOil: "neem",
  alcoholBottle: "alcohol",
};

/**
 * What uses take out of the cupboard, each by its recipe or by the label on the bottle. Plants dunked in one mix on one day share a
 * bath: it is drawn once, and what each of the others carries off. Of what no amount is known of (powders, sticks, animals) nothing is
 * drawn. Peroxide against gnats is one part to one of water (common practice).
 * @example drawsOf([], { bottles: [], alcoholPercent: 70 }) // []
 */
export function drawsOf(uses: readonly Use[], drawing: Drawing): Draw[] {
  const baths = new Map<string, number>();
  const keyOf = (day: Day, { what }: Poured) => `${day} ${"mix" in what ? what.mix : what.soil}`;
  for (const { day, act } of uses) {
    const poured = pouredIn(act);
    if (!poured?.bath) continue;
    const key = keyOf(day, poured);
    baths.set(key, Math.max(baths.get(key) ?? 0, poured.volumeMl));
  }
  const drawn = new Set<string>();
  return uses.flatMap((use): Draw[] => {
    const poured = pouredIn(use.act);
    if (!poured) return [];
    const { what, strength } = poured;
    const key = keyOf(use.day, poured);
    const first = !drawn.has(key);
    if (poured.bath) drawn.add(key);
    const volumeMl = poured.bath
      ? (first ? baths.get(key)! : 0) + poured.volumeMl * DUNK_CARRIED_SHARE
      : poured.volumeMl;
    return "mix" in what
      ? ofMix(use, { mix: what.mix, strength }, volumeMl, drawing)
      : ofSoil(use, what.soil, volumeMl, drawing);
  });
}

function ofMix(
  { day, caseId }: Use,
  { mix, strength }: { readonly mix: MixId; readonly strength?: number | null | undefined },
  volumeMl: number,
  { bottles, alcoholPercent }: Drawing,
): Draw[] {
  const { remedy, kind } = mixes[mix];
  const label = labelled(bottles, remedy);
  const bottle = (inUse(bottles).find(({ active }) => active === "alcohol")?.percent ?? alcoholPercent) / 100;
  const made = typeof strength === "number" ? strength : null;
  // As strong as was written down, where that was not the recipe's.
  if (kind === "cut" && made !== null) {
    const ml = Math.min(volumeMl, (volumeMl * made) / 100 / bottle);
    return [{ day, active: "alcohol", ml, caseId }];
  }
  const perLitre = kind === "household" && made !== null ? Math.min(1000, remedy === "oil" ? made * 10 : made) : null;
  const pouring = pour(mix, mL(volumeMl), bottle, perLitre ?? (label?.unit === "mL" ? label.perLitre : null));
  if (pouring.code !== "ok") return [];
  return pouring.amounts.flatMap(({ ingredient, volumeMl: ml }) => {
    // What a label makes up is the product itself; without one nobody knows how much of it is water.
    const active = ingredient === "product" ? (label ? remedy : undefined) : activeOf[ingredient];
    return active && ml > 0 ? [{ day, active, ml, caseId }] : [];
  });
}

function ofSoil(use: Use, remedy: PouredSoil, volumeMl: number, drawing: Drawing): Draw[] {
  const { day, caseId } = use;
  switch (remedy) {
    case "neem":
      return ofMix(use, { mix: "neemUsual" }, volumeMl, drawing);
    case "peroxide":
      return [{ day, active: "peroxide", ml: volumeMl / 2, caseId }];
    case "bti":
      return [];
    default:
      return assertNever(remedy);
  }
}

/** How a bottle stands: how much of it has been used, what is left, and whether its day is over. Null left where its size is not known. */
export interface Level {
  readonly bottle: Bottle;
  readonly usedMl: number;
  readonly leftMl: number | null;
  readonly expired: boolean;
}

/** A draw, and the bottle it came out of. */
export interface FromBottle extends Draw {
  readonly bottleId: string;
}

/**
 * Which bottle each draw came out of: of those of its active ingredient that were open on its day, the one opened first that is not
 * used up; the last of them where all are. Draws by day. What no bottle was open for came from none.
 */
export function fromBottles(draws: readonly Draw[], bottles: readonly Bottle[]): FromBottle[] {
  const used = new Map<string, number>();
  const opened = (bottle: Bottle) => bottle.openedOn ?? "";
  return draws
    .toSorted((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0))
    .flatMap((draw): FromBottle[] => {
      const open = bottles
        .filter(({ active, unit }) => active === draw.active && unit === "mL")
        .filter((one) => one.openedOn !== null && one.openedOn <= draw.day)
        .filter(({ emptiedOn }) => emptiedOn === null || draw.day <= emptiedOn)
        .toSorted((a, b) => (opened(a) < opened(b) ? -1 : 1));
      const from = open.find(({ id, size }) => size === null || (used.get(id) ?? 0) < size) ?? open.at(-1);
      if (!from) return [];
      used.set(from.id, (used.get(from.id) ?? 0) + draw.ml);
      return [{ ...draw, bottleId: from.id }];
    });
}

/** The levels of bottles after what came out of them. */
export function levelsOf(from: readonly FromBottle[], bottles: readonly Bottle[], today: Day): Level[] {
  return bottles.map((bottle) => {
    const usedMl = from.filter(({ bottleId }) => bottleId === bottle.id).reduce((sum, { ml }) => sum + ml, 0);
    const leftMl = bottle.size === null || bottle.unit !== "mL" ? null : Math.max(0, bottle.size - usedMl);
    return { bottle, usedMl, leftMl, expired: bottle.bestBefore !== null && bottle.bestBefore < today };
  });
}

/** What some draws cost, in the keeper's money; those of bottles without a price or a size count nothing. */
export function costOf(from: readonly FromBottle[], bottles: readonly Bottle[]): number {
  const perMl = new Map(bottles.map(({ id, price, size }) => [id, price !== null && size ? price / size : 0]));
  return from.reduce((sum, { bottleId, ml }) => sum + ml * (perMl.get(bottleId) ?? 0), 0);
}

/** How much of each active ingredient some draws come to, the most first. @example usedIn([]) // [] */
export function usedIn(draws: readonly Draw[]): readonly { readonly active: ActiveId; readonly ml: number }[] {
  return [...groupBy(draws, ({ active }) => active)]
    .map(([active, some]) => ({ active, ml: some.reduce((sum, { ml }) => sum + ml, 0) }))
    .toSorted((a, b) => b.ml - a.ml);
}

/** Whether what is there of an active ingredient will do for what is planned. */
export interface Lasting {
  readonly active: ActiveId;
  /** Planned from today on. */
  readonly neededMl: number;
  /** What is left in bottles that are in use and not past their day; null where some bottle's size is not known. */
  readonly leftMl: number | null;
  /** The day on which the planned need first goes beyond what is left; null where it does not. */
  readonly shortOn: Day | null;
  readonly missingMl: number;
}

/**
 * What is planned against what is left, one line for each active ingredient that is planned. Unopened bottles count as full.
 * `planned` are the draws to come.
 */
export function lastingOf(planned: readonly Draw[], levels: readonly Level[]): Lasting[] {
  const actives = [...new Set(planned.map(({ active }) => active))];
  return actives.map((active) => {
    const own = levels.filter(
      ({ bottle, expired }) => bottle.active === active && bottle.emptiedOn === null && !expired,
    );
    const known = own.every(({ leftMl }) => leftMl !== null);
    const leftMl = known ? own.reduce((sum, level) => sum + level.leftMl!, 0) : null;
    const inOrder = planned.filter((one) => one.active === active).toSorted((a, b) => (a.day < b.day ? -1 : 1));
    const neededMl = inOrder.reduce((sum, { ml }) => sum + ml, 0);
    let sum = 0;
    const short = leftMl === null ? undefined : inOrder.find(({ ml }) => (sum += ml) > leftMl + 1e-9);
    const missingMl = leftMl === null ? 0 : Math.max(0, neededMl - leftMl);
    return { active, neededMl, leftMl, shortOn: short?.day ?? null, missingMl };
  });
}

/** A bottle that is near its end, or its day: so soon that one buys the next, days (HOUSE). */
const SOON_DAYS = 30;

/** Whether a bottle's day is over, or soon is. */
export function datesOf({ bestBefore }: Bottle, today: Day): "over" | "soon" | null {
  if (bestBefore === null) return null;
  if (bestBefore < today) return "over";
  return bestBefore <= addDays(today, SOON_DAYS) ? "soon" : null;
}
