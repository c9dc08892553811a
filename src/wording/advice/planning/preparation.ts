import type { PreparationId, PreparationRefusal } from "@/core/advice/planning/preparation";

export const preparationNames: Record<PreparationId, string> = {
  pickOff: "Pick off and squash what you see",
  prune: "Cut off the worst, a third of the plant at most, the blade wiped between two cuts",
  dustOff: "Brush off dust with a soft dry brush",
  litter: "Remove litter, dead sheaths and loose top dressing",
  wipe: "Wipe stems and leaves with a damp cloth",
  shower: "Cover the mix with paper or film and rinse the plant",
};

export const preparationRefusals: Record<PreparationRefusal, string> = {
  spines: "spines",
  bloom: "it removes the wax bloom",
  velvet: "it marks velvet leaves",
  rests: "it is resting dry",
  fewAnimals: "too few animals to cut for",
  onePoint: "it has few growing points, which must not be cut",
  noLeaves: "it has no leaves",
  wipedAnyhow: "included in the wiping",
  noMix: "it has no potting mix",
};
