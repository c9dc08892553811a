import type { CautionId } from "../../knowledge/remedies/remedies";
import type { Objection } from "./suitability";

/** Whatever is told before an act: what goes with the act and its ingredient, and what speaks up on a plant or in a home. */
export type CautionReadId = CautionId | Objection["code"];

/** Where something that is told comes from. */
type About = "ingredient" | "act" | "plant" | "household" | "place";

/**
 * Everything that is ever told before an act, in the order of harm: what burns, poisons or hurts somebody; what the law and the label
 * say; what harms animals that are not meant; what kills or marks the plant; what only wastes work. Order: our own (HOUSE); the
 * sentences' sources stand where each is raised.
 */
export const toldInOrder = [
  ["flammable", "ingredient"],
  ["bleachAlone", "ingredient"],
  ["catsAndFish", "ingredient"],
  ["cats", "household"],
  ["birds", "household"],
  ["waterAnimals", "household"],
  ["othersRooms", "household"],
  ["eaten", "plant"],
  ["childrenPets", "ingredient"],
  ["neverOnFood", "ingredient"],
  ["milkySap", "plant"],
  ["spines", "plant"],
  ["protectYourself", "ingredient"],
  ["dustMask", "ingredient"],
  ["neemIrritates", "ingredient"],
  ["bigToDunk", "plant"],
  ["localLaw", "ingredient"],
  ["notAllowed", "household"],
  ["noBottle", "household"],
  ["labelNotIndoors", "place"],
  ["labelNotOutdoors", "place"],
  ["label", "ingredient"],
  ["bees", "household"],
  ["beesAndOutdoors", "place"],
  ["beesWhileWet", "ingredient"],
  ["waterLife", "ingredient"],
  ["alcoholOnRoots", "plant"],
  ["dunkInRest", "plant"],
  ["dryRest", "plant"],
  ["wetAlready", "plant"],
  ["reactedBefore", "plant"],
  ["burntLately", "plant"],
  ["oilOnShy", "plant"],
  ["oilOnBloom", "plant"],
  ["oilTooStrong", "plant"],
  ["soapOnShy", "plant"],
  ["alcoholOnShy", "plant"],
  ["neatOnThin", "plant"],
  ["darkAfter", "ingredient"],
  ["notAfterOil", "ingredient"],
  ["sunAndHeat", "place"],
  ["dunkWillNotDry", "plant"],
  ["wetInRest", "plant"],
  ["mistFirst", "plant"],
  ["wetCrown", "plant"],
  ["velvetTest", "plant"],
  ["unknownKind", "plant"],
  ["thinLeaves", "plant"],
  ["neatNotKnown", "plant"],
  ["testLeaf", "ingredient"],
  ["stripsBloom", "plant"],
  ["smotherFlowers", "plant"],
  ["smotherBuds", "plant"],
  ["alcoholFlowers", "plant"],
  ["notSodden", "act"],
  ["flushAfter", "act"],
  ["peroxideTwice", "ingredient"],
  ["dryCrown", "ingredient"],
  ["cutLittle", "act"],
  ["sameGroupRunning", "plant"],
  ["resistance", "ingredient"],
  ["helpersAlive", "plant"],
  ["sprayedLately", "plant"],
  ["sprayFree", "ingredient"],
  ["coverTheMix", "act"],
  ["shake", "ingredient"],
  ["cleanHands", "act"],
  ["wipeTools", "act"],
  ["binTheMix", "act"],
  ["waste", "act"],
  ["leftovers", "ingredient"],
  ["dustOnlyDry", "ingredient"],
  ["cardsCatchMore", "act"],
  ["thirst", "plant"],
  ["repellentAtBest", "ingredient"],
] as const satisfies readonly (readonly [id: CautionReadId, about: About])[];

/** A sentence of the cautions before an act. */
export interface CautionsRead {
  readonly id: CautionReadId;
  /** `refuse`: not here, or not on this plant; `warn`: speaks up on this plant; `caution`: goes with it everywhere. */
  readonly level: Objection["level"] | "caution";
  readonly about: About;
}

/** What says the same as another sentence that is more to the point: it is left out where that one stands. */
const saidBy: Partial<Record<CautionId, Objection["code"]>> = {
  catsAndFish: "cats",
  neverOnFood: "eaten",
  resistance: "sameGroupRunning",
  testLeaf: "unknownKind",
  notSodden: "wetAlready",
};

/**
 * What is told before an act, each once: what is refused first, then in the order of harm, whether it comes from the act, its
 * ingredient, the plant, the home or the place. @example toldBefore([], ["label", "flammable", "label"]).map(({ id }) => id) // ["flammable", "label"]
 */
export function toldBefore(against: readonly Objection[], cautions: readonly CautionId[]): readonly CautionsRead[] {
  const levelOf = (id: CautionReadId): CautionsRead["level"] | null => {
    const own = against.filter(({ code }) => code === id);
    if (own.length > 0) return own.some(({ level }) => level === "refuse") ? "refuse" : own[0]!.level;
    if (!cautions.some((one) => one === id)) return null;
    const better = saidBy[id as CautionId];
    return better && against.some(({ code }) => code === better) ? null : "caution";
  };
  const inOrder = toldInOrder.flatMap(([id, about]): CautionsRead[] => {
    const level = levelOf(id);
    return level === null ? [] : [{ id, level, about }];
  });
  return [...inOrder.filter(({ level }) => level === "refuse"), ...inOrder.filter(({ level }) => level !== "refuse")];
}

/** Whether a refusal is the home's or the place's, not the plant's. @example isOfHome("cats") // true */
export function isOfHome(id: CautionReadId): boolean {
  const about = toldInOrder.find(([one]) => one === id)?.[1];
  return about === "household" || about === "place";
}
