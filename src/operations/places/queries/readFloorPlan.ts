import { floorPlanOf, type OnFloorPlan } from "@/core/record/facts/floorPlan";
import type { LightId, PlaceKind } from "@/core/record/facts/commands";
import type { Place } from "@/core/record/facts/descriptions";
import { placeOrder } from "@/core/record/facts/placeOrder";
import { shownState } from "@/core/schedule/state/plantState";
import { addDays } from "@/core/shared/days";
import { groupBy } from "@/core/shared/groupBy";
import type { PlantState } from "@/core/knowledge/plants/states";
import { inParallel } from "@/db/query";
import * as places from "@/db/stores/places/places";
import * as plantStates from "@/db/stores/plants/plantStates";
import { scopeOf, today, type Context } from "../../shared/context";

/** A shelf on the plan: how many of its plants stand how. */
export interface ShelfOnFloorPlan {
  readonly id: string;
  readonly name: string;
  readonly kind: PlaceKind;
  readonly light: LightId | null;
  readonly count: number;
  readonly states: Readonly<Partial<Record<PlantState, number>>>;
}

export interface RoomOnFloorPlan extends OnFloorPlan {
  readonly name: string;
  readonly kind: PlaceKind;
  readonly light: LightId | null;
  readonly doorShut: boolean;
  readonly shelves: readonly ShelfOnFloorPlan[];
}

/**
 * Every room where it is on the plan, with what stands in it. Plants that stand in the room beside its shelves are a shelf of their own;
 * bags without a plant are left out.
 */
export async function readFloorPlan(context: Context): Promise<readonly RoomOnFloorPlan[]> {
  const scope = scopeOf(context, "read");
  const day = today(context);
  const [all, counts] = await inParallel(
    scope,
    () => places.all(scope),
    () => plantStates.countsByState(scope, day),
  );
  const standing = groupBy(counts, ({ placeId }) => placeId);
  const shelfOf = ({ id, name, kind, light }: Place): ShelfOnFloorPlan => {
    const states: Partial<Record<PlantState, number>> = {};
    let count = 0;
    for (const { state, overdue, plants } of standing.get(id) ?? []) {
      const shown = shownState({ state, lookDueOn: overdue ? addDays(day, -1) : day }, day);
      states[shown] = (states[shown] ?? 0) + plants;
      count += plants;
    }
    return { id, name, kind, light, count, states };
  };
  const { within, outermost } = placeOrder(all);
  const where = floorPlanOf(outermost);
  return outermost.map((room, i): RoomOnFloorPlan => {
    const { id, name, kind, light, doorShut } = room;
    const shelves = within(id)
      .map(shelfOf)
      .filter((shelf) => shelf.count > 0 || (shelf.id !== id && shelf.kind !== "bag"));
    return { ...where[i]!, name, kind, light, doorShut, shelves };
  });
}
