import type { PreparationId, PreparationRefusal } from "@/core/planning/preparation";

export const preparationNames: Record<PreparationId, string> = {
  pickOff: "Pick off and squash what you see",
  litter: "Take litter, dead sheaths and loose top dressing off, whole",
  wipe: "Wipe stems and leaves with a damp cloth",
  shower: "Cover the mix with paper or film and rinse the plant",
};

export const preparationRefusals: Record<PreparationRefusal, string> = {
  spines: "spines",
  bloom: "it takes the wax bloom off",
  velvet: "it marks velvet leaves",
  rests: "it rests dry now",
  noMix: "it stands in no mix",
};
