import { costsOfAct, eventsOfAct, type Act } from "../../acts/acts";
import type { MechanicalWay } from "../../acts/mechanical";
import type { ToolId } from "../../model/inspection/tools";
import { expectedByStage } from "../../model/clearance/reckon";
import { pestOf, type PestId } from "../../knowledge/pests/pests";
import { isCut, spotsOf } from "../../knowledge/plants/growthForms";
import { restsDry, unwipedFor, type TreatedPlant, type Unwiped } from "../tolerance/treatedPlant";
import type { ActEvent } from "../../acts/kind";
import { withMore, type Schedule, type SearchRequest } from "./search";

/**
 * What hands do before any bottle is opened, in its order: what is seen comes off first, or water would wash it into the mix; what is
 * cut need not be cleaned; litter goes before anything falls on it; leaves are dusted and wiped before they are rinsed (common
 * practice, no source).
 */
export const preparationIds = [
  "pickOff",
  "prune",
  "litter",
  "dustOff",
  "wipe",
  "shower",
] as const satisfies readonly MechanicalWay[];
export type PreparationId = (typeof preparationIds)[number];

/** Why a plant is not prepared in a way. */
export type PreparationRefusal = Unwiped | "rests" | "noMix" | "fewAnimals" | "onePoint" | "wipedAnyhow" | "noLeaves";

export interface PreparationStep {
  readonly id: PreparationId;
  readonly minutes: number;
  /** The chance of clean looks after the plan, with this and all before it. */
  readonly pClean: number;
}

export interface Preparation {
  /** The chance of clean looks without any of it. */
  readonly without: number;
  readonly steps: readonly PreparationStep[];
  readonly left: readonly { readonly id: PreparationId; readonly why: PreparationRefusal }[];
}

/** So much of a plant is cut at most (common practice: a third), and none of it for fewer animals than this (HOUSE). */
const CUT_PERCENT = 30;
const WORTH_CUTTING = 50;

/**
 * What each step of preparation adds to a schedule of at least one treatment, done on its first day, one after the other.
 * @example prepare(request, "mealybug", hoya, "lamp", soapFourTimes).steps[0].id // "pickOff"
 */
export function prepare(
  request: SearchRequest,
  pest: PestId,
  bearer: TreatedPlant,
  tool: ToolId,
  schedule: Schedule,
): Preparation {
  const { form, potCm } = bearer;
  const target = { pest: pestOf(pest), weights: pest, form };
  const day = schedule.days[0]!;
  const animals = expectedByStage(request.scorer.reckoning).reduce((sum, n) => sum + n, 0);
  const left: { id: PreparationId; why: PreparationRefusal }[] = [];
  const steps: PreparationStep[] = [];
  const done: ActEvent[] = [];
  for (const id of preparationIds) {
    const why = whyNot(id, bearer, animals);
    if (why) {
      left.push({ id, why });
      continue;
    }
    const act: Act = {
      kind: "mechanical",
      way: id,
      tool: id === "pickOff" ? tool : null,
      percent: id === "prune" ? CUT_PERCENT : null,
      spots: [...spotsOf(form)],
    };
    done.push(...eventsOfAct(act, target, 0));
    const { pClean } = withMore(schedule, { atDays: day, dose: { events: [...done] } }, request);
    steps.push({ id, minutes: costsOfAct(act, potCm).minutes, pClean });
  }
  return { without: schedule.pClean, steps, left };
}

function whyNot(id: PreparationId, plant: TreatedPlant, animals: number): PreparationRefusal | null {
  const { sensitivities, form } = plant;
  if (id === "prune" && !isCut(form)) return "onePoint";
  if (id === "prune" && animals < WORTH_CUTTING) return "fewAnimals";
  if (id === "dustOff" && !spotsOf(form).some((spot) => spot === "underside")) return "noLeaves";
  // Where leaves may be wiped with water, dust goes with that; where they may not, a dry brush is all they bear.
  if (id === "dustOff" && unwipedFor(plant) === null) return "wipedAnyhow";
  if (id === "dustOff" && sensitivities.includes("waxBloom")) return "bloom";
  if (id === "wipe" && unwipedFor(plant)) return unwipedFor(plant);
  if (id === "shower" && restsDry(plant)) return "rests";
  return id === "litter" && form === "airPlant" ? "noMix" : null;
}
