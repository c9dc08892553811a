import type { Sensitivity } from "@/core/knowledge/plants/sensitivities";
import { sensitivityNames } from "@/wording/names/names";

/** What hurts whoever handles the plant; the rest matters to remedies only. */
const hurts: readonly Sensitivity[] = ["spiny", "milkySap"];

/** What to mind before the plant is lifted, turned or scraped. */
export function TakeCare({ of }: { of: readonly Sensitivity[] }) {
  const sensitive = of.filter((one) => hurts.includes(one)).map((one) => sensitivityNames[one]);
  return sensitive.length > 0 && <p className="fw-semibold mb-1">Take care: {sensitive.join("; ")}.</p>;
}
