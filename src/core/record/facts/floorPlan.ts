import { FLOOR_PLAN_COLUMNS } from "./floorPlanSize";
import type { Place } from "./descriptions";

/** Where a room is on the plan, in rooms from the left and from the top. */
export interface OnFloorPlan {
  readonly id: string;
  readonly column: number;
  readonly row: number;
}

const cellOf = ({ column, row }: Omit<OnFloorPlan, "id">) => row * FLOOR_PLAN_COLUMNS + column;

/**
 * The plan of the rooms. Each stands where it was put; one that was put nowhere, or where another stands already, takes the first place
 * that is free, row by row. In the order of the list.
 * @example floorPlanOf([{ id: "hall", planColumn: null, planRow: null }]) // [{ id: "hall", column: 0, row: 0 }]
 */
export function floorPlanOf(rooms: readonly Pick<Place, "id" | "planColumn" | "planRow">[]): readonly OnFloorPlan[] {
  const taken = new Set<number>();
  const put = new Map<string, OnFloorPlan>();
  for (const { id, planColumn: column, planRow: row } of rooms) {
    if (column === null || row === null || taken.has(cellOf({ column, row }))) continue;
    taken.add(cellOf({ column, row }));
    put.set(id, { id, column, row });
  }
  let free = 0;
  return rooms.map(({ id }) => {
    const stands = put.get(id);
    if (stands) return stands;
    while (taken.has(free)) free++;
    taken.add(free);
    return { id, column: free % FLOOR_PLAN_COLUMNS, row: Math.floor(free / FLOOR_PLAN_COLUMNS) };
  });
}

/** The plan after a room was put somewhere; whoever stood there takes its place. One that is not on the plan changes nothing. */
export function arranged(
  plan: readonly OnFloorPlan[],
  id: string,
  to: Omit<OnFloorPlan, "id">,
): readonly OnFloorPlan[] {
  const from = plan.find((one) => one.id === id);
  if (!from) return plan;
  const { column, row } = to;
  return plan.map((one) => {
    if (one.id === id) return { id, column, row };
    return cellOf(one) === cellOf(to) ? { id: one.id, column: from.column, row: from.row } : one;
  });
}
