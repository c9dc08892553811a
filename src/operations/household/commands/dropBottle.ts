import type { DropBottle } from "@/core/knowledge/household/bottles";
import * as collections from "@/db/stores/collections";
import type { Context } from "../../shared/context";
import { transact, type Outcome } from "../../shared/outcome";

/** Takes a bottle out of the cupboard that was entered by mistake; one that is not there needs nothing. */
export function dropBottle(context: Context, { bottleId }: DropBottle): Promise<Outcome<{ id: string }>> {
  return transact(context, "record", context.collection.id, async (scope) => {
    const bottles = await collections.lockBottles(scope);
    await collections.putBottles(
      scope,
      bottles.filter(({ id }) => id !== bottleId),
    );
    return { id: bottleId };
  });
}
