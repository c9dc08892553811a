import { may } from "@/core/access/roles";
import type { VoidFact } from "@/core/record/facts/commands";
import { rootsIn } from "@/core/acts/mechanical";
import { factKindOf, standing, type Fact } from "@/core/record/facts/facts";
import * as facts from "@/db/stores/record/facts";
import * as plants from "@/db/stores/plants/plants";
import type { Context } from "../../shared/context";
import { transact, refuse, type CommandScope, type Outcome } from "../../shared/outcome";
import { plantsWarmedBy } from "../../places/placesAround";

/**
 * Strikes out a fact that is not true, with the reason. It stays on record; everything that follows from the facts is derived
 * from those that are left. One way for every kind of fact.
 */
export function voidFact(
  context: Context,
  command: VoidFact,
): Promise<Outcome<{ plantId: string | null; placeId: string | null }>> {
  return transact(context, "tend", command.factId, async (scope) => {
    const found = (await facts.find(scope, command.kind, command.factId)) as Subject | null;
    if (!found) return refuse("factId", "unknown");
    const { plantId = null, placeId = null } = found;
    if (plantId) await plants.lock(scope, plantId);
    else if (placeId) await facts.advisoryLock(scope, placeId);
    // Another command may have struck it out while this one waited.
    const fact = (await facts.find(scope, command.kind, command.factId)) as Subject;
    if (fact.voidReason !== null) refuse("factId", "already_voided");
    // Whoever only tends takes back what they wrote down themselves.
    if (!may(context.role, "record") && !isOwn(fact, context)) refuse("factId", "not_yours");
    const { lastStaysOf } = factKindOf(command.kind);
    if (lastStaysOf) {
      const of = fact[lastStaysOf as "plantId" | "placeId"]!;
      if ((await facts.countStanding(scope, command.kind, lastStaysOf, of)) < 2) refuse("factId", "still_in_use");
    }
    await facts.strike(scope, command.kind, command.factId, command.reason);
    if (command.kind === "act" && plantId) await backIntoItsPot(scope, plantId, fact as unknown as Fact<"act">);
    if (plantId) scope.invalidateBeside([plantId]);
    else if (placeId) scope.invalidate(await plantsWarmedBy(scope, placeId));
    // What was done at a place, how warm it was there, and that hands were clean bears on plants that it does not name.
    if (!plantId) scope.invalidateAll();
    return { plantId, placeId };
  });
}

/** A potting that was not: the plant is in the pot it came from again, unless it has been potted or written anew since. */
async function backIntoItsPot(scope: CommandScope, plantId: string, { act, at }: Fact<"act">): Promise<void> {
  const roots = rootsIn(act);
  if (!roots) return;
  const acts = standing(await facts.of(scope, "act", "plantId", [plantId]));
  if (acts.some((one) => one.at > at && rootsIn(one.act))) return;
  const plant = await plants.lock(scope, plantId);
  if (roots.fromCm !== undefined && plant?.potCm === roots.potCm) await plants.setPot(scope, plantId, roots.fromCm);
}

/** Whether whoever asks wrote a fact down, on whatever device; one of before accounts were noted is told by its name and device. */
function isOwn({ recordedAccount, recordedBy }: Subject, { accountId = null, actor }: Context): boolean {
  return recordedAccount ? recordedAccount === accountId : recordedBy === actor;
}

/** What every fact is about, one way or another. */
interface Subject {
  readonly plantId?: string | null;
  readonly placeId?: string | null;
  readonly voidReason: string | null;
  readonly recordedBy: string;
  readonly recordedAccount?: string | null;
}
