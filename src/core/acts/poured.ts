import type { MixId } from "../knowledge/mixes/mixes";
import type { SoilRemedyId } from "../knowledge/remedies/soilRemedies";

/** What is watered in by a way of its own; soap is made up as a mix is. */
export type PouredSoil = Exclude<SoilRemedyId, "soap">;

/** What an act takes of a mix made up from bottles. */
export interface Poured {
  /** A mix by its recipe, or what is watered in where that is none. */
  readonly what: { readonly mix: MixId } | { readonly soil: PouredSoil };
  readonly volumeMl: number;
  /** Its strength where it was not the recipe's; null where it was. */
  readonly strength: number | null;
  /** Whether plants treated on one day share it: a bath is made once. */
  readonly bath: boolean;
}
