import { applicationEvents, type Application } from "../acts/contact";
import type { PlacedEvent } from "../clearance/timeline";
import { placeInspection, placeTreatment, stepAt } from "../clearance/timeline";
import { applyBackward, pGone, type Reckoning } from "../clearance/reckon";
import { nobody } from "../population/layout";
import { backward, wayOf, type LastingSteps, type Way } from "../population/passage";
import type { PerSite } from "../population/sites";
import { stepBackward } from "../population/step";

/** A treatment to come. Days since the case's day 0. */
export interface ComingDose {
  readonly atDays: number;
  readonly dose: Application;
}

/** A look to come, supposed to find nothing; `see` is for each stage the chance that one animal is seen. */
export interface ComingLook {
  readonly atDays: number;
  readonly see: readonly PerSite[];
}

/** What is to come, laid out on the steps of a judged case. */
export interface Future {
  readonly events: readonly PlacedEvent[];
  readonly lasting: readonly LastingSteps[];
  /** The way up to `quietFrom`. */
  readonly way: Way;
  readonly end: number;
  /** From this step on nothing happens any more: no event, no lasting effect, no change of warmth. */
  readonly quietFrom: number;
}

interface Parts {
  readonly treatment: PlacedEvent & { kind: "treatment" };
  readonly lasting: readonly LastingSteps[];
}

/** What a dose is in numbers does not depend on its day: laid out once for each judged case. */
const parts = new WeakMap<Reckoning, Map<Application, Parts>>();

function partsOf(reckoning: Reckoning, dose: Application): Parts {
  const known = parts.get(reckoning) ?? new Map<Application, Parts>();
  parts.set(reckoning, known);
  const there = known.get(dose);
  if (there) return there;
  const { layout, dt } = reckoning.timeline;
  const [treatment, ...after] = applicationEvents(layout.pest, dose, 0);
  const lasting = after.map(({ untilDays, effect }) => ({ from: 0, until: stepAt(dt, untilDays), effect }));
  const made = { treatment: placeTreatment(layout, treatment, 0, 0), lasting };
  known.set(dose, made);
  return made;
}

/**
 * Lays out treatments and looks to come, up to `atDays`; those after it are left out. The days to come are as warm as the
 * case's own temperatures say, the last holding on. Throws RangeError for one that lies before the moment of judgement.
 */
export function layOut(
  reckoning: Reckoning,
  atDays: number,
  doses: readonly ComingDose[],
  looks: readonly ComingLook[] = [],
): Future {
  const { timeline, asOfStep } = reckoning;
  const { layout, dt } = timeline;
  const end = stepAt(dt, atDays);
  const lasting: LastingSteps[] = [...timeline.lasting];
  const events: PlacedEvent[] = [];
  for (const { atDays: at, dose } of doses) {
    const step = stepAt(dt, at);
    if (step > end) continue;
    const { treatment, lasting: after } = partsOf(reckoning, dose);
    events.push({ ...treatment, step });
    for (const { from, until, effect } of after) lasting.push({ from: step + from, until: step + until, effect });
  }
  for (const { atDays: at, see } of looks) {
    const step = stepAt(dt, at);
    const look = { kind: "inspection", atDays: at, found: 0, removed: false, see } as const;
    if (step <= end) events.push(placeInspection(layout, look, step, 0));
  }
  if (events.some(({ step }) => step < asOfStep)) throw new RangeError("what is to come lies in the past");
  const warmthSettled = stepAt(dt, timeline.dailyMeanC.length - 1);
  const busy = [asOfStep, warmthSettled, ...events.map((event) => event.step), ...lasting.map((l) => l.until)];
  const quietFrom = Math.min(end, Math.max(...busy));
  return {
    // Of one day the treatment is first, as it is in the keeper's hand.
    events: events.toSorted((a, b) => a.step - b.step),
    lasting,
    way: wayOf(timeline, lasting, asOfStep, quietFrom, reckoning.rates),
    end,
    quietFrom,
  };
}

/** What quiet steps make of "not gone", by reckoning and then by egg factor and number of steps: schedules share them. */
const quiet = new WeakMap<Reckoning, Map<string, Float64Array>>();

/** For one animal of each type: that its line is gone after so many quiet steps. The caller's own copy. */
function goneAfterQuiet(reckoning: Reckoning, eggs: number, steps: number): Float64Array {
  const known = quiet.get(reckoning) ?? new Map<string, Float64Array>();
  quiet.set(reckoning, known);
  const key = `${eggs} ${steps}`;
  const there = known.get(key);
  if (there) return there.slice();
  const { layout, dailyMeanC } = reckoning.timeline;
  const rates = reckoning.rates.of(dailyMeanC.at(-1)!, []);
  const v = nobody(layout);
  for (let step = 0; step < steps; step++) stepBackward(rates, eggs, v);
  known.set(key, v);
  return v.slice();
}

/** Probability that nothing is left at the end of a future and that none of its looks saw anything. */
export function pGoneUnseen(reckoning: Reckoning, future: Future): number {
  const steps = future.end - future.quietFrom;
  return chanceOf(reckoning, future, (eggs) => goneAfterQuiet(reckoning, eggs, steps));
}

/** Probability that none of the looks of a future sees anything. */
export function pUnseen(reckoning: Reckoning, future: Future): number {
  return chanceOf(reckoning, future, () => new Float64Array(reckoning.timeline.layout.length).fill(1));
}

/** `atQuiet` gives the values at the step from which on all is quiet, for an egg factor. */
function chanceOf(
  reckoning: Reckoning,
  { events, way, quietFrom }: Future,
  atQuiet: (eggs: number) => Float64Array,
): number {
  const { timeline, asOfStep } = reckoning;
  return pGone(reckoning, (scenario) => {
    const v = atQuiet(scenario.eggs);
    let step = quietFrom;
    for (let i = events.length - 1; i >= 0; i--) {
      const event = events[i]!;
      backward(way, scenario.eggs, v, event.step, step);
      step = event.step;
      applyBackward(timeline.layout, event, scenario, v);
    }
    backward(way, scenario.eggs, v, asOfStep, step);
    return v;
  });
}
