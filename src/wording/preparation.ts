import type { PreparationId, PreparationRefusal } from "@/core/planning/preparation";

export const preparationNames: Record<PreparationId, string> = {
  pickOff: "Pick off and squash what you see",
  prune: "Cut off the worst, a third of the plant at most, the blade wiped between two cuts",
  dustOff: "Take the dust off with a soft dry brush",
  litter: "Take litter, dead sheaths and loose top dressing off, whole",
  wipe: "Wipe stems and leaves with a damp cloth",
  shower: "Cover the mix with paper or film and rinse the plant",
};

export const preparationRefusals: Record<PreparationRefusal, string> = {
  spines: "spines",
  bloom: "it takes the wax bloom off",
  velvet: "it marks velvet leaves",
  rests: "it rests dry now",
  fewAnimals: "too few animals to cut for",
  onePoint: "it grows from few points, which are not cut",
  noLeaves: "it has no leaves",
  wipedAnyhow: "it goes with the wiping",
  noMix: "it stands in no mix",
};
