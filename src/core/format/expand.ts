import { applicationEvents } from "../acts/contact";
import type { CaseHistory } from "../clearance/history";
import { allScenarios, likelyScenario, type Scenario } from "../clearance/scenarios";
import { seeChances } from "../inspection/see";
import type { Pest, PestId } from "../pests/pests";
import { shelteredShare } from "../plants/spotWeights";
import type { PopulationEvent } from "../population/events";
import { MIX_PER_DAY } from "../population/step";
import type { KillRange } from "../remedies/remedies";
import { pestOfFile } from "./read";
import { remedyNamed, type CaseFile, type FileEvent } from "./schema";
import { dayZero, daysSince } from "./times";

/** A case file in numbers, ready to be reckoned. */
export interface ExpandedCase {
  readonly history: CaseHistory;
  readonly scenarios: readonly Scenario[];
  readonly asOfDays: number;
  /** The date of day 0. */
  readonly dayZero: string;
}

/** Puts numbers for every name in a case file that has been read without problems. */
export function expand(file: CaseFile): ExpandedCase {
  const pest = pestOfFile(file);
  const zero = dayZero(file);
  const { plant } = file;
  const share = "growthForm" in plant ? shelteredShare(plant.growthForm, pest.id as PestId) : plant.shelteredShare;
  return {
    history: {
      pest,
      sites: { shelteredShare: share, mixPerDay: plant.mixPerDay ?? MIX_PER_DAY },
      dailyMeanC: dailyMeans(file.temperature, zero),
      timeStepDays: file.timeStepDays,
      events: file.events.flatMap((event) => expandEvent(file, pest, event, daysSince(zero, event.at))),
    },
    scenarios: file.scenarios === "all" ? allScenarios : likelyScenario,
    asOfDays: daysSince(zero, file.asOf),
    dayZero: zero,
  };
}

/** Day by day from day 0; before the first reading that reading holds, after the last the last. */
function dailyMeans(temperature: CaseFile["temperature"], zero: string): readonly number[] {
  if (typeof temperature === "number") return [temperature];
  const { from, dailyMeanC } = temperature;
  const offset = Math.round(daysSince(from, zero));
  if (offset < 0) return [...Array.from({ length: -offset }, () => dailyMeanC[0]!), ...dailyMeanC];
  return dailyMeanC.slice(Math.min(offset, dailyMeanC.length - 1));
}

function expandEvent(file: CaseFile, pest: Pest, event: FileEvent, atDays: number): readonly PopulationEvent[] {
  const form = "growthForm" in file.plant ? file.plant.growthForm : null;
  switch (event.type) {
    case "inspection": {
      const { found, removed, look, see } = event;
      const chances =
        look && form
          ? seeChances(pest, pest.id as PestId, form, { tool: look.with, spots: look.spots })
          : pest.stages.map((stage) => own(see, stage.id) ?? ([0, 0] as const));
      return [{ kind: "inspection", atDays, found, removed, see: chances }];
    }
    case "treatment": {
      if (event.remedy !== undefined && event.technique !== undefined) {
        const on = form && event.spots ? { form, weights: pest.id as PestId, spots: event.spots } : undefined;
        const remedy = remedyNamed(event.remedy);
        return applicationEvents(pest, { remedy, technique: event.technique, ...(on && { on }) }, atDays);
      }
      const kill = pest.stages.map((stage) => range(own(event.kill, stage.id)));
      const touch = event.touch && pest.stages.map((stage) => own(event.touch, stage.id) ?? ([0, 0] as const));
      return [{ kind: "treatment", atDays, kill, reach: event.reach ?? {}, ...(touch && { touch }) }];
    }
    case "lasting": {
      const dailyHazard = pest.stages.map((stage) => own(event.dailyHazard, stage.id) ?? 0);
      const untilDays = atDays + daysSince(event.at, event.until);
      return [{ kind: "lasting", atDays, untilDays, effect: { dailyHazard, layFactor: event.layFactor } }];
    }
  }
}

/** What a file says of a stage. Stages may bear any name, also one that every object has. */
function own<T>(byStage: Readonly<Record<string, T>> | undefined, stage: string): T | undefined {
  return byStage && Object.hasOwn(byStage, stage) ? byStage[stage] : undefined;
}

function range(kill: number | KillRange | undefined): KillRange {
  if (typeof kill === "object") return kill;
  const chance = kill ?? 0;
  return { low: chance, likely: chance, high: chance };
}
