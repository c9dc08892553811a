import { priorsFor, USUAL_C } from "@/core/advice/diagnosis/priors";
import type { Plant } from "@/core/record/facts/descriptions";
import { proneTo } from "@/core/knowledge/plants/care";
import { waysToLook, type WayToLook } from "@/core/advice/tonight/tonight";
import type { Context } from "../shared/context";
import { seasonNow } from "./nearbyPests";

/** The ways to look at a plant that are weighed against each other, with what its keeper owns. */
export function waysFor(
  context: Context,
  { growthForm, genus }: Pick<Plant, "growthForm" | "genus">,
): readonly WayToLook[] {
  const circumstances = {
    form: growthForm,
    meanC: USUAL_C,
    season: seasonNow(context),
    prone: proneTo(genus),
    nearby: {},
  };
  return waysToLook(context.collection.owns, growthForm, priorsFor(circumstances));
}
