import type { KeepSensor } from "@/core/climate/sensors";
import * as sensors from "@/db/stores/climate/sensors";
import type { Context } from "../../shared/context";
import { transact, refuse, type Outcome } from "../../shared/outcome";
import { knownPlace } from "../../shared/checks";
import { mayAsk } from "../askSensor";

/** Devices of one collection are no more than this. */
const MOST_SENSORS = 50;

/** Keeps a device that tells the air of a place, or changes what is said of it. */
export function keepSensor(context: Context, command: KeepSensor): Promise<Outcome<{ id: string }>> {
  return transact(context, "own", command.id, async (scope) => {
    await knownPlace(scope, command.placeId);
    if (!mayAsk(command.address)) refuse("address", "address_not_near");
    const all = await sensors.all(scope);
    if (all.some(({ id }) => id === command.id)) await sensors.change(scope, command);
    else if (all.length >= MOST_SENSORS) refuse("", "too_many_rows");
    else await sensors.add(scope, command);
    return { id: command.id };
  });
}
