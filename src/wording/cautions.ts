import type { GearId } from "@/core/acts/gear";
import type { CautionId } from "@/core/remedies/remedies";
import type { ToldId } from "@/core/suitability/told";
import type { HindranceId } from "@/core/planning/feasible";
import type { Objection } from "@/core/suitability/suitability";

export const cautionSentences: Record<CautionId, string> = {
  label:
    "The product's label goes before any recipe here, and local law before both. Some home mixes are not permitted indoors in some countries.",
  protectYourself:
    "Wear gloves and glasses, and a mask for any spray. Try a little on your skin first if it is sensitive.",
  flammable: "Alcohol burns. No flame, no hot lamp, and open a window.",
  darkAfter: "After alcohol the plant stays out of all light for 24 hours. Ten were not enough. Never on the roots.",
  neemIrritates: "Neem irritates eyes, lips and skin.",
  waterLife: "Neem harms water life. Keep it from ponds, birds and reptiles.",
  sunAndHeat: "Put it on at dusk with the lamps off, out of sun for the rest of the day, and not above about 32 °C.",
  shake: "Oil and water part within minutes. Shake before and while you use it, and mix only what you use today.",
  dryCrown: "Dry the plant with a fan for 3–5 hours, so that nothing rots in the crown.",
  testLeaf: "On a plant you have not treated with this before: one leaf first, then wait 24–48 hours.",
  childrenPets:
    "Keep children and pets away until it is dry, and the poison centre's number to hand. Edible plants: only what is allowed on food crops.",
  leftovers:
    "Leftovers go by local rules, never down the drain. Waste is bagged into the household bin, never composted.",
  milkySap: "Milky sap burns skin and eyes: gloves and glasses.",
  spines: "Spines: use tongs.",
  notSodden: "Not on a mix that is wet already: water that does not run through drowns the roots.",
  peroxideTwice: "Not more than twice a year: it harms what is useful in the mix, too.",
  localLaw: "Such products are restricted or forbidden in many places: local law goes first.",
  beesAndOutdoors: "Never outdoors, and never on anything that will flower where bees fly.",
  neverOnFood: "Never on what will be eaten.",
  sprayFree: "Sprays and dust kill helpful animals too: two weeks without sprays before, and none while they live.",
  cleanHands: "Wash your hands, and wipe your tools with alcohol, before the next plant.",
  coverTheMix: "Take off first what you see, and cover the mix with paper or film: what falls in grows on.",
  cutLittle: "Cut a third at most, and never a plant of two leaves.",
  wipeTools: "Wipe the blade with alcohol between two cuts.",
  binTheMix: "Bin the old mix: never use it again, never compost it.",
  bleachAlone:
    "Scrub the pot with diluted bleach and nothing else, never together with alcohol, vinegar or peroxide. Rinse.",
  waste: "Bag what you cut or tip out and put it into the household bin, away from the plants.",
  dustMask: "Wear a dust mask and goggles: fine dust harms lungs and eyes.",
  dustOnlyDry: "It works only while it is dry. Rinse it off after some days.",
  cardsCatchMore: "Hang cards where no pet, hair or sleeve touches them, and not where helpful animals are let loose.",
  thirst: "Seedlings and thin-leaved plants wilt first: watch them.",
  beesWhileWet:
    "It kills bees while it is wet: never on open flowers that they reach, and let it dry before a window is opened.",
  catsAndFish: "It harms cats and fish, and some birds: not where they live, lie or drink.",
  resistance:
    "Pests become resistant to it: not more than three times running, then something of another kind. Animals left after two courses may be so already.",
  notAfterOil:
    "Oil and sulphur burn together: two weeks between them, whichever comes first. It irritates eyes and lungs.",
  repellentAtBest:
    "It drives animals off at best and ends nothing. Strong enough to work, it stings eyes and burns leaves.",
};

/** What stands on a spray bottle, short; the rest of the cautions stands before the act. */
export const labelCautions: Partial<Record<CautionId, string>> = {
  flammable: "Burns: no flame.",
  neemIrritates: "Irritates eyes and skin.",
  catsAndFish: "Harms cats and fish.",
  beesWhileWet: "Harms bees while wet.",
  beesAndOutdoors: "Never out of doors.",
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
  oilOnShy: "This kind does not bear oil or neem: they mark or kill the leaves. Choose alcohol on the spot or soap.",
  oilOnBloom: "Oil and neem ruin the wax bloom of this kind for good. Dab with alcohol instead.",
  oilTooStrong: "Thin leaves bear oil at 1 % at the most, and only weak neem. Choose the weaker mix.",
  velvetTest: "Velvet leaves bear weak neem at best, and only where one leaf was tested for two days.",
  smotherFlowers: "Open flowers fade within a day or two of oil or neem. Cut them first, or use alcohol on them.",
  smotherBuds: "Buds take oil and neem with care only: keep them as dry of it as you can.",
  alcoholFlowers: "Alcohol fades open flowers too, only later than oil. Keep to the animals.",
  soapOnShy: "This kind scorches or drops its leaves after soap. Choose alcohol on the spot.",
  alcoholOnShy: "This kind does not bear alcohol.",
  neatOnThin: "Thin, soft and velvet leaves do not bear neat alcohol. Choose 1 : 3.",
  neatNotKnown: "This kind is not known to bear neat alcohol: 1 : 1 is the usual, and one leaf first.",
  stripsBloom: "Alcohol and soap take off the wax bloom for good where they touch. Dab only the animals.",
  thinLeaves: "Thin leaves scorch. Use the weakest mix and test one leaf first.",
  wetInRest: "It rests dry now: do not wet the mix. Dab, mist lightly, or wait, unless the case is heavy.",
  wetCrown: "Its crown rots where water stands in it: tip it out, and dry it with a fan.",
  dunkInRest: "It rests dry now. A dunk would rot it: dab, or wait until it grows.",
  dunkWillNotDry: "What runs into its crown or between its stems dries slowly and rots. Do not dunk it.",
  bigToDunk: "A pot as wide as this is heavy to turn over. Cover the mix well, and have somebody hold it.",
  reactedBefore: "It has borne this badly before. Choose a weaker mix or another remedy.",
  unknownKind:
    "This kind is not in the table, so it is treated as its form asks for. One leaf first, then wait 48 hours.",
  milkySap: cautionSentences.milkySap,
  spines: cautionSentences.spines,
  sameGroupRunning:
    "It, or one of its kind, was put on three times running: pests become resistant. Something of another kind comes first.",
  helpersAlive: "Helpful animals that were let loose still live here: this kills them too.",
  alcoholOnRoots:
    "Alcohol kills roots that are soaked in it, and does not get at what sits between them. Unpot and wash them instead.",
  wetAlready: "The mix is wet already: more water drowns the roots. Wait until it has dried.",
  dryRest:
    "It rests dry now: what is poured on its mix rots it. Wait until it grows, or unpot where the case is heavy.",
  sprayedLately: "What was put on lately kills helpful animals too: let them loose two weeks after it.",
  cats: "Cats live here, and this harms them: they lick it off.",
  birds: "Birds live here, and this harms them.",
  waterAnimals: "Fish, frogs or reptiles live here: nothing of it may reach their water.",
  bees: "Bees reach these plants: nothing of it on what flowers, and what roots take up never.",
  othersRooms: "In rooms of others or of the public this is for a licensed applicator.",
  eaten: "Something of this plant is eaten, and this is not for food crops.",
  notAllowed: "You have said that this is not allowed or not wanted here.",
  noBottle:
    "It comes in bottles of its own, with a label. There is none in your cupboard: enter what the label says first.",
  labelNotIndoors: "The label on your bottle does not allow it indoors.",
  labelNotOutdoors: "The label on your bottle does not allow it out of doors.",
  burntLately: "Its leaves were scorched within the last two weeks: no oil and no neem before they have healed.",
};

/** Whatever is told before an act, in full. */
export const toldSentences: Record<ToldId, string> = { ...cautionSentences, ...objectionSentences };

export const shortObjections: Record<Objection["code"] | HindranceId, string> = {
  oilOnShy: "this kind does not bear oil or neem",
  oilOnBloom: "ruins the wax bloom",
  oilTooStrong: "too strong for thin leaves",
  velvetTest: "velvet leaves: test one first",
  smotherFlowers: "fades the open flowers",
  smotherBuds: "buds take it with care only",
  alcoholFlowers: "fades open flowers, later",
  soapOnShy: "this kind does not bear soap",
  alcoholOnShy: "this kind does not bear alcohol",
  neatOnThin: "too strong for thin leaves",
  neatNotKnown: "neat alcohol: not known whether it bears it",
  stripsBloom: "takes off the wax bloom where it touches",
  thinLeaves: "thin leaves scorch: weakest mix",
  wetInRest: "wets a plant that rests dry",
  wetCrown: "dry the crown",
  dunkInRest: "a dunk would rot it while it rests",
  dunkWillNotDry: "what runs in does not dry",
  bigToDunk: "heavy to turn over",
  reactedBefore: "it has borne this badly before",
  unknownKind: "kind not known: one leaf first",
  milkySap: "milky sap: gloves and glasses",
  spines: "spines: tongs",
  sameGroupRunning: "three times running already: another kind first",
  helpersAlive: "kills the helpful animals that live here",
  alcoholOnRoots: "alcohol kills roots, and misses what sits between them",
  wetAlready: "the mix is wet already",
  dryRest: "rests dry: nothing is poured on its mix",
  sprayedLately: "too soon after the last spray",
  cats: "harms cats",
  birds: "harms birds",
  waterAnimals: "harms water animals",
  bees: "harms bees",
  othersRooms: "rooms of others: for a licensed applicator",
  eaten: "not on what is eaten",
  notAllowed: "not allowed or not wanted here",
  noBottle: "none in your cupboard",
  labelNotIndoors: "its label does not allow it indoors",
  labelNotOutdoors: "its label does not allow it out of doors",
  tooBigToDunk: "too big a pot to dunk",
  dabOnly: "wax bloom: only dabbed",
  tooColdToTakeUp: "roots take nothing up: too cold, or at rest",
  helpersWouldSit: "too cold or too dry for helpful animals",
  tooMany: "too many for helpful animals to begin with: spray first",
  onePoint: "grows from few points, which are not cut",
  tooFewToCut: "too few to cut anything off for",
  burntLately: "scorched lately: no oil before it has healed",
};
