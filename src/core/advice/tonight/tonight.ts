import type { Priors } from "../diagnosis/priors";
import { usualTool, type Belonging } from "../../record/facts/settings";
import type { Search } from "../../model/inspection/see";
import type { ToolId } from "../../model/inspection/tools";
import type { GrowthFormId } from "../../knowledge/plants/growthForms";
import { placesOfRound } from "../walks/places";
import type { Round } from "../../model/inspection/rounds";
import { secondsFor } from "../walks/timeLeft";

/** One way to look at a plant. */
export interface WayToLook {
  readonly id: "usual" | "thorough";
  readonly tool: ToolId;
  readonly round: Exclude<Round, "own">;
  readonly search: Search;
}

/**
 * The ways that are weighed against each other: as the keeper usually looks, at the likeliest places; and with the best there is,
 * at all places but the roots.
 */
export function waysWith(owns: readonly Belonging[]): readonly Omit<WayToLook, "search">[] {
  const usual = usualTool(owns);
  return [
    { id: "usual", tool: usual, round: "likely" },
    { id: "thorough", tool: owns.includes("loupe") ? "loupe" : usual, round: "all" },
  ];
}

/** The same, with the spots of a plant of this form. */
export function waysToLook(owns: readonly Belonging[], form: GrowthFormId, priors: Priors): readonly WayToLook[] {
  return waysWith(owns).map(({ tool, round, id }) => ({
    ...{ id, tool, round },
    search: { tool, spots: placesOfRound(form, priors, round) },
  }));
}

/** A plant that might be looked at. */
export interface LookCandidate<W = unknown> {
  readonly plantId: string;
  readonly ways: readonly { readonly way: W; readonly minutes: number; readonly pFind: number }[];
}

export interface LookPlan<W = unknown> {
  readonly chosen: readonly {
    readonly plantId: string;
    readonly way: W;
    readonly minutes: number;
    readonly pFind: number;
  }[];
  readonly minutes: number;
  /** How many plants are expected to be found to carry something, and how many that do are left unfound. */
  readonly finds: number;
  readonly leaves: number;
}

/** The minutes that the ways take on a pot of this width. */
export function minutesToLook({ tool, round }: Pick<WayToLook, "tool" | "round">, potCm: number): number {
  return secondsFor(tool, round, potCm) / 60;
}

/**
 * Plans the looks of so many minutes that find most: again and again the one, or the better way on a plant already chosen, that
 * adds most chance of a find per minute, as long as it fits. Ties go to the candidate that comes first. `carry` plants are expected
 * to carry something, those that are no candidates among them. The plan throws RangeError for minutes below 0.
 * Source: greedy choice by value per cost for the multiple-choice knapsack (Sinha and Zoltners 1979), from memory: it is within one
 * look of the best.
 */
export function lookPlanner<W>(
  candidates: readonly LookCandidate<W>[],
  carry: number,
): (minutes: number) => LookPlan<W> {
  const steps: Step[] = [];
  for (const [of, { ways }] of candidates.entries()) addSteps(steps, of, ways);
  steps.sort((a, b) => b.perMinute - a.perMinute);
  return (minutes) => {
    if (!(minutes >= 0)) throw new RangeError(`so many minutes are there: ${minutes}`);
    const taken = new Int16Array(candidates.length).fill(NO_WAY);
    let spent = 0;
    for (const { of, from, to, takes } of steps) {
      if (taken[of] !== from || spent + takes > minutes + 1e-9) continue;
      taken[of] = to;
      spent += takes;
    }
    const chosen = candidates.flatMap(({ plantId, ways }, i) => {
      const way = ways[taken[i]!];
      return way ? [{ plantId, ...way }] : [];
    });
    const finds = chosen.reduce((sum, { pFind }) => sum + pFind, 0);
    return { chosen, minutes: spent, finds, leaves: Math.max(0, carry - finds) };
  };
}

const NO_WAY = -1;

interface Step {
  /** Which of the candidates. */
  readonly of: number;
  /** The way it goes on from, {@link NO_WAY} for none, and the one it comes to. */
  readonly from: number;
  readonly to: number;
  readonly takes: number;
  /** What it adds to the chance of a find per minute. */
  readonly perMinute: number;
}

/** Adds the ways worth taking, each as a step from the one before: what each adds per minute falls from step to step. */
function addSteps(steps: Step[], of: number, ways: LookCandidate["ways"]): void {
  let at = NO_WAY;
  for (;;) {
    let best = NO_WAY;
    let bestTakes = 0;
    let bestPerMinute = 0;
    const known = ways[at];
    for (let to = 0; to < ways.length; to++) {
      const takes = ways[to]!.minutes - (known?.minutes ?? 0);
      const perMinute = (ways[to]!.pFind - (known?.pFind ?? 0)) / takes;
      if (takes > 0 && perMinute > bestPerMinute) [best, bestTakes, bestPerMinute] = [to, takes, perMinute];
    }
    if (best === NO_WAY) return;
    steps.push({ of, from: at, to: best, takes: bestTakes, perMinute: bestPerMinute });
    at = best;
  }
}
