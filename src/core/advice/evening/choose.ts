/** One treatment that may be done on an evening. */
export interface EveningJob {
  readonly id: string;
  /** What is mixed or prepared for it: jobs of one batch share its setting up. */
  readonly batch: string;
  /** Whole. */
  readonly minutes: number;
  /** Whether it leaves the plant wet, so that it needs a place to dry. */
  readonly wets: boolean;
  /** How much it matters that it is done tonight; above 0. */
  readonly weight: number;
}

/** What an evening has room for. */
export interface Evening {
  /** Whole minutes, from the first bottle to the last hand washed. */
  readonly minutes: number;
  /** Pots that can dry at the same time. */
  readonly dryingPots: number;
  /** Minutes to mix and to wash up, for each batch (HOUSE where nobody says). */
  readonly setUpMinutes: number;
}

export interface ChosenEvening {
  /** In the order of `jobs`. */
  readonly chosen: readonly string[];
  readonly minutes: number;
  /** What has to wait, and for what. */
  readonly left: readonly { readonly id: string; readonly why: "time" | "drying" }[];
}

/** Mixing one batch and washing up after it (HOUSE). */
export const SET_UP_MINUTES = 8;
/** Nobody works longer in one go, and no room dries more pots. */
export const LONGEST_MINUTES = 12 * 60;
export const MOST_DRYING = 200;

/**
 * The treatments that matter most together within an evening's minutes and drying places: of all choices the one of the greatest
 * weight, of those of one weight one that takes the fewest minutes. Exact, batch by batch, over every number of minutes and pots.
 * Throws RangeError for minutes that are not whole, and for an evening longer than {@link LONGEST_MINUTES} or wider than
 * {@link MOST_DRYING}. Source: the knapsack with set-up times, by dynamic programming (any textbook of operations research).
 * @example chooseEvening([], { minutes: 60, dryingPots: 4, setUpMinutes: 8 }).chosen // []
 */
export function chooseEvening(jobs: readonly EveningJob[], evening: Evening): ChosenEvening {
  const { minutes: time, dryingPots, setUpMinutes } = evening;
  const whole = [time, dryingPots, setUpMinutes, ...jobs.map((job) => job.minutes)];
  if (whole.some((n) => !Number.isInteger(n) || n < 0))
    throw new RangeError("minutes and pots are whole, and not below 0");
  if (time > LONGEST_MINUTES || dryingPots > MOST_DRYING)
    throw new RangeError("no evening is that long, nor a room that wide");
  const wetJobs = jobs.filter(({ wets }) => wets).length;
  const all =
    jobs.reduce((sum, job) => sum + job.minutes, 0) + setUpMinutes * new Set(jobs.map((job) => job.batch)).size;
  // Where everything fits nothing is to be chosen.
  if (jobs.length > 0 && all <= time && wetJobs <= dryingPots)
    return { chosen: jobs.map(({ id }) => id), minutes: all, left: [] };
  const pots = Math.min(dryingPots, wetJobs);
  const width = pots + 1;
  const cells = (time + 1) * width;
  const at = (minute: number, pot: number) => minute * width + pot;
  // value[m][d]: the most weight within m minutes and d pots. A choice that is worth the same never takes the place of a cheaper one.
  let value = new Float64Array(cells);
  const batches = [...new Set(jobs.map(({ batch }) => batch))];
  const steps: { readonly job: EveningJob | null; readonly taken: Uint8Array }[] = [];
  for (const batch of batches) {
    // Within the batch, once it is set up; -1 where there is no time for that.
    const within = new Float64Array(cells).fill(-1);
    for (let m = setUpMinutes; m <= time; m++)
      for (let d = 0; d <= pots; d++) within[at(m, d)] = value[at(m - setUpMinutes, d)]!;
    const own: typeof steps = [];
    for (const job of jobs.filter((one) => one.batch === batch)) {
      const need = job.wets ? 1 : 0;
      const taken = new Uint8Array(cells);
      // From the largest evening down: what is read is still without this job.
      for (let m = time; m >= job.minutes; m--)
        for (let d = pots; d >= need; d--) {
          const before = within[at(m - job.minutes, d - need)]!;
          if (before < 0 || before + job.weight <= within[at(m, d)]!) continue;
          within[at(m, d)] = before + job.weight;
          taken[at(m, d)] = 1;
        }
      own.push({ job, taken });
    }
    const setUp = new Uint8Array(cells);
    const after = value.slice();
    for (let cell = 0; cell < cells; cell++)
      if (within[cell]! > after[cell]!) {
        after[cell] = within[cell]!;
        setUp[cell] = 1;
      }
    value = after;
    steps.push(...own, { job: null, taken: setUp });
  }
  const best = value[at(time, pots)]!;
  let m = value.findIndex((_, cell) => cell % width === pots && value[cell]! >= best - 1e-9);
  m = Math.floor(m / width);
  const minutes = m;
  let d = pots;
  const chosen = new Set<string>();
  let skipping = false;
  for (const { job, taken } of steps.toReversed()) {
    if (job === null) {
      skipping = taken[at(m, d)] === 0;
      if (!skipping) continue;
    } else if (!skipping && taken[at(m, d)] === 1) {
      chosen.add(job.id);
      m -= job.minutes;
      d -= job.wets ? 1 : 0;
    }
    // The set-up is paid once the last job of the batch has been gone through.
    const first = job !== null && !skipping && isFirstOf(steps, job);
    if (first) m -= setUpMinutes;
  }
  const order = jobs.filter(({ id }) => chosen.has(id)).map(({ id }) => id);
  const wet = jobs.filter(({ id, wets }) => wets && chosen.has(id)).length;
  const left = jobs.filter(({ id }) => !chosen.has(id));
  return {
    chosen: order,
    minutes: order.length === 0 ? 0 : minutes,
    left: left.map(({ id, wets }) => ({ id, why: wets && wet >= dryingPots ? "drying" : "time" })),
  };
}

function isFirstOf(steps: readonly { readonly job: EveningJob | null }[], job: EveningJob): boolean {
  return steps.find((step) => step.job?.batch === job.batch)?.job === job;
}

/** How much more a treatment matters for each day it is late; and what could be done tonight but is not due, how little (HOUSE). */
const PER_DAY_LATE = 0.25;
const NOT_DUE = 0.2;

/** How much it matters that a treatment is done tonight: 1 when it is due today. `daysLate` below 0 for what is due later. */
export function weightOf(daysLate: number): number {
  return daysLate < 0 ? NOT_DUE : 1 + PER_DAY_LATE * Math.min(daysLate, 14);
}
