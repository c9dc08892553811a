import type { DropSensor } from "@/core/climate/sensors";
import * as sensors from "@/db/stores/climate/sensors";
import type { Context } from "../../shared/context";
import { transact, type Outcome } from "../../shared/outcome";

/** Asks a device no more. What was made of what it told stays on record. */
export function dropSensor(context: Context, { id }: DropSensor): Promise<Outcome<{ id: string }>> {
  return transact(context, "own", id, async (scope) => {
    await sensors.drop(scope, id);
    return { id };
  });
}
