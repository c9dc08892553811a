import type { RecordLook } from "@/core/facts/deeds";
import type { Find } from "@/core/facts/records";
import { pestOf } from "@/core/pests/pests";
import { severityOf } from "@/core/inspection/severity";
import type { Scope } from "@/db/connection";
import * as cases from "@/db/stores/cases";
import * as facts from "@/db/stores/facts";
import * as looks from "@/db/stores/looks";
import * as walks from "@/db/stores/walks";
import * as placements from "@/db/stores/placements";
import { checkSpots, lockPlant, pastInstant } from "./checks";
import type { Context } from "./context";
import { perform, refuse, type Outcome } from "./outcome";
import { refreshPlantStates } from "./refreshPlantStates";

export interface LookRecorded {
  readonly id: string;
  /** Cases that this look opened or added to. */
  readonly caseIds: readonly string[];
  /** Cases that this look opened. */
  readonly opened: readonly string[];
}

/**
 * Writes down a look. A find goes to the open case of that pest on the plant; where there is none it opens one, and
 * the plants standing at the same place at that time are marked at risk.
 */
export function recordLook(context: Context, deed: RecordLook): Promise<Outcome<LookRecorded>> {
  return perform(context, deed.id, async (scope) => {
    if (await facts.isRecorded(scope, "looks", deed.id)) return alreadyRecorded(scope, deed.id);
    const plant = await lockPlant(scope, deed.plantId);
    const at = pastInstant(context, deed.at);
    checkSpots(plant, deed.spots);
    for (const find of deed.finds) {
      checkSpots(plant, find.spots ?? []);
      const stages = pestOf(find.pest).stages.map((stage) => stage.id);
      if (find.stages?.some((stage) => !stages.includes(stage))) refuse("finds", "unknown");
    }
    if (new Set(deed.finds.map((find) => find.pest)).size < deed.finds.length) refuse("finds", "twice_same_pest");

    const { finds, ...look } = deed;
    const walkId = await walkFor(scope, deed);
    const { turned = true, naming = null } = look;
    await looks.add(scope, { ...look, walkId, turned, naming, at }, context.now);
    const neighbours = finds.length > 0 ? await placements.neighboursAt(scope, plant.id, at) : [];
    const running = (await cases.ofPlants(scope, [plant.id])).filter((c) => c.open);
    const opened: string[] = [];
    const filed: Find[] = [];
    for (const find of finds) {
      const same = running.find((c) => c.pest === find.pest);
      if (!same) {
        const fresh = { id: find.caseId, plantId: plant.id, pest: find.pest, openedByLookId: deed.id, openedAt: at };
        await cases.add(scope, fresh, context.now);
        await cases.addExposures(scope, find.caseId, neighbours, at);
        opened.push(find.caseId);
      } else if (at < same.openedAt) {
        // Written down late: the case began with this find, not with the one recorded first.
        await cases.openEarlier(scope, same.id, at);
      }
      // A count says more than a class and decides it.
      const severity = find.count === null ? find.severity : severityOf(find.count);
      const { spots = [], stages = [] } = find;
      filed.push({ ...find, spots, stages, severity, caseId: same?.id ?? find.caseId });
    }
    await looks.addFinds(scope, deed.id, filed);
    await refreshPlantStates(context, scope, [plant.id, ...(opened.length > 0 ? neighbours : [])]);
    return { id: deed.id, caseIds: filed.map((find) => find.caseId), opened };
  });
}

/**
 * The walk a look belongs to. On a walk each plant is looked at once: where another device was quicker, the look is kept as
 * one beside the walk, so that nothing that was seen is lost.
 */
async function walkFor(scope: Scope, { walkId, plantId }: RecordLook): Promise<string | null> {
  if (!walkId) return null;
  if (!(await walks.find(scope, walkId))) return refuse("walkId", "unknown");
  return (await looks.isLookedAtOn(scope, walkId, plantId)) ? null : walkId;
}

async function alreadyRecorded(scope: Scope, id: string): Promise<LookRecorded> {
  const look = await looks.find(scope, id);
  return { id, caseIds: look?.finds.map((find) => find.caseId) ?? [], opened: [] };
}
