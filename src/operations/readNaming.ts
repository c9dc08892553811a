import type { Circumstances } from "@/core/diagnosis/priors";
import { scopeOf, type Context } from "./context";
import { nearbyPests, seasonNow } from "./nearbyPests";
import type { PlantView } from "./readPlant";

/** What bears on which pest a plant has, beside its signs. */
export async function readNaming(
  context: Context,
  { plant, place }: Pick<PlantView, "plant" | "place">,
): Promise<Pick<Circumstances, "season" | "nearby">> {
  const near = await nearbyPests(scopeOf(context), [plant.id]);
  return { season: seasonNow(context), nearby: near.of({ ...plant, placeId: place.id }) };
}
