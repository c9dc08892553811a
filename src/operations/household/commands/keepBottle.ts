import { MOST_BOTTLES, type KeepBottle } from "@/core/knowledge/household/bottles";
import * as collections from "@/db/stores/collections";
import type { Context } from "../../shared/context";
import { transact, refuse, type Outcome } from "../../shared/outcome";

/** Puts a bottle into the cupboard, or changes what is written of one that is there. */
export function keepBottle(context: Context, bottle: KeepBottle): Promise<Outcome<{ id: string }>> {
  return transact(context, "record", context.collection.id, async (scope) => {
    const bottles = await collections.lockBottles(scope);
    const there = bottles.some(({ id }) => id === bottle.id);
    if (!there && bottles.length >= MOST_BOTTLES) refuse("", "cupboard_full");
    const kept = there ? bottles.map((one) => (one.id === bottle.id ? bottle : one)) : [...bottles, bottle];
    await collections.putBottles(scope, kept);
    return { id: bottle.id };
  });
}
