import type { MoveSeveral } from "@/core/record/facts/commands";
import type { Context } from "../../shared/context";
import { movePlant } from "./movePlant";
import type { Outcome } from "../../shared/outcome";

/**
 * Moves several plants, each to its own place. One that stands there already needs no move; what was moved before one that is
 * refused stays so.
 */
export async function moveSeveral(context: Context, { moves, at }: MoveSeveral): Promise<Outcome<{ moved: number }>> {
  let moved = 0;
  for (const move of moves) {
    const outcome = await movePlant(context, { ...move, at });
    if (outcome.ok) moved++;
    else if (outcome.problems.some(({ code }) => code !== "same_place")) return outcome;
  }
  return { ok: true, value: { moved } };
}
