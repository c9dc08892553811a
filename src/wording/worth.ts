import type { KeptId } from "@/core/plants/kept";
import type { Worth } from "@/core/plants/worth";

export const worthNames: Record<Worth, string> = {
  replaceable: "Replaceable",
  dear: "Dear",
  irreplaceable: "Irreplaceable",
};

/** How wet a plant is kept. */
export const keptNames: Record<KeptId, string> = {
  dry: "Dry between two waterings",
  usual: "Evenly moist",
  wet: "Wet",
};
