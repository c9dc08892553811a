import { standsAlone, standsIn, type AddPlace } from "@/core/record/facts/commands";
import { plainPlace } from "@/core/record/facts/descriptions";
import * as facts from "@/db/stores/record/facts";
import * as places from "@/db/stores/places/places";
import type { Context } from "../../shared/context";
import { transact, refuse, type Outcome } from "../../shared/outcome";
import { pastMoment } from "../../shared/checks";

/** Adds a place. One that stands in another is as warm as that, unless it is said how warm. */
export function addPlace(context: Context, command: AddPlace): Promise<Outcome<{ id: string }>> {
  return transact(context, "record", command.id, async (scope) => {
    const { celsius, readingId, dripsOn = null, ...place } = command;
    // Only boards have a height; one typed before another kind was chosen is none.
    const heightCm = command.kind === "shelf" ? (command.heightCm ?? null) : null;
    // An isolation place that stands in no room is a room of its own.
    const { doorShut = command.kind === "isolation" && command.parentId === null } = command;
    if (await scope.wasThere("places", command.id)) return { id: command.id };
    if (command.parentId !== null) {
      const parent = await places.find(scope, command.parentId);
      if (!parent || !standsIn[command.kind].includes(parent.kind)) refuse("parentId", "parent_not_room");
    } else if (!standsAlone.includes(command.kind)) refuse("parentId", "stands_alone");
    else if (celsius === null) refuse("celsius", "no_temperature");
    if (dripsOn !== null && !(await places.find(scope, dripsOn))) refuse("dripsOn", "unknown");
    await places.add(scope, { ...plainPlace, ...place, doorShut, dripsOn, heightCm });
    if (celsius !== null) {
      const at = pastMoment(context, context.now);
      await facts.add(scope, "reading", [
        { id: readingId, placeId: command.id, at, celsius, humidity: null, source: "about" as const },
      ]);
    }
    return { id: command.id };
  });
}
