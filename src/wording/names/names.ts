import type { PlaceKind } from "@/core/record/facts/commands";
import type { OutcomeId } from "@/core/record/facts/kinds/closing";
import type { ReadingSource } from "@/core/record/facts/kinds/reading";
import type { SeverityId } from "@/core/model/inspection/severity";
import type { ToolId } from "@/core/model/inspection/tools";
import type { IngredientId, MixId } from "@/core/knowledge/mixes/mixes";
import type { PestId } from "@/core/knowledge/pests/pests";
import type { GrowthFormId } from "@/core/knowledge/plants/growthForms";
import { isReckoned, type SignOnlyId, type SuspectId } from "@/core/knowledge/signs/suspects";
import type { SensitivitySource } from "@/core/knowledge/plants/care";
import type { Sensitivity } from "@/core/knowledge/plants/sensitivities";
import type { ReactionId } from "@/core/knowledge/remedies/reactions";
import type { SpotId } from "@/core/knowledge/plants/spots";
import type { ApproachId } from "@/core/advice/planning/approaches";
import type { WayId } from "@/core/advice/planning/compare";
import type { Remedy, RemedyId, TechniqueId } from "@/core/knowledge/remedies/remedies";
import type { SchoolId } from "@/core/knowledge/remedies/schools";

/** Pests that are told by their signs only. */
export const signOnlyNames: Record<SignOnlyId, string> = {
  whitefly: "Whitefly",
  flatMite: "Flat mites",
  rootAphid: "Root aphids",
};

/** What ends a pest for which no dates are reckoned, as practitioners go about it (common practice, no source). */
export const signOnlyAdvice: Record<SignOnlyId, string> = {
  whitefly:
    "Yellow cards for the flies, and soap on the undersides every three to four days for a month, because the young on the leaf die only when soap touches them.",
  flatMite:
    "They are slower than spider mites and sit in sheaths and scars: oil or soap if the plant tolerates it, weekly for six weeks, and a loupe to see whether any still move.",
  rootAphid: "Unpot, wash the roots, new mix; then look at the roots again after two and after four weeks.",
};

export const pestNames: Record<PestId, string> = {
  spiderMite: "Spider mites",
  thrips: "Thrips",
  mealybug: "Mealybugs",
  rootMealybug: "Root mealybugs",
  softScale: "Soft scale",
  armouredScale: "Armoured scale",
  fungusGnat: "Fungus gnats",
  aphid: "Aphids",
};

/** What a treatment is against, within a sentence; null for what has no name yet. @example pestName("thrips") // "thrips" */
export function pestName(pest: PestId | null): string {
  return pest === null ? "unnamed pest" : pestNames[pest].toLowerCase();
}

export const stageNames: Record<string, string> = {
  egg: "eggs",
  crawler: "crawlers",
  nymph: "nymphs",
  immature: "young mites",
  larva: "larvae",
  pupa: "pupae",
  youngAdult: "young adults",
  adult: "adults",
};

export const remedyNames: Record<RemedyId, string> = {
  alcohol: "Alcohol on the spot",
  soap: "Soap wash",
  oil: "Smothering oil",
  neem: "Neem oil",
  spinosad: "Spinosad",
  pyrethrins: "Pyrethrins",
  essentialOil: "Peppermint or cinnamon oil",
  permethrin: "Permethrin",
  acetamiprid: "Acetamiprid, sprayed",
  abamectin: "Abamectin",
  hexythiazox: "Hexythiazox, against mites",
  bifenazate: "Bifenazate, against mites",
  sulphur: "Sulphur",
};

export const mixNames: Record<MixId, string> = {
  alcoholFull: "Alcohol 70 %",
  alcoholHalf: "Alcohol 35 % (70 % and water 1 : 1)",
  alcoholQuarter: "Alcohol 17.5 % (70 % and water 1 : 3)",
  soapMild: "Soap wash, mild (5 mL per litre)",
  soapStrong: "Soap wash, strong (15 mL per litre)",
  oil1: "Oil 1 %, thin or soft leaves",
  oil2: "Oil 2 %, thick leathery leaves",
  neemWeak: "Neem, weak (1 US teaspoon per US quart)",
  neemUsual: "Neem, usual (7.5 mL per litre)",
  neemStrong: "Neem, strong (15 mL per litre)",
  soapAlcohol: "Soap and alcohol in one can (5 mL per litre, 17.5 %)",
  soapNeem: "Soap and neem in one can (15 and 7.5 mL per litre)",
  soapNeemAlcohol: "Neem, soap and alcohol in one can (7.5 and 5 mL per litre, 17.5 %)",
  spinosadLabel: "Spinosad, mixed as its label says",
  pyrethrinsLabel: "Pyrethrins, mixed as their label says",
  essentialOilLabel: "Essential oil, mixed as its label says",
  permethrinLabel: "Permethrin, mixed as its label says",
  acetamipridLabel: "Acetamiprid, mixed as its label says",
  abamectinLabel: "Abamectin, mixed as its label says",
  hexythiazoxLabel: "Hexythiazox, mixed as its label says",
  bifenazateLabel: "Bifenazate, mixed as its label says",
  sulphurLabel: "Sulphur, mixed as its label says",
};

export const ingredientNames: Record<IngredientId, string> = {
  water: "Water, soft if you have it",
  warmWater: "Water, hand-warm",
  soap: "Plain soap, no scent or degreaser",
  oil: "Horticultural or paraffin oil",
  neemOil: "Neem oil",
  alcoholBottle: "Alcohol from your bottle",
  product: "The product, mixed as its label says",
};

export const techniqueNames: Record<TechniqueId, string> = {
  dab: "Dab the animals",
  wipe: "Wipe the leaves",
  spray: "Spray to run-off",
  sprayAndSwab: "Spray, then swab every joint",
  hastySpray: "Quick spray",
  dunk: "Dunk the plant",
  neckPour: "Pour on the bared neck",
  rootSoak: "Soak the roots",
};

export const approachNames: Record<ApproachId, string> = {
  alcoholDab: "Alcohol, dabbed",
  alcoholWipe: "Alcohol, wiped",
  alcoholSwab: "Alcohol, sprayed and every joint swabbed",
  alcoholSpray: "Alcohol, sprayed",
  soapSpray: "Soap, sprayed",
  soapDab: "Soap, dabbed",
  soapSwab: "Soap, sprayed and every joint swabbed",
  soapDunk: "Soap, dunked",
  oilSpray: "Oil, sprayed",
  oilSwab: "Oil, sprayed and every joint swabbed",
  rubThenOil: "Rubbed off once, then oil sprayed",
  rubThenAlcohol: "Rubbed off once, then alcohol sprayed and swabbed",
  rubThenSoap: "Rubbed off once, then soap sprayed and swabbed",
  cutThenSoap: "Spike or worst part cut off, then soap sprayed",
  cutThenAlcohol: "Spike or worst part cut off, then alcohol dabbed",
  neemSpray: "Neem, sprayed",
  neemDunk: "Neem, dunked",
  alcoholThenSoap: "Alcohol once, then soap sprayed",
  alcoholThenNeem: "Alcohol once, then neem sprayed",
  spinosadSpray: "Spinosad, sprayed",
  spinosadThenSoap: "Spinosad once, then soap sprayed",
  spinosadSoapInTurn: "Soap and spinosad in turn, sprayed",
  pyrethrinsThenSoap: "Pyrethrins once, then soap sprayed",
  permethrinThenSoap: "Permethrin once, then soap sprayed",
  acetamipridThenSoap: "Acetamiprid sprayed once, then soap",
  abamectinThenSoap: "Abamectin once, then soap sprayed",
  hexythiazoxThenSoap: "Hexythiazox once, then soap sprayed",
  bifenazateThenSoap: "Bifenazate once, then soap sprayed",
  sulphurSpray: "Sulphur, sprayed",
  soapAlcoholInTurn: "Soap sprayed, every third time alcohol with every joint swabbed",
  soapOilInTurn: "Soap and oil in turn, every joint swabbed",
  unpotThenAlcohol: "Unpotted and washed, then the neck sprayed with alcohol",
  unpotThenDrench: "Unpotted and washed, then neem into the new mix",
  unpotThenSystemic: "Unpotted and washed, then a systemic",
  unpotTwice: "Unpotted and washed",
  drenchNeem: "Neem watered into the mix",
  systemicWithAlcohol: "A systemic to the roots, with alcohol sprayed and swabbed",
  showerAlcoholInTurn: "Showered, every fourth time alcohol with every joint swabbed",
  predatoryMites: "Predatory mites, renewed",
  soapThenPredators: "Soap once, then predatory mites after two weeks",
  lacewing: "Lacewing larvae, renewed",
  soapThenLacewing: "Soap once, then lacewing larvae after two weeks",
  pirateBugs: "Pirate bugs, renewed",
  soapThenPirateBugs: "Soap once, then pirate bugs after two weeks",
  mealybugBeetles: "Mealybug-eating lady beetles, renewed",
  soapThenBeetles: "Soap once, then mealybug-eating lady beetles after two weeks",
  bti: "Bti in the water",
  peroxideThenBti: "Weak peroxide once, then Bti in the water",
  nematodes: "Nematodes in the water, renewed",
};

export const wayNames: Record<WayId, string> = {
  lookFirst: "Look first, and treat only what is found",
  ...approachNames,
};

export const smellNames: Record<Remedy["smell"], string> = {
  none: "no smell",
  slight: "slight smell",
  sharp: "sharp smell, soon gone",
  strong: "strong smell for days",
};

export const readingSourceNames: Record<ReadingSource, string> = {
  about: "Roughly this warm, day and night, from then on",
  thermometer: "Thermometer reading at that moment",
};

export const toolNames: Record<ToolId, string> = {
  eye: "Naked eye, room light",
  lamp: "Lamp",
  loupe: "Lamp and loupe",
  paper: "White paper under a tapped leaf",
  unpotted: "Unpotted, rinsed over a tray",
};

export const spotNames: Record<SpotId, string> = {
  crown: "Crown, innermost leaves",
  axil: "Leaf axils, stem joints",
  underside: "Leaf undersides",
  upperSide: "Leaf upper sides",
  vein: "Veins and midribs",
  newLeaf: "Newest leaf",
  flower: "Buds, flowers, spike",
  stem: "Stem or cane",
  sheath: "Dry sheaths, bracts",
  areole: "Areoles and spines",
  gap: "Gaps between tubercles or ribs",
  neck: "Neck, under top dressing",
  mixTop: "Top of the mix",
  roots: "Roots",
  pot: "Pot: rim, holes, saucer, label",
};

export const growthFormNames: Record<GrowthFormId, string> = {
  rosetteSucculent: "Rosette succulent",
  tubercledCactus: "Globe cactus with tubercles",
  columnarCactus: "Ribbed or columnar cactus",
  jointedCactus: "Jointed, padded or forest cactus",
  stemSucculent: "Leafless stem succulent",
  caudexSucculent: "Caudex or woody succulent",
  climbingAroid: "Climbing, large leaves",
  trailingVine: "Trailing vine, waxy leaves",
  clumpingFoliage: "Clumping foliage, sheathing leaves",
  uprightShrub: "Woody shrub",
  cane: "Cane with a tuft of leaves",
  palm: "Palm",
  fern: "Fern",
  pseudobulbOrchid: "Orchid with pseudobulbs",
  fanOrchid: "Single-stemmed, fan-leaved orchid",
  tankBromeliad: "Tank bromeliad",
  airPlant: "Air plant",
  softHerb: "Soft herb or seedling",
  strapBulb: "Bulb with strap leaves",
};

export const sensitivityNames: Record<Sensitivity, string> = {
  oilShy: "does not tolerate oil or neem",
  soapShy: "scorches or drops leaves after soap",
  alcoholShy: "does not tolerate alcohol",
  waxBloom: "wax bloom that sprays remove for good",
  thinLeaf: "thin or soft leaves: weakest mix only",
  velvet: "velvet leaves: no oil, weak neem only where tested",
  crownRot: "rots if water stands in the crown",
  milkySap: "milky sap that burns skin and eyes",
  spiny: "spines: use tongs",
  winterDry: "rests dry in winter: keep the mix dry",
  bearsNeat: "tolerates neat 70 % alcohol",
  eaten: "part of it is eaten: only what is allowed on food crops",
  sickly: "sickly for no known reason: no soaking, gentle treatment only",
};

export const sourceNames: Record<SensitivitySource, string> = {
  keeper: "you said so",
  genus: "its genus",
  form: "its form",
  unknown: "genus not known: better too careful",
};

export const reactionNames: Record<ReactionId, string> = {
  nothing: "Nothing: it took it well",
  matt: "The oil dried matt",
  tacky: "The oil dried tacky",
  stain: "Stained leaves",
  scorch: "Scorched leaves",
  lostFlowers: "Lost buds or flowers",
  lostBloom: "Lost its wax bloom",
  rot: "Rot",
};

/** The name of anything that signs may speak for. */
export function suspectName(id: SuspectId): string {
  return isReckoned(id) ? pestNames[id] : signOnlyNames[id];
}

export const severityNames: Record<SeverityId, string> = {
  trace: "Trace: 1–2 animals",
  light: "Light: 3–10",
  patch: "Patch: 11–50, or one organ",
  heavy: "Heavy: more than 50, or several organs",
  overrun: "Overrun: webbing, or most leaves",
};

export const placeKindNames: Record<PlaceKind, string> = {
  room: "Room",
  shelf: "Shelf, sill or bench",
  isolation: "Isolation place",
  bag: "Bag",
  tray: "Tray, shared by its pots",
  cabinet: "Closed cabinet",
  outdoors: "Outdoors",
};

export const outcomeNames: Record<OutcomeId, string> = { clear: "Clear", givenUp: "Given up", lost: "Lost" };

export const schoolNames: Record<SchoolId | "reckoned" | "own", string> = {
  reckoned: "Worked out for this plant",
  own: "Your own dates",
  alcoholThreeTimes: "Alcohol on days 0, 6 and 13",
  alcoholNeatWeekly: "Neat alcohol (70 % and more) weekly, four times",
  soapWeeklyThreeTimes: "Soap weekly, three times",
  soapWhenHeavy: "Soap every 3 days for four weeks",
  soapEveryFortnight: "Soap every second week, five times",
  spinosadWeekly: "Spinosad weekly, three times",
  oilOnceThenLook: "Oil once, then look",
  oilWeeklyThreeTimes: "Oil weekly, three times",
  neemUntilClean: "Neem every 4 days for four weeks",
  neemDailyWhenBad: "Neem every day for ten days",
  neemThenWeekly: "Neem on days 0, 5, 10, then weekly for a month",
};
