import { placesInRecord } from "@/core/record/cases/record";
import { standing } from "@/core/record/facts/facts";
import { plainPlace } from "@/core/record/facts/descriptions";
import type { SetApart } from "@/core/record/facts/kinds/placement";
import type { Scope } from "@/db/connection";
import * as facts from "@/db/stores/record/facts";
import * as places from "@/db/stores/places/places";
import type { Context } from "../../shared/context";
import { transact, refuse, type Outcome } from "../../shared/outcome";
import { knownPlace, lockPlant, momentOn } from "../../shared/checks";

/** Sets a plant apart: in an isolation place, or under a bag of its own where it stands. */
export function setApart(context: Context, command: SetApart): Promise<Outcome<{ placeId: string }>> {
  return transact(context, "tend", command.id, async (scope) => {
    if (await scope.wasSent("placement", command.id)) {
      const recorded = await facts.find(scope, "placement", command.id);
      return { placeId: recorded!.placeId };
    }
    const plant = await lockPlant(scope, command.plantId);
    const at = momentOn(context, plant, command.at, false);
    const placeId = command.placeId ?? (await bagOver(scope, plant.id, plant.code, command.bagId));
    await knownPlace(scope, placeId);
    if (!placesInRecord(await places.all(scope)).apartAt(placeId)) refuse("placeId", "not_apart_place");
    await facts.add(scope, "placement", [{ id: command.id, plantId: plant.id, placeId, slot: null, at }]);
    scope.invalidateBeside([plant.id]);
    return { placeId };
  });
}

/** A bag is a place of its own, inside the place where the plant stands and as warm as that. */
async function bagOver(scope: Scope, plantId: string, code: string, bagId: string): Promise<string> {
  if (await facts.isThere(scope, "places", bagId)) return bagId;
  const now = standing(await facts.of(scope, "placement", "plantId", [plantId])).at(-1);
  if (!now) return refuse("plantId", "unknown");
  const around = await knownPlace(scope, now.placeId);
  if (around.kind === "bag") return refuse("placeId", "same_place");
  const described = { ...plainPlace, roomFor: 1 };
  await places.add(scope, { id: bagId, name: `Bag over ${code}`, kind: "bag", parentId: around.id, ...described });
  return bagId;
}
