import type { GrowthFormId } from "./growthForms";

/** What makes a plant touchy about a remedy; a kind may have several. */
export const sensitivities = [
  /** Leaves that oil ruins: fine hairs, jewel-like leaves, or known to scorch. */
  "oilShy",
  /** A wax bloom that oil, soap and alcohol strip for good. */
  "waxBloom",
  /** Leaves so thin that only the weakest mix is bearable. */
  "thinLeaf",
  /** Milky sap that burns skin and eyes. */
  "milkySap",
  /** Spines or glochids: tongs, not fingers. */
  "spiny",
  /** Rests dry in winter; a wet mix rots it. */
  "winterDry",
] as const;
export type Sensitivity = (typeof sensitivities)[number];

export interface Genus {
  readonly name: string;
  readonly form: GrowthFormId;
  readonly sensitivities: readonly Sensitivity[];
}

type Row = readonly [name: string, form: GrowthFormId, ...sensitivities: Sensitivity[]];

/**
 * Genera commonly kept in pots. The form is the usual one of the genus in cultivation; the keeper may set another for
 * a single plant. Botanical names and habits from memory; sensitivities common practice, no source.
 */
const rows = [
  ["Adenium", "caudexSucculent", "milkySap", "winterDry"],
  ["Adiantum", "fern", "oilShy", "thinLeaf"],
  ["Aechmea", "tankBromeliad", "oilShy"],
  ["Agave", "rosetteSucculent", "spiny", "waxBloom"],
  ["Aglaonema", "clumpingFoliage"],
  ["Alocasia", "clumpingFoliage"],
  ["Aloe", "rosetteSucculent"],
  ["Anthurium", "climbingAroid"],
  ["Asplenium", "fern", "oilShy", "thinLeaf"],
  ["Astrophytum", "columnarCactus", "waxBloom", "winterDry"],
  ["Begonia", "softHerb", "oilShy", "thinLeaf"],
  ["Calathea", "clumpingFoliage", "oilShy", "thinLeaf"],
  ["Cattleya", "pseudobulbOrchid"],
  ["Cereus", "columnarCactus", "spiny", "winterDry"],
  ["Ceropegia", "trailingVine"],
  ["Chamaedorea", "palm", "oilShy"],
  ["Citrus", "uprightShrub"],
  ["Clivia", "strapBulb"],
  ["Codiaeum", "uprightShrub", "milkySap"],
  ["Cotyledon", "rosetteSucculent", "waxBloom"],
  ["Crassula", "rosetteSucculent"],
  ["Cymbidium", "pseudobulbOrchid"],
  ["Dendrobium", "pseudobulbOrchid"],
  ["Dieffenbachia", "clumpingFoliage", "milkySap"],
  ["Dischidia", "trailingVine"],
  ["Dracaena", "uprightShrub"],
  ["Dudleya", "rosetteSucculent", "waxBloom"],
  ["Echeveria", "rosetteSucculent", "waxBloom"],
  ["Echinocactus", "columnarCactus", "spiny", "winterDry"],
  ["Echinocereus", "columnarCactus", "spiny", "winterDry"],
  ["Echinopsis", "columnarCactus", "spiny", "winterDry"],
  ["Epipremnum", "climbingAroid"],
  ["Euphorbia", "stemSucculent", "milkySap", "spiny"],
  ["Ficus", "uprightShrub", "milkySap"],
  ["Fittonia", "softHerb", "oilShy", "thinLeaf"],
  ["Gasteria", "rosetteSucculent"],
  ["Gymnocalycium", "tubercledCactus", "spiny", "winterDry"],
  ["Haworthia", "rosetteSucculent"],
  ["Hedera", "trailingVine"],
  ["Hippeastrum", "strapBulb"],
  ["Hoya", "trailingVine"],
  ["Jatropha", "caudexSucculent", "milkySap", "winterDry"],
  ["Kalanchoe", "rosetteSucculent", "oilShy"],
  ["Lithops", "stemSucculent", "winterDry"],
  ["Ludisia", "pseudobulbOrchid", "oilShy", "thinLeaf"],
  ["Mammillaria", "tubercledCactus", "spiny", "winterDry"],
  ["Maranta", "clumpingFoliage", "oilShy", "thinLeaf"],
  ["Monstera", "climbingAroid"],
  ["Musa", "clumpingFoliage"],
  ["Neoregelia", "tankBromeliad", "oilShy"],
  ["Nephrolepis", "fern", "oilShy", "thinLeaf"],
  ["Oncidium", "pseudobulbOrchid"],
  ["Opuntia", "jointedCactus", "spiny", "winterDry"],
  ["Pachypodium", "caudexSucculent", "spiny", "winterDry"],
  ["Paphiopedilum", "fanOrchid", "thinLeaf"],
  ["Parodia", "tubercledCactus", "spiny", "winterDry"],
  ["Pelargonium", "softHerb", "oilShy"],
  ["Peperomia", "softHerb"],
  ["Phalaenopsis", "fanOrchid", "thinLeaf"],
  ["Philodendron", "climbingAroid"],
  ["Phoenix", "palm", "oilShy"],
  ["Platycerium", "fern", "oilShy"],
  ["Rebutia", "tubercledCactus", "spiny", "winterDry"],
  ["Rhipsalis", "jointedCactus"],
  ["Saintpaulia", "softHerb", "oilShy"],
  ["Sansevieria", "clumpingFoliage"],
  ["Schefflera", "uprightShrub"],
  ["Schlumbergera", "jointedCactus"],
  ["Sedum", "rosetteSucculent", "waxBloom"],
  ["Sempervivum", "rosetteSucculent"],
  ["Spathiphyllum", "clumpingFoliage"],
  ["Stapelia", "stemSucculent", "winterDry"],
  ["Syngonium", "climbingAroid"],
  ["Tillandsia", "tankBromeliad", "oilShy"],
  ["Tradescantia", "trailingVine", "thinLeaf"],
  ["Vanda", "fanOrchid"],
  ["Yucca", "uprightShrub"],
  ["Zamioculcas", "clumpingFoliage"],
] as const satisfies readonly Row[];

export const genera: readonly Genus[] = rows.map(([name, form, ...rest]: Row) => ({ name, form, sensitivities: rest }));

const byName = new Map(genera.map((genus) => [genus.name.toLowerCase(), genus]));

/**
 * The genus of that name, whatever the case and the spaces round it; null for one the table does not know (the keeper
 * then chooses the growth form).
 * @example genusNamed("hoya")?.form // "trailingVine"
 */
export function genusNamed(name: string): Genus | null {
  return byName.get(name.trim().toLowerCase()) ?? null;
}
