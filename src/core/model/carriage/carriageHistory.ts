import { applyBackward } from "../clearance/reckon";
import { likelyScenario } from "../clearance/scenarios";
import { stepAt, timelineOf, type PlacedEvent } from "../clearance/timeline";
import { nobody, spread, type Layout } from "../population/layout";
import type { PopulationEvent } from "../population/events";
import { wayOf } from "../population/passage";
import { sharesOf, SITES, type PerSite, type Sites } from "../population/sites";
import { stableGrowth } from "../population/stable";
import { stepBackward, type StepRates } from "../population/step";
import type { Pest } from "../../knowledge/pests/pests";

/** What decides the fate of whoever came to a plant, and when. Days are counted from day 0. */
export interface CarriageHistoryQuestion {
  readonly pest: Pest;
  readonly sites: Sites;
  /** Mean temperature of each day from day 0 on, °C; the last holds for all days after. Not empty. */
  readonly dailyMeanC: readonly number[];
  readonly timeStepDays: number;
  /** When the plant came, or the time asked about begins. */
  readonly fromDays: number;
  /** What was done and looked at since, in the order recorded; all looks were clean. */
  readonly events: readonly PopulationEvent[];
  /** Looks that might be made at the moment asked about: for each stage the chance to see one. */
  readonly looks: readonly (readonly PerSite[])[];
  readonly asOfDays: number;
}

/** The futures that are followed: gone and unseen; unseen; and unseen by one of the looks too, look by look. */
export const GONE = 0;
export const UNSEEN = 1;
export const AGAIN = 2;

const LIKELY = likelyScenario[0]!;

/**
 * The fate of one founder for each step on which it may have come: the probability of each future, by one backward pass of
 * generating functions. It is followed only as far back as somebody asks, and serves everybody who asks the same: plants of a
 * kind that stood in the same warmth and were looked at and treated on the same steps differ only in who may have come.
 * Throws RangeError for a pest that lays nothing or does not move, CaseProblem for more steps than are reckoned.
 * Source: generating functions of branching processes (Harris 1963), from memory.
 */
export class Course {
  readonly begin: number;
  readonly end: number;
  readonly dt: number;
  /** How many futures are followed: two, and one for each look. */
  readonly futures: number;
  private readonly layout: Layout;
  private readonly rates: readonly StepRates[];
  private readonly events: readonly PlacedEvent[];
  private readonly shares: Float64Array;
  private readonly founders: Founders;
  private readonly all: readonly Float64Array[];
  private readonly lost: Float64Array;
  private readonly apart: Float64Array;
  private next: number;
  /** The step down to which it has been followed. */
  private reached: number;

  constructor(question: CarriageHistoryQuestion) {
    const timeline = timelineOf(question, question.asOfDays);
    const { layout, sites, dt, events, lasting, firstC } = timeline;
    this.layout = layout;
    this.dt = dt;
    this.begin = stepAt(dt, question.fromDays);
    this.end = stepAt(dt, question.asOfDays);
    this.shares = stableGrowth(layout, sites, firstC, dt).shares;
    this.founders = foundersOf(layout, this.shares, sharesOf(sites));
    this.rates = wayOf(timeline, lasting, this.begin, this.end).rates;
    this.events = events.filter(({ step }) => step <= this.end);
    const unseenBy = (look: readonly PerSite[]) => {
      const seen = spread(layout, (stage, site) => look[stage]![site]!);
      return Float64Array.from({ length: layout.length }, (_, i) => (i < layout.types ? 1 - seen[i]! : 1));
    };
    const unseen = new Float64Array(layout.length).fill(1);
    this.all = [nobody(layout), unseen, ...question.looks.map(unseenBy)];
    this.futures = this.all.length;
    const steps = Math.max(0, this.end - this.begin);
    this.lost = new Float64Array(steps * this.futures);
    this.apart = new Float64Array(steps);
    this.next = this.events.length - 1;
    this.reached = this.end;
    this.applyFrom(this.end);
  }

  /** By how much the probability of a future falls short of 1 for one founder that comes in a step, as a negative number. */
  lostAt(step: number, future: number): number {
    this.follow(step);
    return this.lost[(step - this.begin) * this.futures + future]!;
  }

  /** By how much {@link UNSEEN} and {@link GONE} differ at most, over the types of animals alive at the beginning of a step. */
  apartAt(step: number): number {
    this.follow(step);
    return this.apart[step - this.begin]!;
  }

  /**
   * By how much the probability of a future falls short of 1 for one animal at the beginning: in these shares by type, or in those of
   * a growing colony.
   */
  shortAtBegin(future: number, types: readonly number[] | null = null): number {
    this.follow(this.begin);
    const v = this.all[future]!;
    const shares = types ?? this.shares;
    let short = 0;
    for (let i = 0; i < this.layout.types; i++) short += (shares[i] ?? 0) * (1 - v[i]!);
    return short;
  }

  private follow(step: number): void {
    while (this.reached > step) {
      const now = --this.reached;
      const slot = now - this.begin;
      for (let i = 0; i < this.futures; i++) {
        const v = this.all[i]!;
        stepBackward(this.rates[slot]!, 1, v);
        // Whoever comes in this step comes after what is done in it.
        this.lost[slot * this.futures + i] = lostOf(this.founders, v);
      }
      this.applyFrom(now);
      this.apart[slot] = farthest(this.layout, this.all[UNSEEN]!, this.all[GONE]!);
    }
  }

  /** Takes the futures back before all that happens from a step on. */
  private applyFrom(step: number): void {
    for (; this.next >= 0 && this.events[this.next]!.step >= step; this.next--)
      for (const v of this.all) applyBackward(this.layout, this.events[this.next]!, LIKELY, v);
  }
}

/** The types that come, and in which shares. */
interface Founders {
  readonly types: Uint16Array;
  readonly shares: Float64Array;
}

/** Of which types those that come are: stages that move, in stable shares, at the sites' own shares. */
function foundersOf(layout: Layout, shares: Float64Array, sites: PerSite): Founders {
  const founders = new Float64Array(layout.length);
  let all = 0;
  for (let i = 0; i < layout.types; i += SITES) {
    if (!layout.pest.stages[layout.stageOf[i]!]!.mobile) continue;
    const here = shares[i]! + shares[i + 1]! + shares[i + 2]!;
    all += here;
    for (let site = 0; site < SITES; site++) founders[i + site] = here * sites[site]!;
  }
  if (!(all > 0)) throw new RangeError(`${layout.pest.id} does not move`);
  const types = Uint16Array.from([...founders.keys()].filter((i) => founders[i]! > 0));
  return { types, shares: Float64Array.from(types, (i) => founders[i]! / all) };
}

/** By how much the mean of `v` over the founders falls short of 1, as a negative number. */
function lostOf({ types, shares }: Founders, v: Float64Array): number {
  let sum = 0;
  for (let k = 0; k < types.length; k++) sum += shares[k]! * (v[types[k]!]! - 1);
  return sum;
}

/** By how much two probabilities differ at most, over the types. */
function farthest({ types }: Layout, a: Float64Array, b: Float64Array): number {
  let most = 0;
  for (let i = 0; i < types; i++) {
    const apart = a[i]! - b[i]!;
    if (apart > most) most = apart;
  }
  return most;
}
