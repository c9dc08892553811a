import { applicationEvents, type Application } from "../../acts/contact";
import type { ActEvent } from "../../acts/kind";
import type { PlacedEvent, PlacedInspection } from "../../model/clearance/timeline";
import { placeInspection, placeTreatment, stepAt } from "../../model/clearance/timeline";
import { applyBackward, pGone, type Reckoning } from "../../model/clearance/reckon";
import { nobody } from "../../model/population/layout";
import { backward, wayOf, type LastingSteps, type Way } from "../../model/population/passage";
import type { PerSite } from "../../model/population/sites";
import { stepBackward } from "../../model/population/step";

/** Something done that is no dose of a remedy, as the model takes it; its times count from when it is done. */
export interface ComingAct {
  readonly events: readonly ActEvent[];
}

/** A treatment to come. Days since the case's day 0. */
export interface ComingDose {
  readonly atDays: number;
  readonly dose: Application | ComingAct;
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
  readonly treatments: readonly (PlacedEvent & { kind: "treatment" })[];
  readonly lasting: readonly LastingSteps[];
}

/** What a dose is in numbers does not depend on its day: laid out once for each judged case. */
const parts = new WeakMap<Reckoning, Map<ComingDose["dose"], Parts>>();

function partsOf(reckoning: Reckoning, dose: ComingDose["dose"]): Parts {
  const known = parts.get(reckoning) ?? new Map<ComingDose["dose"], Parts>();
  parts.set(reckoning, known);
  const there = known.get(dose);
  if (there) return there;
  const { layout, dt } = reckoning.timeline;
  const events = "events" in dose ? dose.events : applicationEvents(layout.pest, dose, 0);
  const made = {
    treatments: events.flatMap((event) =>
      event.kind === "treatment" ? [placeTreatment(layout, event, stepAt(dt, event.atDays), 0)] : [],
    ),
    lasting: events.flatMap((event) =>
      event.kind === "lasting"
        ? [{ from: stepAt(dt, event.atDays), until: stepAt(dt, event.untilDays), effect: event.effect }]
        : [],
    ),
  };
  known.set(dose, made);
  return made;
}

/** A clean look in numbers does not depend on its day either. */
const seen = new WeakMap<Reckoning, Map<ComingLook["see"], PlacedInspection>>();

function lookOf(reckoning: Reckoning, see: ComingLook["see"]): PlacedInspection {
  const known = seen.get(reckoning) ?? new Map<ComingLook["see"], PlacedInspection>();
  seen.set(reckoning, known);
  const look = { kind: "inspection", atDays: 0, found: 0, removed: false, see } as const;
  const made = known.get(see) ?? placeInspection(reckoning.timeline.layout, look, 0, 0);
  known.set(see, made);
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
  const { dt } = timeline;
  const end = stepAt(dt, atDays);
  const lasting: LastingSteps[] = [...timeline.lasting];
  const events: PlacedEvent[] = [];
  for (const { atDays: at, dose } of doses) {
    const step = stepAt(dt, at);
    if (step > end) continue;
    const { treatments, lasting: after } = partsOf(reckoning, dose);
    for (const treatment of treatments) events.push({ ...treatment, step: step + treatment.step });
    for (const { from, until, effect } of after) lasting.push({ from: step + from, until: step + until, effect });
  }
  for (const { atDays: at, see } of looks) {
    const step = stepAt(dt, at);
    if (step <= end) events.push({ ...lookOf(reckoning, see), step });
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
  return chanceOf(reckoning, future, `gone ${steps}`, (eggs) => goneAfterQuiet(reckoning, eggs, steps));
}

/** Probability that none of the looks of a future sees anything. */
export function pUnseen(reckoning: Reckoning, future: Future): number {
  return chanceOf(reckoning, future, "unseen", () => new Float64Array(reckoning.timeline.layout.length).fill(1));
}

/** Ends of futures that have been reckoned, by reckoning; each holds the values of every scenario before its first event. */
const ends = new WeakMap<Reckoning, Map<string, readonly Float64Array[]>>();
/** So many are kept; then they are forgotten, and made anew as they are needed. */
const MOST_ENDS = 3000;

const numbers = new WeakMap<object, number>();
let lastNumber = 0;

/** The same number for the same object. */
function numberOf(one: object): number {
  const known = numbers.get(one);
  if (known !== undefined) return known;
  numbers.set(one, ++lastNumber);
  return lastNumber;
}

/** What happens from step to step, in a few letters: which rates hold for how long. */
function stretch({ from, rates }: Way, begin: number, end: number): string {
  let key = "";
  for (let step = begin; step < end;) {
    const same = rates[step - from]!;
    let until = step + 1;
    while (until < end && rates[until - from] === same) until++;
    key += ` ${numberOf(same)}×${until - step}`;
    step = until;
  }
  return key;
}

/**
 * `atQuiet` gives the values at the step from which on all is quiet, for an egg factor; `quietly` names them.
 * Schedules that end alike share their ends: what lies behind an event depends on nothing before it.
 */
function chanceOf(
  reckoning: Reckoning,
  { events, way, quietFrom }: Future,
  quietly: string,
  atQuiet: (eggs: number) => Float64Array,
): number {
  const { timeline, asOfStep, believed } = reckoning;
  const known = ends.get(reckoning) ?? new Map<string, readonly Float64Array[]>();
  ends.set(reckoning, known);
  if (known.size > MOST_ENDS) known.clear();

  // The names of all ends, from the last event to the first.
  const keys: string[] = [];
  let key = quietly;
  for (let i = events.length - 1; i >= 0; i--) {
    const event = events[i]!;
    key += `${stretch(way, event.step, events[i + 1]?.step ?? quietFrom)};${numberOf(event.kind === "treatment" ? event.dies : event.see)}`;
    keys[i] = key;
  }
  let reached = keys.findIndex((one) => known.has(one));
  if (reached < 0) reached = events.length;
  let values = known.get(keys[reached] ?? "") ?? believed.map(({ scenario }) => atQuiet(scenario.eggs));
  for (let i = reached - 1; i >= 0; i--) {
    const event = events[i]!;
    const before = believed.map(({ scenario }, k) => {
      const v = values[k]!.slice();
      backward(way, scenario.eggs, v, event.step, events[i + 1]?.step ?? quietFrom);
      applyBackward(timeline.layout, event, scenario, v);
      return v;
    });
    known.set(keys[i]!, before);
    values = before;
  }
  return pGone(reckoning, (scenario, k) => {
    const v = values[k]!.slice();
    backward(way, scenario.eggs, v, asOfStep, events[0]?.step ?? quietFrom);
    return v;
  });
}
