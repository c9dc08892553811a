// Keepers played from the rules of the model, animal by animal, with what is said of their cases.
import { applicationEvents } from "../../src/core/acts/contact";
import type { CaseHistory } from "../../src/core/model/clearance/history";
import { reckon } from "../../src/core/model/clearance/reckon";
import { byReach, scenariosWith } from "../../src/core/model/clearance/scenarios";
import { type Dice } from "../../src/core/model/clearance/tests/dice";
import { colonyOf, drawnScenario } from "../../src/core/model/clearance/tests/lives";
import { chancesBeside } from "../../src/core/model/inspection/detectionProbability";
import { seeChances, seeShare } from "../../src/core/model/inspection/see";
import { sitesOn } from "../../src/core/model/inspection/sitesOn";
import { likelihoodOf, type ReachWeights } from "../../src/core/model/learning/reach";
import type { SightTold } from "../../src/core/model/learning/sight";
import type { ToolId } from "../../src/core/model/inspection/tools";
import { pestOf, type PestId } from "../../src/core/knowledge/pests/pests";
import { eggToAdultDays } from "../../src/core/knowledge/pests/stageDurations";
import { spotsOf, type GrowthFormId } from "../../src/core/knowledge/plants/growthForms";
import type { InspectionEvent, PopulationEvent, TreatmentEvent } from "../../src/core/model/population/events";
import type { PerSite } from "../../src/core/model/population/sites";
import { looksLikeLast } from "../../src/core/advice/planning/looks";
import { scorerOf } from "../../src/core/advice/planning/score";
import { searchSchedules } from "../../src/core/advice/planning/search";
import { spotsFor, type RemedyId, type TechniqueId } from "../../src/core/knowledge/remedies/remedies";

/** How the world is otherwise than the model believes. */
export interface World {
  readonly name: string;
  readonly kill: number;
  /** Factor on what treatments miss. */
  readonly miss: number;
  readonly see: number;
  readonly warmerC: number;
  readonly deep: number;
  /** The share that sits where neither eye nor hand nor spray comes. */
  readonly hidden: number;
  /** How much longer every stage takes. */
  readonly slower: number;
  /** Of those that the whole rule calls clear so many must really be over, %. */
  readonly wanted: number;
}
export const asBelieved: World = {
  ...{ name: "as the model believes", kill: 1, miss: 1, see: 1, warmerC: 0, deep: 1, hidden: 0, slower: 1, wanted: 95 },
};

export const pests: readonly PestId[] = ["mealybug", "spiderMite", "thrips", "softScale", "aphid"];
const forms: readonly GrowthFormId[] = [
  "trailingVine",
  "clumpingFoliage",
  "climbingAroid",
  "uprightShrub",
  "fanOrchid",
];
const doses: readonly (readonly [RemedyId, TechniqueId])[] = [
  ["alcohol", "sprayAndSwab"],
  ["soap", "sprayAndSwab"],
  ["soap", "dunk"],
  ["oil", "spray"],
];

const pick = <T>({ uniform }: Dice, all: readonly T[]): T => all[Math.floor(uniform() * all.length)]!;

export interface Said {
  readonly pest: PestId;
  readonly p: number;
  readonly over: boolean;
  /** The whole rule for "clear": sure enough, two clean looks, and a generation since the last live one. */
  readonly clear: boolean;
}

/** How a keeper works, and what is known of them. */
export interface Keeper {
  /** Whether the whole plan is carried out; else half of it. */
  readonly follows: boolean;
  /** What they put on and look with; anything where left out. */
  readonly dose?: readonly [RemedyId, TechniqueId];
  readonly tool?: ToolId;
  /** Each look is followed by one with lamp and loupe that sees as we suppose, so that it shows what the first passed. */
  readonly looksTwice?: boolean;
  /** What their cases have told of what they miss, and how much of what our estimate sees they see; our estimates where left out. */
  readonly reach?: ReachWeights;
  readonly sees?: number;
}

export interface Lived {
  readonly said: readonly Said[];
  /** What its whole course tells of the hand; null where it was not treated. */
  readonly toldReach: ReachWeights | null;
  /** What its looks tell of the eye. */
  readonly toldSight: readonly SightTold[];
}

/** One case of a keeper: a find, the plan recommended for it, weekly looks; what is said at each clean look, and whether it was over then. */
export function keeper(dice: Dice, world: World, { reach, sees = 1, looksTwice = false, ...works }: Keeper): Lived {
  const id = pick(dice, pests);
  const pest = pestOf(id);
  const form = pick(dice, forms);
  const [remedy, technique] = works.dose ?? pick(dice, doses);
  const tool = works.tool ?? pick(dice, ["eye", "lamp", "loupe"] as const);
  const meanC = 18 + 9 * dice.uniform();
  const sites = sitesOn(form, id);
  const see = (with_: ToolId): readonly PerSite[] => seeChances(pest, id, form, { tool: with_, spots: spotsOf(form) });
  const scenario = drawnScenario(dice, world.miss);
  const scenarios = scenariosWith(reach);

  // What really is there before the find: a colony of unknown size, found as the tool finds.
  const slower = pest.stages.map((stage) => ({ ...stage, degreeDays: stage.degreeDays * world.slower }));
  const truth: CaseHistory = {
    pest: { ...pest, stages: slower },
    sites: { ...sites, deepShare: Math.min(1, sites.deepShare * world.deep) },
    dailyMeanC: [meanC + world.warmerC],
    timeStepDays: 0.25,
    events: [],
  };
  const believed: PopulationEvent[] = [];
  const begun = 3 + Math.floor(40 * dice.uniform() ** 2);
  const life = colonyOf(begun, truth, scenario, dice, world.hidden);
  const toldSight: SightTold[] = [];
  /** How much of what our estimate sees a look sees, and how much of it is known. */
  const lookWith = (atDays: number, with_: ToolId, really: number, known: number): number => {
    const seen = life.look(seeShare(see(with_), really));
    const event: InspectionEvent = {
      ...{ kind: "inspection", atDays, found: seen, removed: false },
      see: seeShare(see(with_), known),
    };
    believed.push(event);
    return seen;
  };
  const beside = chancesBeside(id, form, 22, { tool, spots: spotsOf(form) }, { tool: "loupe", spots: spotsOf(form) });
  const look = (atDays: number): number => {
    const seen = lookWith(atDays, tool, world.see, sees);
    if (!looksTwice) return seen;
    const animals = lookWith(atDays, "loupe", 1, 1);
    if (animals > 0 && beside.ofSeen > 0) toldSight.push({ saw: seen > 0, animals, ...beside });
    return seen + animals;
  };
  if (look(0) === 0) return { said: [], toldReach: null, toldSight };
  const on = { form, weights: id, spots: spotsFor(technique, form) };
  let treatments = 0;
  const treat = (atDays: number) => {
    const events = applicationEvents(pest, { remedy, technique, on }, atDays);
    const [treatment] = events as unknown as [TreatmentEvent];
    treatments++;
    const kill = treatment.kill.map(({ low, likely, high }) => ({
      low: low * world.kill,
      likely: likely * world.kill,
      high: high * world.kill,
    }));
    life.treat({ ...treatment, kill });
    believed.push(...events);
  };
  const found = reckon({ pest, sites, dailyMeanC: [meanC], timeStepDays: 0.25, events: believed }, 0, scenarios);
  const apply = { remedy, technique, on } as const;
  const request = { scorer: scorerOf(found), fromDay: 0, worksOn: () => true, target: 0.95, apply: () => apply };
  const plan = searchSchedules({ id: "t", then: { remedy, technique } }, { ...request, looks: looksLikeLast(found) })!;
  const whole = plan.best.days;
  const planned = works.follows ? whole : whole.slice(0, Math.ceil(whole.length / 2));
  const historyNow = (): CaseHistory => ({ pest, sites, dailyMeanC: [meanC], timeStepDays: 0.25, events: believed });
  const said: Said[] = [];
  const lived = (day: number): Lived => {
    const weights = byReach(reckon(historyNow(), day, scenarios).weights);
    return { said, toldReach: treatments > 0 ? likelihoodOf(weights, reach) : null, toldSight };
  };
  const generation = eggToAdultDays(pest, meanC)!;
  let lastLive = 0;
  let lastTreated = 0;
  const clean: number[] = [];
  const days = planned.at(-1)! + 56;
  for (let day = 0; day <= days; day++) {
    if (day > 0) life.pass(1);
    if (life.hopeless()) {
      look(day);
      return lived(day);
    }
    if (planned.includes(day)) {
      treat(day);
      lastTreated = day;
    }
    if (day === 0 || day % 7 !== 0) continue;
    if (look(day) > 0) {
      lastLive = day;
      clean.length = 0;
      continue;
    }
    const { pClear } = reckon(historyNow(), day, scenarios);
    const since = clean.filter((one) => one > lastTreated);
    if (day > lastTreated) since.push(day);
    clean.push(day);
    const clear = pClear >= 0.95 && since.length >= 2 && day - lastLive >= generation;
    said.push({ pest: id, p: pClear, over: life.left() === 0, clear });
  }
  return lived(days);
}

/** How many of them were really over, %. */
export const shareOver = (all: readonly Said[]) => (100 * all.filter(({ over }) => over).length) / all.length;
