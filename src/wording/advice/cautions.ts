import type { GearId } from "@/core/advice/tolerance/gear";
import type { CautionId } from "@/core/knowledge/remedies/remedies";
import type { CautionReadId } from "@/core/advice/tolerance/cautionsRead";
import type { HindranceId } from "@/core/advice/planning/feasible";
import type { Objection } from "@/core/advice/tolerance/suitability";

export const cautionSentences: Record<CautionId, string> = {
  label:
    "The product's label comes before any recipe here, and local law before both. Some home mixes are not permitted indoors in some countries.",
  protectYourself: "Wear gloves and glasses, and a mask for any spray. If your skin is sensitive, test a little first.",
  flammable: "Alcohol burns. No flame, no hot lamp, and open a window.",
  darkAfter: "After alcohol keep the plant out of all light for 24 hours; ten were not enough. Never on the roots.",
  neemIrritates: "Neem irritates eyes, lips and skin.",
  waterLife: "Neem harms water life. Keep it from ponds, birds and reptiles.",
  sunAndHeat:
    "Apply at dusk with the lamps off, out of sun for the rest of the day, and not above about 32 °C (90 °F).",
  shake: "Oil and water separate within minutes. Shake before and during use, and mix only what you need today.",
  dryCrown: "Dry the plant with a fan for 3–5 hours, so that nothing rots in the crown.",
  testLeaf: "On a plant you have not treated with this before: one leaf first, then wait 24–48 hours.",
  childrenPets:
    "Keep children and pets away until it is dry, and the poison centre's number to hand. Edible plants: only what is allowed on food crops.",
  leftovers:
    "Dispose of leftovers by local rules, never down the drain. Bag waste and put it in the household bin; never compost it.",
  milkySap: "Milky sap burns skin and eyes: gloves and glasses.",
  spines: "Spines: use tongs.",
  notSodden: "Not on mix that is already wet: water that does not drain drowns the roots.",
  flushAfter:
    "Flush with clear water until no foam is left. Use fresh water after each doubtful plant; a succulent must be dry first.",
  peroxideTwice: "No more than twice a year: it also harms what is useful in the mix.",
  localLaw: "Such products are restricted or forbidden in many places: local law comes first.",
  beesAndOutdoors: "Never outdoors, and never on anything that will flower where bees fly.",
  neverOnFood: "Never on anything that will be eaten.",
  sprayFree: "Sprays and dust kill beneficials too: none for two weeks before, and none while they live.",
  cleanHands: "Wash your hands, and wipe your tools with alcohol, before the next plant.",
  coverTheMix: "First remove what you see, and cover the mix with paper or film: what falls in lives on.",
  cutLittle: "Cut off a third at most, and never from a plant with two leaves.",
  wipeTools: "Wipe the blade with alcohol between cuts.",
  binTheMix: "Bin the old mix: never use it again, never compost it.",
  bleachAlone:
    "Scrub the pot with diluted bleach and nothing else, never together with alcohol, vinegar or peroxide. Rinse.",
  waste: "Bag what you cut off or tip out and put it in the household bin, away from the plants.",
  dustMask: "Wear a dust mask and goggles: fine dust harms lungs and eyes.",
  dustOnlyDry: "It works only while it is dry. Rinse it off after some days.",
  cardsCatchMore: "Hang cards where no pet, hair or sleeve touches them, and not where you release beneficials.",
  thirst: "Seedlings and thin-leaved plants wilt first: watch them.",
  beesWhileWet:
    "It kills bees while wet: never on open flowers they can reach, and let it dry before you open a window.",
  catsAndFish: "It harms cats, fish and some birds: not where they live, lie or drink.",
  resistance:
    "Pests become resistant to it: no more than three times in a row, then something different. Survivors of two courses may already be resistant.",
  notAfterOil:
    "Oil and sulphur together burn leaves: leave two weeks between them, either way round. It irritates eyes and lungs.",
  repellentAtBest:
    "At best it drives pests off; it never ends an infestation. Strong enough to work, it stings eyes and burns leaves.",
};

/** What stands on a spray bottle, short; the rest of the cautions stands before the act. */
export const labelCautions: Partial<Record<CautionId, string>> = {
  flammable: "Burns: no flame.",
  neemIrritates: "Irritates eyes and skin.",
  catsAndFish: "Harms cats and fish.",
  beesWhileWet: "Harms bees while wet.",
  beesAndOutdoors: "Never outdoors.",
  neverOnFood: "Not on what is eaten.",
  shake: "Shake.",
  sunAndHeat: "At dusk, out of sun.",
  childrenPets: "Away from children and pets.",
};

export const gearNames: Record<GearId, string> = {
  gloves: "Gloves",
  glasses: "Glasses",
  mask: "A mask",
  dustMask: "A dust mask and goggles",
  openWindow: "An open window, no flame",
  tongs: "Tongs for the spines",
};

export const objectionSentences: Record<Objection["code"], string> = {
  oilOnShy:
    "This plant does not tolerate oil or neem: they mark or kill the leaves. Choose alcohol on the spot or soap.",
  oilOnBloom: "Oil and neem ruin this plant's wax bloom for good. Dab with alcohol instead.",
  oilTooStrong: "Thin leaves tolerate 1 % oil at most, and only weak neem. Choose the weaker mix.",
  velvetTest: "Velvet leaves tolerate weak neem at best, and only after testing one leaf for two days.",
  smotherFlowers: "Oil or neem fades open flowers within a day or two. Cut them first, or use alcohol on them.",
  smotherBuds: "Take care with oil and neem near buds: keep them as dry as you can.",
  alcoholFlowers: "Alcohol fades open flowers too, just later than oil. Touch only the animals.",
  soapOnShy: "This plant scorches or drops leaves after soap. Choose alcohol on the spot.",
  alcoholOnShy: "This plant does not tolerate alcohol.",
  neatOnThin: "Thin, soft and velvet leaves do not tolerate neat alcohol. Choose 1 : 3.",
  neatNotKnown: "This plant is not known to tolerate neat alcohol: 1 : 1 is usual, and test one leaf first.",
  stripsBloom: "Alcohol and soap remove the wax bloom for good where they touch. Dab only the animals.",
  thinLeaves: "Thin leaves scorch. Use the weakest mix and test one leaf first.",
  mistFirst: "It is resting dry: if it has shrivelled, mist it lightly and let it dry before the alcohol.",
  wetInRest: "It is resting dry: do not wet the mix. Dab, mist lightly, or wait, unless the case is heavy.",
  wetCrown: "Water left in its crown rots it: tip it out, and dry it with a fan.",
  dunkInRest: "It is resting dry. A dunk would rot it: dab, or wait until it grows.",
  dunkWillNotDry: "Water in its crown or between its stems dries slowly and rots it. Do not dunk it.",
  bigToDunk: "A pot this wide is heavy to turn over. Cover the mix well, and get someone to hold it.",
  reactedBefore: "It reacted badly to this before. Choose a weaker mix or another remedy.",
  unknownKind:
    "This genus is not in the table, so the cautions of its growth form apply. Test one leaf first, then wait 48 hours.",
  milkySap: cautionSentences.milkySap,
  spines: cautionSentences.spines,
  sameGroupRunning:
    "It, or something of the same group, was used three times in a row: pests become resistant. Use something from another group first.",
  helpersAlive: "Beneficials you released still live here: this kills them too.",
  alcoholOnRoots:
    "Alcohol kills roots soaked in it, and does not reach what sits between them. Unpot and wash them instead.",
  wetAlready: "The mix is already wet: more water drowns the roots. Wait until it has dried.",
  dryRest:
    "It is resting dry: anything poured on its mix rots it. Wait until it grows, or unpot it if the case is heavy.",
  sprayedLately: "What you applied recently kills beneficials too: release them two weeks after it.",
  cats: "Cats live here, and this harms them: they lick it off.",
  birds: "Birds live here, and this harms them.",
  waterAnimals: "Fish, frogs or reptiles live here: none of it may reach their water.",
  bees: "Bees reach these plants: never on anything in flower, and never as a systemic.",
  othersRooms: "In rented or public rooms this is for a licensed applicator.",
  eaten: "Part of this plant is eaten, and this is not for food crops.",
  notAllowed: "You have said this is not allowed or not wanted here.",
  noBottle: "This is a labelled product and there is none in your cupboard: enter what its label says first.",
  labelNotIndoors: "The label on your bottle does not allow it indoors.",
  labelNotOutdoors: "The label on your bottle does not allow it outdoors.",
  burntLately: "Its leaves were scorched within the last two weeks: no oil or neem until they have healed.",
};

/** Whatever is told before an act, in full. */
export const toldSentences: Record<CautionReadId, string> = { ...cautionSentences, ...objectionSentences };

export const shortObjections: Record<Objection["code"] | HindranceId, string> = {
  oilOnShy: "does not tolerate oil or neem",
  oilOnBloom: "ruins the wax bloom",
  oilTooStrong: "too strong for thin leaves",
  velvetTest: "velvet leaves: test one first",
  smotherFlowers: "fades the open flowers",
  smotherBuds: "take care with buds",
  alcoholFlowers: "fades open flowers, later",
  soapOnShy: "does not tolerate soap",
  alcoholOnShy: "does not tolerate alcohol",
  neatOnThin: "too strong for thin leaves",
  neatNotKnown: "neat alcohol: tolerance not known",
  stripsBloom: "removes the wax bloom where it touches",
  thinLeaves: "thin leaves scorch: weakest mix",
  mistFirst: "mist it first if it has shrivelled",
  wetInRest: "wets a plant that rests dry",
  wetCrown: "dry the crown",
  dunkInRest: "a dunk would rot it while it rests",
  dunkWillNotDry: "water that runs in does not dry",
  bigToDunk: "heavy to turn over",
  reactedBefore: "it reacted badly to this before",
  unknownKind: "genus not known: test one leaf first",
  milkySap: "milky sap: gloves and glasses",
  spines: "spines: tongs",
  sameGroupRunning: "three times in a row already: use another group first",
  helpersAlive: "kills the beneficials that live here",
  alcoholOnRoots: "alcohol kills roots, and misses what sits between them",
  wetAlready: "the mix is wet already",
  dryRest: "resting dry: do not pour anything on its mix",
  sprayedLately: "too soon after the last spray",
  cats: "harms cats",
  birds: "harms birds",
  waterAnimals: "harms water animals",
  bees: "harms bees",
  othersRooms: "rented or public rooms: for a licensed applicator",
  eaten: "not on what you eat",
  notAllowed: "not allowed or not wanted here",
  noBottle: "none in your cupboard",
  labelNotIndoors: "its label does not allow it indoors",
  labelNotOutdoors: "its label does not allow it outdoors",
  tooBigToDunk: "too big a pot to dunk",
  dabOnly: "wax bloom: only dabbed",
  wipedSpines: "spines: not wiped",
  wipedVelvet: "velvet leaves: wiping marks them",
  tooColdToTakeUp: "roots take up nothing: too cold, or at rest",
  helpersWouldSit: "too cold or too dry for beneficials",
  daysTooShort: "they are dormant in the short days of autumn and winter",
  tooMany: "too many for beneficials to start with: spray first",
  onePoint: "has few growing points, which must not be cut",
  tooFewToCut: "too few animals to cut for",
  burntLately: "scorched recently: no oil until it has healed",
};
