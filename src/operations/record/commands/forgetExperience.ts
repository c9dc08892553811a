import * as collections from "@/db/stores/collections";
import type { Context } from "../../shared/context";
import { transact, type Outcome } from "../../shared/outcome";

/** Forgets what other keepers' records have told: judgements begin with the collection's own numbers and ours again. */
export function forgetExperience(context: Context): Promise<Outcome<{ id: string }>> {
  return transact(context, "own", context.collection.id, async (scope) => {
    await collections.putExperience(scope, null, null);
    scope.invalidateAll();
    return { id: context.collection.id };
  });
}
