import type { MixId } from "../mixing/mixes";
import type { Sensitivity } from "../plants/genera";
import type { RemedyId, TechniqueId } from "../remedies/remedies";
import { objections, type Bearer, type Objection } from "./suitability";

const usual: Record<RemedyId, { tough: MixId; tender: MixId }> = {
  alcohol: { tough: "alcoholFull", tender: "alcoholQuarter" },
  soap: { tough: "soapMild", tender: "soapMild" },
  oil: { tough: "oil1", tender: "oil1" },
  neem: { tough: "neemUsual", tender: "neemWeak" },
};

const TENDER: readonly Sensitivity[] = ["thinLeaf", "oilShy", "waxBloom"];

/**
 * The mix of a remedy to begin with on a plant: weak on thin, hairy or bloomed leaves, usual on tough ones.
 * Source: common practice, no source. @example mixFor("alcohol", { sensitivities: ["thinLeaf"], inFlower: false })
 */
export function mixFor(remedy: RemedyId, plant: Bearer): MixId {
  return usual[remedy][plant.sensitivities.some((s) => TENDER.includes(s)) ? "tender" : "tough"];
}

/** What refuses a remedy on a plant in its mildest mix; empty when it may be used. */
export function refusals(remedy: RemedyId, technique: TechniqueId, plant: Bearer): readonly Objection[] {
  return objections(plant, mixFor(remedy, plant), technique).filter(({ level }) => level === "refuse");
}
