import type { MoistureId } from "@/core/knowledge/plants/moisture";
import type { PlantValue } from "@/core/knowledge/plants/plantValue";

export const worthNames: Record<PlantValue, string> = {
  replaceable: "Replaceable",
  dear: "Treasured",
  irreplaceable: "Irreplaceable",
};

/** How wet a plant is kept. */
export const keptNames: Record<MoistureId, string> = {
  dry: "Dry between two waterings",
  usual: "Evenly moist",
  wet: "Wet",
};
