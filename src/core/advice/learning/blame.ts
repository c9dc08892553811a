import type { TechniqueId } from "../../knowledge/remedies/remedies";
import type { ToolId } from "../../model/inspection/tools";
import { reaches } from "../../model/clearance/scenarios";
import type { Learned } from "../../model/learning/grid";
import type { LearnedReach } from "../../model/learning/reach";
import type { LearnedSight } from "../../model/learning/sight";
import type { ToldBetween } from "./reliability";

/** What has been learned of the numbers behind a chance; null for those that too little is known of. */
export interface Learnable {
  readonly eyes: readonly { readonly tool: ToolId; readonly learned: LearnedSight | null }[];
  readonly hands: readonly { readonly technique: TechniqueId; readonly learned: LearnedReach | null }[];
  readonly passing: Learned | null;
}

/** A number that is otherwise than we suppose, `factor` times as much (a hand: as often misses much), and so may have led a chance astray. */
export type Blamed =
  | { readonly kind: "eye"; readonly tool: ToolId; readonly factor: number }
  | { readonly kind: "hand"; readonly technique: TechniqueId; readonly factor: number }
  | { readonly kind: "passing"; readonly factor: number };

/** What was told: that it is over, or clean, or that a look finds something. */
export type ToldOf = "clean" | "find";

/** Which way all that was told was wrong by more than chance; null where it was not, or both ways. @example wrongWay([]) // null */
export function wrongWay(bins: readonly Pick<ToldBetween, "off">[]): "tooSure" | "tooCautious" | null {
  const offs = new Set(bins.flatMap(({ off }) => (off === "tooSure" || off === "tooCautious" ? [off] : [])));
  const [only] = offs;
  return offs.size === 1 ? only! : null;
}

/** Whether the true value lies four times in five on that side of what we suppose. */
const beyond = ({ low, high }: { readonly low: number; readonly high: number }, ours: number, more: boolean) =>
  more ? low > ours : high < ours;

/**
 * Which numbers explain that chances were wrong, as far as they are learned: those that lie, four times in five, on that side of what we suppose which
 * makes the chance too high (or too low). That a case is over is told too surely where the eye sees less, or the hand misses more, than we suppose; that a look
 * finds something where less passes, or the eye sees less. Those of cases that began with what was learned by then are among what was told: it may be mended already.
 * @example blamedFor("clean", "tooSure", { eyes: [], hands: [], passing: null }) // []
 */
export function blamedFor(
  of: ToldOf,
  way: "tooSure" | "tooCautious",
  { eyes, hands, passing }: Learnable,
): readonly Blamed[] {
  const better = way === "tooCautious";
  const eye = eyes.flatMap(({ tool, learned }): Blamed[] =>
    learned && beyond(learned, 1, better) ? [{ kind: "eye", tool, factor: learned.mean }] : [],
  );
  if (of === "find")
    return passing && beyond(passing, 1, better) ? [...eye, { kind: "passing", factor: passing.mean }] : eye;
  const often = reaches[0].prior;
  const hand = hands.flatMap(({ technique, learned }): Blamed[] => {
    const much = learned && { low: learned.low[0], high: learned.high[0] };
    return much && beyond(much, often, !better) ? [{ kind: "hand", technique, factor: learned.mean[0] / often }] : [];
  });
  return [...eye, ...hand];
}
