import { followEach, reckonTimeline, type Reckoning } from "../clearance/reckon";
import { diesIn, stepAt } from "../clearance/timeline";
import { bySite, byStage, type Layout } from "../population/layout";
import { wayOf } from "../population/passage";
import { DEEP } from "../population/sites";
import { stepForward } from "../population/step";
import { layOut, pGoneUnseen, type ComingDose } from "./future";

/** A case over time, one entry a day, ready to be drawn. Days are counted from the case's day 0. */
export interface Picture {
  readonly stages: readonly string[];
  readonly days: readonly PictureDay[];
}

export interface PictureDay {
  readonly day: number;
  /** Still to come, with the treatments planned. */
  readonly coming: boolean;
  /** Expected numbers by stage, the mean over the scenarios. */
  readonly expected: readonly number[];
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
 * it is believed today; the line of certainty is what could be known on each day.
 */
export function pictureOf(reckoning: Reckoning, coming: readonly ComingDose[], untilDay: number): Picture {
  const { timeline, asOfStep, past, firstFind, weights, believed } = reckoning;
  const { layout, dt } = timeline;
  const firstDay = Math.ceil(past[firstFind]!.step * dt);
  const today = Math.floor(asOfStep * dt);
  const span = Math.max(untilDay, today) - firstDay + 1;
  const stages = layout.pest.stages.map((stage) => stage.id);
  const sums: Float64Array[][] = Array.from({ length: span }, () =>
    believed.map(() => new Float64Array(stages.length)),
  );
  const deep = Array.from({ length: span }, () => 0);

  const note = (scenario: number, step: number, m: Float64Array) => {
    const day = step * dt;
    if (Math.abs(day - Math.round(day)) > 1e-9) return;
    const there = sums[Math.round(day) - firstDay];
    if (!there) return;
    there[scenario] = byStage(layout, m);
    deep[Math.round(day) - firstDay]! += weights[scenario]! * bySite(layout, m)[DEEP];
  };
  const now = followEach(reckoning, note);
  now.forEach((m, scenario) => note(scenario, asOfStep, m));
  goOn(reckoning, layout, coming, untilDay, now, note);

  const every = Math.ceil(span / POINTS);
  const days = sums.map((each, i): PictureDay => {
    const day = firstDay + i;
    const totals = each.map((m) => m.reduce((sum, n) => sum + n, 0));
    const counting = totals.filter((_, k) => weights[k]! >= COUNTS_FROM);
    const asked = i % every === 0 || day === today || i === span - 1;
    return {
      day,
      coming: day > today,
      expected: stages.map((_, stage) => each.reduce((sum, m, k) => sum + weights[k]! * m[stage]!, 0)),
      deep: deep[i]!,
      low: Math.min(...counting),
      high: Math.max(...counting),
      pClear: asked ? pClearOn(reckoning, coming, day, today) : null,
    };
  });
  return { stages, days };
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
  coming: readonly ComingDose[],
  untilDay: number,
  now: readonly Float64Array[],
  note: (scenario: number, step: number, m: Float64Array) => void,
): void {
  const { asOfStep, believed } = reckoning;
  const { events, lasting } = layOut(reckoning, untilDay, coming);
  const end = stepAt(reckoning.timeline.dt, untilDay);
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
