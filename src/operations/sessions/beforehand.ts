import type { Scope } from "@/db/connection";
import { inParallel } from "@/db/query";
import type { Context } from "../shared/context";
import { levelsNow } from "../household/levelsNow";
import { ownPaces } from "./ownPaces";
import type { GroupPlant, SessionView } from "./sessionView";

/** What is reckoned with before a session: the keepers' pace, and what is in their bottles. Nothing is read for a session of nobody. */
export async function beforehand(
  context: Context,
  scope: Scope,
  plants: readonly GroupPlant[],
): Promise<Pick<SessionView, "paces" | "levels">> {
  if (plants.length === 0) return { paces: {}, levels: [] };
  const [paces, { levels }] = await inParallel(
    scope,
    () => ownPaces(scope),
    () => levelsNow(context, scope),
  );
  return { paces, levels };
}
