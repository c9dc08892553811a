import { proneTo } from "@/core/knowledge/plants/care";
import { USUAL_C, type Circumstances } from "@/core/advice/diagnosis/priors";
import type { PestId } from "@/core/knowledge/pests/pests";
import { scopeOf, today, type Context } from "../../shared/context";
import { nearbyPests, seasonNow } from "../../cases/nearbyPests";
import { placesAsTheyStand, type StandingPlace } from "../../places/placesAsTheyStand";
import type { PlantView } from "../../plants/queries/readPlant";

export interface NamingView {
  readonly circumstances: Circumstances;
  readonly openCases: readonly { readonly caseId: string; readonly pest: PestId }[];
  readonly places: readonly StandingPlace[];
}

/** What bears on which pest a plant has, beside its signs, and where it may be set apart. */
export async function readNaming(
  context: Context,
  { plant, place }: Pick<PlantView, "plant" | "place">,
): Promise<NamingView> {
  const scope = scopeOf(context, "see");
  const near = await nearbyPests(scope, [plant.id]);
  return {
    circumstances: {
      form: plant.growthForm,
      meanC: place.meanC ?? USUAL_C,
      season: seasonNow(context),
      prone: proneTo(plant.genus),
      nearby: near.of({ ...plant, placeId: place.id }),
    },
    openCases: near.openOn(plant.id),
    places: await placesAsTheyStand(scope, today(context)),
  };
}
