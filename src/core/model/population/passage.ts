import type { Layout } from "./layout";
import type { Sites } from "./sites";
import { goOf, ratesOf, stepBackward, type LastingEffect, type StepRates } from "./step";

/** A lasting effect in force from step `from` (included) until step `until` (excluded). */
export interface LastingSteps {
  readonly from: number;
  readonly until: number;
  readonly effect: LastingEffect;
}

export interface Surroundings {
  readonly layout: Layout;
  readonly sites: Sites;
  /** Mean temperature of each day from day 0 on, °C; the last holds for all days after. Not empty. */
  readonly dailyMeanC: readonly number[];
  /** Length of a step in days. */
  readonly dt: number;
}

/** The rates of every step from step `from` on; steps of the same warmth and effects share theirs. */
export interface Way {
  readonly from: number;
  readonly rates: readonly StepRates[];
}

/** Mean temperature in a step; a step that begins a hair before midnight by rounding belongs to the day it begins. */
function meanCAt({ dailyMeanC, dt }: Pick<Surroundings, "dailyMeanC" | "dt">, step: number): number {
  const day = Math.floor(step * dt + 1e-9);
  return dailyMeanC[Math.min(Math.max(day, 0), dailyMeanC.length - 1)]!;
}

/** Makes the rates of steps, each only once for a warmth and the effects in force. */
export class Rates {
  private readonly go: Float64Array;
  private readonly quiet = new Map<number, StepRates>();
  private readonly changed = new Map<string, StepRates>();
  private readonly effects = new Map<LastingEffect, number>();

  constructor(private readonly surroundings: Surroundings) {
    if (surroundings.dailyMeanC.length === 0) throw new RangeError("there is no temperature");
    this.go = goOf(surroundings.sites, surroundings.dt);
  }

  /** The rates of a step in which these effects are in force. */
  of(meanC: number, active: readonly LastingEffect[]): StepRates {
    if (active.length === 0) {
      let rates = this.quiet.get(meanC);
      if (!rates) this.quiet.set(meanC, (rates = this.make(meanC, active)));
      return rates;
    }
    const key = `${meanC} ${active.map((effect) => this.numberOf(effect)).join(" ")}`;
    let rates = this.changed.get(key);
    if (!rates) this.changed.set(key, (rates = this.make(meanC, active)));
    return rates;
  }

  private numberOf(effect: LastingEffect): number {
    const known = this.effects.get(effect);
    if (known !== undefined) return known;
    this.effects.set(effect, this.effects.size);
    return this.effects.size - 1;
  }

  private make(meanC: number, active: readonly LastingEffect[]): StepRates {
    const { layout, dt } = this.surroundings;
    return ratesOf(layout, this.go, meanC, dt, active);
  }
}

/** The way from step `from` (included) to step `to` (excluded). Throws RangeError when there is no temperature. */
export function wayOf(
  surroundings: Surroundings,
  lasting: readonly LastingSteps[],
  from: number,
  to: number,
  known = new Rates(surroundings),
): Way {
  const changes = new Set(lasting.flatMap((one) => [one.from, one.until]));
  const rates: StepRates[] = [];
  let active: LastingEffect[] = [];
  for (let step = from; step < to; step++) {
    if (lasting.length > 0 && (step === from || changes.has(step))) active = inForce(lasting, step);
    rates.push(known.of(meanCAt(surroundings, step), active));
  }
  return { from, rates };
}

/** The effects in force in a step. */
function inForce(lasting: readonly LastingSteps[], step: number): LastingEffect[] {
  const there = lasting.filter((one) => one.from <= step && step < one.until);
  const renewed = ({ from, effect: { renews } }: LastingSteps, i: number) =>
    renews !== undefined &&
    there.some((other, j) => other.effect.renews === renews && (other.from > from || (other.from === from && j > i)));
  return there.filter((one, i) => !renewed(one, i)).map((one) => one.effect);
}

/** Takes the probabilities `v` backward from step `to` to step `from`, in place. */
export function backward({ from: begin, rates }: Way, eggs: number, v: Float64Array, from: number, to: number): void {
  for (let step = to - 1; step >= from; step--) stepBackward(rates[step - begin]!, eggs, v);
}
