import { mixesOf, type MixId } from "../../knowledge/mixes/mixes";
import { potencyOf } from "../../knowledge/mixes/potency";
import type { RemedyId, TechniqueId } from "../../knowledge/remedies/remedies";
import type { TreatedPlant } from "./treatedPlant";
import { objections, type Objection } from "./suitability";

const always = (mix: MixId) => ({ skin: mix, tough: mix, tender: mix });

/** The mix to begin with: on a skin known to bear it, on tough leaves, on thin and soft ones and where the kind is not known. */
const usual: Record<RemedyId, { readonly skin: MixId; readonly tough: MixId; readonly tender: MixId }> = {
  alcohol: { skin: "alcoholFull", tough: "alcoholHalf", tender: "alcoholQuarter" },
  soap: { skin: "soapStrong", tough: "soapMild", tender: "soapMild" },
  oil: { skin: "oil2", tough: "oil2", tender: "oil1" },
  neem: { skin: "neemUsual", tough: "neemUsual", tender: "neemWeak" },
  spinosad: always("spinosadLabel"),
  pyrethrins: always("pyrethrinsLabel"),
  essentialOil: always("essentialOilLabel"),
  permethrin: always("permethrinLabel"),
  acetamiprid: always("acetamipridLabel"),
  abamectin: always("abamectinLabel"),
  hexythiazox: always("hexythiazoxLabel"),
  bifenazate: always("bifenazateLabel"),
  sulphur: always("sulphurLabel"),
};

/**
 * The mix of a remedy to propose on a plant: as strong as its kind is known to bear, and weaker than what it has borne badly
 * before, as far as there is a weaker one.
 * Source: common practice, no source. @example mixFor("alcohol", { ...fern, sensitivities: ["thinLeaf"] }) // "alcoholQuarter"
 */
export function mixFor(remedy: RemedyId, plant: TreatedPlant): MixId {
  const has = (...any: TreatedPlant["sensitivities"]) => any.some((one) => plant.sensitivities.includes(one));
  const first =
    usual[remedy][!plant.known || has("thinLeaf", "velvet") ? "tender" : has("bearsNeat") ? "skin" : "tough"];
  const milder = mixesOf(remedy)
    .filter((mix) => potencyOf(mix) <= potencyOf(first))
    .toSorted((a, b) => potencyOf(b) - potencyOf(a));
  const dried = plant.reactions.findLast(({ what }) => what === "matt" || what === "tacky");
  // Dried matt, oil was too weak; tacky, too strong (common practice): the next mix follows, as far as the plant bears it.
  if (remedy === "oil" && dried) {
    const follows = mixesOf("oil").toSorted((a, b) => potencyOf(a) - potencyOf(b));
    const next = dried.what === "tacky" ? follows[0]! : follows.at(-1)!;
    if (!objections(plant, next, "spray").some(({ level }) => level === "refuse")) return next;
  }
  const reacted = (mix: MixId) => objections(plant, mix, "dab").some(({ code }) => code === "reactedBefore");
  return milder.find((mix) => !reacted(mix)) ?? milder.at(-1)!;
}

/** What refuses a remedy on a plant in the mix proposed for it; empty when it may be used. */
export function refusals(remedy: RemedyId, technique: TechniqueId, plant: TreatedPlant): readonly Objection[] {
  return objections(plant, mixFor(remedy, plant), technique).filter(({ level }) => level === "refuse");
}

/** What a plant bears in a month, in soap washes of the whole plant (HOUSE): less where it is touchy or not known. */
export function monthlyWashes({ sensitivities, known }: TreatedPlant): number {
  const touchy = ["oilShy", "soapShy", "alcoholShy", "thinLeaf", "velvet", "waxBloom"] as const;
  return !known || touchy.some((one) => sensitivities.includes(one)) ? 8 : 12;
}
