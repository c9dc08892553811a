import type { MediumId } from "@/core/knowledge/roots/unpotting";
import type { dustedOn } from "@/core/acts/dust";
import { assertNever } from "@/core/shared/assertNever";
import type { Act, ActKindId } from "@/core/acts/acts";
import type { CleanedId, CleanerId } from "@/core/acts/clean";
import type { WetnessId } from "@/core/acts/drench";
import type { Cuttings, MechanicalWay } from "@/core/acts/mechanical";
import type { WorkId } from "@/core/acts/workIds";
import type { PlannedDose } from "@/core/record/facts/kinds/programme";
import type { CultureId, PredatorId, SystemicId } from "@/core/knowledge/remedies/lasting";
import { isMix, mixes, type MixId } from "@/core/knowledge/mixes/mixes";
import type { RemedyId } from "@/core/knowledge/remedies/remedies";
import type { SoilRemedyId } from "@/core/knowledge/remedies/soilRemedies";
import { volumeIn, type Units } from "../units";
import { dayCount } from "../dates";
import { mixNames, spotNames, techniqueNames, toolNames } from "./names";

export const actKindNames: Record<ActKindId, string> = {
  contact: "Spray, dab, wipe with a mix, or dunk",
  drench: "Water a mix into the pot",
  mechanical: "By hand: squash, wipe, shower, prune, unpot",
  systemic: "Give something to the roots",
  release: "Release predators",
  trap: "Hang cards, set out cups",
  dust: "Dust with mineral powder",
  culture: "Change how it is grown, against gnats",
  clean: "Clean around it: shelf, saucers, tent, pot, tools",
};

export const cuttingsNames: Record<Cuttings, string> = {
  binned: "Binned",
  putBack: "Put back into the same pot",
  potted: "Potted by themselves",
};

export const mechanicalNames: Record<MechanicalWay, string> = {
  squash: "Squashed",
  pickOff: "Picked off",
  litter: "Litter and dead sheaths taken off",
  dustOff: "Dust wiped off the leaves",
  wipe: "Wiped with water",
  shower: "Showered off",
  prune: "Pruned",
  unpot: "Unpotted, washed, new mix",
};

export const soilRemedyNames: Record<SoilRemedyId, string> = {
  neem: "Neem",
  bti: "Bti, bacteria against gnat larvae",
  peroxide: "Peroxide 3 %, one to one with water",
  soap: "Weak soap, then flushed until no foam is left",
};

export const wetnessNames: Record<WetnessId, string> = { dry: "Dry", moist: "Moist", sodden: "Sodden" };

export const systemicNames: Record<SystemicId, string> = {
  throughTheRoots: "Systemic insecticide through the roots",
  imidacloprid: "Imidacloprid, to the roots",
  dinotefuran: "Dinotefuran, to the roots",
  acetamipridRoots: "Acetamiprid, as sticks or granules",
};

export const predatorNames: Record<PredatorId, string> = {
  predatoryMites: "Predatory mites",
  lacewingLarvae: "Lacewing larvae",
  pirateBugs: "Pirate bugs",
  mealybugBeetles: "Lady beetles that eat mealybugs",
  nematodes: "Nematodes, in the water",
};

export const mediumNames: Record<MediumId, string> = {
  mix: "Potting mix",
  mineral: "Mineral mix",
  bark: "Bark",
  moss: "Sphagnum moss",
  other: "Something else",
};

export const dustedNames: Record<(typeof dustedOn)[number], string> = {
  leaves: "On the plant",
  mix: "On dry mix and saucer only, against gnats",
};

export const cultureNames: Record<CultureId, string> = {
  sandCap: "Sand on the mix",
  dryTop: "Top of the mix kept dry",
  waterFromBelow: "Watered from below",
  scaldedMix: "Scald new mix first",
  richFeed: "High-nitrogen feed",
};

export const cleanedNames: Record<CleanedId, string> = {
  shelf: "Shelf or sill",
  saucers: "Saucers and trays",
  tent: "Tent or cabinet",
  pot: "Pot, outside",
  tools: "Tools",
};

export const cleanerNames: Record<CleanerId, string> = {
  soapyWater: "Soapy water",
  weakPeroxide: "Weak peroxide, 3 %",
  alcohol: "Alcohol",
};

export const workNames: Record<WorkId, string> = {
  unpot: "Unpot and wash the roots",
  shower: "Shower off",
  rub: "Rub or scrape off what you can reach",
  prune: "Cut off the spike or the worst part",
  drenchNeem: "Water neem into the mix",
  drenchBti: "Water Bti into the mix",
  drenchPeroxide: "Water weak peroxide into the mix",
  systemic: "Give a systemic to the roots",
  predatoryMites: "Release predatory mites",
  lacewingLarvae: "Release lacewing larvae",
  pirateBugs: "Release pirate bugs",
  mealybugBeetles: "Release mealybug-eating lady beetles",
  nematodes: "Water nematodes into the mix",
};

/** What a step is done with. @example plannedName({ mix: "soapMild", technique: "spray" }) // the mix */
export function plannedName(planned: PlannedDose): string {
  return "work" in planned ? workNames[planned.work] : mixNames[planned.mix];
}

/** What a session is called. */
export function treatmentName(what: MixId | WorkId): string {
  return isMix(what) ? mixNames[what] : workNames[what];
}

/** The same with the way it is put on. */
export function plannedInWords(planned: PlannedDose): string {
  if ("work" in planned) return workNames[planned.work];
  return `${mixNames[planned.mix]}, ${techniqueNames[planned.technique].toLowerCase()}`;
}

/** A strength as it is said of each remedy. @example strengthAsSaid("neem", 5) // "5 mL a litre" */
function strengthAsSaid(remedy: RemedyId, strength: number): string {
  return remedy === "alcohol" || remedy === "oil" ? `${strength} %` : `${strength} mL per litre`;
}

/** What was done, as a line of the record, and what is to be told beside it. */
export function tellAct(act: Act, units: Units = "metric"): readonly [what: string, ...details: string[]] {
  switch (act.kind) {
    case "contact":
      return [
        `Treated: ${mixNames[act.mix]}`,
        `${techniqueNames[act.technique]}, ${volumeIn(act.volumeMl, units)}`,
        act.tool ? `searched with: ${toolNames[act.tool].toLowerCase()}` : "",
        act.seen === "none" ? "none seen: a clean look" : "",
        typeof act.strength === "number" ? `own strength: ${strengthAsSaid(mixes[act.mix].remedy, act.strength)}` : "",
      ];
    case "drench":
      return [
        `Watered in: ${soilRemedyNames[act.remedy]}`,
        volumeIn(act.volumeMl, units),
        act.before ? `on mix that was ${wetnessNames[act.before].toLowerCase()}` : "",
      ];
    case "mechanical": {
      const where = act.spots.map((spot) => spotNames[spot].toLowerCase()).join("; ");
      const share = act.percent === null ? "" : `${act.percent} % of the plant`;
      const roots = act.roots
        ? `${act.roots.leftPercent} % of the roots left, into a pot of ${act.roots.potCm} cm${act.roots.medium ? `, ${mediumNames[act.roots.medium].toLowerCase()}` : ""}${act.roots.dryDays > 0 ? `, dry for ${dayCount(act.roots.dryDays)}` : ""}`
        : "";
      return [
        mechanicalNames[act.way],
        share,
        act.cuttings && act.cuttings !== "binned" ? `cuttings: ${cuttingsNames[act.cuttings].toLowerCase()}` : "",
        act.tool ? toolNames[act.tool] : "",
        act.seen === "none" ? "none seen: a clean look" : "",
        roots,
        act.mix === "bare" ? "mix left uncovered" : "",
        where,
      ];
    }
    case "systemic":
      return [`Given to the roots: ${systemicNames[act.remedy].toLowerCase()}`, act.given];
    case "release":
      return [`Released: ${predatorNames[act.predator].toLowerCase()}`, `${act.sachets} sachets or tubes`];
    case "trap":
      return act.lure === "vinegar"
        ? [`Set out: ${act.cards} ${act.cards === 1 ? "cup" : "cups"} of vinegar`, `for ${dayCount(act.days)}`]
        : [`Hung: ${act.cards} ${act.cards === 1 ? "card" : "cards"}`, `for ${dayCount(act.days)}`];
    case "dust":
      return [act.on === "mix" ? "Mix and saucer dusted" : "Dusted", `dry for about ${dayCount(act.dryDays)}`];
    case "clean":
      return [`Cleaned: ${cleanedNames[act.what].toLowerCase()}`, `with ${cleanerNames[act.with].toLowerCase()}`];
    case "culture":
      return [cultureNames[act.way], `for ${dayCount(act.days)}`];
    default:
      return assertNever(act);
  }
}
