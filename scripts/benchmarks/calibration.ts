// Whether the chances are true: keepers are played from the model's own rules, and what is said of each is held against what was
// so. Then the same with the world other than the model believes. Prints Brier scores and reliability tables.
import { applicationEvents } from "../../src/core/acts/contact";
import type { CaseHistory } from "../../src/core/model/clearance/history";
import { reckon } from "../../src/core/model/clearance/reckon";
import { allScenarios, type Scenario } from "../../src/core/model/clearance/scenarios";
import { diceFrom, liveOn, type Dice } from "../../src/core/model/clearance/tests/simulate";
import { seeChances } from "../../src/core/model/inspection/see";
import { sitesOn } from "../../src/core/model/inspection/sitesOn";
import type { ToolId } from "../../src/core/model/inspection/tools";
import { pestOf, type PestId } from "../../src/core/knowledge/pests/pests";
import { eggToAdultDays } from "../../src/core/knowledge/pests/stageDurations";
import { spotsOf, type GrowthFormId } from "../../src/core/knowledge/plants/growthForms";
import type { InspectionEvent, PopulationEvent, TreatmentEvent } from "../../src/core/model/population/events";
import { layoutOf } from "../../src/core/model/population/layout";
import type { PerSite } from "../../src/core/model/population/sites";
import { stableGrowth } from "../../src/core/model/population/stable";
import { stepFor } from "../../src/core/model/population/step";
import { looksLikeLast } from "../../src/core/advice/planning/looks";
import { scorerOf } from "../../src/core/advice/planning/score";
import { searchSchedules } from "../../src/core/advice/planning/search";
import { spotsFor, type RemedyId, type TechniqueId } from "../../src/core/knowledge/remedies/remedies";

const KEEPERS = Number(process.env["KEEPERS"] ?? 1000);
const ROWS = 10;

/** How the world is otherwise than the model believes. */
interface World {
  readonly name: string;
  readonly kill: number;
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
const asBelieved: World = {
  ...{ name: "as the model believes", kill: 1, see: 1, warmerC: 0, deep: 1, hidden: 0, slower: 1, wanted: 95 },
};
const worlds: readonly World[] = [
  asBelieved,
  { ...asBelieved, name: "kill 20 % lower", kill: 0.8 },
  { ...asBelieved, name: "sight 30 % lower", see: 0.7 },
  { ...asBelieved, name: "2 °C warmer", warmerC: 2 },
  { ...asBelieved, name: "the deep share doubled", deep: 2 },
  { ...asBelieved, name: "5 % where nothing comes", hidden: 0.05 },
  { ...asBelieved, name: "stages 1.3 times as long", slower: 1.3 },
  { name: "all at once", kill: 0.8, see: 0.7, warmerC: 2, deep: 2, hidden: 0.05, slower: 1.3, wanted: 88 },
];
/** Who follows the plan, and who stops half-way. */
const keepers = ["follows the plan", "stops half-way"] as const;

const pests: readonly PestId[] = ["mealybug", "spiderMite", "thrips", "softScale", "aphid"];
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

interface Said {
  readonly pest: PestId;
  readonly p: number;
  readonly over: boolean;
  /** The whole rule for "clear": sure enough, two clean looks, and a generation since the last live one. */
  readonly clear: boolean;
}

/** One keeper: a find, the plan recommended for it, weekly looks; what is said at each clean look, and whether it was over then. */
function keeper(dice: Dice, world: World, follows: boolean): Said[] {
  const id = pick(dice, pests);
  const pest = pestOf(id);
  const form = pick(dice, forms);
  const [remedy, technique] = pick(dice, doses);
  const tool = pick(dice, ["eye", "lamp", "loupe"] as const);
  const meanC = 18 + 9 * dice.uniform();
  const sites = sitesOn(form, id);
  const see = (with_: ToolId): readonly PerSite[] => seeChances(pest, id, form, { tool: with_, spots: spotsOf(form) });
  const scenario = drawn(dice);

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
  const layout = layoutOf(truth.pest);
  const dt = stepFor(layout, truth.dailyMeanC[0]!, truth.timeStepDays);
  const shares = [...stableGrowth(layout, truth.sites, truth.dailyMeanC[0]!, dt).shares];
  const begun = 3 + Math.floor(40 * dice.uniform() ** 2);
  const life = liveOn(truth, shares, dt, scenario, dice, begun, world.hidden);
  const look = (atDays: number, chances: readonly PerSite[]): number => {
    const seen = life.look(chances.map((sites_) => sites_.map((chance) => chance * world.see) as unknown as PerSite));
    const event: InspectionEvent = { kind: "inspection", atDays, found: seen, removed: false, see: chances };
    believed.push(event);
    return seen;
  };
  if (look(0, see(tool)) === 0) return [];
  const on = { form, weights: id, spots: spotsFor(technique, form) };
  const treat = (atDays: number) => {
    const events = applicationEvents(pest, { remedy, technique, on }, atDays);
    const [treatment] = events as unknown as [TreatmentEvent];
    const kill = treatment.kill.map(({ low, likely, high }) => ({
      low: low * world.kill,
      likely: likely * world.kill,
      high: high * world.kill,
    }));
    life.treat({ ...treatment, kill });
    believed.push(...events);
  };
  const found = reckon({ pest, sites, dailyMeanC: [meanC], timeStepDays: 0.25, events: believed }, 0, allScenarios);
  const apply = { remedy, technique, on } as const;
  const request = { scorer: scorerOf(found), fromDay: 0, worksOn: () => true, target: 0.95, apply: () => apply };
  const plan = searchSchedules({ id: "t", then: { remedy, technique } }, { ...request, looks: looksLikeLast(found) })!;
  const whole = plan.best.days;
  const planned = follows ? whole : whole.slice(0, Math.ceil(whole.length / 2));
  const said: Said[] = [];
  const generation = eggToAdultDays(pest, meanC)!;
  let lastLive = 0;
  let lastTreated = 0;
  const clean: number[] = [];
  const days = planned.at(-1)! + 56;
  for (let day = 0; day <= days; day++) {
    if (day > 0) life.pass(1);
    if (life.hopeless()) return said;
    if (planned.includes(day)) {
      treat(day);
      lastTreated = day;
    }
    if (day === 0 || day % 7 !== 0) continue;
    if (look(day, see(tool)) > 0) {
      lastLive = day;
      clean.length = 0;
      continue;
    }
    const history: CaseHistory = { pest, sites, dailyMeanC: [meanC], timeStepDays: 0.25, events: believed };
    const { pClear } = reckon(history, day, allScenarios);
    const since = clean.filter((one) => one > lastTreated);
    if (day > lastTreated) since.push(day);
    clean.push(day);
    const clear = pClear >= 0.95 && since.length >= 2 && day - lastLive >= generation;
    said.push({ pest: id, p: pClear, over: life.left() === 0, clear });
  }
  return said;
}

function drawn({ uniform }: Dice): Scenario {
  let at = uniform();
  return allScenarios.find(({ prior }) => (at -= prior) < 0) ?? allScenarios.at(-1)!;
}

const share = (all: readonly Said[]) => (100 * all.filter(({ over }) => over).length) / all.length;

for (const [w, world] of worlds.entries()) {
  for (const [k, who] of keepers.entries()) {
    const dice = diceFrom(7000 + 10 * w + k);
    const said: Said[] = [];
    for (let i = 0; i < KEEPERS; i++) said.push(...keeper(dice, world, k === 0));
    const brier = said.reduce((sum, { p, over }) => sum + (p - Number(over)) ** 2, 0) / said.length;
    const clear = said.filter((one) => one.clear);
    const verdict = share(clear) >= world.wanted ? "ok" : "TOO FEW";
    console.log(
      `\n${world.name}; ${who}: ${KEEPERS} keepers, ${said.length} clean looks, Brier ${brier.toFixed(3)}\n` +
        `the whole rule for clear: ${clear.length} looks, really over ${share(clear).toFixed(1)} % (wanted ${world.wanted})   ${verdict}`,
    );
    if (verdict !== "ok") process.exitCode = 1;
    for (const pest of pests) {
      const its = clear.filter((one) => one.pest === pest);
      if (its.length > 0 && share(its) < world.wanted)
        console.log(`  ${pest}: ${its.length} looks, over ${share(its).toFixed(1)} %`);
    }
    for (let row = 0; row < ROWS; row++) {
      const there = said.filter(({ p }) => Math.min(ROWS - 1, Math.floor(p * ROWS)) === row);
      if (there.length === 0) continue;
      const mean = there.reduce((sum, { p }) => sum + p, 0) / there.length;
      console.log(
        `  said ${(10 * row).toString().padStart(3)}–${10 * row + 10} %: ${there.length.toString().padStart(6)} looks, in the mean ${(100 * mean).toFixed(1).padStart(5)} %, over ${share(there).toFixed(1).padStart(5)} %`,
      );
    }
  }
}
