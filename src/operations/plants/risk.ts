import type { Risk } from "@/core/schedule/programmes/programme";
import type { Settings } from "@/core/record/facts/settings";
import type { RiskRow } from "@/db/stores/plants/carriage";

/** What is known of the chance that a plant carries something, as its programmes take it. */
export function riskOf({ riskPercent, stretchLooks }: Settings, row: RiskRow | undefined): Risk {
  return { p: row?.risk ?? null, current: row?.current ?? false, from: riskPercent / 100, stretch: stretchLooks };
}
