import type { PestId } from "../pests/pests";
import { genusIn } from "./genusIn";
import type { GrowthFormId } from "./growthForms";
import { sensitivities, type Sensitivity } from "./sensitivities";

/** Where a sensitivity comes from. `unknown`: the genus is not known, and its form asks for caution. */
export type SensitivitySource = "keeper" | "genus" | "form" | "unknown";

/** What belongs to every plant of a form, whatever its genus. Source: common practice, no source. */
const ofForm: Partial<Record<GrowthFormId, readonly Sensitivity[]>> = {
  fern: ["oilShy", "thinLeaf"],
  palm: ["crownRot"],
  fanOrchid: ["crownRot"],
  rosetteSucculent: ["crownRot"],
  tankBromeliad: ["oilShy", "crownRot"],
  airPlant: ["oilShy"],
};

/** What is supposed of a plant whose genus is not known, beside what belongs to its form: better too careful (HOUSE). */
const whereUnknown: Record<GrowthFormId, readonly Sensitivity[]> = {
  rosetteSucculent: ["waxBloom"],
  tubercledCactus: ["spiny", "winterDry"],
  columnarCactus: ["spiny", "winterDry"],
  jointedCactus: ["spiny"],
  stemSucculent: ["milkySap", "winterDry"],
  caudexSucculent: ["milkySap", "winterDry", "soapShy"],
  climbingAroid: ["milkySap"],
  trailingVine: ["thinLeaf", "milkySap"],
  clumpingFoliage: ["thinLeaf", "oilShy"],
  uprightShrub: ["milkySap", "thinLeaf"],
  cane: [],
  palm: ["oilShy", "spiny"],
  fern: [],
  pseudobulbOrchid: ["thinLeaf"],
  fanOrchid: ["thinLeaf"],
  tankBromeliad: [],
  airPlant: [],
  softHerb: ["thinLeaf", "oilShy"],
  strapBulb: ["thinLeaf"],
};

/** Of these genera the kinds with such a name are grown for what is eaten of them (common practice). */
const eatenKinds: Readonly<Record<string, RegExp>> = { Ficus: /\bcarica\b|\bfig tree\b|\bedible fig\b/i };

/** What of a plant decides how it bears remedies. */
export interface Kind {
  readonly genus: string;
  readonly growthForm: GrowthFormId;
  /** How its keeper calls it: of some genera one kind is eaten and the others are not. */
  readonly name?: string;
  /** What its keeper has added, and what they know it not to have. */
  readonly careAdded?: readonly Sensitivity[];
  readonly careWithout?: readonly Sensitivity[];
}

/**
 * The sensitivities of one plant with where each comes from: its genus' and its form's own, for a genus that is not known those of
 * caution, what its keeper has added, less what its keeper has taken away. Each once, in the order of the table.
 * @example sensitivitiesOf({ genus: "Adiantum", growthForm: "fern" }).map((s) => s.id) // ["oilShy", "thinLeaf"]
 */
export function sensitivitiesOf({ genus, growthForm, name = "", careAdded = [], careWithout = [] }: Kind): readonly {
  readonly id: Sensitivity;
  readonly from: SensitivitySource;
}[] {
  const known = genusIn(genus);
  const from = (id: Sensitivity): SensitivitySource | null => {
    if (careWithout.includes(id)) return null;
    if (careAdded.includes(id)) return "keeper";
    if (known?.sensitivities.includes(id)) return "genus";
    if (id === "eaten" && known && eatenKinds[known.name]?.test(name)) return "genus";
    if (ofForm[growthForm]?.includes(id)) return "form";
    return !known && whereUnknown[growthForm].includes(id) ? "unknown" : null;
  };
  return sensitivities.flatMap((id) => {
    const source = from(id);
    return source ? [{ id, from: source }] : [];
  });
}

/** The pests that a plant's kind is prone to; none for a genus that is not known. */
export function proneTo(genus: string): readonly PestId[] {
  return genusIn(genus)?.prone ?? [];
}
