import { assertNever } from "@/core/assertNever";
import type { VoidFact } from "@/core/facts/deeds";
import type { Scope } from "@/db/connection";
import * as cases from "@/db/stores/cases";
import * as facts from "@/db/stores/facts";
import * as looks from "@/db/stores/looks";
import * as placements from "@/db/stores/placements";
import * as photos from "@/db/stores/photos";
import * as plans from "@/db/stores/plans";
import * as plants from "@/db/stores/plants";
import * as treatments from "@/db/stores/treatments";
import * as walks from "@/db/stores/walks";
import type { Context } from "./context";
import { perform, refuse, type Outcome } from "./outcome";
import { refreshPlantStates } from "./refreshPlantStates";

type Voider = (scope: Scope, factId: string, table: facts.FactTable) => Promise<void>;

/**
 * Voids a fact that is not true, with the reason. It stays on record; the state of the plant, and of those that stood
 * near it, follows from what is left.
 */
export function voidFact(context: Context, deed: VoidFact): Promise<Outcome<{ plantId: string }>> {
  return perform(context, deed.factId, async (scope) => {
    const fact = await findFact(scope, deed);
    if (!fact) return refuse("factId", "unknown");
    await plants.lock(scope, fact.plantId);
    if (fact.voidReason !== null) refuse("factId", "already_voided");
    const strike: Voider = (s, id, table) => facts.voidFact(s, table, id, context.now, deed.reason);
    const alsoTouched = await voidWith(scope, deed, fact, strike);
    await refreshPlantStates(context, scope, [fact.plantId, ...alsoTouched]);
    return { plantId: fact.plantId };
  });
}

interface FoundFact {
  readonly plantId: string;
  readonly caseId: string | null;
  readonly voidReason: string | null;
}

async function findFact(scope: Scope, { kind, factId }: VoidFact): Promise<FoundFact | null> {
  switch (kind) {
    case "look": {
      const look = await looks.find(scope, factId);
      return look && { ...look, caseId: null };
    }
    case "placement": {
      const placement = await placements.find(scope, factId);
      return placement && { ...placement, caseId: null };
    }
    case "treatment":
      return treatments.find(scope, factId);
    case "skip": {
      const skip = await walks.findSkip(scope, factId);
      return skip && { ...skip, caseId: null };
    }
    case "photo": {
      const photo = await photos.find(scope, factId);
      return photo && { ...photo, caseId: null };
    }
    case "plan":
      return ofCase(scope, await plans.find(scope, factId));
    case "closing":
      return ofCase(scope, await cases.findClosing(scope, factId));
    default:
      return assertNever(kind);
  }
}

async function ofCase(scope: Scope, fact: { caseId: string; voidReason: string | null } | null) {
  if (!fact) return null;
  const found = await cases.find(scope, fact.caseId);
  return found && { plantId: found.plantId, caseId: fact.caseId, voidReason: fact.voidReason };
}

/** Voids the fact and what rested on it alone; tells which other plants are touched. */
async function voidWith(scope: Scope, { kind, factId }: VoidFact, fact: FoundFact, strike: Voider): Promise<string[]> {
  switch (kind) {
    case "look": {
      const resting = await cases.restingOnlyOn(scope, factId);
      const exposed = await cases.exposedBy(scope, resting);
      await strike(scope, factId, "Look");
      for (const caseId of resting) await strike(scope, caseId, "Case");
      return exposed;
    }
    case "placement": {
      const others = (await placements.ofPlants(scope, [fact.plantId])).filter((p) => p.voidReason === null);
      if (others.length < 2) refuse("factId", "still_in_use");
      await strike(scope, factId, "Placement");
      return [];
    }
    case "closing": {
      await strike(scope, factId, "Closing");
      const found = await cases.find(scope, fact.caseId!);
      const running = (await cases.ofPlants(scope, [fact.plantId])).some((c) => c.open && c.pest === found!.pest);
      if (running) refuse("factId", "still_in_use");
      await cases.setOpen(scope, fact.caseId!, true);
      return [];
    }
    case "treatment":
      await strike(scope, factId, "Treatment");
      return [];
    case "plan":
      await strike(scope, factId, "Plan");
      return [];
    case "skip":
      await strike(scope, factId, "Skip");
      return [];
    case "photo":
      await strike(scope, factId, "Photo");
      return [];
    default:
      return assertNever(kind);
  }
}
