import { addDays } from "../../shared/days";
import { anyHome, homeObjections, type HomeObjection } from "../../knowledge/household/household";
import type { MixId } from "../../knowledge/mixes/mixes";
import { mixes, partsOf } from "../../knowledge/mixes/mixes";
import { potencyOf } from "../../knowledge/mixes/potency";
import type { GrowthFormId } from "../../knowledge/plants/growthForms";
import type { Sensitivity } from "../../knowledge/plants/sensitivities";
import type { TechniqueId } from "../../knowledge/remedies/remedies";
import type { TreatedPlant } from "./treatedPlant";
import { isBad } from "../../knowledge/remedies/reactions";

/** One reason against a mix on a plant: `refuse` means it must not be used, `warn` that the keeper decides. */
export interface Objection {
  readonly level: "refuse" | "warn";
  readonly code:
    | "oilOnShy"
    | "oilOnBloom"
    | "oilTooStrong"
    | "velvetTest"
    | "smotherFlowers"
    | "smotherBuds"
    | "alcoholFlowers"
    | "soapOnShy"
    | "alcoholOnShy"
    | "neatOnThin"
    | "neatNotKnown"
    | "stripsBloom"
    | "thinLeaves"
    | "wetInRest"
    | "wetCrown"
    | "mistFirst"
    | "dunkInRest"
    | "dunkWillNotDry"
    | "bigToDunk"
    | "reactedBefore"
    | "unknownKind"
    | "milkySap"
    | "spines"
    | "sameGroupRunning"
    | "helpersAlive"
    | "sprayedLately"
    | "alcoholOnRoots"
    | "wetAlready"
    | "dryRest"
    | "burntLately"
    | HomeObjection;
}

/** Forms without leaves: what runs between ribs, joints and stems dries slowly, and rots. */
const leafless: readonly GrowthFormId[] = ["tubercledCactus", "columnarCactus", "jointedCactus", "stemSucculent"];
/** From this width on a pot is too heavy to turn over with care (HOUSE). */
const HEAVY_POT_CM = 20;
/** How wet a technique leaves a plant: not at all, as a spray does, as a bath does. */
function wetness(technique: TechniqueId): 0 | 1 | 2 {
  if (technique === "dunk") return 2;
  return technique === "spray" || technique === "sprayAndSwab" || technique === "hastySpray" ? 1 : 0;
}

/**
 * What speaks against putting `mix` on a plant with `technique`; refusals come first, none gives an empty list. Neem is an oil:
 * what cannot bear oil cannot bear neem, but for velvet leaves by those who have tested it. Of a can it is what speaks against any of
 * its parts.
 * Source: common practice, no source; oil labels for the refusals, from memory.
 * @example objections({ ...fern, sensitivities: ["oilShy"] }, "oil1", "spray")[0] // refuse, oilOnShy
 */
export function objections(plant: TreatedPlant, mix: MixId, technique: TechniqueId): readonly Objection[] {
  const parts = partsOf(mix);
  if (parts.length > 1) {
    const all = parts.flatMap((part) => objections(plant, part, technique)).toSorted(refusalsFirst);
    return all.filter((one, i) => all.findIndex(({ code }) => code === one.code) === i);
  }
  const { remedy } = mixes[mix];
  const has = (s: Sensitivity) => plant.sensitivities.includes(s);
  const refused: Objection[] = [];
  const warned: Objection[] = [];
  const refuse = (when: boolean, code: Objection["code"]) => when && refused.push({ level: "refuse", code });
  const warn = (when: boolean, code: Objection["code"]) => when && warned.push({ level: "warn", code });
  const oily = remedy === "oil" || remedy === "neem";
  const tested = has("velvet") && mix === "neemWeak";
  const thin = has("thinLeaf") || has("velvet");

  refuse(oily && (has("oilShy") || has("velvet")) && !tested, "oilOnShy");
  warn(tested, "velvetTest");
  refuse(oily && has("waxBloom"), "oilOnBloom");
  refuse((mix === "oil2" || mix === "neemStrong") && thin && !has("oilShy"), "oilTooStrong");
  refuse(oily && plant.inFlower, "smotherFlowers");
  warn(oily && plant.inBud && !plant.inFlower, "smotherBuds");
  warn(remedy === "alcohol" && plant.inFlower, "alcoholFlowers");
  refuse(remedy === "soap" && has("soapShy"), "soapOnShy");
  refuse(remedy === "alcohol" && has("alcoholShy"), "alcoholOnShy");
  refuse(mix === "alcoholFull" && thin, "neatOnThin");
  const borne = hasBorne(plant, mix, technique);
  warn(mix === "alcoholFull" && !thin && !has("bearsNeat") && !borne, "neatNotKnown");
  warn(!oily && has("waxBloom"), "stripsBloom");
  warn(remedy !== "oil" && thin && !borne, "thinLeaves");
  refuse(reactedTo(plant, mix, technique), "reactedBefore");
  refuse(oily && burntLately(plant), "burntLately");

  refuse(remedy === "alcohol" && technique === "rootSoak", "alcoholOnRoots");
  const rests = has("winterDry") && plant.resting;
  warn(remedy === "alcohol" && rests, "mistFirst");
  refuse(technique === "dunk" && rests, "dunkInRest");
  refuse(technique === "dunk" && !rests && has("crownRot"), "dunkWillNotDry");
  warn(technique === "dunk" && !rests && !has("crownRot") && leafless.includes(plant.form), "dunkWillNotDry");
  warn(technique === "dunk" && plant.potCm >= HEAVY_POT_CM, "bigToDunk");
  warn(wetness(technique) === 1 && rests, "wetInRest");
  warn(wetness(technique) === 1 && has("crownRot"), "wetCrown");
  warn(!plant.known && !borne, "unknownKind");
  warn(has("milkySap"), "milkySap");
  warn(has("spiny"), "spines");
  const atHome = homeObjections(remedy, plant.home ?? anyHome, plant);
  return [...atHome, ...refused, ...warned].toSorted(refusalsFirst);
}

const refusalsFirst = (a: Objection, b: Objection) => Number(a.level === "warn") - Number(b.level === "warn");

/** What of a mix that was put on is of the same remedy as another; nothing where none is. */
const likeIn = (put: MixId, mix: MixId) => partsOf(put).find((part) => mixes[part].remedy === mixes[mix].remedy);

/** Whether the plant has borne as strong a mix of the remedy, put on as wet, without anything to be seen, and never badly. */
function hasBorne({ reactions }: TreatedPlant, mix: MixId, technique: TechniqueId): boolean {
  const same = reactions.flatMap((before) => {
    const like = likeIn(before.mix, mix);
    return like ? [{ ...before, mix: like }] : [];
  });
  const bore = ({ what, mix: put, technique: how }: TreatedPlant["reactions"][number]) =>
    what === "nothing" && potencyOf(put) >= potencyOf(mix) && wetness(how) >= wetness(technique);
  return same.some(bore) && !same.some(({ what }) => isBad(what));
}

/** Whether the plant has borne this badly before: as strong a mix of the remedy, or, where it rotted, as wet a technique. */
function reactedTo({ reactions, inFlower, inBud }: TreatedPlant, mix: MixId, technique: TechniqueId): boolean {
  return reactions.some((before) => {
    if (!isBad(before.what)) return false;
    const wet = wetness(before.technique);
    if (before.what === "rot") return wet > 0 && wetness(technique) >= wet;
    const like = likeIn(before.mix, mix);
    if (!like || potencyOf(like) > potencyOf(mix)) return false;
    return before.what !== "lostFlowers" || inFlower || inBud;
  });
}

/** Leaves that a treatment has burnt bear no oil for so many days (HOUSE). */
const HEALING_DAYS = 14;

function burntLately({ reactions, today }: TreatedPlant): boolean {
  return reactions.some(
    ({ what, day }) =>
      what === "scorch" &&
      day !== undefined &&
      today !== undefined &&
      day <= today &&
      addDays(day, HEALING_DAYS) > today,
  );
}

/** Whether a dunk would be called gentle on a plant; on one without leaves it never is. */
export function dunksGently({ form }: TreatedPlant): boolean {
  return !leafless.includes(form);
}
