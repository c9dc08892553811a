import type { TechniqueId } from "../../knowledge/remedies/remedies";
import { ARRIVALS_PRIOR } from "../carriage/arrivalShare";
import type { ToolId } from "../inspection/tools";
import type { FactorWorth } from "./grid";
import { NOTHING_TOLD, OTHERS_TELL, type NumbersId, type ReachWeights } from "./reach";
import type { SharePrior } from "./share";

/** What other keepers' records have told: sums, which add from keeper to keeper. */
export interface ToldElsewhere {
  readonly keepers: number;
  /** Closed cases with a technique, and how many of each reach they are worth. */
  readonly hands: readonly { readonly technique: TechniqueId; readonly cases: number; readonly worth: ReachWeights }[];
  /** Looks beside finds with a tool, and what they are worth. */
  readonly eyes: readonly ({ readonly tool: ToolId; readonly looks: number } & FactorWorth)[];
  /** Plants that came, and those of them that showed a pest soon after. */
  readonly arrivals: { readonly plants: number; readonly showed: number };
  /** Looks of which a chance was told, and what they are worth of how much passes from plant to plant. */
  readonly passing: { readonly looks: number } & FactorWorth;
}

/** Where judgements begin: whose numbers the keeper wants, and what others have told; null where nobody has. A collection is one. */
export interface Beginning {
  readonly numbers: NumbersId;
  readonly toldElsewhere: ToldElsewhere | null;
}

/** Cases elsewhere with a technique, and a quarter of those with another, as cases of each reach. @example reachElsewhere(null, "spray") // [0, 0, 0] */
export function reachElsewhere(others: ToldElsewhere | null, technique: TechniqueId): ReachWeights {
  return (others?.hands ?? []).reduce<ReachWeights>((sum, one) => {
    const counts = one.technique === technique ? 1 : OTHERS_TELL;
    return [sum[0] + counts * one.worth[0], sum[1] + counts * one.worth[1], sum[2] + counts * one.worth[2]];
  }, NOTHING_TOLD);
}

/** Looks elsewhere with a tool, and a quarter of those with another. @example sightElsewhere(null, "eye") // { precision: 0, pull: 0 } */
export function sightElsewhere(others: ToldElsewhere | null, tool: ToolId): FactorWorth {
  return (others?.eyes ?? []).reduce<FactorWorth>(
    (sum, one) => {
      const counts = one.tool === tool ? 1 : OTHERS_TELL;
      return { precision: sum.precision + counts * one.precision, pull: sum.pull + counts * one.pull };
    },
    { precision: 0, pull: 0 },
  );
}

/**
 * What is believed of a seller nobody knows: our estimate, and a quarter of every plant that came elsewhere, all of them together no more
 * than ours. Ours alone where the keeper wants that. @example arrivalsBefore({ numbers: "ours", toldElsewhere: null }) // one in ten, worth ten plants
 */
export function arrivalsBefore({ numbers, toldElsewhere }: Beginning): SharePrior {
  const { share, weigh } = ARRIVALS_PRIOR;
  const { plants, showed } = toldElsewhere?.arrivals ?? { plants: 0, showed: 0 };
  if (numbers === "ours" || plants === 0) return ARRIVALS_PRIOR;
  const tells = Math.min(OTHERS_TELL, weigh / plants);
  const all = weigh + tells * plants;
  return { share: (share * weigh + tells * showed) / all, weigh: all };
}
