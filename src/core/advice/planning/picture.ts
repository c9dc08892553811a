import { followEach, reckonTimeline, type Reckoning } from "../../model/clearance/reckon";
import type { Scenario } from "../../model/clearance/scenarios";
import { diesIn, type PlacedTreatment } from "../../model/clearance/timeline";
import { bySite, byStage, type Layout } from "../../model/population/layout";
import { wayOf } from "../../model/population/passage";
import { DEEP, SITES, sharesOf } from "../../model/population/sites";
import { stepForward } from "../../model/population/step";
import { layOut, pGoneUnseen, type ComingDose, type Future } from "./future";

/** A case over time, one entry a day, ready to be drawn. Days are counted from the case's day 0. */
export interface Picture {
  readonly stages: readonly string[];
  /** For each part of a life, in its order, the index of its stage. */
  readonly parts: readonly number[];
  readonly days: readonly PictureDay[];
  readonly meetings: readonly Meeting[];
}

/** What a treatment meets. */
export interface Meeting {
  readonly day: number;
  /** By stage the chance that one animal dies of it, 0–1: the mean over the scenarios, and over where animals of that stage sit. */
  readonly dies: readonly number[];
}

export interface PictureDay {
  readonly day: number;
  /** Still to come, with the treatments planned. */
  readonly coming: boolean;
  /** Expected numbers by stage, the mean over the scenarios. */
  readonly expected: readonly number[];
  /** The same by parts of a life, in its order: who is about to hatch, who has just been laid. */
  readonly lives: readonly number[];
  /** Of all of them those in places where no brush and no spray comes. */
  readonly deep: number;
  /** Least and most of all animals together among the scenarios that still count. */
  readonly low: number;
  readonly high: number;
  /** Probability that nothing is left; null on days it was not reckoned for. */
  readonly pClear: number | null;
}

/** A scenario with less weight than this does not widen the band. */
const COUNTS_FROM = 0.02;
/** So many points are enough for a line; each costs a judgement. */
const POINTS = 40;

/**
 * The picture of a case from its first find to `untilDay`, with the treatments to come up to there. The past is drawn as
 * it is believed today; the line of certainty is what could be known on each day, and costs most of the time: `certain` false leaves it out.
 */
export function pictureOf(
  reckoning: Reckoning,
  coming: readonly ComingDose[],
  untilDay: number,
  certain = true,
): Picture {
  const { timeline, asOfStep, past, firstFind, weights, believed } = reckoning;
  const { layout, dt } = timeline;
  const firstDay = Math.ceil(past[firstFind]!.step * dt);
  const today = Math.floor(asOfStep * dt);
  const span = Math.max(untilDay, today) - firstDay + 1;
  const stages = layout.pest.stages.map((stage) => stage.id);
  const sums: Float64Array[][] = Array.from({ length: span }, () =>
    believed.map(() => new Float64Array(stages.length)),
  );
  const deep: number[][] = Array.from({ length: span }, () => believed.map(() => 0));
  const lives: Float64Array[][] = Array.from({ length: span }, () =>
    believed.map(() => new Float64Array(layout.substages)),
  );

  const note = (scenario: number, step: number, m: Float64Array) => {
    const day = step * dt;
    if (Math.abs(day - Math.round(day)) > 1e-9) return;
    const i = Math.round(day) - firstDay;
    if (!sums[i]) return;
    sums[i][scenario] = byStage(layout, m);
    deep[i]![scenario] = bySite(layout, m)[DEEP];
    lives[i]![scenario] = byPart(layout, m);
  };
  const now = followEach(reckoning, note);
  now.forEach((m, scenario) => note(scenario, asOfStep, m));
  const future = layOut(reckoning, untilDay, coming);
  goOn(reckoning, layout, future, now, note);
  const mean = (of: (scenario: number) => number) => believed.reduce((sum, _, k) => sum + weights[k]! * of(k), 0);

  const every = Math.ceil(span / POINTS);
  const days = sums.map((each, i): PictureDay => {
    const day = firstDay + i;
    const totals = each.map((m) => m.reduce((sum, n) => sum + n, 0));
    const counting = totals.filter((_, k) => weights[k]! >= COUNTS_FROM);
    const asked = certain && (i % every === 0 || day === today || i === span - 1);
    return {
      day,
      coming: day > today,
      expected: stages.map((_, stage) => mean((k) => each[k]![stage]!)),
      lives: Array.from({ length: layout.substages }, (_, part) => mean((k) => lives[i]![k]![part]!)),
      deep: mean((k) => deep[i]![k]!),
      low: Math.min(...counting),
      high: Math.max(...counting),
      pClear: asked ? pClearOn(reckoning, coming, day, today) : null,
    };
  });
  const treatments = [...past.slice(firstFind), ...future.events].filter((event) => event.kind === "treatment");
  return {
    stages,
    parts: Array.from({ length: layout.substages }, (_, part) => layout.stageOf[part * SITES]!),
    days,
    meetings: treatments.map((event) => ({
      day: Math.round(event.step * dt),
      dies: stages.map((_, stage) => mean((k) => diesOf(reckoning, event, believed[k]!.scenario, stage))),
    })),
  };
}

/** Numbers by part of a life, all three sites together. */
function byPart(layout: Layout, m: Float64Array): Float64Array {
  return Float64Array.from({ length: layout.substages }, (_, part) => {
    const at = part * SITES;
    return m[at]! + m[at + 1]! + m[at + DEEP]!;
  });
}

/** The chance that an animal of a stage dies of a treatment, over where such animals sit. */
function diesOf({ timeline }: Reckoning, event: PlacedTreatment, scenario: Scenario, stage: number): number {
  const dies = diesIn(event, scenario);
  const first = timeline.layout.firstOf[stage]!;
  return sharesOf(timeline.sites).reduce((sum, share, site) => sum + share * dies[first + site]!, 0);
}

function pClearOn(reckoning: Reckoning, coming: readonly ComingDose[], day: number, today: number): number {
  if (day === today) return reckoning.pClear;
  if (day > today) return pGoneUnseen(reckoning, layOut(reckoning, day, coming));
  return reckonTimeline(
    reckoning.timeline,
    day,
    reckoning.believed.map((b) => b.scenario),
    reckoning.rates,
  ).pClear;
}

/** Takes the expected numbers of each scenario on from now, through the treatments to come. */
function goOn(
  reckoning: Reckoning,
  layout: Layout,
  { events, lasting, end }: Future,
  now: readonly Float64Array[],
  note: (scenario: number, step: number, m: Float64Array) => void,
): void {
  const { asOfStep, believed } = reckoning;
  const way = wayOf(reckoning.timeline, lasting, asOfStep, end, reckoning.rates);
  for (const [k, { scenario }] of believed.entries()) {
    const m = now[k]!;
    let next = 0;
    for (let step = asOfStep; step <= end; step++) {
      for (let event = events[next]; event && event.step === step; event = events[++next]) {
        if (event.kind !== "treatment") continue;
        const dies = diesIn(event, scenario);
        for (let type = 0; type < layout.length; type++) m[type]! *= 1 - dies[type]!;
      }
      if (step > asOfStep) note(k, step, m);
      if (step < end) stepForward(way.rates[step - asOfStep]!, scenario.eggs, m);
    }
  }
}
