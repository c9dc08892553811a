import type { DropSensor } from "@/core/climate/sensors";
import * as sensors from "@/db/stores/sensors";
import type { Context } from "./context";
import { perform, type Outcome } from "./outcome";

/** Asks a device no more. What was made of what it told stays on record. */
export function dropSensor(context: Context, { id }: DropSensor): Promise<Outcome<{ id: string }>> {
  return perform(context, "own", id, async (scope) => {
    await sensors.drop(scope, id);
    return { id };
  });
}
