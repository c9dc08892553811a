import type { Priors } from "../diagnosis/priors";
import { usualTool, type Belonging } from "../facts/settings";
import type { Search } from "../inspection/see";
import type { ToolId } from "../inspection/tools";
import type { GrowthFormId } from "../plants/growthForms";
import { placesOfRound, type Round } from "../walk/places";
import { secondsFor } from "../walk/timeLeft";

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
export function waysToLook(owns: readonly Belonging[], form: GrowthFormId, priors: Priors): readonly WayToLook[] {
  const usual = usualTool(owns);
  const best: ToolId = owns.includes("loupe") ? "loupe" : usual;
  const way = (id: WayToLook["id"], tool: ToolId, round: WayToLook["round"]): WayToLook => ({
    id,
    tool,
    round,
    search: { tool, spots: placesOfRound(form, priors, round) },
  });
  return [way("usual", usual, "likely"), way("thorough", best, "all")];
}

/** A plant that might be looked at. */
export interface LookCandidate<W = unknown> {
  readonly plantId: string;
  /** The chance that it carries something. */
  readonly p: number;
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
export function minutesToLook({ tool, round }: WayToLook, potCm: number): number {
  return secondsFor(tool, round, potCm) / 60;
}

/**
 * The looks of so many minutes that find most: again and again the one, or the better way on a plant already chosen, that adds
 * most chance of a find per minute, as long as it fits. `candidates` in any order; ties go to the smaller id.
 * Throws RangeError for minutes below 0.
 * Source: greedy choice by value per cost for the multiple-choice knapsack (Sinha and Zoltners 1979), from memory: it is within one
 * look of the best.
 */
export function planLooks<W>(candidates: readonly LookCandidate<W>[], minutes: number): LookPlan<W> {
  if (!(minutes >= 0)) throw new RangeError(`so many minutes are there: ${minutes}`);
  const steps = candidates
    .flatMap((candidate) => stepsOf(candidate).map((step) => ({ ...step, candidate })))
    .toSorted((a, b) => b.gain / b.takes - a.gain / a.takes || (a.candidate.plantId < b.candidate.plantId ? -1 : 1));
  const taken = new Map<string, number>();
  let spent = 0;
  for (const { candidate, from, to, takes } of steps) {
    if ((taken.get(candidate.plantId) ?? -1) !== from || spent + takes > minutes + 1e-9) continue;
    taken.set(candidate.plantId, to);
    spent += takes;
  }
  const chosen = candidates.flatMap(({ plantId, ways }) => {
    const way = ways[taken.get(plantId) ?? -1];
    return way ? [{ plantId, ...way }] : [];
  });
  const finds = chosen.reduce((sum, { pFind }) => sum + pFind, 0);
  const carry = candidates.reduce((sum, { p }) => sum + p, 0);
  return { chosen, minutes: spent, finds, leaves: Math.max(0, carry - finds) };
}

interface Step {
  /** The way it goes on from, −1 for none, and the one it comes to. */
  readonly from: number;
  readonly to: number;
  readonly gain: number;
  readonly takes: number;
}

/** The ways worth taking, each as a step from the one before: what each adds per minute falls from step to step. */
function stepsOf({ ways }: LookCandidate): Step[] {
  const steps: Step[] = [];
  let at = { index: -1, minutes: 0, pFind: 0 };
  for (;;) {
    let best: Step | null = null;
    for (const [to, { minutes, pFind }] of ways.entries()) {
      const [takes, gain] = [minutes - at.minutes, pFind - at.pFind];
      if (takes > 0 && gain > 0 && (!best || gain * best.takes > best.gain * takes))
        best = { from: at.index, to, gain, takes };
    }
    if (!best) return steps;
    steps.push(best);
    at = { index: best.to, ...ways[best.to]! };
  }
}
