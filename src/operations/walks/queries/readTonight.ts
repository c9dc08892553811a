import { byCode } from "@/core/knowledge/plants/codes";
import type { Day } from "@/core/shared/days";
import type { PlantCard } from "@/core/schedule/state/plantCard";
import {
  lookPlanner,
  minutesToLook,
  waysWith,
  type LookCandidate,
  type WayToLook,
} from "@/core/advice/tonight/tonight";
import { potFactor } from "@/core/advice/walks/timeLeft";
import { inParallel } from "@/db/query";
import * as carriage from "@/db/stores/plants/carriage";
import * as plantStates from "@/db/stores/plants/plantStates";
import { scopeOf, today, type Context } from "../../shared/context";
import { cardOf } from "../../plants/plantCard";
import { waysFor } from "../../cases/waysFor";

export interface TonightLook {
  readonly card: PlantCard;
  readonly way: WayToLook;
  readonly minutes: number;
  readonly pFind: number;
}

export interface TonightView {
  readonly day: Day;
  readonly minutes: number;
  /** The looks that find most in that time; the likeliest to find something first. */
  readonly looks: readonly TonightLook[];
  readonly spent: number;
  readonly finds: number;
  /** Plants expected to carry something that these looks leave unfound, and that ten more minutes would leave. */
  readonly leaves: number;
  readonly leavesWithMore: number;
  /** How many plants are expected to carry something now, of how many. */
  readonly carry: number;
  readonly plants: number;
}

/** So much longer is compared with. */
const MORE_MINUTES = 10;

/** The looks of so many minutes that find most; what is left undone is said in plants. */
export async function readTonight(context: Context, minutes: number): Promise<TonightView> {
  const scope = scopeOf(context, "read");
  const day = today(context);
  // A way takes every plant the same time, its pot apart.
  const usual = waysWith(context.collection.owns).map((way) => minutesToLook(way, potFactor.usualCm));
  const shortest = Math.min(...usual) * potFactor.least;
  const [totals, known] = await inParallel(
    scope,
    () => carriage.lookableTotals(scope),
    () => carriage.lookables(scope, usual, Math.ceil((minutes + MORE_MINUTES) / shortest)),
  );
  const ways = new Map<string, readonly WayToLook[]>();
  const candidates = known.map((plant): LookCandidate<WayToLook> => {
    // Plants of a kind are looked at in the same ways.
    const kind = `${plant.growthForm} ${plant.genus}`;
    const own = ways.get(kind) ?? waysFor(context, plant);
    ways.set(kind, own);
    const { plantId, potCm, pFinds } = plant;
    return {
      plantId,
      ways: own.map((way, i) => ({ way, minutes: minutesToLook(way, potCm), pFind: pFinds[i] ?? 0 })),
    };
  });
  const plan = lookPlanner(candidates, totals.carry);
  const { chosen, minutes: spent, finds, leaves } = plan(minutes);
  const more = plan(minutes + MORE_MINUTES);
  const ids = chosen.map(({ plantId }) => plantId);
  const cards = new Map((await plantStates.of(scope, ids)).map((row) => [row.id, cardOf(row, day)]));
  const looks = chosen.flatMap(({ plantId, ...look }): TonightLook[] => {
    const card = cards.get(plantId);
    return card ? [{ card, ...look }] : [];
  });
  return {
    day,
    minutes,
    looks: looks.toSorted((a, b) => b.pFind - a.pFind || byCode(a.card.code, b.card.code)),
    spent,
    finds,
    leaves,
    leavesWithMore: more.leaves,
    ...totals,
  };
}
