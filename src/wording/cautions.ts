import type { CautionId, RemedyId } from "@/core/remedies/remedies";
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
};

/** What each remedy asks for above all, where there is little room; the whole list stands before the act. */
export const shortCautions: Record<RemedyId, string> = {
  alcohol: "flammable; a day in the dark after it",
  soap: "out of the sun; dry the crown",
  oil: "not in sun or heat; shake it all the time",
  neem: "irritates; harms water life",
};

export const shortObjections: Record<Objection["code"], string> = {
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
};
