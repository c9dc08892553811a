import type { MoveSeveral } from "@/core/record/facts/commands";
import * as plants from "@/db/stores/plants/plants";
import type { Context } from "../../shared/context";
import { inBatch, refuseAll, transact, type Outcome } from "../../shared/outcome";
import { movePlant } from "./movePlant";

/** Moves several plants, each to its own place: all of them or, where one is refused, none. One that stands there already needs no move. */
export function moveSeveral(context: Context, { moves, at }: MoveSeveral): Promise<Outcome<{ moved: number }>> {
  return transact(context, "record", moves[0]!.id, async (scope) => {
    // In one order, whoever else moves some of them.
    await plants.lockAll(
      scope,
      moves.map(({ plantId }) => plantId),
    );
    return inBatch(context, scope.transaction!, async (within) => {
      let moved = 0;
      for (const move of moves) {
        const outcome = await movePlant(within, { ...move, at });
        if (outcome.ok) moved++;
        else if (outcome.problems.some(({ code }) => code !== "same_place")) refuseAll(outcome.problems);
      }
      return { moved };
    });
  });
}
