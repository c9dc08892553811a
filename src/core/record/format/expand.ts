import { applicationEvents } from "../../acts/contact";
import type { CarriageQuestion } from "../../model/carriage/carriage";
import type { CaseHistory } from "../../model/clearance/history";
import { likelyScenario, scenariosWith, type Scenario } from "../../model/clearance/scenarios";
import { seeChances } from "../../model/inspection/see";
import { sitesOn } from "../../model/inspection/sitesOn";
import type { Habitat, Pest, PestId } from "../../knowledge/pests/pests";
import type { PopulationEvent } from "../../model/population/events";
import { MIX_PER_DAY, NOWHERE, type PerSite, type Sites } from "../../model/population/sites";
import { spotsOf } from "../../knowledge/plants/growthForms";
import type { KillRange } from "../../knowledge/remedies/remedies";
import { pestOfFile } from "./read";
import { remedyNamed, type CarriageFile, type CaseFile, type FileEvent } from "./schema";
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
  return {
    history: {
      pest,
      sites: sitesOf(file, pest),
      dailyMeanC: dailyMeans(file.temperature, zero),
      timeStepDays: file.timeStepDays,
      events: file.events.flatMap((event) => expandEvent(file, pest, event, daysSince(zero, event.at))),
    },
    scenarios: file.scenarios === "all" ? scenariosWith(file.reachPrior) : likelyScenario,
    asOfDays: daysSince(zero, file.asOf),
    dayZero: zero,
  };
}

/** The same for a carriage file. Day 0 is the day of `from`, UTC. */
export function expandCarriage(file: CarriageFile): CarriageQuestion {
  const pest = pestOfFile(file);
  const zero = new Date(Date.parse(file.from)).toISOString().slice(0, 10);
  const days = (at: string) => daysSince(zero, at);
  const { look, arrival, founders } = file;
  return {
    pest,
    sites: sitesOf(file, pest),
    dailyMeanC: dailyMeans(file.temperature, zero),
    timeStepDays: file.timeStepDays,
    fromDays: days(file.from),
    arrival,
    streams: founders.map(({ route, from, until, perDay }) => ({
      route,
      fromDays: days(from),
      untilDays: days(until),
      perDay,
    })),
    events: file.events.flatMap((event) => expandEvent(file, pest, event, days(event.at))),
    looks: look ? [chances(file, pest, "with" in look ? { look } : look)] : [],
    asOfDays: days(file.asOf),
  };
}

function sitesOf({ plant }: Pick<CaseFile, "plant">, pest: Pest): Sites {
  const { mixPerDay = MIX_PER_DAY } = plant;
  const { shelteredShare, deepShare } = "growthForm" in plant ? sitesOn(plant.growthForm, pest.id as PestId) : plant;
  return { shelteredShare, deepShare, mixPerDay };
}

type Looked = Pick<Extract<FileEvent, { type: "inspection" }>, "look" | "see">;

/** For each stage the chance that one animal is seen. */
function chances({ plant }: Pick<CaseFile, "plant">, pest: Pest, { look, see }: Looked): readonly PerSite[] {
  return look && "growthForm" in plant
    ? seeChances(pest, pest.id as PestId, plant.growthForm, { tool: look.with, spots: look.spots })
    : pest.stages.map((stage) => perSite(own(see, stage.id)));
}

/** Day by day from day 0; before the first reading that reading holds, after the last the last. */
function dailyMeans(temperature: CaseFile["temperature"], zero: string): readonly number[] {
  if (typeof temperature === "number") return [temperature];
  const { from, dailyMeanC } = temperature;
  const offset = Math.round(daysSince(from, zero));
  if (offset < 0) return [...Array.from({ length: -offset }, () => dailyMeanC[0]!), ...dailyMeanC];
  return dailyMeanC.slice(Math.min(offset, dailyMeanC.length - 1));
}

function expandEvent(
  file: Pick<CaseFile, "plant">,
  pest: Pest,
  event: FileEvent | CarriageFile["events"][number],
  atDays: number,
): readonly PopulationEvent[] {
  const form = "growthForm" in file.plant ? file.plant.growthForm : null;
  switch (event.type) {
    case "inspection": {
      const see = chances(file, pest, event);
      if (!("found" in event)) return [{ kind: "inspection", atDays, found: 0, removed: false, see }];
      const { found, removed, stages } = event;
      const among = stages?.map((id) => pest.stages.findIndex((stage) => stage.id === id));
      return [{ kind: "inspection", atDays, found, removed, see, ...(among && { among }) }];
    }
    case "treatment": {
      const { remedy, technique, potency, with: tool, spots } = event;
      if (remedy !== undefined && technique !== undefined) {
        const on = form ? { form, weights: pest.id as PestId, spots: spots ?? spotsOf(form) } : undefined;
        const how = { ...(potency !== undefined && { potency }), ...(tool && { tool }), ...(on && { on }) };
        return applicationEvents(pest, { remedy: remedyNamed(remedy), technique, ...how }, atDays);
      }
      const kill = pest.stages.map((stage) => range(own(event.kill, stage.id)));
      const touch = event.touch && pest.stages.map((stage) => perSite(own(event.touch, stage.id)));
      const cover = event.cover && { cover: byPlace(event.cover) };
      return [
        { kind: "treatment", atDays, kill, reach: byPlace(event.reach ?? {}), ...(touch && { touch }), ...cover },
      ];
    }
    case "lasting": {
      const dailyHazard = pest.stages.map((stage) => own(event.dailyHazard, stage.id) ?? 0);
      const untilDays = atDays + daysSince(event.at, event.until);
      const { layFactor, cover } = event;
      const effect = { dailyHazard, layFactor, ...(cover && { cover: perSite(cover) }) };
      return [{ kind: "lasting", atDays, untilDays, effect }];
    }
  }
}

type Written = readonly [number, number] | PerSite;

/** A list by site as the model takes it; a third number left out counts 0. */
function perSite(written: Written | undefined): PerSite {
  return written ? [written[0], written[1], written[2] ?? 0] : NOWHERE;
}

function byPlace(written: Partial<Record<Habitat, Written>>): Partial<Record<Habitat, PerSite>> {
  return Object.fromEntries(Object.entries(written).map(([where, sites]) => [where, perSite(sites)]));
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
