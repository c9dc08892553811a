import { planOf, type OnPlan } from "@/core/record/facts/plan";
import type { LightId, PlaceKind } from "@/core/record/facts/commands";
import { groupBy } from "@/core/shared/groupBy";
import type { PlantState } from "@/core/knowledge/plants/states";
import type { Context } from "../../shared/context";
import { readBenches, type Bench, type RoomOfBenches } from "./readBenches";

/** A shelf on the plan: how many of its plants stand how. */
export interface ShelfOnPlan {
  readonly id: string;
  readonly name: string;
  readonly kind: PlaceKind;
  readonly light: LightId | null;
  readonly count: number;
  readonly states: Readonly<Partial<Record<PlantState, number>>>;
}

export interface RoomOnPlan extends OnPlan {
  readonly name: string;
  readonly kind: PlaceKind;
  readonly light: LightId | null;
  readonly doorShut: boolean;
  readonly shelves: readonly ShelfOnPlan[];
}

/** Every room where it is on the plan, with what stands in it. */
export async function readPlan(context: Context): Promise<readonly RoomOnPlan[]> {
  const rooms = await readBenches(context);
  const where = planOf(rooms.map(({ place }) => place));
  return rooms.map(({ place, benches }, i): RoomOnPlan => {
    const { name, kind, light, doorShut } = place;
    return { ...where[i]!, name, kind, light, doorShut, shelves: benches.filter(isDrawn(place.id)).map(onPlan) };
  });
}

/** What stands in a room beside its shelves is a shelf of its own where anything does. */
const isDrawn =
  (roomId: string) =>
  ({ place, count }: RoomOfBenches["benches"][number]) =>
    place.id !== roomId || count > 0;

function onPlan({ place: { id, name, kind, light }, count, plants }: Bench): ShelfOnPlan {
  const states = Object.fromEntries(
    [...groupBy(plants, ({ state }) => state)].map(([state, all]) => [state, all.length]),
  );
  return { id, name, kind, light, count, states };
}
